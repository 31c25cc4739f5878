/**
 * Water in a piece of meat: juice squeezed outward, a wet face, and the drying front that goes in. Cells hold
 * what meat under the crust holds; what the crust itself has lost is the deficit, one figure for the face, so
 * that nothing hangs on how finely the piece is cut.
 */
import { clamp } from '../quantity/units';
import { meatDensity } from './properties';
import type { Cut } from './cut';
import type { Piece } from './pieceState';

/** One parameter set for all cuts. */
export const WATER = {
  /** Water left in dried-out meat, kg per kg raw. */
  residual: 0.066,
  /** Conductivity of squeezed-out juice through the meat, m2/s (2e-8 to 2e-7). */
  juiceM2PerS: 5.2e-8,
  /** Bound water creeping to the front, m2/s. */
  boundM2PerS: 4.5e-10,
  /** Most water the face can carry before it runs off, kg/m2. */
  maxFilmKgPerM2: 0.06,
  /** Share of the water that protein lets go of when fully cooked, where, and how sharply. */
  shrinkFraction: 0.388,
  shrinkC: 71,
  shrinkWidth: 5.5,
  /** Share that goes as collagen turns to gelatine and the fibres fall apart. */
  collagenFraction: 0.073,
  /** Share of the juice at a bare face that drips off. */
  bareDripFraction: 0.13,
};
/** Bound water creeps to the front from this far below the face, m. */
export const SKIN_DEPTH_M = 5e-3;
/** A crust goes in no farther than this share of the half thickness, and is at least so thin for creeping, m. */
const MAX_CRUST_FRACTION = 0.4;
const MIN_CRUST_M = 5e-4;
/** A crust has lost at least so much water, kg per kg raw: what cooked meat holds beyond the residue. */
const LEAST_DRYING = 0.25;
/** Over the last of that depth the face dries out. */
const DRYING_OUT_FRACTION = 0.1;

/** The deepest crust as meat under each m2 of face, m: a shell of a round piece holds less than a slab. */
export function deepestCrustM(radiusM: number, cut: Cut): number {
  const n = cut.shapeExponent + 1;
  return (radiusM / n) * (1 - Math.pow(1 - MAX_CRUST_FRACTION, n));
}

/** Share of cell `i` that lies under the crust: what is in the crust has lost its water already, as the deficit. */
export function underCrustFraction({ crustM, radiusM, tempC }: Piece, i: number): number {
  const cellM = radiusM / tempC.length;
  return 1 - clamp((crustM - (tempC.length - 1 - i) * cellM) / cellM, 0, 1);
}

/** How much of the face still has water to give, 0 to 1: none where the crust is as deep as it goes. */
export function wetFraction(piece: Piece): number {
  if (piece.filmKg > 0 || piece.liquidKg > 0) return 1;
  const { crustM, deepestCrustM: most } = piece;
  return clamp((most - crustM) / (DRYING_OUT_FRACTION * most), 0, 1);
}

/** Shrinking protein presses juice out; meat that has cooled by this much from its hottest presses no more, K. */
const EXPULSION_ENDS_K = 3;

/**
 * Water (kg per kg raw) that cell `i` can hold: less the hotter it has been, as protein shrinks, and less again as its
 * collagen turns; irreversible.
 */
function holdingCapacity(piece: Piece, i: number): number {
  const at = WATER.shrinkC + piece.variation.holdingK;
  const shrunk = 1 / (1 + Math.exp(-(piece.hottestC[i]! - at) / WATER.shrinkWidth));
  const letGo = WATER.shrinkFraction * shrunk + WATER.collagenFraction * piece.collagenTurned[i]!;
  return piece.cut.composition.water * (1 - letGo * piece.variation.shrink);
}

/**
 * Moves water for `dt` seconds: juice flows outward, drips (share `drains`) or wets the face, `e` kg per s
 * and m2 leaves the bare face. `pools`: what drips stays in the wrap.
 */
export function stepWater(
  piece: Piece,
  e: number,
  drains: number,
  pools: boolean,
  dtS: number,
): void {
  const density = meatDensity(piece.cut.composition, 20);
  const arrived = expelJuice(piece, density, dtS);
  const skinWater = skinWaterMean(piece);
  const wanted = e * piece.bareM2 * dtS;
  const bound = diffuseBoundWater(piece, density, skinWater, wanted, dtS);
  const dripped = arrived * drains;
  drainJuice(piece, dripped, pools);
  piece.filmKg += arrived - dripped + bound;
  piece.vapourKgPerS = (wanted + piece.steamKg) / dtS;
  // Liquid standing in the wrap boils off before anything is asked of the meat.
  const fromPool = Math.min(piece.liquidKg, wanted);
  piece.liquidKg -= fromPool;
  piece.filmKg -= wanted - fromPool;
  piece.evaporatedKg += wanted - fromPool;
  // A crust that boils dry under its front gets no deeper for it.
  const dries = density * Math.max(skinWater - WATER.residual, LEAST_DRYING);
  if (piece.filmKg < 0) recedeDryingFront(piece, piece.deepestCrustM * dries);
  else rewetCrust(piece, pools);
  piece.crustM = piece.crustWaterDeficit / dries;
}

function drainJuice(piece: Piece, kg: number, pools: boolean): void {
  piece.drippedKg += kg;
  if (pools) piece.liquidKg += kg;
}

/**
 * Juice beyond what heated protein holds flows outward, never back in; solved for the end of the step, so
 * that fine cells and long steps agree. Returns what arrives at the bare face, kg.
 */
function expelJuice(piece: Piece, density: number, dtS: number): number {
  const { water, hottestC, tempC, cellMassFraction: share, shapeFactorsM: joinsM, rawKg } = piece;
  const { massKg, excessWater, outflowKgPerS, diagonal, rhs } = piece.workspace;
  const last = tempC.length - 1;
  const conductance = density * WATER.juiceM2PerS * piece.variation.juice;
  let loose = false;
  for (let i = 0; i <= last; i++) {
    if (tempC[i]! > hottestC[i]!) hottestC[i] = tempC[i]!;
    massKg[i] = rawKg * share[i]!;
    excessWater[i] = water[i]! - holdingCapacity(piece, i);
    if (excessWater[i]! > 0) loose = true;
  }
  if (!loose) return 0;
  // Rows: mass (u' - u) / dt = flow in - flow out; only what is loose drives a flow.
  let inflow = 0;
  for (let i = 0; i <= last; i++) {
    const drives = excessWater[i]! > 0;
    const beyond = i === last ? 0 : Math.max(excessWater[i + 1]!, 0);
    const area = joinsM[i]! * (i === last ? 1 - piece.cut.coveredFraction : 1);
    const pressed = 1 - (hottestC[i]! - tempC[i]!) / EXPULSION_ENDS_K;
    outflowKgPerS[i] =
      drives && excessWater[i]! > beyond && pressed > 0 ? conductance * area * pressed : 0;
    const fromInside = i > 0 && drives ? outflowKgPerS[i - 1]! : 0;
    diagonal[i] = massKg[i]! / dtS + outflowKgPerS[i]! + fromInside;
    rhs[i] = (massKg[i]! * excessWater[i]!) / dtS;
    if (i > 0 && outflowKgPerS[i - 1]! > 0) {
      // Lower entry is -gate inward; upper entry of the row before is -gate where this cell is loose.
      const upper = drives ? -outflowKgPerS[i - 1]! : 0;
      const m = -outflowKgPerS[i - 1]! / diagonal[i - 1]!;
      diagonal[i] = diagonal[i]! - m * upper;
      rhs[i] = rhs[i]! - m * rhs[i - 1]!;
    }
  }
  for (let i = last; i >= 0; i--) {
    const held = water[i]! - excessWater[i]!;
    const outside =
      i < last && outflowKgPerS[i]! > 0 && excessWater[i + 1]! > 0
        ? outflowKgPerS[i]! * rhs[i + 1]!
        : 0;
    rhs[i] = (rhs[i]! + outside) / diagonal[i]!;
    water[i] = held + rhs[i]!;
    if (i === last) inflow = outflowKgPerS[i]! * rhs[i]! * dtS;
  }
  return inflow;
}

/** Mean water of the outermost millimetres, kg per kg raw. */
function skinWaterMean(piece: Piece): number {
  let sum = 0;
  for (let i = piece.tempC.length - 1; i >= 0 && piece.skinFraction[i]! > 0; i--)
    sum += piece.skinFraction[i]! * piece.water[i]!;
  return sum;
}

/**
 * Bound water follows to the front by diffusion, kg, taken from all of the skin alike; in a wrap no more than
 * what evaporates (`wanted`) and the crust lacks.
 */
function diffuseBoundWater(
  piece: Piece,
  density: number,
  skinWater: number,
  wanted: number,
  dtS: number,
): number {
  const free = Math.max(skinWater - WATER.residual, 0);
  const flow = (WATER.boundM2PerS * density * free) / Math.max(piece.crustM, MIN_CRUST_M);
  // A wet face draws nothing: no more creeps there than leaves it or the crust lacks.
  const wet = piece.filmKg + piece.liquidKg;
  const lacking = Math.max(wanted + piece.crustWaterDeficit * piece.bareM2 - wet, 0);
  // What the crust has lost lies in the skin's cells and cannot leave twice.
  const available = Math.max(free * piece.skinKg - piece.crustWaterDeficit * piece.bareM2, 0);
  const kg = Math.min(flow * piece.bareM2 * dtS, 0.05 * free * piece.skinKg, lacking, available);
  const left = 1 - kg / (Math.max(skinWater, 1e-9) * piece.skinKg);
  // Each cell gives in proportion to how much of it lies in the skin and to its water.
  for (let i = piece.tempC.length - 1; i >= 0 && piece.skinFraction[i]! > 0; i--) {
    const inSkin = clamp(
      (piece.skinFraction[i]! * piece.skinKg) / (piece.rawKg * piece.cellMassFraction[i]!),
      0,
      1,
    );
    piece.water[i] = piece.water[i]! * (1 - inSkin * (1 - left));
  }
  return kg;
}

/** Evaporation beyond the film comes out of the crust: the front goes in, up to `most` kg/m2. */
function recedeDryingFront(piece: Piece, most: number): void {
  const take = Math.min(-piece.filmKg / piece.bareM2, Math.max(most - piece.crustWaterDeficit, 0));
  piece.crustWaterDeficit += take;
  piece.evaporatedKg -= -piece.filmKg - take * piece.bareM2;
  piece.filmKg = 0;
}

/** Juice heals the front from behind; what is left over lies on the face, the rest runs off. */
function rewetCrust(piece: Piece, pools: boolean): void {
  const healed = Math.min(piece.filmKg, piece.crustWaterDeficit * piece.bareM2);
  piece.filmKg -= healed;
  piece.crustWaterDeficit -= healed / piece.bareM2;
  const spare = piece.filmKg - WATER.maxFilmKgPerM2 * piece.bareM2;
  if (spare <= 0) return;
  drainJuice(piece, spare, pools);
  piece.filmKg -= spare;
}
