/** What is told of one piece, minute by minute. */
import { bark, coreProbeC, pieceMassKg, tenderness } from '../meat/piece';
import { WATER } from '../meat/water';
import { roundDigits } from '../quantity/units';
import type { MeatResult } from '../scenario/result';
import type { CookingPiece } from './state';

/** Log reductions are not shown beyond this: more means nothing to anyone. */
const MAX_SHOWN_LOG = 9;

/** A piece of which nothing is told yet. */
export const emptyMeatResult = (id: string): MeatResult => ({
  id,
  coreC: [],
  surfaceC: [],
  massKg: [],
  tenderness: [],
  bark: [],
  wet: [],
  logReduction: [],
  smokeTaken: [],
  wrappedAtMin: null,
  sprayedAtMin: [],
  saucedAtMin: null,
  baredAtMin: null,
  stall: null,
  doneAtMin: null,
  tenderAtMin: null,
  safeAtMin: null,
  sauceSetAtMin: null,
  lingering: { surfaceMin: 0, centreMin: 0 },
  hold: null,
  cautions: [],
});

/** Adds one row to the series of a piece. What is not known yet is null. */
export function recordPiece(cooking: CookingPiece): void {
  const { result: r, piece } = cooking;
  if (cooking.stage === 'waiting' || cooking.stage === 'off') {
    for (const s of [r.coreC, r.surfaceC, r.massKg, r.tenderness, r.bark]) s.push(null);
    for (const s of [r.wet, r.logReduction, r.smokeTaken]) s.push(null);
    return;
  }
  r.coreC.push(roundDigits(coreProbeC(piece), 2));
  r.surfaceC.push(roundDigits(piece.faceC, 2));
  r.massKg.push(roundDigits(pieceMassKg(piece), 4));
  r.tenderness.push(roundDigits(tenderness(piece), 3));
  r.bark.push(roundDigits(bark(piece), 3));
  r.wet.push(roundDigits(Math.min(piece.filmKg / (WATER.maxFilmKgPerM2 * piece.bareM2), 1), 2));
  r.logReduction.push(roundDigits(Math.min(piece.logReduction, MAX_SHOWN_LOG), 2));
  r.smokeTaken.push(roundDigits(cooking.smokeUptake, 2));
}
