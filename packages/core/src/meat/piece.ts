/**
 * One piece of meat: one-dimensional conduction with water leaving through a receding drying front.
 * Cells run from the centre (0) to the face; masses are per whole piece, water per kg raw.
 */
import { clamp, kelvin } from '../quantity/units';
import { logReductionsPerMin } from '../safety/lethality';
import { usualThicknessMm, type Cut } from './cut';
import { stepHeat } from './heat';
import { meatDensity } from './properties';
import { NO_VARIATION, type PieceVariation } from './variation';
import { updateFacePaths, type Surroundings } from './surface';
import { deepestCrustM, SKIN_DEPTH_M, stepWater, WATER } from './water';
import { createPieceWorkspace, type Piece } from './pieceState';
import { WRAPS } from './wraps';

/** Cells of a piece; halved or doubled, times change by less than a hundredth. */
export const CELLS = 12;
/** Share of the fat that ends in the drip tray when collagen is fully turned (fitted to the yields; 0.4-0.8 from memory). */
const RENDERING = { fat: 0.7 };
/** Collagen turns to gelatine above so many C, most of it within so many minutes at 93 C. */
const COLLAGEN = { turnsFromC: 40, mostMin: 40 };
const GAS_CONSTANT = 8.314;
const C93_K = 366.15;
/** What "set" means for bark: crust, m, and browning minutes at 93 C (common practice, fitted at wrap times). */
const BARK = { crustM: 4e-4, browningMin: 22 };
/** Bark in foil loses at most this share, within about so many minutes; bared, it firms up so many times as fast. */
const BARK_SOFTENING = { most: 0.75, afterMin: 90, firmsTimes: 3 };

/** How a piece may differ from its cut's usual one. */
interface PieceOptions {
  /** Whole thickness through the thickest part; the cut's usual one when left out. */
  thicknessMm?: number;
  /** How the piece differs from the catalogue. */
  variation?: PieceVariation;
  /** Cells that the piece is cut into. */
  cells?: number;
}

/**
 * Cells of equal depth. A cell's temperature is its mean, which a parabola takes at the root of the mean
 * square radius: joined there, cells follow the series solutions within half a percent.
 */
function createGrid(
  shape: number,
  cells: number,
  radiusM: number,
  faceM2: number,
  massKg: number,
): Pick<
  Piece,
  | 'cellMassFraction'
  | 'shapeFactorsM'
  | 'skinFraction'
  | 'skinKg'
  | 'centreExtrapolation'
  | 'meanSquare'
> {
  const share = new Float64Array(cells);
  const skin = new Float64Array(cells);
  const joinsM = new Float64Array(cells);
  const n = shape;
  // Mean square of r/R in cell i, and at the face.
  const square = (i: number): number => {
    if (i === cells) return 1;
    const [a, b] = [i / cells, (i + 1) / cells];
    const volume = Math.pow(b, n + 1) - Math.pow(a, n + 1);
    return (((n + 1) / (n + 3)) * (Math.pow(b, n + 3) - Math.pow(a, n + 3))) / volume;
  };
  for (let i = 0; i < cells; i++) {
    const edge = (i + 1) / cells;
    share[i] = Math.pow(edge, n + 1) - Math.pow(i / cells, n + 1);
    const outerM2 = faceM2 * Math.pow(edge, n);
    joinsM[i] = (outerM2 * 2 * edge) / (radiusM * (square(i + 1) - square(i)));
  }
  const from = Math.max(1 - SKIN_DEPTH_M / radiusM, 0);
  const skinShare = 1 - Math.pow(from, n + 1);
  for (let i = 0; i < cells; i++) {
    const inner = Math.max(i / cells, from);
    const inside = Math.pow((i + 1) / cells, n + 1) - Math.pow(inner, n + 1);
    skin[i] = Math.max(inside, 0) / skinShare;
  }
  return {
    cellMassFraction: share,
    shapeFactorsM: joinsM,
    skinFraction: skin,
    skinKg: skinShare * massKg,
    meanSquare: Float64Array.from({ length: cells }, (_, i) => square(i)),
    centreExtrapolation: square(0) / (square(1) - square(0)),
  };
}

/** A raw piece at one temperature. */
export function createPiece(
  cut: Cut,
  massKg: number,
  startC: number,
  { thicknessMm: measured, variation = NO_VARIATION, cells = CELLS }: PieceOptions = {},
): Piece {
  const radiusM = ((measured ?? usualThicknessMm(cut, massKg)) / 2000) * variation.radius;
  const volume = massKg / meatDensity(cut.composition, 5);
  const faceM2 = (volume * (cut.shapeExponent + 1)) / radiusM;
  const grid = createGrid(cut.shapeExponent, cells, radiusM, faceM2, massKg);
  return {
    cut,
    variation,
    rawKg: massKg,
    radiusM,
    faceM2,
    bareM2: faceM2 * (1 - cut.coveredFraction),
    tempC: new Float64Array(cells).fill(startC),
    water: new Float64Array(cells).fill(cut.composition.water),
    hottestC: new Float64Array(cells).fill(startC),
    collagenDose: new Float64Array(cells),
    collagenTurned: new Float64Array(cells),
    ...grid,
    faceC: startC,
    wrap: 'none',
    crustWaterDeficit: 0,
    crustM: 0,
    deepestCrustM: deepestCrustM(radiusM, cut),
    evaporatedKg: 0,
    drippedKg: 0,
    fatLostKg: 0,
    fatLostAtWrapKg: 0,
    filmKg: 0,
    sprayedKg: 0,
    liquidKg: 0,
    browningMin: 0,
    bestBark: 0,
    softenedMin: 0,
    logReduction: 0,
    heatW: 0,
    convectiveFraction: 0.5,
    steamKg: 0,
    vapourKgPerS: 0,
    heatInJ: 0,
    latentJ: 0,
    workspace: createPieceWorkspace(cells),
  };
}

/** Advances a piece by `dt` seconds in its surroundings: heat, then water, then what heat has done. */
export function stepPiece(piece: Piece, surroundings: Surroundings, dtS: number): void {
  const wrap = WRAPS[piece.wrap];
  const { paths } = piece.workspace;
  updateFacePaths(surroundings, piece, wrap, paths);
  const evaporated = stepHeat(piece, paths, surroundings.pressurePa, dtS);
  const drains =
    piece.wrap === 'none' ? WATER.bareDripFraction * piece.variation.drip : wrap.drainedFraction;
  stepWater(piece, evaporated, drains, wrap.holdsLiquid, dtS);
  stepDoneness(piece, dtS);
}

/** Arrhenius factor relative to 93 C for an activation energy in J/mol. */
const rateRelativeTo93C = (c: number, energy: number): number =>
  Math.exp(clamp((-energy / GAS_CONSTANT) * (1 / kelvin(c) - 1 / C93_K), -60, 10));

/** Collagen, browning, rendered fat and lethality. */
function stepDoneness(piece: Piece, dtS: number): void {
  const minutes = dtS / 60;
  let turned = 0;
  for (let i = 0; i < piece.tempC.length; i++) {
    const t = piece.tempC[i]!;
    if (t > COLLAGEN.turnsFromC) {
      const dose = piece.collagenDose[i]! + minutes * rateRelativeTo93C(t, 120e3);
      piece.collagenDose[i] = dose;
      piece.collagenTurned[i] = 1 - Math.exp(-dose / COLLAGEN.mostMin);
    }
    turned += piece.cellMassFraction[i]! * piece.collagenTurned[i]!;
  }
  piece.fatLostKg = Math.max(
    piece.fatLostKg,
    piece.rawKg * piece.cut.composition.fat * RENDERING.fat * turned,
  );
  if (piece.wrap === 'none') {
    piece.browningMin += minutes * rateRelativeTo93C(piece.faceC, 95e3);
    piece.softenedMin = Math.max(piece.softenedMin - BARK_SOFTENING.firmsTimes * minutes, 0);
    const now = Math.min(piece.crustM / BARK.crustM, piece.browningMin / BARK.browningMin, 1);
    piece.bestBark = Math.max(piece.bestBark, now);
  } else piece.softenedMin += minutes * WRAPS[piece.wrap].barkSofteningRate;
  piece.logReduction = Math.min(
    piece.logReduction + minutes * logReductionsPerMin(centreTempC(piece)),
    99,
  );
}

/** The very centre, C: the slowest point, a little beyond the innermost cell's mean. */
export const centreTempC = (piece: Piece): number =>
  piece.tempC[0]! - piece.centreExtrapolation * (piece.tempC[1]! - piece.tempC[0]!);

/**
 * What a probe reads whose tip sits `offM` from the centre, C: the mean over 7.5 mm either way, as a good
 * probe in the middle does when `offM` is left out.
 */
export function coreProbeC(piece: Piece, offM = 0): number {
  const low = Math.max(offM - PROBE_HALF_M, 0);
  const high = Math.min(offM + PROBE_HALF_M, piece.radiusM);
  // Simpson's rule over two intervals.
  const at = (share: number): number => temperatureAtC(piece, low + share * (high - low));
  return (at(0) + 4 * at(0.25) + 2 * at(0.5) + 4 * at(0.75) + at(1)) / 12;
}

/** Half the length over which a probe feels, m. */
const PROBE_HALF_M = 7.5e-3;

/** Temperature `r` m from the centre, C: between the places where the cells' means lie, linear in the square of r. */
function temperatureAtC({ tempC, meanSquare, radiusM }: Piece, r: number): number {
  const square = (r / radiusM) ** 2;
  const last = tempC.length - 1;
  let i = 0;
  while (i < last - 1 && meanSquare[i + 1]! < square) i++;
  const along = (square - meanSquare[i]!) / (meanSquare[i + 1]! - meanSquare[i]!);
  return tempC[i]! + Math.min(along, 1) * (tempC[i + 1]! - tempC[i]!);
}

/** Mass now, kg. */
export const pieceMassKg = (piece: Piece): number =>
  piece.rawKg + piece.sprayedKg - piece.evaporatedKg - piece.drippedKg - piece.fatLostKg;

/** 1 = probe tender at the centre. */
export const tenderness = (piece: Piece): number =>
  piece.collagenDose[0]! / (piece.cut.tenderAt93CMin * piece.variation.tender);

/** 1 = bark set: crust and browning, whichever is behind, less what a wrap has softened. */
export const bark = (piece: Piece): number =>
  piece.bestBark *
  (1 - BARK_SOFTENING.most * (1 - Math.exp(-piece.softenedMin / BARK_SOFTENING.afterMin)));

/** Water that cannot be accounted for, kg: the piece's own ledger. */
export function waterResidualKg(piece: Piece): number {
  let held = 0;
  for (let i = 0; i < piece.water.length; i++)
    held += piece.water[i]! * piece.cellMassFraction[i]! * piece.rawKg;
  return (
    piece.cut.composition.water * piece.rawKg +
    piece.sprayedKg +
    piece.crustWaterDeficit * piece.bareM2 -
    held -
    piece.filmKg -
    piece.evaporatedKg -
    piece.drippedKg
  );
}
