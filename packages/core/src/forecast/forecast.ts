/**
 * What to expect from here: the plan's own engine run again with what was really done so far, the jobs still
 * to come, and what the thermometers have said: the pit moved to its reading, the piece to its whole trace.
 */
import { readyWindow, runLikelyPiece, type PieceOutcome } from '../estimate/likelyPiece';
import type { ProbeReading } from '../estimate/measuredAir';
import type { FireEstimator } from '../estimate/fireEstimate';
import { domeOverGrateK, fuelLeftFraction } from '../estimate/fireState';
import { newsOf, type FollowedFire } from '../estimate/followedFire';
import { thicknessOf, type PieceEstimate } from '../estimate/pieceEstimate';
import { percentileBands } from '../sampling/likelyPits';
import { p10p50p90 } from '../quantity/statistics';
import { namedFault, type Suspicion } from '../diagnosis/faultSearch';
import { likelyCooks, type ForecastInput } from './likelyCooks';

export interface Forecast {
  /** How much was done at the pit when it was made. */
  deeds: number;
  /** First minute of the forecast, after lighting. */
  fromMin: number;
  /** Minutes from one to the next. */
  everyMin: number;
  /** Pit in the middle of the likely cooks, C. */
  pitC: (number | null)[];
  /** Low end of the pit, 1 in 10, C. */
  pitLowC: (number | null)[];
  /** High end of the pit, 9 in 10, C. */
  pitHighC: (number | null)[];
  /** Middle of the meat in the middle of the likely cooks, C. */
  coreC: (number | null)[];
  /** Low end of the middle, 1 in 10, C. */
  coreLowC: (number | null)[];
  /** High end of the middle, 9 in 10, C. */
  coreHighC: (number | null)[];
  /** Minutes after lighting at which the meat is done: p10, p50, p90, each at most `horizonMin`. */
  readyMin: [number, number, number] | null;
  /** Where the look ahead ends, minutes after lighting. */
  horizonMin: number;
  /** Minute after lighting at which it is wrapped by its rule; the middle of the likely ones. */
  wrapMin: number | null;
  /** How far the reading stands above (+) or below (-) what was expected at this moment, in K. */
  pitDifferenceK: number | null;
  /** How far the meat stands from the plan, K; null where it is not read. */
  coreDifferenceK: number | null;
  /** Charcoal left of all that was given, 0 to 1; null where nothing burns. */
  fuelLeftFraction: number | null;
  /**
   * Minutes after lighting at which the charcoal is too little to hold the pit: p10, p50, p90; null where it lasts, or is
   * not what burns.
   */
  fuelOutMin: [number | null, number | null, number | null] | null;
  /** How much more than a probe at the grate the dial in the lid should read now, K. */
  domeOverGrateK: number | null;
  /** What is wrong with the fire; null where nothing stands out. */
  named: Suspicion | null;
  /** What the probe has told of the piece; null while that is too little. */
  learned: {
    readings: number;
    offK: number;
    probeOffMm: number;
    /** How thick it is beside what was planned, a factor, and how sure that is, 0.5 to 1. */
    thickness: { times: number; sure: number };
  } | null;
}

const EVERY_MIN = 5;
/** A reading older than this says nothing about now, min. */
const FRESH_MIN = 12;

/** The last value not older than FRESH_MIN; null when there is none. */
function latestReading(
  readings: readonly ProbeReading[],
  which: 'pitC' | 'coreC',
  nowMin: number,
): number | null {
  for (let i = readings.length - 1; i >= 0; i--) {
    const r = readings[i]!;
    if (nowMin - r.atMin > FRESH_MIN) return null;
    if (r.atMin <= nowMin && r[which] !== null) return r[which];
  }
  return null;
}

/** Forecast from `nowMin` on; entries of every series stand `everyMin` apart, the first at now. */
export function forecast(input: ForecastInput, followed?: FollowedFire): Forecast {
  const { scenario, nowMin, readings } = input;
  const likely = likelyCooks(input, followed);
  const { remaining: base, now, expected, estimate, members, fire, pieceIndex } = likely;
  const rows = Math.max(1, Math.floor((scenario.untilMin - now) / EVERY_MIN) + 1);
  const pits: (number | null)[][] = [];
  const cores: (number | null)[][] = [];
  const runs: PieceOutcome[] = [];
  const wraps: number[] = [];
  for (const { drawn, measured } of members) {
    const run = runLikelyPiece(base, measured, nowMin, drawn, input.felt);
    const { meat, pitC } = run;
    pits.push(sampleEvery(rows, (min) => pitC(now + min)));
    cores.push(sampleEvery(rows, (min) => meat?.coreC[Math.round(now + min / drawn.pace)] ?? null));
    runs.push(run);
    wraps.push(meat?.wrappedAtMin ?? NaN);
  }
  const pitFan = percentileBands(pits);
  const coreFan = percentileBands(cores);
  const wrapMin = p10p50p90(wraps)[1];
  const { untilMin: horizonMin } = scenario;
  const [p10, p50, p90] = readyWindow(runs);
  return {
    deeds: input.done.length,
    fromMin: now,
    everyMin: EVERY_MIN,
    pitC: pitFan.mid,
    pitLowC: pitFan.low,
    pitHighC: pitFan.high,
    coreC: coreFan.mid,
    coreLowC: coreFan.low,
    coreHighC: coreFan.high,
    readyMin: [Math.min(p10, horizonMin), Math.min(p50, horizonMin), Math.min(p90, horizonMin)],
    horizonMin,
    wrapMin: Number.isFinite(wrapMin) ? wrapMin : null,
    pitDifferenceK: difference(latestReading(readings, 'pitC', nowMin), expected.pitC[now]),
    coreDifferenceK: difference(
      latestReading(readings, 'coreC', nowMin),
      expected.result.meats[pieceIndex]?.coreC[now],
    ),
    ...fireNow(fire),
    fuelOutMin: likely.fuelOutMin,
    named: fire && namedFault(fire, newsOf(input), input.bandK),
    learned: learnedOf(estimate),
  };
}

const sampleEvery = (rows: number, at: (min: number) => number | null): (number | null)[] =>
  Array.from({ length: rows }, (_, i) => at(i * EVERY_MIN));

const difference = (read: number | null, expected: number | null | undefined): number | null =>
  read === null || expected === null || expected === undefined ? null : read - expected;

/** What the estimate of the fire says of it now. */
function fireNow(
  fire: FireEstimator | null,
): Pick<Forecast, 'fuelLeftFraction' | 'domeOverGrateK'> {
  return {
    fuelLeftFraction: fire && fuelLeftFraction(fire),
    domeOverGrateK: fire && domeOverGrateK(fire),
  };
}

const learnedOf = (estimate: PieceEstimate | null): Forecast['learned'] =>
  estimate && {
    readings: estimate.readings,
    offK: estimate.rmsResidualK,
    probeOffMm: estimate.probeOffsetMm,
    thickness: thicknessOf(estimate),
  };
