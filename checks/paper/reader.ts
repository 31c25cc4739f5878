/**
 * Somebody who does only what a printed plan says: its jobs at their times, and its looks by its rule. What the reader goes by
 * is the document alone; the engine's own operator is not asked.
 */
import { pitOf, USUAL_LID_S, type Action, type PitPlan } from '@ostrin/core';
import { actionsOfJobs, CHARCOALS, type Observation, type Operator } from '@ostrin/core/internals';

type Rule = NonNullable<PitPlan['rules']>[number];

/** While it comes up the reader stands by the pit from so long before the planned time on, and looks so often, min. */
const COMING_UP = { fromMin: 30, everyMin: 5 };
/** "No split yet, look again in 5 min." */
const WAIT_MIN = 5;

/** A job that puts on charcoal so soon before or after makes a top-up needless, min. */
const SOON_MIN = 30;

/** A reader of that plan. */
export function paperReader(plan: PitPlan): Operator {
  const jobs = actionsOfJobs(plan.jobs)
    .filter((a) => !('meat' in a))
    .map((a) => ({ ...a, atMin: Math.max(a.atMin, 0) }));
  const rule = plan.rules?.[0];
  const due = (list: readonly Action[], atMin: number): Action[] =>
    list.filter((a) => Math.floor(a.atMin) === atMin);
  if (!rule) return { setTarget: () => undefined, decide: ({ atMin }) => due(jobs, atMin) };
  const decide =
    rule.notches.by === 'vents'
      ? byVents(plan, rule, rule.notches.settings)
      : bySplits(plan, rule, rule.notches.splitsKg, rule.notches.waitOverK);
  // The vents are the rule's from when they are closed down, splits from the first one.
  const others = jobs.filter((a) =>
    rule.notches.by === 'vents'
      ? a.do !== 'set-vents' || a.atMin === 0
      : a.do !== 'add-fuel' && a.do !== 'door',
  );
  return {
    setTarget: () => undefined,
    decide: (seen) => [...due(others, seen.atMin), ...decide(seen)],
  };
}

/** One look: the printed sentence. Returns the step along the notches. */
function step(rule: Rule, targetC: number, pitC: number, lastC: number | null): number {
  // Come back: nearer to the middle of the two bounds.
  const rightC = targetC + (rule.overK - rule.underK) / 2;
  const hasComeBack =
    lastC !== null && Math.abs(lastC - rightC) - Math.abs(pitC - rightC) >= rule.backK;
  if (hasComeBack) return 0;
  const by = Math.abs(pitC - targetC) >= (rule.twoFromK ?? Infinity) ? 2 : 1;
  if (pitC > targetC + rule.overK) return -by;
  return pitC < targetC - rule.underK ? by : 0;
}

const within = (notch: number, count: number): number => Math.min(Math.max(notch, 0), count - 1);

/** "While the meat is not done and fewer than about so many pieces lie unlit": an hour's worth more, not within half an hour of a job that does the same. */
function topUp(plan: PitPlan, rule: Rule): (seen: Observation) => Action[] {
  if (!rule.topUp) return () => [];
  const { belowPieces, addPieces } = rule.topUp;
  const { fuel } = plan.fires[0];
  const { pieceKg } = CHARCOALS[fuel];
  const planned = plan.jobs.filter((j) => j.do === 'add-fuel').map((j) => j.atMin);
  return ({ atMin, unlitKg }) =>
    unlitKg / pieceKg >= belowPieces || planned.some((min) => Math.abs(min - atMin) < SOON_MIN)
      ? []
      : [
          { atMin, do: 'lid-open', seconds: USUAL_LID_S },
          { atMin, do: 'add-fuel', fuel, pieces: addPieces, lit: false },
        ];
}

function byVents(
  plan: PitPlan,
  rule: Rule,
  settings: readonly { intake: number; exhaust: number }[],
): (seen: Observation) => Action[] {
  const hold = plan.jobs.find((j) => j.facts.kind === 'hold');
  const closeAtC = hold?.facts.kind === 'hold' ? hold.facts.closeAtC : -Infinity;
  const fromMin = (hold?.atMin ?? 0) - COMING_UP.fromMin;
  const { pitC: targetC } = pitOf(plan).pace;
  const more = topUp(plan, rule);
  let notch = rule.start;
  let nextMin = Math.max(0, fromMin);
  let isUp = false;
  let lastC: number | null = null;
  return (seen) => {
    const { atMin, pitC } = seen;
    if (atMin < nextMin) return [];
    if (!isUp && pitC < closeAtC) {
      nextMin = atMin + COMING_UP.everyMin;
      return [];
    }
    nextMin = atMin + rule.everyMin;
    const to = isUp ? within(notch + step(rule, targetC, pitC, lastC), settings.length) : notch;
    const stays = isUp && to === notch;
    const fuel = isUp ? more(seen) : [];
    lastC = isUp ? pitC : null;
    isUp = true;
    notch = to;
    const { intake, exhaust } = settings[notch]!;
    return stays
      ? fuel
      : [...fuel, { atMin, do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust }];
  };
}

function bySplits(
  plan: PitPlan,
  rule: Rule,
  splitsKg: readonly number[],
  waitOverK: number,
): (seen: Observation) => Action[] {
  const { pitC: targetC } = pitOf(plan).pace;
  const feeds = plan.jobs.filter((j) => j.id.startsWith('feed-'));
  // What goes on with each split, as the jobs say it: species, lump, and the door while it catches.
  const beside = feeds[0]?.logs ?? [];
  let notch = rule.start;
  let nextMin = feeds[0]?.atMin ?? rule.looks.fromMin;
  let lastC: number | null = null;
  return ({ atMin, pitC }) => {
    if (atMin < nextMin) return [];
    if (pitC > targetC + waitOverK) {
      nextMin = atMin + WAIT_MIN;
      return [];
    }
    nextMin = atMin + rule.everyMin;
    if (lastC !== null || Math.abs(pitC - targetC) < waitOverK)
      notch = within(notch + step(rule, targetC, pitC, lastC), splitsKg.length);
    lastC = pitC;
    return beside.flatMap((log): Action[] => {
      if (log.do === 'add-fuel' && log.fuel === 'splits')
        return [{ ...log, atMin, massKg: splitsKg[notch]! }];
      return log.do === 'set-vents' ? [] : [{ ...log, atMin }];
    });
  };
}
