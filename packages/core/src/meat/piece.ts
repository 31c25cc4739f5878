/**
 * One piece of meat: one-dimensional conduction with water leaving through a receding drying front.
 * Cells run from the centre (0) to the face; masses are per whole piece, water per kg raw.
 */
import { clamp, kelvin } from '../quantity/units';
import { logReductionsPerMin } from '../safety/lethality';
import { thicknessMm, type Cut } from './cuts';
import { stepHeat } from './heat';
import { meatDensity } from './properties';
import { NO_SPREAD, type MeatSpread } from './spread';
import { facePaths, newPaths, type Surroundings } from './surface';
import { SKIN_M, stepWater, WATER } from './water';
import type { Piece } from './types';
import { WRAPS } from './wraps';

/** Cells of a piece; halved or doubled, times change by less than a hundredth. */
export const CELLS = 12;
/** Share of the fat that ends in the drip tray when collagen is fully turned (0.2-0.6). */
export const RENDERED = { fat: 0.54 };
const GAS_R = 8.314;
const C93_K = 366.15;
/** What "set" means for bark: crust, m, and browning minutes at 93 C (common practice, fitted at wrap times). */
const BARK = { crustM: 4e-4, browningMin: 22 };
/** Bark in foil loses at most this share, within about so many minutes; bared, it firms up so many times as fast. */
const SOFT = { most: 0.75, afterMin: 90, firmsTimes: 3 };

/** How a piece may differ from its cut's usual one. */
export interface PieceOptions {
  /** Whole thickness through the thickest part; the cut's usual one when left out. */
  thicknessMm?: number;
  spread?: MeatSpread;
  cells?: number;
}

/**
 * Cells of equal depth. A cell's temperature is its mean, which a parabola takes at the root of the mean
 * square radius: joined there, cells follow the series solutions within half a percent.
 */
function gridOf(
  shape: number,
  cells: number,
  radiusM: number,
  faceM2: number,
  massKg: number,
): Pick<Piece, 'share' | 'joinsM' | 'skin' | 'skinKg' | 'beyond'> {
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
  const from = Math.max(1 - SKIN_M / radiusM, 0);
  const skinShare = 1 - Math.pow(from, n + 1);
  for (let i = 0; i < cells; i++) {
    const inner = Math.max(i / cells, from);
    const inside = Math.pow((i + 1) / cells, n + 1) - Math.pow(inner, n + 1);
    skin[i] = Math.max(inside, 0) / skinShare;
  }
  return {
    share,
    joinsM,
    skin,
    skinKg: skinShare * massKg,
    beyond: square(0) / (square(1) - square(0)),
  };
}

/** A raw piece at one temperature. */
export function createPiece(
  cut: Cut,
  massKg: number,
  startC: number,
  { thicknessMm: measured, spread = NO_SPREAD, cells = CELLS }: PieceOptions = {},
): Piece {
  const radiusM = ((measured ?? thicknessMm(cut, massKg)) / 2000) * spread.radius;
  const volume = massKg / meatDensity(cut.composition, 5);
  const faceM2 = (volume * (cut.shape + 1)) / radiusM;
  const grid = gridOf(cut.shape, cells, radiusM, faceM2, massKg);
  return {
    cut,
    spread,
    rawKg: massKg,
    radiusM,
    faceM2,
    bareM2: faceM2 * (1 - cut.cap),
    tempC: new Float64Array(cells).fill(startC),
    water: new Float64Array(cells).fill(cut.composition.water),
    hottestC: new Float64Array(cells).fill(startC),
    dose: new Float64Array(cells),
    ...grid,
    faceC: startC,
    wrap: 'none',
    deficit: 0,
    crustM: 0,
    evaporatedKg: 0,
    drippedKg: 0,
    fatLostKg: 0,
    filmKg: 0,
    sprayedKg: 0,
    poolKg: 0,
    browningMin: 0,
    barkBest: 0,
    softMin: 0,
    logReduction: 0,
    heatW: 0,
    airShare: 0.5,
    vapourKgPerS: 0,
    heatInJ: 0,
    latentJ: 0,
  };
}

const paths = newPaths();

/** Advances a piece by `dt` seconds in its surroundings: heat, then water, then what heat has done. */
export function stepPiece(p: Piece, s: Surroundings, dt: number): void {
  const wrap = WRAPS[p.wrap];
  facePaths(s, p, wrap, paths);
  const evaporated = stepHeat(p, paths, s.pressurePa, dt);
  const drains = p.wrap === 'none' ? WATER.barelyDrips * p.spread.drip : wrap.drains;
  stepWater(p, evaporated, drains, wrap.pools, dt);
  stepChanges(p, dt);
}

/** Arrhenius factor relative to 93 C for an activation energy in J/mol. */
const relativeTo93 = (c: number, energy: number): number =>
  Math.exp(clamp((-energy / GAS_R) * (1 / kelvin(c) - 1 / C93_K), -60, 10));

/** Collagen, browning, rendered fat and lethality. */
function stepChanges(p: Piece, dt: number): void {
  const minutes = dt / 60;
  let turned = 0;
  for (let i = 0; i < p.tempC.length; i++) {
    const t = p.tempC[i]!;
    if (t > 40) p.dose[i] = p.dose[i]! + minutes * relativeTo93(t, 120e3);
    turned += p.share[i]! * (1 - Math.exp(-p.dose[i]! / 40));
  }
  p.fatLostKg = Math.max(p.fatLostKg, p.rawKg * p.cut.composition.fat * RENDERED.fat * turned);
  if (p.wrap === 'none') {
    p.browningMin += minutes * relativeTo93(p.faceC, 95e3);
    p.softMin = Math.max(p.softMin - SOFT.firmsTimes * minutes, 0);
    const now = Math.min(p.crustM / BARK.crustM, p.browningMin / BARK.browningMin, 1);
    p.barkBest = Math.max(p.barkBest, now);
  } else p.softMin += minutes * WRAPS[p.wrap].softens;
  p.logReduction = Math.min(p.logReduction + minutes * logReductionsPerMin(centreC(p)), 99);
}

/** The very centre, C: the slowest point, a little beyond the innermost cell's mean. */
export const centreC = (p: Piece): number => p.tempC[0]! - p.beyond * (p.tempC[1]! - p.tempC[0]!);

/**
 * What a probe reads whose tip sits `offM` from the centre, C: the mean over 7.5 mm either way, as a good
 * probe in the middle does when `offM` is left out.
 */
export function coreC(p: Piece, offM = 0): number {
  const dr = p.radiusM / p.tempC.length;
  const half = 7.5e-3;
  const low = Math.max(offM - half, 0);
  const high = Math.min(offM + half, p.radiusM);
  let sum = 0;
  for (let i = Math.floor(low / dr); i < p.tempC.length && i * dr < high; i++) {
    sum += p.tempC[i]! * (Math.min((i + 1) * dr, high) - Math.max(i * dr, low));
  }
  return sum / (high - low);
}

/** Mass now, kg. */
export const pieceKg = (p: Piece): number =>
  p.rawKg + p.sprayedKg - p.evaporatedKg - p.drippedKg - p.fatLostKg;

/** 1 = probe tender at the centre. */
export const tenderness = (p: Piece): number => p.dose[0]! / (p.cut.tenderMin * p.spread.tender);

/** 1 = bark set: crust and browning, whichever is behind, less what a wrap has softened. */
export const bark = (p: Piece): number =>
  p.barkBest * (1 - SOFT.most * (1 - Math.exp(-p.softMin / SOFT.afterMin)));

/** Water that cannot be accounted for, kg: the piece's own ledger. */
export function waterResidualKg(p: Piece): number {
  let held = 0;
  for (let i = 0; i < p.water.length; i++) held += p.water[i]! * p.share[i]! * p.rawKg;
  return (
    p.cut.composition.water * p.rawKg +
    p.sprayedKg +
    p.deficit * p.bareM2 -
    held -
    p.filmKg -
    p.evaporatedKg -
    p.drippedKg
  );
}
