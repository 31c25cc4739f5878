/**
 * The smallest move that brings a pit back to its band, found by running likely pits on with each move that this pit
 * has, and with none.
 */
import { FollowedFire } from '../estimate/followedFire';
import type { PlanLog } from '../plan/document/plan';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { heldNow } from '../diagnosis/heldNow';
import type { ForecastInput } from '../forecast/likelyCooks';
import type { LogLine } from '../log/log';
import {
  AHEAD,
  fedLater,
  movesFor,
  outcomeOf,
  splitMoves,
  withoutNextFeed,
  type AdvisedMove,
  type AdviseInput,
  type MoveTried,
  type Outcome,
} from './moves';
import { remainingScenario, withoutRules } from '../forecast/remainingScenario';
import { splitsNow } from './splitAdvice';
import { waitMin } from './thresholds';

/** What is advised, and the effect of it and of doing nothing; series are `everyMin` apart, the first at now. */
export interface Advice {
  move: AdvisedMove;
  /** What doing it logs. */
  logs: PlanLog[];
  /** How long to wait before the next move, min. */
  waitMin: number;
  /** When it was worked out, min after lighting. */
  atMin: number;
  everyMin: number;
  /** The pit with the move, and with none, C. */
  withC: number[];
  leaveC: number[];
  /** Share of the coming hour in the band, with the move and with none, 0 to 1. */
  inBandWith: number;
  inBandLeave: number;
}

/** With no move it is off by less than this on average, share of the band squared: it is left alone. */
const WORTH = 0.04;
/** A move has to take away this share of that at least, and the smallest that does this share of what the best does. */
const HELPS = { least: 0.25, ofBest: 0.75 };

/** The smallest move that is enough; `leave` where none is needed or none helps. */
export function advise(input: AdviseInput): Advice {
  const { fire, setup } = input;
  const alone = outcomeOf(input, { logs: [] });
  const leave: Advice = {
    move: { do: 'leave' },
    logs: [],
    waitMin: waitMin(setup.onSplits),
    atMin: fire.atMin,
    everyMin: AHEAD.everyMin,
    withC: alone.everyC,
    leaveC: alone.everyC,
    inBandWith: alone.inBand,
    inBandLeave: alone.inBand,
  };
  const chosen = setup.onSplits
    ? bySplits(input, alone)
    : alone.off < WORTH
      ? null
      : smallestEnough(input, movesFor(input, alone.meanOffK > 0), alone.off);
  if (!chosen) return leave;
  const { move, logs, everyC, inBand } = chosen;
  return { ...leave, move, logs, withC: everyC, inBandWith: inBand };
}

/** The smallest of some moves that does most of what the best does; null where none does enough beside `aloneOff`. */
function smallestEnough(
  input: AdviseInput,
  moves: readonly MoveTried[],
  aloneOff: number,
): (MoveTried & Outcome) | null {
  const tried = moves.map((m) => ({ ...m, ...outcomeOf(input, m) }));
  const gain = aloneOff - Math.min(...tried.map((t) => t.off), Infinity);
  if (gain < HELPS.least * aloneOff) return null;
  return tried.find((t) => aloneOff - t.off >= HELPS.ofBest * gain) ?? null;
}

/**
 * A fire on splits is fed before it falls. It can be left alone as long as the same split a little later does as well; what
 * the plan's own policy would do now is tried beside the other moves.
 */
function bySplits(input: AdviseInput, alone: Outcome): (MoveTried & Outcome) | null {
  const { policy } = input;
  if (!policy.feed) return null;
  const usualKg = policy.feed.kg;
  const later = fedLater(input, usualKg).map((ahead) => outcomeOf(input, { logs: [], ahead }).off);
  const aloneOff = Math.min(alone.off, ...later);
  if (aloneOff < WORTH) return null;
  const asPlanned = byPolicy(input);
  const moves = [...splitMoves(input, usualKg), ...(asPlanned ? [asPlanned] : [])];
  return smallestEnough(input, moves, aloneOff);
}

/** What the plan's policy does now at a fire on splits; null where that is nothing. */
function byPolicy(input: AdviseInput): MoveTried | null {
  const { fire, setup, policy, targetC, done } = input;
  const logs = splitsNow(fire, setup, policy, targetC, done);
  const split = logs.find((l) => l.do === 'add-fuel' && l.fuel === 'splits');
  if (split?.do !== 'add-fuel') return null;
  return {
    move: { do: 'add-split', massKg: split.massKg ?? 0 },
    logs,
    ahead: withoutNextFeed(input),
  };
}

/** A cook under way as advice is asked for it. */
export interface AdviseQuestion {
  /** The cook so far, as for its forecast. */
  input: ForecastInput;
  plan: Pick<PitPlan, 'request' | 'guides' | 'rules'>;
  /** The log, whose last vents count. */
  lines: readonly LogLine[];
  /** The cook's clock, epoch ms. */
  nowMs: number;
}

/** Advice for a cook under way; null for one without a fire. `followed` keeps what was made of its fire. */
export function adviseNow(
  { input, plan, lines, nowMs }: AdviseQuestion,
  followed = new FollowedFire(),
): Advice | null {
  const fire = followed.at({ ...input, scenario: withoutRules(remainingScenario(input)) });
  if (!fire) return null;
  const { pitC: targetC, bandC } = pitOf(plan).pace;
  const notches = plan.rules?.[0]?.notches;
  return advise({
    fire,
    ...heldNow(plan, lines, nowMs),
    ...(notches?.by === 'vents' ? { notches: notches.settings } : {}),
    targetC,
    bandC,
    ahead: input.ahead,
    done: input.done,
  });
}
