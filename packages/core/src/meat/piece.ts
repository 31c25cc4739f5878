/**
 * One piece of meat: one-dimensional conduction with water leaving through a receding drying front.
 * Cells run from the centre (0) to the face; masses are per whole piece, water per kg raw.
 */
import { vaporisationHeat } from '../air/moist';
import { clamp, kelvin } from '../quantity/units';
import { logReductionsPerMin } from '../safety/lethality';
import { thicknessMm, type Cut } from './cuts';
import { meatConductivity, meatDensity, meatHeat } from './properties';
import { evaporation, facePaths, type Paths, type Surroundings } from './surface';
import { WRAPS, type WrapId } from './wraps';

/** Multipliers on what differs from piece to piece; 1 is the catalogue. One sd in SPREAD_SD. */
export interface MeatSpread {
  radius: number;
  heat: number;
  evaporation: number;
  juice: number;
  drip: number;
  crust: number;
  paper: number;
  tender: number;
}

export const NO_SPREAD: MeatSpread = {
  radius: 1,
  heat: 1,
  evaporation: 1,
  juice: 1,
  drip: 1,
  crust: 1,
  paper: 1,
  tender: 1,
};

/** One standard deviation of each multiplier, on its logarithm. */
export const SPREAD_SD: MeatSpread = {
  radius: 0.09,
  heat: 0.18,
  evaporation: 0.25,
  juice: 0.35,
  drip: 0.25,
  crust: 0.3,
  paper: 0.3,
  tender: 0.3,
};

export const CELLS = 12;
/** One parameter set for shoulder cuts; most were fitted to trade times, none to one cut alone. */
export const MEAT = {
  /** Water left in dried-out meat, kg per kg raw. */
  residualWater: 0.07,
  /** Conductivity of squeezed-out juice through the meat, m2/s (2e-8 to 2e-7). */
  juiceM2PerS: 3.9e-8,
  /** Bound water creeping to the front, m2/s. */
  boundM2PerS: 6e-10,
  /** Most water the face can carry before it runs off, kg/m2. */
  mostFilm: 0.06,
  /** Share of the water that protein lets go of when fully cooked, where, and how sharply. */
  shrink: 0.445,
  shrinkC: 64.5,
  shrinkWidth: 6.8,
  /** Share of the juice at a bare face that drips off. */
  barelyDrips: 0.42,
  /** Share of the fat that ends in the drip tray when collagen is fully turned (0.2-0.5). */
  fatRendered: 0.4,
};
const GAS_R = 8.314;
const C93_K = 366.15;

/** Reads nothing but its own arrays; make with `createPiece`. */
export interface Piece {
  cut: Cut;
  spread: MeatSpread;
  rawKg: number;
  radiusM: number;
  faceM2: number;
  tempC: Float64Array;
  water: Float64Array;
  hottestC: Float64Array;
  dose: Float64Array;
  /** Share of the raw mass in each cell, and face area at each cell's outer boundary. */
  share: Float64Array;
  outerM2: Float64Array;
  faceC: number;
  wrap: WrapId;
  /** Water owed by the dried outer layer, kg/m2: how far the drying front has gone in. */
  deficit: number;
  crustM: number;
  evaporatedKg: number;
  drippedKg: number;
  fatLostKg: number;
  filmKg: number;
  /** Water sprayed on, kg. */
  sprayedKg: number;
  browningMin: number;
  /** Salmonella reduction at the slowest point, log10. */
  logReduction: number;
  /** Heat taken from the air and walls during the last step, W, and vapour given off, kg/s. */
  heatW: number;
  /** Share of that heat that came from the air and not from the walls. */
  airShare: number;
  vapourKgPerS: number;
  /** Heat taken since it was made and heat spent on evaporation, J. */
  heatInJ: number;
  latentJ: number;
}

/** A raw piece at one temperature. `thickness` in mm, the cut's usual one when left out. */
export function createPiece(
  cut: Cut,
  massKg: number,
  startC: number,
  thickness?: number,
  spread: MeatSpread = NO_SPREAD,
): Piece {
  const radiusM = ((thickness ?? thicknessMm(cut, massKg)) / 2000) * spread.radius;
  const volume = massKg / meatDensity(cut.composition, 5);
  const faceM2 = (volume * (cut.shape + 1)) / radiusM;
  const share = new Float64Array(CELLS);
  const outerM2 = new Float64Array(CELLS);
  for (let i = 0; i < CELLS; i++) {
    share[i] = Math.pow((i + 1) / CELLS, cut.shape + 1) - Math.pow(i / CELLS, cut.shape + 1);
    outerM2[i] = faceM2 * Math.pow((i + 1) / CELLS, cut.shape);
  }
  return {
    cut,
    spread,
    rawKg: massKg,
    radiusM,
    faceM2,
    tempC: new Float64Array(CELLS).fill(startC),
    water: new Float64Array(CELLS).fill(cut.composition.water),
    hottestC: new Float64Array(CELLS).fill(startC),
    dose: new Float64Array(CELLS),
    share,
    outerM2,
    faceC: startC,
    wrap: 'none',
    deficit: 0,
    crustM: 0,
    evaporatedKg: 0,
    drippedKg: 0,
    fatLostKg: 0,
    filmKg: 0,
    sprayedKg: 0,
    browningMin: 0,
    logReduction: 0,
    heatW: 0,
    airShare: 0.5,
    vapourKgPerS: 0,
    heatInJ: 0,
    latentJ: 0,
  };
}

/** Water (kg per kg raw) that meat heated to `c` at most can hold; irreversible. */
export const holdingCapacity = (raw: number, c: number): number =>
  raw * (1 - MEAT.shrink / (1 + Math.exp(-(c - MEAT.shrinkC) / MEAT.shrinkWidth)));

// Scratch of one step; the engine is single-threaded and a step never yields.
const lower = new Float64Array(CELLS + 1);
const diag = new Float64Array(CELLS + 1);
const upper = new Float64Array(CELLS + 1);
const rhs = new Float64Array(CELLS + 1);
const excess = new Float64Array(CELLS);
const paths: Paths = { airShare: 0.5, u: 0, drivingC: 0, vapourResistance: 1, vapourPa: 0 };

/** Advances a piece by `dt` seconds in its surroundings: heat, then water, then what heat has done. */
export function stepPiece(p: Piece, s: Surroundings, dt: number): void {
  const wrap = WRAPS[p.wrap];
  const permeance = p.wrap === 'paper' ? wrap.permeance * p.spread.paper : wrap.permeance;
  facePaths(
    s,
    p.faceC,
    p.faceM2,
    p.crustM,
    wrap.heatResistance,
    permeance,
    p.spread.heat,
    p.spread.crust,
    paths,
  );
  const evaporated = stepHeat(p, s, dt);
  stepWater(p, evaporated, p.wrap === 'none' ? MEAT.barelyDrips * p.spread.drip : wrap.drains, dt);
  stepChanges(p, dt);
}

/** Backward Euler over cells and face, evaporation linearised in the face temperature. Returns kg/m2s. */
function stepHeat(p: Piece, s: Surroundings, dt: number): number {
  const { tempC, water, share, outerM2, faceM2, rawKg, cut } = p;
  const dr = p.radiusM / CELLS;
  const open = (1 - cut.cap) * p.spread.evaporation;
  let innerG = 0;
  for (let i = 0; i < CELLS; i++) {
    const t = tempC[i]!;
    const capacity = (rawKg * share[i]! * meatHeat(cut.composition, water[i]!, t)) / dt;
    const k = meatConductivity(cut.composition, water[i]!, t);
    const g = (k * outerM2[i]!) / (i === CELLS - 1 ? dr / 2 : dr);
    lower[i] = -innerG;
    upper[i] = -g;
    diag[i] = capacity + innerG + g;
    rhs[i] = capacity * t;
    innerG = g;
  }
  const c0 = p.faceC;
  const e0 = open * evaporation(c0, paths, s.pressurePa, 1);
  const slope = (open * evaporation(c0 + 0.5, paths, s.pressurePa, 1) - e0) / 0.5;
  const latent = vaporisationHeat(c0);
  lower[CELLS] = -innerG;
  diag[CELLS] = innerG + faceM2 * (paths.u + latent * slope);
  rhs[CELLS] = faceM2 * (paths.u * paths.drivingC - latent * (e0 - slope * c0));
  for (let i = 1; i <= CELLS; i++) {
    const m = lower[i]! / diag[i - 1]!;
    diag[i] = diag[i]! - m * upper[i - 1]!;
    rhs[i] = rhs[i]! - m * rhs[i - 1]!;
  }
  const face = rhs[CELLS]! / diag[CELLS]!;
  let above = face;
  for (let i = CELLS - 1; i >= 0; i--) {
    above = (rhs[i]! - upper[i]! * above) / diag[i]!;
    tempC[i] = above;
  }
  p.faceC = face;
  const e = Math.max(e0 + slope * (face - c0), 0);
  p.heatW = faceM2 * paths.u * (paths.drivingC - face);
  p.airShare = paths.airShare;
  p.heatInJ += p.heatW * dt;
  p.latentJ += faceM2 * latent * e * dt;
  return e;
}

/** Juice flows outward, drips or wets the face; evaporation dries the face and drives the front in. */
function stepWater(p: Piece, e: number, drains: number, dt: number): void {
  const { water, hottestC, tempC, share, outerM2, faceM2, rawKg } = p;
  const raw = p.cut.composition.water;
  const dr = p.radiusM / CELLS;
  const density = meatDensity(p.cut.composition, 20);
  for (let i = 0; i < CELLS; i++) {
    if (tempC[i]! > hottestC[i]!) hottestC[i] = tempC[i]!;
    excess[i] = Math.max(water[i]! - holdingCapacity(raw, hottestC[i]!), 0);
  }
  const conductance = density * MEAT.juiceM2PerS * p.spread.juice;
  let arrived = 0;
  let inflow = 0;
  for (let i = 0; i < CELLS; i++) {
    const last = i === CELLS - 1;
    const gradient = last ? excess[i]! / (dr / 2) : Math.max(excess[i]! - excess[i + 1]!, 0) / dr;
    const mass = rawKg * share[i]!;
    const most = 0.5 * excess[i]! * mass;
    const out = Math.min(conductance * gradient * outerM2[i]! * dt, most);
    water[i] = water[i]! + (inflow - out) / mass;
    inflow = out;
    if (last) arrived = out;
  }
  // Bound water follows to the front by diffusion.
  const outer = CELLS - 1;
  const outerKg = rawKg * share[outer]!;
  const bound = Math.min(
    ((MEAT.boundM2PerS * density * Math.max(water[outer]! - MEAT.residualWater, 0)) /
      Math.max(p.crustM, 5e-4)) *
      faceM2 *
      dt,
    0.1 * outerKg * Math.max(water[outer]! - MEAT.residualWater, 0),
  );
  water[outer] = water[outer]! - bound / outerKg;
  const dripped = arrived * drains;
  p.drippedKg += dripped;
  p.filmKg += arrived - dripped + bound;
  // Evaporation is served by the film first, then by the outer cells.
  const wanted = e * faceM2 * dt;
  p.vapourKgPerS = wanted / dt;
  p.evaporatedKg += wanted;
  p.filmKg -= wanted;
  if (p.filmKg < 0) {
    let owed = -p.filmKg;
    for (let i = outer; i >= 0 && owed > 0; i--) {
      const mass = rawKg * share[i]!;
      const take = Math.min(owed, Math.max(water[i]! - MEAT.residualWater, 0) * mass);
      water[i] = water[i]! - take / mass;
      owed -= take;
      p.deficit += take / faceM2;
    }
    p.evaporatedKg -= owed;
    p.filmKg = 0;
  } else {
    // Juice heals the front from behind; what is left over lies on the face, the rest runs off.
    const heal = Math.min(p.filmKg, p.deficit * faceM2);
    p.filmKg -= heal;
    p.deficit -= heal / faceM2;
    water[outer] = water[outer]! + heal / outerKg;
    const over = p.filmKg - MEAT.mostFilm * faceM2;
    if (over > 0) {
      p.drippedKg += over;
      p.filmKg -= over;
    }
  }
  p.crustM = p.deficit / (density * (raw - MEAT.residualWater));
}

/** Arrhenius factor relative to 93 C for an activation energy in J/mol. */
const relativeTo93 = (c: number, energy: number): number =>
  Math.exp(clamp((-energy / GAS_R) * (1 / kelvin(c) - 1 / C93_K), -60, 10));

/** Collagen, browning, rendered fat and lethality. */
function stepChanges(p: Piece, dt: number): void {
  const minutes = dt / 60;
  let turned = 0;
  for (let i = 0; i < CELLS; i++) {
    const t = p.tempC[i]!;
    if (t > 40) p.dose[i] = p.dose[i]! + minutes * relativeTo93(t, 120e3);
    turned += p.share[i]! * (1 - Math.exp(-p.dose[i]! / 40));
  }
  p.fatLostKg = Math.max(p.fatLostKg, p.rawKg * p.cut.composition.fat * MEAT.fatRendered * turned);
  if (p.wrap === 'none') p.browningMin += minutes * relativeTo93(p.faceC, 95e3);
  p.logReduction = Math.min(p.logReduction + minutes * logReductionsPerMin(p.tempC[0]!), 99);
}

/** What a good probe with its tip in the middle reads, C: the mean over 7.5 mm either way. */
export function coreC(p: Piece): number {
  const cells = Math.max(1, Math.min(CELLS, Math.round(7.5e-3 / (p.radiusM / CELLS))));
  let sum = 0;
  for (let i = 0; i < cells; i++) sum += p.tempC[i]!;
  return sum / cells;
}

/** Mass now, kg. */
export const pieceKg = (p: Piece): number =>
  p.rawKg + p.sprayedKg - p.evaporatedKg - p.drippedKg - p.fatLostKg;

/** 1 = probe tender at the centre. */
export const tenderness = (p: Piece): number => p.dose[0]! / (p.cut.tenderMin * p.spread.tender);

/** 1 = bark set: 0.4 mm of crust and 22 browning minutes, whichever is behind. */
export const bark = (p: Piece): number => Math.min(p.crustM / 4e-4, p.browningMin / 22, 1);

/** Water that cannot be accounted for, kg: the piece's own ledger. */
export function waterResidualKg(p: Piece): number {
  let held = 0;
  for (let i = 0; i < CELLS; i++) held += p.water[i]! * p.share[i]! * p.rawKg;
  return (
    p.cut.composition.water * p.rawKg + p.sprayedKg - held - p.filmKg - p.evaporatedKg - p.drippedKg
  );
}

/** What a spray leaves on the face, kg/m2 (a mist that just does not run off, from memory). */
const SPRAY_KG_PER_M2 = 0.05;

/** Sprays an unwrapped piece. */
export function spritzPiece(p: Piece): void {
  if (p.wrap !== 'none') return;
  const kg = SPRAY_KG_PER_M2 * p.faceM2;
  p.filmKg += kg;
  p.sprayedKg += kg;
}
