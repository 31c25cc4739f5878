/**
 * Heat in a piece of meat: conduction between its cells, and two faces side by side: a bare one that
 * evaporates, and one under a cap of fat, bone or skin that does not.
 */
import { vaporisationHeat, WATER_SPECIFIC_HEAT } from '../air/moistAir';
import type { Piece } from './pieceState';
import { meatConductivity, meatHeat } from './properties';
import { evaporationKgPerM2S } from './surface';
import { type FacePaths } from './facePaths';

/** Conductivity of hard fat, W/mK (Choi and Okos 1986 at 60 C, from memory). */
const COVER_CONDUCTIVITY = 0.18;
/**
 * Backward Euler over cells and bare face, evaporation linearised in the face temperature; the capped
 * face has no store of its own and joins the outer cell. Returns evaporation in kg per s and m2 of bare
 * face.
 */
export function stepHeat(piece: Piece, paths: FacePaths, pressurePa: number, dtS: number): number {
  const {
    tempC,
    water,
    cellMassFraction: share,
    shapeFactorsM: joinsM,
    bareM2,
    rawKg,
    cut,
  } = piece;
  const { lower, diagonal, upper, rhs } = piece.workspace;
  const cells = tempC.length;
  const last = cells - 1;
  const bare = 1 - cut.coveredFraction;
  let innerG = 0;
  let capG = 0;
  for (let i = 0; i < cells; i++) {
    const t = tempC[i]!;
    const capacity = (rawKg * share[i]! * meatHeat(cut.composition, water[i]!, t)) / dtS;
    const k = meatConductivity(cut.composition, water[i]!, t);
    const g = k * joinsM[i]! * (i === last ? bare : 1);
    lower[i] = -innerG;
    upper[i] = -g;
    diagonal[i] = capacity + innerG + g;
    rhs[i] = capacity * t;
    innerG = g;
    if (i === last && cut.coveredFraction > 0) {
      const outside = cut.coverMm / 1000 / COVER_CONDUCTIVITY + paths.coverResistance;
      capG = cut.coveredFraction / (1 / (k * joinsM[i]!) + outside / piece.faceM2);
      diagonal[i]! += capG;
      rhs[i]! += capG * paths.drivingC;
    }
  }
  const c0 = piece.faceC;
  const open = piece.variation.evaporation;
  const e0 = open * evaporationKgPerM2S(c0, paths, pressurePa, 1);
  const slope = (open * evaporationKgPerM2S(c0 + 0.5, paths, pressurePa, 1) - e0) / 0.5;
  const latent = vaporisationHeat(c0);
  const pool = (piece.liquidKg * WATER_SPECIFIC_HEAT) / dtS;
  lower[cells] = -innerG;
  diagonal[cells] = innerG + bareM2 * (paths.overallWPerM2K + latent * slope) + pool;
  rhs[cells] =
    bareM2 * (paths.overallWPerM2K * paths.drivingC - latent * (e0 - slope * c0)) + pool * c0;
  for (let i = 1; i <= cells; i++) {
    const m = lower[i]! / diagonal[i - 1]!;
    diagonal[i] = diagonal[i]! - m * upper[i - 1]!;
    rhs[i] = rhs[i]! - m * rhs[i - 1]!;
  }
  const face = rhs[cells] / diagonal[cells];
  let above = face;
  for (let i = last; i >= 0; i--) {
    above = (rhs[i]! - upper[i]! * above) / diagonal[i]!;
    tempC[i] = above;
  }
  piece.faceC = face;
  const e = Math.max(e0 + slope * (face - c0), 0);
  piece.heatW =
    bareM2 * paths.overallWPerM2K * (paths.drivingC - face) +
    capG * (paths.drivingC - tempC[last]!);
  piece.convectiveFraction = paths.airShare;
  piece.heatInJ += piece.heatW * dtS;
  piece.latentJ += bareM2 * latent * e * dtS;
  return e;
}
