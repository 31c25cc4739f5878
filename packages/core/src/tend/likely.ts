/**
 * The likely cooks behind everything that is said of a cook under way: the same pits and the same pieces for
 * its forecast and for its meat, so that one page never says two things.
 */
import {
  measuredAir,
  traceOf,
  type Measured,
  type ProbeReading,
  type Traced,
} from '../estimate/drive';
import {
  drawPiece,
  estimatePiece,
  middlePiece,
  type DrawnPiece,
  type Estimate,
} from '../estimate/piece';
import type { Scenario } from '../cook/scenario';
import { pitWith, presetOf } from '../pit/catalogue';
import { drawMember } from '../plan/ensemble';
import { seeded } from '../quantity/random';
import { asDone, type UnderWay } from './asDone';

export interface ForecastInput extends UnderWay {
  /** What the thermometers said, minutes after lighting, in order. */
  readings: ProbeReading[];
  members: number;
  seed: number;
}

export interface Likely {
  /** The scenario to run on from here. */
  base: Scenario;
  /** Now, in whole minutes after lighting. */
  now: number;
  /** The pit as computed in the middle of the road. */
  expected: Traced;
  estimate: Estimate | null;
  /** A pit and a piece each; the first is the middle of the road. */
  members: { drawn: DrawnPiece; measured: Measured }[];
}

/** Draws the likely cooks for what was done and read so far. */
export function likelyCooks(input: ForecastInput): Likely {
  const { scenario, nowMin, readings } = input;
  const base = asDone(input);
  const expected = traceOf(base, scenario.untilMin);
  const measured = measuredAir(expected, readings);
  const estimate = estimatePiece({ scenario: base, measured, readings, nowMin });
  const physics = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const random = seeded(input.seed);
  const members = Array.from({ length: input.members }, (_, i) => {
    if (i === 0) return { drawn: middlePiece(estimate), measured };
    const drawn = drawPiece(estimate, random);
    const { scenario: other } = drawMember(base, physics, random);
    const traced = traceOf(other, scenario.untilMin, drawn.spread);
    return { drawn, measured: measuredAir(traced, readings) };
  });
  return { base, now: Math.max(0, Math.round(nowMin)), expected, estimate, members };
}
