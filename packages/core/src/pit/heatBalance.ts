/**
 * The heat balance: conductances between nodes and to the yard, put together as G and b of
 * C dT/dt = b - G T (T above the reference). The stepper and the reference solution both use it.
 */
import { STEFAN_BOLTZMANN } from '../quantity/units';
import { CP_GAS } from '../air/moistAir';
import { solveDense } from './solveDense';
import { heatCapacityOf } from './heatStores';
import type { PitState } from './pitState';
import type { HeatBalance } from './workspace';

/** Radiation between two black surfaces, W/m2K, at these temperatures (K). */
export const radiationCoefficient = (a: number, b: number): number =>
  STEFAN_BOLTZMANN * (a * a + b * b) * (a + b);

/** Begins a balance for this pit, in its workspace. */
export function beginBalance(pit: PitState): HeatBalance {
  const { balance } = pit.workspace;
  const { n, matrix, rhs, toYard, yardRel } = balance;
  for (let i = 0; i < n * n; i++) matrix[i] = 0;
  for (let i = 0; i < n; i++) rhs[i] = toYard[i] = yardRel[i] = 0;
  return balance;
}

/** Joins two nodes by `g` W/K. */
export function addConductance({ n, matrix }: HeatBalance, a: number, b: number, g: number): void {
  matrix[a * n + a]! += g;
  matrix[b * n + b]! += g;
  matrix[a * n + b]! -= g;
  matrix[b * n + a]! -= g;
}

/** Gas carried from zone `a` to zone `b`, kg/s: leaves at a's temperature. */
export function addAdvection(
  { n, matrix }: HeatBalance,
  a: number,
  b: number,
  kgPerS: number,
): void {
  const g = kgPerS * CP_GAS;
  matrix[a * n + a]! += g;
  matrix[b * n + a]! -= g;
}

/** Gas leaving the pit from a zone, kg/s, and fresh air coming into it at `airRel` above reference. */
export function addVentilation(
  { n, matrix, rhs }: HeatBalance,
  zone: number,
  inKgPerS: number,
  outKgPerS: number,
  airRel: number,
): void {
  rhs[zone]! += inKgPerS * CP_GAS * airRel;
  matrix[zone * n + zone]! += outKgPerS * CP_GAS;
}

/** Heat lost from a node to the yard through `g` W/K. */
export function addAmbientLoss(
  { n, matrix, rhs, toYard, yardRel }: HeatBalance,
  node: number,
  g: number,
  airRel: number,
): void {
  matrix[node * n + node]! += g;
  rhs[node]! += g * airRel;
  toYard[node]! += g;
  yardRel[node] = airRel;
}

/** Heat given off by a node that grows by `slope` W/K from `w` at its temperature `nowRel`. */
export function addSink(
  { n, matrix, rhs }: HeatBalance,
  node: number,
  w: number,
  slope: number,
  nowRel: number,
): void {
  matrix[node * n + node]! += slope;
  rhs[node]! += slope * nowRel - w;
}

/**
 * Solves the balance over `dt` seconds and puts the new temperatures into the state. The coals' store
 * may change its size over the step. Returns the heat lost to the yard, W, and leaves the largest
 * change of any node in the workspace (the coals count half, a gas zone that jumps at an opening fully).
 */
export function solveBalance(pit: PitState, oldBed: number, newBed: number, dtS: number): number {
  const { n, matrix, rhs, toYard, yardRel } = pit.workspace.balance;
  const { change } = pit.workspace;
  for (let i = 0; i < n; i++) {
    const cOld = i === pit.coals ? oldBed : heatCapacityOf(pit, i);
    const cNew = i === pit.coals ? newBed : cOld;
    matrix[i * n + i]! += cNew / dtS;
    rhs[i]! += (cOld / dtS) * (pit.tempK[i]! - pit.referenceK);
  }
  solveDense(matrix, rhs, n);
  change.nodeK = 0;
  let lostW = 0;
  for (let i = 0; i < n; i++) {
    const now = rhs[i]! + pit.referenceK;
    change.nodeK = Math.max(
      change.nodeK,
      Math.abs(now - pit.tempK[i]!) * (i === pit.coals ? 0.5 : 1),
    );
    pit.tempK[i] = now;
    lostW += toYard[i]! * (rhs[i]! - yardRel[i]!);
  }
  return lostW;
}

/** How fast each temperature changes now, K/s, into `out`; `bedGrowth` is dC/dt of the coals, W/K. */
export function temperatureRates(pit: PitState, bedGrowth: number, out: Float64Array): void {
  const { n, matrix, rhs } = pit.workspace.balance;
  for (let i = 0; i < n; i++) {
    let sum = rhs[i]!;
    for (let k = 0; k < n; k++) sum -= matrix[i * n + k]! * (pit.tempK[k]! - pit.referenceK);
    if (i === pit.coals) sum -= bedGrowth * (pit.tempK[i]! - pit.referenceK);
    out[i] = sum / heatCapacityOf(pit, i);
  }
}

/** The cube of the forced film in such a wind, (W/m2K) cubed. All walls share it, and the wind seldom changes. */
export function forcedFilmCubed(pit: PitState, windMps: number): number {
  const { wind } = pit.workspace;
  if (windMps !== wind.mps) {
    wind.mps = windMps;
    wind.filmCubed = (5.7 * Math.pow(windMps, 0.6)) ** 3;
  }
  return wind.filmCubed;
}

/** Heat lost to the yard from a wall, W/m2K: natural and forced joined by cubes, plus radiation. */
export function outsideFilm(
  wallK: number,
  airK: number,
  forcedCubed: number,
  lengthM: number,
  emissivity: number,
): number {
  const natural = 1.42 * Math.sqrt(Math.sqrt(Math.abs(wallK - airK) / lengthM));
  const joined = Math.cbrt(natural * natural * natural + forcedCubed);
  return joined + emissivity * radiationCoefficient(wallK, airK);
}
