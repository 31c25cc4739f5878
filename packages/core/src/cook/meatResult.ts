/** What is told of one piece, minute by minute. */
import { bark, coreC, pieceKg, tenderness } from '../meat/piece';
import { WATER } from '../meat/water';
import { shown } from '../quantity/units';
import type { MeatResult } from './scenario';
import type { Guest } from './state';

/** Log reductions are not shown beyond this: more means nothing to anyone. */
const MOST_SHOWN_LOG = 9;

/** A piece of which nothing is told yet. */
export const emptyMeat = (id: string): MeatResult => ({
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
  stall: null,
  doneAtMin: null,
  tenderAtMin: null,
  safeAtMin: null,
  sauceSetAtMin: null,
  lingering: { surfaceMin: 0, centreMin: 0 },
  hold: null,
  cautions: [],
});

/** Adds one row to a guest's series. What is not on the table yet is null. */
export function recordGuest(g: Guest): void {
  const { result: r, piece } = g;
  if (g.place === 'waiting' || g.place === 'off') {
    for (const s of [r.coreC, r.surfaceC, r.massKg, r.tenderness, r.bark]) s.push(null);
    for (const s of [r.wet, r.logReduction, r.smokeTaken]) s.push(null);
    return;
  }
  r.coreC.push(shown(coreC(piece), 2));
  r.surfaceC.push(shown(piece.faceC, 2));
  r.massKg.push(shown(pieceKg(piece), 4));
  r.tenderness.push(shown(tenderness(piece), 3));
  r.bark.push(shown(bark(piece), 3));
  r.wet.push(shown(Math.min(piece.filmKg / (WATER.mostFilm * piece.bareM2), 1), 2));
  r.logReduction.push(shown(Math.min(piece.logReduction, MOST_SHOWN_LOG), 2));
  r.smokeTaken.push(shown(g.smokeTaken, 2));
}
