/** How a fire on splits is fed: the next split before the pit falls, its mass by how the last round went. */
import { CHARCOALS } from '../fuel/catalogue';
import { mean } from '../quantity/statistics';
import { clamp, roundDigits } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { SplitFeedPolicy } from './controlPolicy';
import type { Observation } from './operator';
import { probeTrendK, setVents, type OperatorState } from './operatorState';

/** The pit may fall this far under the target before a split is due, K. */
const FALL_ALLOWED_K = 2;
/** The last split counts as burnt when this share of a usual one is left. */
const SPENT_FRACTION = 0.35;
/** A bed with less than this share of its wanted glowing coals gets charcoal. */
const THIN_BED_FRACTION = 0.44;

/** The fire door while a split catches (common practice: ajar for a minute). */
export const WHILE_IT_CATCHES = { openFraction: 0.15, seconds: 60 };

/** What is done about splits and exhaust at one observation. */
export function feedSplits(
  operator: OperatorState,
  feed: SplitFeedPolicy,
  observation: Observation,
): Action[] {
  const under = operator.targetC - observation.pitC;
  if (!operator.hasComeUp && under < operator.policy.closeBelowK) operator.hasComeUp = true;
  return [
    ...(isSplitDue(operator, feed, observation, under)
      ? putOnSplit(operator, feed, observation)
      : []),
    ...setExhaust(operator, feed, observation.atMin, under),
  ];
}

/** Whether the next split goes on now: before the fall, not after it. */
function isSplitDue(
  operator: OperatorState,
  feed: SplitFeedPolicy,
  { atMin, woodKg }: Observation,
  under: number,
): boolean {
  const since = atMin - operator.lastFeedMin;
  const falling = under - Math.min(probeTrendK(operator), 0) > -FALL_ALLOWED_K;
  const spent = woodKg < SPENT_FRACTION * operator.splitKg;
  const due =
    operator.lastFeedMin === 0
      ? atMin >= feed.firstMin && under > -25
      : (since >= feed.leastMin && falling && spent) || since >= feed.mostMin;
  return due && under > (spent ? -feed.skipOverK : -feed.skipOverK / 2);
}

/** Mass of the next split, kg: learnt from how far the last round was off its target. */
function nextSplitKg(operator: OperatorState, feed: SplitFeedPolicy, atMin: number): number {
  if (operator.lastFeedMin === 0) return operator.splitKg;
  const round = operator.history.filter((s) => s.atMin > operator.lastFeedMin).map((s) => s.pitC);
  const off = operator.targetC - mean(round);
  // The charcoal base runs hot at first: those rounds say nothing about the splits to come.
  operator.splitKg = learntSplitKg(operator.splitKg, feed, atMin < feed.learnFromMin ? 0 : off);
  return operator.splitKg * (1 + clamp(off * feed.nowPerK, -0.35, 0.35));
}

/** The usual split, kg, after a round that was so far under the target, K. */
export const learntSplitKg = (kg: number, feed: SplitFeedPolicy, underK: number): number =>
  clamp(kg * (1 + clamp(underK * feed.learnPerK, -0.1, 0.1)), feed.lightestKg, feed.heaviestKg);

/** A split of so much goes on, kg, with the door ajar while it catches, and `lumpKg` of charcoal beside it where it is not 0. */
export function splitActions(
  { species }: SplitFeedPolicy,
  atMin: number,
  massKg: number,
  lumpKg: number,
): Action[] {
  const split: Action = {
    atMin,
    do: 'add-fuel',
    fuel: 'splits',
    ...(species ? { species } : {}),
    pieces: 1,
    massKg,
    lit: false,
    preheated: true,
  };
  const door: Action = { atMin, do: 'door', ...WHILE_IT_CATCHES };
  if (lumpKg <= 0) return [split, door];
  const pieces = Math.max(1, Math.round(lumpKg / CHARCOALS.lump.pieceKg));
  return [split, door, { atMin, do: 'add-fuel', fuel: 'lump', pieces, lit: false }];
}

/** Puts the next split on, and charcoal where the bed has burnt too low. */
function putOnSplit(
  operator: OperatorState,
  feed: SplitFeedPolicy,
  { atMin, litKg }: Observation,
): Action[] {
  const massKg = clamp(nextSplitKg(operator, feed, atMin), feed.lightestKg, feed.heaviestKg);
  operator.lastFeedMin = atMin;
  const thin = litKg < THIN_BED_FRACTION * feed.bedKg;
  const lumpKg = thin ? Math.max(feed.bedKg, feed.lumpKg) : feed.lumpKg;
  return splitActions(feed, atMin, roundDigits(massKg, 2), lumpKg);
}

/** Exhaust to half when the pit stands well over its target; wide open again when the fire needs air. */
function setExhaust(
  operator: OperatorState,
  { dampOverK }: SplitFeedPolicy,
  atMin: number,
  under: number,
): Action[] {
  const high = dampOverK !== null && operator.hasComeUp && under < -dampOverK;
  if (high && operator.exhaust > 0.6) return [setVents(operator, atMin, operator.intake, 0.5)];
  return under > -4 && operator.exhaust < 1 ? [setVents(operator, atMin, operator.intake, 1)] : [];
}
