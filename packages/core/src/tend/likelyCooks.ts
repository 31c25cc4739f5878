/**
 * The likely cooks behind everything that is said of a cook under way: the same pits and the same pieces for
 * its forecast and for its meat, so that one page never says two things.
 */
import {
  measuredAir,
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
}

/** Draws the likely cooks for what was done and read so far. */
export function likelyCooks(input: ForecastInput): LikelyCooks {
  const { scenario, nowMin, readings } = input;
  const base = remainingScenario(input);
  const expected = tracePit(base, scenario.untilMin);
  const measured = measuredAir(expected, readings);
  const estimate = estimatePiece({ scenario: base, measured, readings, nowMin });
  const parameters = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const random = seeded(input.seed);
  const members = Array.from({ length: input.members }, (_, i) => {
    if (i === 0) return { drawn: mostLikelyPiece(estimate), measured };
    const likely = drawLikelyPiece(estimate, random);
    const { scenario: other } = drawLikelyCook(base, parameters, random);
    const trace = tracePit(other, scenario.untilMin, likely.variation);
    return { drawn: likely, measured: measuredAir(trace, readings) };
  });
  return { remaining: base, now: Math.max(0, Math.round(nowMin)), expected, estimate, members };
}
