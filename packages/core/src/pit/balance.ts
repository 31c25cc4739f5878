/**
 * The heat balance of one step: conductances between nodes and to the yard, put together, solved, and
 * told apart again for the ledger. One set of arrays, reused; the engine is single-threaded.
 */
import { CP_GAS } from '../air/moist';
import { solveDense } from './solve';
import { capacity, COALS, NODES, type PitState } from './state';

const SIGMA = 5.670374e-8;

const matrix = new Float64Array(NODES * NODES);
/** Sources, W; after solving, temperatures above the reference, K. */
export const rhs = new Float64Array(NODES);
const toYard = new Float64Array(NODES);

/** Radiation between two black surfaces, W/m2K, at these temperatures (K). */
export const radiative = (a: number, b: number): number => SIGMA * (a * a + b * b) * (a + b);

/** Begins a balance over `dt` seconds; the bed's heat store may have changed its size. */
export function beginBalance(s: PitState, oldBed: number, newBed: number, dt: number): void {
  matrix.fill(0);
  toYard.fill(0);
  for (let i = 0; i < NODES; i++) {
    const cOld = i === COALS ? oldBed : capacity(s, i);
    const cNew = i === COALS ? newBed : cOld;
    matrix[i * NODES + i] = cNew / dt;
    rhs[i] = (cOld / dt) * (s.tempK[i]! - s.referenceK);
  }
}

/** Joins two nodes by `g` W/K. */
export function couple(a: number, b: number, g: number): void {
  matrix[a * NODES + a]! += g;
  matrix[b * NODES + b]! += g;
  matrix[a * NODES + b]! -= g;
  matrix[b * NODES + a]! -= g;
}

/** Gas carried from zone `a` to zone `b`, kg/s: leaves at a's temperature. */
export function carry(a: number, b: number, kgPerS: number): void {
  const g = kgPerS * CP_GAS;
  matrix[a * NODES + a]! += g;
  matrix[b * NODES + a]! -= g;
}

/** Gas leaving the pit from a zone, kg/s, and fresh air coming into it at `airRel` above reference. */
export function breathe(zone: number, inKgPerS: number, outKgPerS: number, airRel: number): void {
  rhs[zone]! += inKgPerS * CP_GAS * airRel;
  matrix[zone * NODES + zone]! += outKgPerS * CP_GAS;
}

/** Heat lost from a node to the yard through `g` W/K. */
export function lose(node: number, g: number, airRel: number): void {
  matrix[node * NODES + node]! += g;
  rhs[node]! += g * airRel;
  toYard[node]! += g;
}

/**
 * Solves the balance and puts the new temperatures into the state. Returns the heat lost to the yard,
 * W, and leaves the largest change of any node in `change.k` (the coals count half).
 */
export function solveBalance(s: PitState, airRel: number, change: { k: number }): number {
  solveDense(matrix, rhs, NODES);
  change.k = 0;
  let lostW = 0;
  for (let i = 0; i < NODES; i++) {
    const now = rhs[i]! + s.referenceK;
    change.k = Math.max(change.k, Math.abs(now - s.tempK[i]!) * (i === COALS ? 0.5 : 1));
    s.tempK[i] = now;
    lostW += toYard[i]! * (rhs[i]! - airRel);
  }
  return lostW;
}

/** Heat lost to the yard from a wall, W/m2K: natural and forced joined by cubes, plus radiation. */
export function outsideFilm(wallK: number, airK: number, windMps: number, lengthM: number): number {
  const natural = 1.42 * Math.pow(Math.abs(wallK - airK) / lengthM, 0.25);
  const forced = 5.7 * Math.pow(windMps, 0.6);
  return Math.cbrt(natural ** 3 + forced ** 3) + 0.85 * radiative(wallK, airK);
}
