/**
 * What a piece of meat is like, from what its probe has read so far: all uncertain factors together, the
 * most probable ones given their spreads and the readings, and how sure that is.
 */
import { advance, createCook } from '../cook/cook';
import type { Scenario } from '../scenario/scenario';
import { coreProbeC } from '../meat/piece';
import { NO_VARIATION, variationAt, type PieceVariation } from '../meat/variation';
import type { Random } from '../quantity/random';
import { normalShareBelow, rms } from '../quantity/statistics';
import { doubtOf, drawnFrom, fitLikely, independent } from './likelyFit';
import type { MeasuredPit, ProbeReading } from './measuredAir';

/** What a probe's readings tell of; tenderness shows only by feel. */
const FACTORS = [
  'radius',
  'heat',
  'evaporation',
  'juice',
  'drip',
  'shrink',
  'crust',
  'paper',
  'holdingK',
] as const satisfies (keyof PieceVariation)[];
const PIT_BIAS = FACTORS.length;
const PROBE_OFFSET = FACTORS.length + 1;
const UNKNOWNS = FACTORS.length + 2;

/** One sd of a pit thermometer's own error, K (common practice: two differ by 2-3). */
const PIT_BIAS_SD_K = 3;
/** How far off the middle a probe may sit, m: softplus of a standard normal, 4 mm in the middle, 13 at two sd. */
const PROBE_OFFSET_M = 6e-3;
/** Readings are averaged over this, min; their error, K, and how it hangs together from one to the next. */
const THIN_MIN = 10;
const NOISE = { sdK: 0.8, correlation: 0.8 };
/** Beyond so many sd a residual counts only in proportion. */
const HUBER_SD = 2;
/** Sd of what the model leaves out, as a share of the time still to go: of a piece not fitted yet, and fitted. */
const MODEL_MISFIT = { before: 0.1, fitted: 0.13 };
/** The fit is run in so many steps. */
const MAX_ITERATIONS = 7;
/** Fewer readings than this say nothing. */
const MIN_READINGS = 3;

export interface EstimateInput {
  /** The cook as it was really done, its piece under the probe first among its meats. */
  scenario: Scenario;
  /** Air measured at the grate. */
  measured: MeasuredPit;
  /** Readings of pit and meat. */
  readings: readonly ProbeReading[];
  /** Now, minutes after lighting. */
  nowMin: number;
}

/** The most probable piece and how sure that is, in standard deviations of the spreads. */
export interface PieceEstimate {
  /** How far each factor lies from the catalogue, standard deviations. */
  z: number[];
  /** Matrix whose product with independent normals gives the doubt. */
  covarianceFactor: number[][];
  /** How it differs from the catalogue. */
  variation: PieceVariation;
  /** How much hotter the pit is at the piece than its probe reads, K. */
  pitBiasK: number;
  /** How far the probe's tip sits from the middle, mm. */
  probeOffsetMm: number;
  /** Ten-minute means it stands on. */
  readings: number;
  /** How far the fitted piece stays from the readings, K (root mean square). */
  rmsResidualK: number;
}

/** How thick a piece is beside the catalogue's, a factor, and how sure its side of 1 is, 0.5 to 1. */
export function thicknessOf({ z, covarianceFactor, variation }: PieceEstimate): {
  times: number;
  sure: number;
} {
  const radius = FACTORS.indexOf('radius');
  const sd = doubtOf({ covarianceFactor }, radius);
  return { times: variation.radius, sure: normalShareBelow(Math.abs(z[radius]!) / sd) };
}

const variationOf = (z: readonly number[]): PieceVariation =>
  variationAt(Object.fromEntries(FACTORS.map((key, i) => [key, z[i]!])));
const probeOffsetM = (z: readonly number[]): number =>
  PROBE_OFFSET_M * Math.log1p(Math.exp(z[PROBE_OFFSET]!));

/** Means of the core readings over ten minutes each, up to now. */
function tenMinuteMeans(
  readings: readonly ProbeReading[],
  nowMin: number,
): { atMin: number; c: number }[] {
  const slots = new Map<number, { sum: number; min: number; n: number }>();
  for (const r of readings) {
    if (r.coreC === null || r.atMin > nowMin) continue;
    const key = Math.floor(r.atMin / THIN_MIN);
    const s = slots.get(key) ?? { sum: 0, min: 0, n: 0 };
    slots.set(key, { sum: s.sum + r.coreC, min: s.min + r.atMin, n: s.n + 1 });
  }
  return [...slots.values()].map((s) => ({ atMin: s.min / s.n, c: s.sum / s.n }));
}

/** Residuals as the fit sees them: made independent, long ones cut. */
function residuals(
  input: EstimateInput,
  points: readonly { atMin: number; c: number }[],
  z: readonly number[],
): number[] {
  const air = input.measured.air(PIT_BIAS_SD_K * z[PIT_BIAS]!);
  const { meats } = input.scenario;
  const scenario = { ...input.scenario, meats: meats.slice(0, 1), everyMin: 60 };
  const cook = createCook(scenario, { variations: [variationOf(z)], airTrace: air });
  const offs = points.map((p) => {
    advance(cook, p.atMin);
    return coreProbeC(cook.pieces[0]!.piece, probeOffsetM(z)) - p.c;
  });
  const keeps = (i: number): number =>
    Math.pow(NOISE.correlation, (points[i]!.atMin - points[i - 1]!.atMin) / THIN_MIN);
  return independent(offs, NOISE.sdK, keeps).map((white) => {
    const far = Math.abs(white);
    return far <= HUBER_SD ? white : Math.sign(white) * Math.sqrt(HUBER_SD * (2 * far - HUBER_SD));
  });
}

/**
 * The most probable piece given its readings; null while there are too few to say anything. Runs the piece
 * some eighty times up to now.
 */
export function estimatePiece(input: EstimateInput): PieceEstimate | null {
  const points = tenMinuteMeans(input.readings, input.nowMin);
  if (points.length < MIN_READINGS || input.scenario.meats.length === 0) return null;
  const {
    z,
    covarianceFactor,
    residuals: left,
  } = fitLikely(UNKNOWNS, (at) => residuals(input, points, at), { maxIterations: MAX_ITERATIONS });
  return {
    z,
    covarianceFactor,
    variation: variationOf(z),
    pitBiasK: PIT_BIAS_SD_K * z[PIT_BIAS]!,
    probeOffsetMm: 1000 * probeOffsetM(z),
    readings: points.length,
    rmsResidualK: NOISE.sdK * rms(left),
  };
}

/** One piece drawn from what is known of it; `pace` stretches the time still to go by what the model leaves out. */
export interface LikelyPiece {
  /** How it differs from the catalogue. */
  variation: PieceVariation;
  /** How much hotter the pit is at the piece than its probe reads, K. */
  pitBiasK: number;
  /** How much slower than computed it goes on; 1 is as computed. */
  pace: number;
}

/** The middle of what is known: the most probable piece, or the catalogue's. */
export const mostLikelyPiece = (estimate: PieceEstimate | null): LikelyPiece => ({
  variation: estimate?.variation ?? NO_VARIATION,
  pitBiasK: estimate?.pitBiasK ?? 0,
  pace: 1,
});

/** Draws from an estimate, or from the spreads alone where there is none. */
export function drawLikelyPiece(estimate: PieceEstimate | null, random: Random): LikelyPiece {
  const n = Array.from({ length: UNKNOWNS }, () => random.normal());
  const z = estimate ? drawnFrom(estimate, n) : n;
  const tender = variationAt({ tender: random.normal() }).tender;
  return {
    variation: { ...variationOf(z), tender },
    pitBiasK: PIT_BIAS_SD_K * z[PIT_BIAS]!,
    pace: random.logNormal(estimate ? MODEL_MISFIT.fitted : MODEL_MISFIT.before),
  };
}
