/** Jobs at the fire: laying, lighting, vents, feeding, shutting down. */
import { charcoalKg, type Action } from '../../scenario/actions';
import { splitLengthCm } from '../../pit/usualFire';
import { countWords, temperatureWords, type Units } from '../../quantity/words';
import { lastOffMin, type JobDraft } from './job';
import type { PitPlan } from '../schedule/pitPlan';
import { LID_SECONDS } from '../fire/policyTrial';
import type { PlanLog } from '../request/types';
import { charcoalWords, litWords, settingWords, splitWords } from '../words';

/** Time to lay a fire, and to get charcoal glowing, min (common practice 15-20 for the coals). */
const LAYING_MIN = 40;
const CHIMNEY_MIN = 20;

/** A vent moved later than so long before everything is off does nothing any more, min (common practice). */
const LAST_USEFUL_MOVE_MIN = 30;

/** A set-vents of the plan's cook. */
export type VentMove = Extract<Action, { do: 'set-vents' }>;

/** The vents of the middle of the road that are worth telling, up to the minute everything is off. */
export function plannedVentMoves(plan: PitPlan): VentMove[] {
  const lastMin = lastOffMin(plan);
  return (plan.result.happened as Action[])
    .filter((a): a is VentMove => a.do === 'set-vents' && a.atMin > 0 && a.atMin <= lastMin)
    .filter((a, i) => i === 0 || a.atMin <= lastMin - LAST_USEFUL_MOVE_MIN);
}

/** When everything is off: at the earliest (1 in 10), and in the middle, min after lighting. */
export interface OffTimes {
  firstMin: number;
  lastMin: number;
}

/** Laying, lighting, vents and feeding, up to the minute everything is off. */
export function fireJobs(plan: PitPlan, off: OffTimes, units: Units): JobDraft[] {
  const { setup: way, scenario, policy: guide } = plan;
  const fire = scenario.fire!;
  const jobs: JobDraft[] = [
    {
      id: 'lay',
      atMin: -LAYING_MIN,
      do: 'lay-fire',
      inWords: fire.arrangement === 'snake' ? 'Lay the snake' : 'Build the fire',
      detail: buildLine(plan, units),
      logs: [],
    },
    {
      id: 'chimney',
      atMin: -CHIMNEY_MIN,
      do: 'light',
      inWords: lightWords(plan, units),
      detail:
        fire.fuel === 'lump'
          ? 'Ready as soon as the yellow flame is gone. Outdoors only; no lighter fluid.'
          : 'Ready when they are ashed over. Outdoors only; no lighter fluid.',
      logs: [],
    },
  ];
  const up = guide.up;
  const open = { do: 'set-vents', intakeFraction: up.intake, exhaustFraction: up.exhaust } as const;
  const target = temperatureWords(way.pit.pace.pitC, units);
  jobs.push({
    id: 'light',
    atMin: 0,
    do: 'set-vents',
    inWords:
      fire.arrangement === 'snake'
        ? 'Tip the lit ones on the head of the snake'
        : 'Lit coals in place, lid shut',
    detail: way.underFan
      ? `Fan on, set to ${target}.`
      : `${settingWords(way, up.intake, up.exhaust)} while it comes up.`,
    logs: way.underFan ? [{ do: 'set-target', targetC: way.pit.pace.pitC }] : [open],
  });
  return [...jobs, ...feedAndVentJobs(plan, off, units)];
}

function buildLine(plan: PitPlan, units: Units): string {
  const { scenario, setup: way, fuelLoadKg: loadKg } = plan;
  const fire = scenario.fire!;
  const chunk = fire.woodChunks[0];
  const chunks = chunk
    ? `, ${countWords(fire.woodChunks.length, 'chunk', 'chunks')} of ${chunk.species}`
    : '';
  const lie =
    fire.arrangement === 'snake'
      ? `, ${fire.side} wide and ${fire.layers} high, ${Math.round(fire.arcDegrees)} degrees round`
      : ` in the ${way.preset.fuelHolder}`;
  return `${charcoalWords(fire, loadKg, units)}${lie}${chunks}.`;
}

function lightWords(plan: PitPlan, units: Units): string {
  const fire = plan.scenario.fire!;
  const what = litWords(fire, units);
  return fire.arrangement === 'bowl' || fire.arrangement === 'hopper'
    ? `Light the ${plan.setup.preset.fuelHolder} with ${what}`
    : `Light ${what} in the chimney`;
}

/** What the tender of the middle of the road does at its minute, as jobs. */
function feedAndVentJobs(plan: PitPlan, { firstMin, lastMin }: OffTimes, units: Units): JobDraft[] {
  const { setup: way, policy: guide } = plan;
  const byMinute = new Map<number, Action[]>();
  const told = new Set<Action>(plannedVentMoves(plan));
  for (const a of plan.result.happened as Action[]) {
    if (!['set-vents', 'add-fuel', 'add-wood', 'door', 'rake', 'fill-water'].includes(a.do))
      continue;
    if (a.atMin === 0 || a.atMin > lastMin) continue;
    byMinute.set(a.atMin, [...(byMinute.get(a.atMin) ?? []), a]);
  }
  const jobs: JobDraft[] = [];
  let held = false;
  let fed = 0;
  let moved = 0;
  for (const [atMin, actions] of byMinute) {
    const fuel = actions.filter((a) => a.do === 'add-fuel');
    const vents = actions.find((a) => told.has(a)) as VentMove | undefined;
    if (fuel.length > 0) {
      fed += 1;
      const lid = way.preset.traits.sideFirebox || way.preset.traits.gravityFed;
      const feed = feedWords(plan, fuel, units);
      // Charcoal that only slow cooks need is put on when this one proves to be slow.
      const ifSlow = !way.onSplits && atMin >= firstMin;
      jobs.push({
        ...feed,
        ...(ifSlow ? { inWords: `Not done yet? ${feed.inWords}` } : {}),
        id: way.onSplits ? `feed-${fed}` : fed === 1 ? 'lengthen' : `lengthen-${fed}`,
        atMin,
        do: 'add-fuel',
        logs: [
          ...(lid ? [] : [{ do: 'lid-open' as const, seconds: LID_SECONDS.wrap }]),
          ...actions.filter((a) => a.do !== 'set-vents').map(asLogAction),
        ],
      });
    }
    if (!vents) continue;
    const first = !held;
    if (!first) moved += 1;
    held = true;
    const target = temperatureWords(way.pit.pace.pitC, units);
    const setting = settingWords(way, vents.intakeFraction, vents.exhaustFraction);
    jobs.push(
      first
        ? {
            id: 'hold',
            atMin,
            do: 'set-vents',
            inWords: setting,
            detail: `When the pit passes ${temperatureWords(way.pit.pace.pitC - guide.closeBelowK, units)} on its way up. It should settle near ${target}.`,
            logs: [asLogAction(vents)],
          }
        : {
            // A look, not a move: whether it is needed the thermometer says.
            id: `trim-${moved}`,
            atMin,
            do: 'check',
            inWords: 'Look at the pit',
            detail: `If it stands off ${target}: ${setting}. If not, leave it.`,
            logs: [],
          },
    );
  }
  return jobs;
}

/** An action as the log keeps it. */
function asLogAction(action: Action): PlanLog {
  const { atMin: _, ...log } = action;
  return log as PlanLog;
}

function feedWords(
  plan: PitPlan,
  fuel: Action[],
  units: Units,
): Pick<JobDraft, 'inWords' | 'detail'> {
  const { setup: way, scenario } = plan;
  const split = fuel.find((a) => a.do === 'add-fuel' && a.fuel === 'splits');
  const charcoal = fuel.find((a) => a.do === 'add-fuel' && a.fuel !== 'splits');
  const kg = charcoal?.do === 'add-fuel' ? charcoalKg(charcoal) : 0;
  if (split?.do === 'add-fuel') {
    const lump = charcoal ? ` and ${charcoalWords({ fuel: 'lump' }, kg, units)}` : '';
    return {
      inWords: `A split of ${splitWords(split.massKg ?? 0, splitLengthCm(way.parameters), units)}${lump}`,
      detail:
        'Warmed on the firebox; door ajar a minute while it catches. Lay the next one to warm.',
    };
  }
  if (scenario.fire!.arrangement === 'snake') {
    return {
      inWords: `Lengthen the snake by ${charcoalWords(scenario.fire!, kg, units)}`,
      detail: 'Unlit, at the tail, round into the gap the fire has left. Clear the ash first.',
    };
  }
  return {
    inWords: `Top up with ${charcoalWords(scenario.fire!, kg, units)}`,
    detail: way.handFed
      ? 'Unlit, beside the glowing coals, with a chunk; rake the ash through first.'
      : 'Unlit, against the glowing ones.',
  };
}

export function shutJob(plan: PitPlan, lastMin: number): JobDraft {
  const { setup: way } = plan;
  return {
    id: 'shut',
    atMin: lastMin + 5,
    do: 'shut-down',
    inWords: way.underFan ? 'Fan off, everything shut' : 'Shut both vents',
    detail: 'What is not burnt goes out and is saved for the next fire. Ash stays hot for days.',
    logs: [
      way.underFan
        ? { do: 'fan', on: false }
        : { do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 },
    ],
  };
}
