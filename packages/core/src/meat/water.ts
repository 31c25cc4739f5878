/**
 * Water in a piece of meat: juice squeezed outward, a wet face, and the drying front that goes in. Cells hold
 * what meat under the crust holds; what the crust itself has lost is the deficit, one figure for the face, so
 * that nothing hangs on how finely the piece is cut.
 */
import { clamp } from '../quantity/units';
import { MOST_CELLS } from './heat';
import { meatDensity } from './properties';
import type { Piece } from './types';

/** One parameter set for all cuts. */
export const WATER = {
  /** Water left in dried-out meat, kg per kg raw. */
  residual: 0.07,
  /** Conductivity of squeezed-out juice through the meat, m2/s (2e-8 to 2e-7). */
  juiceM2PerS: 6.75e-8,
  /** Bound water creeping to the front, m2/s. */
  boundM2PerS: 4.7e-10,
  /** Most water the face can carry before it runs off, kg/m2. */
  mostFilm: 0.06,
  /** Share of the water that protein lets go of when fully cooked, where, and how sharply. */
  shrink: 0.4,
  shrinkC: 67,
  shrinkWidth: 8,
  /** Share of the juice at a bare face that drips off. */
  barelyDrips: 0.2,
};
/** Bound water creeps to the front from this far below the face, m. */
export const SKIN_M = 5e-3;
/** A crust goes in no farther than this share of the half thickness, and is at least so thin for creeping, m. */
const DEEPEST = 0.4;
const THINNEST_M = 5e-4;

/** Shrinking protein presses juice out; meat that has cooled by this much from its hottest presses no more, K. */
const SLACKENS_K = 3;

const mass = new Float64Array(MOST_CELLS);
const over = new Float64Array(MOST_CELLS);
const gate = new Float64Array(MOST_CELLS);
const diag = new Float64Array(MOST_CELLS);
const rhs = new Float64Array(MOST_CELLS);

/** Water (kg per kg raw) that a piece heated to `c` at most can hold there; irreversible. */
const holdingCapacity = (p: Piece, c: number): number => {
  const letGo = WATER.shrink * p.spread.shrink;
  const at = WATER.shrinkC + p.spread.holdingK;
  return p.cut.composition.water * (1 - letGo / (1 + Math.exp(-(c - at) / WATER.shrinkWidth)));
};

/**
 * Moves water for `dt` seconds: juice flows outward, drips (share `drains`) or wets the face, `e` kg per s
 * and m2 leaves the bare face. `pools`: what drips stays in the wrap.
 */
export function stepWater(p: Piece, e: number, drains: number, pools: boolean, dt: number): void {
  const density = meatDensity(p.cut.composition, 20);
  const arrived = squeeze(p, density, dt);
  const skinWater = skinMean(p);
  const wanted = e * p.bareM2 * dt;
  const bound = creep(p, density, skinWater, wanted, dt);
  const dripped = arrived * drains;
  drip(p, dripped, pools);
  p.filmKg += arrived - dripped + bound;
  p.vapourKgPerS = wanted / dt;
  // Liquid standing in the wrap boils off before anything is asked of the meat.
  const fromPool = Math.min(p.poolKg, wanted);
  p.poolKg -= fromPool;
  p.filmKg -= wanted - fromPool;
  p.evaporatedKg += wanted - fromPool;
  const dries = density * Math.max(skinWater - WATER.residual, 0.1);
  if (p.filmKg < 0) dryOut(p, DEEPEST * p.radiusM * dries);
  else heal(p, pools);
  p.crustM = p.deficit / dries;
}

function drip(p: Piece, kg: number, pools: boolean): void {
  p.drippedKg += kg;
  if (pools) p.poolKg += kg;
}

/**
 * Juice beyond what heated protein holds flows outward, never back in; solved for the end of the step, so
 * that fine cells and long steps agree. Returns what arrives at the bare face, kg.
 */
function squeeze(p: Piece, density: number, dt: number): number {
  const { water, hottestC, tempC, share, joinsM, rawKg } = p;
  const last = tempC.length - 1;
  const conductance = density * WATER.juiceM2PerS * p.spread.juice;
  let loose = false;
  for (let i = 0; i <= last; i++) {
    if (tempC[i]! > hottestC[i]!) hottestC[i] = tempC[i]!;
    mass[i] = rawKg * share[i]!;
    over[i] = water[i]! - holdingCapacity(p, hottestC[i]!);
    if (over[i]! > 0) loose = true;
  }
  if (!loose) return 0;
  // Rows: mass (u' - u) / dt = flow in - flow out; only what is loose drives a flow.
  let inflow = 0;
  for (let i = 0; i <= last; i++) {
    const drives = over[i]! > 0;
    const beyond = i === last ? 0 : Math.max(over[i + 1]!, 0);
    const area = joinsM[i]! * (i === last ? 1 - p.cut.cap : 1);
    const pressed = 1 - (hottestC[i]! - tempC[i]!) / SLACKENS_K;
    gate[i] = drives && over[i]! > beyond && pressed > 0 ? conductance * area * pressed : 0;
    const fromInside = i > 0 && drives ? gate[i - 1]! : 0;
    diag[i] = mass[i]! / dt + gate[i]! + fromInside;
    rhs[i] = (mass[i]! * over[i]!) / dt;
    if (i > 0 && gate[i - 1]! > 0) {
      // Lower entry is -gate inward; upper entry of the row before is -gate where this cell is loose.
      const upper = drives ? -gate[i - 1]! : 0;
      const m = -gate[i - 1]! / diag[i - 1]!;
      diag[i] = diag[i]! - m * upper;
      rhs[i] = rhs[i]! - m * rhs[i - 1]!;
    }
  }
  for (let i = last; i >= 0; i--) {
    const held = water[i]! - over[i]!;
    const outside = i < last && gate[i]! > 0 && over[i + 1]! > 0 ? gate[i]! * rhs[i + 1]! : 0;
    rhs[i] = (rhs[i]! + outside) / diag[i]!;
    water[i] = held + rhs[i]!;
    if (i === last) inflow = gate[i]! * rhs[i]! * dt;
  }
  return inflow;
}

/** Mean water of the outermost millimetres, kg per kg raw. */
function skinMean(p: Piece): number {
  let sum = 0;
  for (let i = p.tempC.length - 1; i >= 0 && p.skin[i]! > 0; i--) sum += p.skin[i]! * p.water[i]!;
  return sum;
}

/**
 * Bound water follows to the front by diffusion, kg, taken from all of the skin alike; in a wrap no more than
 * what evaporates (`wanted`) and the crust lacks.
 */
function creep(p: Piece, density: number, skinWater: number, wanted: number, dt: number): number {
  const free = Math.max(skinWater - WATER.residual, 0);
  const flow = (WATER.boundM2PerS * density * free) / Math.max(p.crustM, THINNEST_M);
  // In a wrap the face stays wet: nothing creeps there beyond what leaves it or the crust lacks.
  const lacking =
    p.wrap === 'none' ? Infinity : Math.max(wanted + p.deficit * p.bareM2 - p.filmKg - p.poolKg, 0);
  const kg = Math.min(flow * p.bareM2 * dt, 0.05 * free * p.skinKg, lacking);
  const left = 1 - kg / (Math.max(skinWater, 1e-9) * p.skinKg);
  // Each cell gives in proportion to how much of it lies in the skin and to its water.
  for (let i = p.tempC.length - 1; i >= 0 && p.skin[i]! > 0; i--) {
    const inSkin = clamp((p.skin[i]! * p.skinKg) / (p.rawKg * p.share[i]!), 0, 1);
    p.water[i] = p.water[i]! * (1 - inSkin * (1 - left));
  }
  return kg;
}

/** Evaporation beyond the film comes out of the crust: the front goes in, up to `most` kg/m2. */
function dryOut(p: Piece, most: number): void {
  const take = Math.min(-p.filmKg / p.bareM2, Math.max(most - p.deficit, 0));
  p.deficit += take;
  p.evaporatedKg -= -p.filmKg - take * p.bareM2;
  p.filmKg = 0;
}

/** Juice heals the front from behind; what is left over lies on the face, the rest runs off. */
function heal(p: Piece, pools: boolean): void {
  const healed = Math.min(p.filmKg, p.deficit * p.bareM2);
  p.filmKg -= healed;
  p.deficit -= healed / p.bareM2;
  const spare = p.filmKg - WATER.mostFilm * p.bareM2;
  if (spare <= 0) return;
  drip(p, spare, pools);
  p.filmKg -= spare;
}
