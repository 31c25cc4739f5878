/**
 * The likely cooks behind everything that is said of a cook under way: the same pits and the same pieces for
 * its forecast and for its meat, so that one page never says two things.
 */
import {
  measuredAir,
  OFFSET_MEMORY_MIN,
  tracePit,
  type MeasuredPit,
  type ProbeReading,
  type PitTrace,
} from '../estimate/measuredAir';
import {
  drawLikelyPiece,
  estimatePiece,
  mostLikelyPiece,
  type LikelyPiece,
  type PieceEstimate,
} from '../estimate/pieceEstimate';
import { membersAhead, type FireEstimator } from '../estimate/fireEstimate';
import { FollowedFire } from '../estimate/followedFire';
import type { Surroundings } from '../meat/surface';
import type { Scenario } from '../scenario/scenario';
import { pitWith, presetOf } from '../pit/catalogue';
import { drawLikelyCook } from '../sampling/likelyPits';
import { seeded } from '../quantity/random';
import { remainingScenario, type CookInProgress } from './remainingScenario';

export interface ForecastInput extends CookInProgress {
  /** What the thermometers said, minutes after lighting, in order. */
  readings: ProbeReading[];
  /** Likely cooks that are run. */
  members: number;
  /** Seed of the draws. */
  seed: number;
}

export interface LikelyCooks {
  /** The scenario to run on from here. */
  remaining: Scenario;
  /** Now, in whole minutes after lighting. */
  now: number;
  /** The pit of the reference cook. */
  expected: PitTrace;
  /** The piece as its readings tell it; null without readings. */
  estimate: PieceEstimate | null;
  /** A pit and a piece each; the first is the reference cook. */
  members: { drawn: LikelyPiece; measured: MeasuredPit }[];
  /** The fire as its readings tell it; null where nothing burns. */
  fire: FireEstimator | null;
}

/**
 * Draws the likely cooks for what was done and read so far. `fire` keeps what was made of the fire from one question
 * to the next.
 */
export function likelyCooks(input: ForecastInput, fire = new FollowedFire()): LikelyCooks {
  const { scenario, nowMin, readings } = input;
  const base = remainingScenario(input);
  const now = Math.max(0, Math.round(nowMin));
  const expected = tracePit(base, scenario.untilMin);
  const random = seeded(input.seed);
  const estimator = fire.at({ ...input, scenario: base });
  const airs = estimator
    ? airsOfFire(estimator, expected, base, input.members)
    : airsOfDraws(input, base, expected);
  const estimate = estimatePiece({ scenario: base, measured: airs[0]!, readings, nowMin });
  const members = airs.map((measured, i) => ({
    measured,
    drawn: i === 0 ? mostLikelyPiece(estimate) : drawLikelyPiece(estimate, random),
  }));
  return { remaining: base, now, expected, estimate, members, fire: estimator };
}

/** What was, as the estimate of the fire has it, and what is to come, as its members run on. */
function airsOfFire(
  estimator: FireEstimator,
  expected: PitTrace,
  base: Scenario,
  count: number,
): MeasuredPit[] {
  const from = Math.round(estimator.atMin);
  const last = expected.air.length - 1;
  const runs = membersAhead(estimator, Math.max(last - from, 0), base.actions, count);
  const past = estimator.air[0] ?? [];
  return runs.map((run) => {
    const pitC = Float64Array.from({ length: last + 1 }, (_, min) =>
      min < from
        ? (estimator.pitC[min] ?? expected.pitC[min]!)
        : tendedTo(expected.pitC[min]!, run.pitC[min - from]!, min - from),
    );
    const at = (atMin: number): number => Math.min(Math.max(Math.round(atMin), 0), last);
    const air: Surroundings = { ...expected.air[0]! };
    return {
      pitC: (atMin) => pitC[at(atMin)]!,
      air:
        (biasK = 0) =>
        (atMin) => {
          const i = at(atMin);
          const here = i < from ? (past[i] ?? expected.air[i]!) : run.air[i - from]!;
          Object.assign(air, here);
          if (i >= from) {
            air.airC = tendedTo(expected.air[i]!.airC, here.airC, i - from);
            air.wallC = tendedTo(expected.air[i]!.wallC, here.wallC, i - from);
          }
          air.airC += biasK;
          air.wallC += biasK;
          return air;
        },
    };
  });
}

/** A pit is tended: what it would do by itself becomes what was planned, over an hour or so. */
const tendedTo = (planned: number, byItself: number, sinceMin: number): number =>
  planned + (byItself - planned) * Math.exp(-sinceMin / OFFSET_MEMORY_MIN);

/** Pits drawn from what differs from pit to pit, each moved to what its thermometer read. */
function airsOfDraws(input: ForecastInput, base: Scenario, expected: PitTrace): MeasuredPit[] {
  const { scenario, readings } = input;
  const parameters = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const random = seeded(input.seed);
  return Array.from({ length: input.members }, (_, i) => {
    if (i === 0) return measuredAir(expected, readings);
    const { scenario: other } = drawLikelyCook(base, parameters, random);
    return measuredAir(tracePit(other, scenario.untilMin), readings);
  });
}
