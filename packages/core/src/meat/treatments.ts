/** What a cook does to a piece on the grate: spray it, brush it, wrap it, bare it again. */
import { clamp } from '../quantity/units';
import type { Piece } from './pieceState';
import type { WrapId } from './wraps';

/** What a spray leaves on the face, kg/m2 (a mist that just does not run off, from memory). */
const SPRAY_KG_PER_M2 = 0.05;
/** Water of a brushed coat of sauce, kg/m2 (about 0.2 mm of sauce, two thirds water; from memory). */
const SAUCE_WATER_KG_PER_M2 = 0.13;
/** A crust this thick is dry to the touch, m; it takes this share of the smoke, and so does a hot face. */
const DRY_CRUST_M = 1e-4;
const DRY_SMOKE_FRACTION = 0.3;
const MIN_SMOKE_FRACTION = 0.1;
/** Liquid poured round the meat where nothing else is said, kg (common practice: a cupful). */
export const USUAL_LIQUID_KG = 0.25;

/** From this bark on a look or a mist does it no harm; 1 is set, when nothing comes off on a finger (common practice). */
export const FIRM_BARK = 0.5;

/** Sprays an unwrapped piece. */
export function spritzPiece(piece: Piece): void {
  if (piece.wrap === 'none') wetFace(piece, SPRAY_KG_PER_M2);
}

/** Brushes sauce on an unwrapped piece. Returns the water it brought, kg: it is set when so much is gone. */
export const saucePiece = (piece: Piece): number =>
  piece.wrap === 'none' ? wetFace(piece, SAUCE_WATER_KG_PER_M2) : 0;

function wetFace(piece: Piece, kgPerM2: number): number {
  const kg = kgPerM2 * piece.bareM2;
  piece.filmKg += kg;
  piece.sprayedKg += kg;
  return kg;
}

/** Wraps a piece, bares it (`none`), or pours `liquidKg` of liquid at `liquidC` into what holds it. */
export function wrapPiece(piece: Piece, wrap: WrapId, liquidKg = 0, liquidC = 20): void {
  piece.wrap = wrap;
  piece.fatLostAtWrapKg = piece.fatLostKg;
  piece.liquidKg = liquidKg;
  // The liquid lies against the face and is warmed with it.
  if (liquidKg > 0) piece.faceC = liquidC;
}

/** Smoke sticks to a wet face best, and to a cool one: all of it at 30 C, little above 80 (common practice). */
export function smokeUptakeFraction(piece: Piece): number {
  if (piece.wrap !== 'none') return 0;
  const wet = piece.filmKg > 0 || piece.crustM < DRY_CRUST_M ? 1 : DRY_SMOKE_FRACTION;
  return wet * clamp((80 - piece.faceC) / 50, MIN_SMOKE_FRACTION, 1);
}
