/**
 * Heat in a piece of meat: conduction between its cells, and two faces side by side: a bare one that
 * evaporates, and one under a cap of fat, bone or skin that does not.
 */
import { boilingPointC, vaporisationHeat, WATER_SPECIFIC_HEAT } from '../air/moistAir';
import type { Piece } from './pieceState';
import { meatConductivity, meatHeat } from './properties';
import { evaporationKgPerM2S } from './surface';
import { type FacePaths } from './facePaths';
import { underCrustFraction, WATER, wetFraction } from './water';

/** Conductivity of hard fat, W/mK (Choi and Okos 1986 at 60 C, from memory). */
const COVER_CONDUCTIVITY = 0.18;
/** How fast steam leaves a face above boiling, kg/m2sK: so fast that it hardly gets hotter. */
const BOILING_KG_PER_M2SK = 1e-3;

/**
 * What reaches the bare face and the capped side. Unwrapped each has its own air; a wrap is one damp room that
 * takes its heat over its whole outside and shares it out, so that a star of three paths is turned into a triangle.
 */
function splitHeatPaths(piece: Piece, paths: FacePaths, lastCellG: number): void {
  const covered = piece.cut.coveredFraction;
  const inner = paths.wrapM2 > 0 ? paths.gapResistance : 1 / paths.outsideWPerM2K;
  const face = piece.bareM2 / (inner + paths.crustResistance);
  const cap = piece.cut.coverMm / 1000 / COVER_CONDUCTIVITY + inner;
  const cover = covered > 0 ? covered / (1 / lastCellG + cap / piece.faceM2) : 0;
  const { split } = piece.workspace;
  if (paths.wrapM2 === 0) {
    split.face = face;
    split.cover = cover;
    split.between = 0;
    return;
  }
  const outside = paths.wrapM2 * paths.outsideWPerM2K;
  const sum = outside + face + cover;
  split.face = (outside * face) / sum;
  split.cover = (outside * cover) / sum;
  split.between = (face * cover) / sum;
}

/**
 * Backward Euler over cells and bare face; the capped side has no store of its own and joins the outer cell.
 * Evaporation is linearised in the face temperature below boiling; above it steam leaves freely. Cells that still
 * hold free water boil at the same temperature. Returns evaporation in kg per s and m2 of bare face.
 */
export function stepHeat(piece: Piece, paths: FacePaths, pressurePa: number, dtS: number): number {
  const { tempC, water, cellMassFraction, shapeFactorsM, bareM2, rawKg, cut } = piece;
  const { lower, diagonal, upper, rhs, capacityJPerK, split } = piece.workspace;
  const cells = tempC.length;
  const last = cells - 1;
  let innerG = 0;
  for (let i = 0; i < cells; i++) {
    const t = tempC[i]!;
    const capacity = rawKg * cellMassFraction[i]! * meatHeat(cut.composition, water[i]!, t);
    const k = meatConductivity(cut.composition, water[i]!, t);
    let g = k * shapeFactorsM[i]!;
    capacityJPerK[i] = capacity;
    lower[i] = -innerG;
    diagonal[i] = capacity / dtS + innerG;
    rhs[i] = (capacity / dtS) * t;
    if (i === last) {
      splitHeatPaths(piece, paths, g);
      diagonal[i] = diagonal[i]! + split.cover;
      rhs[i] = rhs[i]! + split.cover * paths.drivingC;
      g = g * (1 - cut.coveredFraction) + split.between;
    }
    upper[i] = -g;
    diagonal[i] = diagonal[i]! + g;
    innerG = g;
  }
  for (let i = 1; i < cells; i++) {
    const m = lower[i]! / diagonal[i - 1]!;
    diagonal[i] = diagonal[i]! - m * upper[i - 1]!;
    rhs[i] = rhs[i]! - m * rhs[i - 1]!;
  }
  const m = -innerG / diagonal[last]!;
  const inner = innerG - m * upper[last]!;
  const innerHeat = -m * rhs[last]!;
  const pool = (piece.liquidKg * WATER_SPECIFIC_HEAT) / dtS;
  const fixed = inner + split.face + pool;
  const heat = innerHeat + split.face * paths.drivingC + pool * piece.faceC;
  const boils = boilingPointC(pressurePa);
  const c0 = Math.min(piece.faceC, boils);
  const wet = wetFraction(piece);
  const open = piece.variation.evaporation * wet;
  let at = c0;
  let e = open * evaporationKgPerM2S(at, paths, pressurePa, 1);
  let slope = (open * evaporationKgPerM2S(at + 0.5, paths, pressurePa, 1) - e) / 0.5;
  const latent = bareM2 * vaporisationHeat(c0);
  let face = (heat - latent * (e - slope * at)) / (fixed + latent * slope);
  if (face > boils) {
    at = boils;
    e = open * evaporationKgPerM2S(at, paths, pressurePa, 1);
    slope = wet * BOILING_KG_PER_M2SK;
    face = (heat - latent * (e - slope * at)) / (fixed + latent * slope);
  }
  let above = face;
  for (let i = last; i >= 0; i--) {
    above = (rhs[i]! - upper[i]! * above) / diagonal[i]!;
    tempC[i] = above;
  }
  piece.faceC = face;
  e = Math.max(e + slope * (face - at), 0);
  piece.heatW =
    split.face * (paths.drivingC - face) + split.cover * (paths.drivingC - tempC[last]!);
  piece.convectiveFraction = paths.airShare;
  piece.heatInJ += piece.heatW * dtS;
  piece.latentJ += latent * e * dtS;
  boilInside(piece, boils);
  return e;
}

/** Cells over the boiling point give their heat to what free water they hold; the steam leaves. */
function boilInside(piece: Piece, boilsC: number): void {
  const { tempC, water, cellMassFraction, rawKg } = piece;
  const { capacityJPerK } = piece.workspace;
  piece.steamKg = 0;
  for (let i = 0; i < tempC.length; i++) {
    const over = tempC[i]! - boilsC;
    if (over <= 0) continue;
    const massKg = rawKg * cellMassFraction[i]!;
    const here = massKg * (water[i]! - WATER.residual) * underCrustFraction(piece, i);
    if (here <= 0) continue;
    const latent = vaporisationHeat(boilsC);
    const kg = Math.min((capacityJPerK[i]! * over) / latent, here);
    tempC[i] = tempC[i]! - (kg * latent) / capacityJPerK[i]!;
    water[i] = water[i]! - kg / massKg;
    piece.latentJ += kg * latent;
    piece.steamKg += kg;
  }
  piece.evaporatedKg += piece.steamKg;
}
