/** What may harm people at the table, watched minute by minute: not hot enough, too long lukewarm, held too cool. */
import { doneByFeel, type Kind } from '../meat/cuts';
import { centreC } from '../meat/piece';
import type { Piece } from '../meat/types';
import { CAUTIONS, type Caution } from '../safety/cautions';
import { SAFE_C, SAFE_LOG_REDUCTION } from '../safety/lethality';
import type { MeatResult } from './scenario';
import type { Guest } from './state';

/** Between these germs grow, C (USDA consumer advice 4 to 60 C; 5 and 57 C in the FDA Food Code; from memory). */
const GROWS_C = [5, 60] as const;
/** Hot-held food stays at this or more, C (FDA Food Code 3-501.16, from memory). */
const HOT_C = 57;
/**
 * Minutes between 5 and 60 C that call for a word (common practice): at the face, at the centre of what is
 * not intact, and at the centre of an intact cut.
 */
const LINGERS_MIN = { surface: 240, opened: 240, intact: 600 };
/** Minutes that food may lie cooling before it must be cold or eaten (FDA Food Code 3-501.14, from memory). */
const COOLING_MIN = 120;

/** What makes it safe: red meat that was injected, pinned or bladed is not intact and counts as minced. */
export const kindOf = (p: Piece, injected = false): Kind =>
  injected && p.cut.kind === 'red' ? 'minced' : p.cut.kind;

/** Intact red meat by its table at the slowest point; all else by its temperature alone. */
export function isSafe(p: Piece, injected = false): boolean {
  const kind = kindOf(p, injected);
  return kind === 'red' ? p.logReduction >= SAFE_LOG_REDUCTION : centreC(p) >= SAFE_C[kind];
}

/** Says a caution, once. */
export function warn(r: MeatResult, caution: Caution): void {
  if (!r.cautions.includes(caution.text)) r.cautions.push(caution.text);
}

/** One more minute of a piece that is on, in the oven or at rest. */
export function watchSafety(g: Guest, coreC: number): void {
  const { result: r, piece, spec } = g;
  const grows = (c: number): boolean => c > GROWS_C[0] && c < GROWS_C[1];
  if (grows(piece.faceC)) r.lingering.surfaceMin++;
  if (grows(coreC)) r.lingering.centreMin++;
  const opened = kindOf(piece, spec.injected) === 'minced' || spec.probedEarly === true;
  if (r.lingering.surfaceMin > LINGERS_MIN.surface) warn(r, CAUTIONS.lingersSurface);
  // A roast pulled rare spends its rest lukewarm on purpose: only the way up counts for it.
  const onTheWay = r.doneAtMin === null || doneByFeel(piece.cut);
  if (onTheWay && r.lingering.centreMin > LINGERS_MIN[opened ? 'opened' : 'intact']) {
    warn(r, opened ? CAUTIONS.lingersOpened : CAUTIONS.lingersCentre);
  }
  if (g.place === 'resting') watchHold(g);
}

function watchHold(g: Guest): void {
  const { result: r, piece } = g;
  r.hold ??= { coolMin: 0, state: 'hot' };
  // The outermost meat, not its skin: a wet skin is colder than what lies under it.
  if (piece.tempC.at(-1)! >= HOT_C) {
    r.hold.state = 'hot';
    return;
  }
  r.hold.coolMin++;
  r.hold.state = 'cooling';
  const meantHot = ['cool-box', 'warmer', 'oven'].includes(g.spec.rest!.where);
  if (meantHot) warn(r, CAUTIONS.hotHold);
  if (r.hold.coolMin > COOLING_MIN) warn(r, CAUTIONS.coolsSlowly);
}
