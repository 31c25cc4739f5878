/**
 * The snake: briquettes in rows round the kettle's rim, lit at one end. The front walks along it at
 * a pace set by how hot and how well aired the lit end is.
 */
import { dafFraction, type Charcoal } from '../fuel/catalogue';
import type { Arrangement } from './arrangement';

/** How a snake lies in its kettle. */
interface SnakeGeometry {
  /** Rows side by side. */
  side: number;
  /** Rows one on another. */
  layers: number;
  /** Length of the arc, degrees. */
  arcDegrees: number;
}

/** Length of snake that one briquette takes along the rim, m (common practice: pieces on edge, touching). */
export const BRIQUETTE_PITCH_M = 0.047;
/** Radius of the snake's centre line as a share of the kettle's inner radius (0.25 m in a 57 cm kettle). */
export const CENTRE_LINE_FRACTION = 0.877;
/** A snake must leave a gap, or the fire meets its own tail. Degrees (common practice). */
export const MAX_ARC_DEGREES = 330;

/** Radius of the snake's centre line in a kettle of that diameter, m. */
const centreLineRadiusM = (kettleDiameterM: number): number =>
  (kettleDiameterM / 2) * CENTRE_LINE_FRACTION;

/** Pieces that lie along one row over an arc. */
export const piecesPerRow = (arcDegrees: number, kettleDiameterM: number): number =>
  Math.round((arcDegrees * Math.PI * centreLineRadiusM(kettleDiameterM)) / 180 / BRIQUETTE_PITCH_M);

/** Pieces in the whole snake, the lit ones included. */
export const snakePieces = (lay: SnakeGeometry, kettleDiameterM: number): number =>
  piecesPerRow(lay.arcDegrees, kettleDiameterM) * lay.side * lay.layers;

/** Arc that so many pieces take up, degrees. */
export const arcForPieces = (
  pieces: number,
  side: number,
  layers: number,
  kettleDiameterM: number,
): number =>
  ((pieces / (side * layers)) * BRIQUETTE_PITCH_M * 180) /
  (Math.PI * centreLineRadiusM(kettleDiameterM));

/** A snake of that lay and charcoal; `totalKg` is all its fuel, dry and ash-free. */
export function snake(
  lay: SnakeGeometry,
  charcoal: Charcoal,
  kettleDiameterM: number,
  totalKg: number,
): Arrangement {
  const kgPerM =
    (lay.side * lay.layers * charcoal.pieceKg * dafFraction(charcoal)) / BRIQUETTE_PITCH_M;
  const degreesPerKg = 180 / (Math.PI * centreLineRadiusM(kettleDiameterM) * kgPerM);
  const totalDegrees = totalKg * degreesPerKg;
  return {
    frontKgPerM: kgPerM,
    // Ten centimetres of front: a 2x2 needs about ten glowing pieces to walk at full pace.
    fullSpeedFrontKg: 0.075 * kgPerM,
    unreachableKg: 0.01,
    maxLitKg: Infinity,
    exposedFraction: 1,
    frontDegrees: (passedKg) => passedKg * degreesPerKg,
    caughtFractionToReach: (place) => (place.atArcDegrees ?? 0) / Math.max(totalDegrees, 1),
  };
}
