/** Jobs at the fire: laying, lighting, vents, feeding, shutting down. */
import { notchFor, type HandRule } from '../../control/handRule';
import type { CharcoalId } from '../../fuel/catalogue';
import { type Action, USUAL_LID_S, charcoalKg, laterTarget } from '../../scenario/actions';
import type { JobDraft } from './job';
import type { PitSchedule } from '../schedule/pitSchedule';
import { latestEndMin } from '../schedule/schedule';
import type { PlanLog } from '../document/plan';
import type { RequestMeat } from '../request/types';
import { kitOf } from './kit';
import { fuelBalance } from './plannedFire';
import { lidOverK, readsOverK, settingAt } from './plannedRule';
import { plannedVentMoves, type VentMove } from './ventMoves';

/** Time to lay a fire, and to get charcoal glowing, min (common practice 15-20 for the coals). */
const LAYING_MIN = 40;
const CHIMNEY_MIN = 20;

/** When everything is off: at the earliest (1 in 10), and in the middle, min after lighting. */
interface OffTimes {
  /** At the earliest, 1 in 10. */
  firstMin: number;
  /** In the middle of the likely cooks. */
  lastMin: number;
}

/** Laying, lighting, vents and feeding, up to the minute everything is off. */
export function fireJobs(
  plan: PitSchedule,
  off: OffTimes,
  meats: readonly RequestMeat[],
): JobDraft[] {
  const { setup, scenario, policy, fuelLoadKg: loadKg } = plan;
  const fire = scenario.fire!;
  const { intake, exhaust } = policy.up;
  const targetC = setup.pit.pace.pitC;
  const { underFan } = setup;
  return [
    {
      id: 'lay',
      atMin: -LAYING_MIN,
      do: 'lay-fire',
      facts: { kind: 'lay-fire', fire, loadKg, kit: kitOf(plan, meats) },
      logs: [],
    },
    { id: 'chimney', atMin: -CHIMNEY_MIN, do: 'light', facts: { kind: 'light', fire }, logs: [] },
    {
      id: 'light',
      atMin: 0,
      do: 'set-vents',
      facts: {
        kind: 'bring-up',
        onSnake: fire.arrangement === 'snake',
        underFan,
        targetC,
        intake,
        exhaust,
      },
      logs: underFan
        ? [{ do: 'set-target', targetC }]
        : [{ do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust }],
    },
    ...feedAndVentJobs(plan, off),
  ];
}

const TOLD_ACTIONS = ['set-vents', 'add-fuel', 'add-wood', 'door', 'rake', 'fill-water'];

/** What is done at the fire of the reference cook, minute by minute. */
function actionsByMinute(plan: PitSchedule, lastMin: number): Map<number, Action[]> {
  const byMinute = new Map<number, Action[]>();
  for (const a of plan.result.happened as Action[]) {
    if (!TOLD_ACTIONS.includes(a.do) || a.atMin === 0 || a.atMin > lastMin) continue;
    byMinute.set(a.atMin, [...(byMinute.get(a.atMin) ?? []), a]);
  }
  return byMinute;
}

/** What the operator of the reference cook does at its minute, as jobs. */
function feedAndVentJobs(plan: PitSchedule, { firstMin, lastMin }: OffTimes): JobDraft[] {
  const told = new Set<Action>(plannedVentMoves(plan));
  const jobs: JobDraft[] = [];
  const fedAt: { atMin: number; actions: Action[] }[] = [];
  let looks = 0;
  let held = false;
  let paceDue = laterTarget(plan.result.happened)?.atMin;
  for (const [atMin, actions] of actionsByMinute(plan, lastMin)) {
    if (actions.some((a) => a.do === 'add-fuel')) {
      fedAt.push({ atMin, actions });
      // Charcoal that only slow cooks need is put on when this one proves to be slow.
      const ifSlow = !plan.setup.onSplits && atMin >= firstMin;
      jobs.push(feedJob(plan, actions, fedAt.length, ifSlow));
    }
    const vents = actions.find((a) => told.has(a)) as VentMove | undefined;
    if (paceDue !== undefined && atMin >= paceDue) {
      jobs.push(paceJob(plan, paceDue, vents ?? null));
      paceDue = undefined;
      held ||= vents !== undefined;
      continue;
    }
    if (!vents) continue;
    if (!held) jobs.push(holdJob(plan, vents));
    else if (plan.rule) jobs.push(lookJob(plan, atMin, plan.rule, ++looks));
    held = true;
  }
  if (paceDue !== undefined && paceDue <= lastMin) jobs.push(paceJob(plan, paceDue, null));
  return [...jobs, ...feedsToTheEnd(plan, fedAt, lastMin)];
}

/** A fire that is fed by hand goes on being fed, as before, until nearly all likely cooks are off; after `lastMin` for slow ones. */
function feedsToTheEnd(
  plan: PitSchedule,
  fedAt: readonly { atMin: number; actions: Action[] }[],
  lastMin: number,
): JobDraft[] {
  const { onSplits, handFed } = plan.setup;
  const [before, last] = fedAt.slice(-2);
  if (!last || !(onSplits || handFed)) return [];
  const everyMin = last.atMin - before!.atMin;
  const untilMin = latestEndMin(plan);
  const count = Math.max(0, Math.floor((untilMin - last.atMin) / everyMin));
  return Array.from({ length: count }, (_, i) => {
    const atMin = last.atMin + (i + 1) * everyMin;
    const actions = last.actions.map((a) => ({ ...a, atMin }));
    return feedJob(plan, actions, fedAt.length + 1 + i, atMin > lastMin);
  });
}

/** The pit is taken to its second pace. */
function paceJob({ setup, rule }: PitSchedule, atMin: number, planned: VentMove | null): JobDraft {
  const { pitC: fromC, then } = setup.pit.pace;
  const { pitC: targetC, when } = then!;
  const { underFan, onSplits } = setup;
  const vents = planned && atNotch(planned, rule, targetC - fromC);
  return {
    id: 'second-pace',
    atMin,
    do: 'set-target',
    facts: {
      kind: 'second-pace',
      fromC,
      targetC,
      when,
      underFan,
      onSplits,
      vents: vents && { intake: vents.intakeFraction, exhaust: vents.exhaustFraction },
    },
    logs: [...(vents ? [asLogAction(vents)] : []), { do: 'set-target', targetC }],
  };
}

/** A planned move at the notch of the rule that holds a target `moreK` over the first one, K. */
function atNotch(planned: VentMove, rule: HandRule | null, moreK: number): VentMove {
  const setting = rule && settingAt(rule, notchFor(rule, moreK));
  return setting
    ? { ...planned, intakeFraction: setting.intake, exhaustFraction: setting.exhaust }
    : planned;
}

/** The first move closes the vents down to hold. */
function holdJob(plan: PitSchedule, planned: VentMove): JobDraft {
  const { setup, policy } = plan;
  const vents = atNotch(planned, plan.rule, 0);
  const by = setup.pit.gauge;
  const targetC = setup.pit.pace.pitC;
  const { atMin, intakeFraction: intake, exhaustFraction: exhaust } = vents;
  const closeAtC = targetC - policy.closeBelowK;
  return {
    id: 'hold',
    atMin,
    do: 'set-vents',
    facts: {
      kind: 'hold',
      intake,
      exhaust,
      closeAtC,
      targetC,
      gauge: by ? { by, lidOverK: lidOverK(plan) } : null,
      probeOffsetK: setup.pit.probeOffsetK ?? 0,
    },
    logs: [asLogAction(vents)],
  };
}

/** A later one is a look, the `nth`, at about the minute at which the reference cook wants another notch. */
function lookJob(cook: PitSchedule, atMin: number, rule: HandRule, nth: number): JobDraft {
  const { pitC: targetC, then } = cook.setup.pit.pace;
  const later = laterTarget(cook.result.happened);
  return {
    id: `trim-${nth}`,
    atMin,
    do: 'check',
    facts: {
      kind: 'look',
      targetC: then && later && atMin >= later.atMin ? then.pitC : targetC,
      overK: rule.overK,
      underK: rule.underK,
      readsOverK: readsOverK(cook),
    },
    logs: [],
  };
}

/** An action as the log keeps it. */
function asLogAction(action: Action): PlanLog {
  const { atMin: _, ...log } = action;
  return log;
}

/** Fuel that goes on at one visit, the `nth` of the cook. */
function feedJob(plan: PitSchedule, actions: Action[], nth: number, ifSlow: boolean): JobDraft {
  const { setup, scenario } = plan;
  const fuel = actions.filter((a) => a.do === 'add-fuel');
  const split = fuel.find((a) => a.fuel === 'splits');
  const charcoal = fuel.find((a) => a.fuel !== 'splits');
  const { sideFirebox, gravityFed } = setup.preset.traits;
  return {
    id: setup.onSplits ? `feed-${nth}` : nth === 1 ? 'lengthen' : `lengthen-${nth}`,
    atMin: actions[0]!.atMin,
    do: 'add-fuel',
    facts: {
      kind: 'feed',
      split: split ? { kg: split.massKg ?? 0, species: split.species } : null,
      charcoal: charcoal ? { fuel: charcoal.fuel as CharcoalId, kg: charcoalKg(charcoal) } : null,
      onSnake: scenario.fire!.arrangement === 'snake',
      handFed: setup.handFed,
      ifSlow,
    },
    logs: [
      ...(sideFirebox || gravityFed ? [] : [{ do: 'lid-open' as const, seconds: USUAL_LID_S }]),
      ...actions.filter((a) => a.do !== 'set-vents').map(asLogAction),
    ],
  };
}

/** Everything shut once the last piece is off. */
export function shutJob(plan: PitSchedule, lastMin: number): JobDraft {
  const { underFan } = plan.setup;
  return {
    id: 'shut',
    atMin: lastMin + 5,
    do: 'shut-down',
    facts: { kind: 'shut-down', underFan, leftKg: fuelBalance(plan).leftKg },
    logs: [
      underFan
        ? { do: 'fan', on: false }
        : { do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 },
    ],
  };
}
