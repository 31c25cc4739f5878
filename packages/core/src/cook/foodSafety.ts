/** What may harm people at the table, watched minute by minute: not hot enough, too long lukewarm, held too cool. */
import { doneByFeel, type Cut, type SafetyKind } from '../meat/cut';
import { centreTempC } from '../meat/piece';
import type { Piece } from '../meat/pieceState';
import { SHUT_IN } from '../meat/rest';
import type { CautionId } from '../safety/cautions';
import { SAFE_C, SAFE_LOG_REDUCTION } from '../safety/lethality';
import type { MeatResult } from '../scenario/result';
import type { CookingPiece } from './state';

/** Between these germs grow, C (USDA consumer advice 4 to 60 C; 5 and 57 C in the FDA Food Code; from memory). */
const DANGER_ZONE_C = [5, 60] as const;
/** Hot-held food stays at this or more, C (FDA Food Code 3-501.16, from memory). */
const HOT_HOLDING_C = 57;
/** Held meat is kept over this; under it, it has to be eaten, heated again or cooled (C; USDA consumer advice, from memory). */
export const HOLD_ABOVE_C = 60;
/**
 * Minutes between 5 and 60 C that call for a word (common practice): at the face, at the centre of what is
 * not intact, and at the centre of an intact cut.
 */
const MAX_LINGERING_MIN = { surface: 240, opened: 240, intact: 600 };
/** Minutes that food may lie cooling before it must be cold or eaten (FDA Food Code 3-501.14, from memory). */
const MAX_COOLING_MIN = 120;

/** What makes it safe: red meat that was injected, pinned or bladed is not intact and counts as minced. */
export const safetyKindOf = (
  { safetyKind }: Pick<Cut, 'safetyKind'>,
  injected = false,
): SafetyKind => (injected && safetyKind === 'red' ? 'minced' : safetyKind);

/** Intact red meat by its table at the slowest point; all else by its temperature alone. */
export function isSafe(piece: Piece, injected = false): boolean {
  const kind = safetyKindOf(piece.cut, injected);
  return kind === 'red'
    ? piece.logReduction >= SAFE_LOG_REDUCTION
    : centreTempC(piece) >= SAFE_C[kind];
}

/** Says a caution, from the first minute on at which it applies. */
export function addCaution(result: MeatResult, id: CautionId, atMin: number): void {
  if (!result.cautions.some((c) => c.id === id)) result.cautions.push({ id, atMin });
}

/** Whether germs grow at this temperature. */
export const isLukewarm = (c: number): boolean => c > DANGER_ZONE_C[0] && c < DANGER_ZONE_C[1];

/** One more minute of a piece that is on, in the oven or at rest. */
export function trackSafety(cooking: CookingPiece, coreC: number, atMin: number): void {
  const { result: r, piece, spec } = cooking;
  if (isLukewarm(piece.faceC)) r.lingering.surfaceMin++;
  if (isLukewarm(coreC)) r.lingering.centreMin++;
  const opened = safetyKindOf(piece.cut, spec.injected) === 'minced' || spec.probedEarly === true;
  // At rest its face was hot before: there, what lies too cool too long is said by `trackHolding`.
  const isHeated = cooking.stage !== 'resting';
  if (isHeated && r.lingering.surfaceMin > MAX_LINGERING_MIN.surface)
    addCaution(r, 'lingers-surface', atMin);
  // A roast pulled rare spends its rest lukewarm on purpose: only the way up counts for it.
  const onTheWay = r.doneAtMin === null || doneByFeel(piece.cut);
  if (onTheWay && r.lingering.centreMin > MAX_LINGERING_MIN[opened ? 'opened' : 'intact']) {
    addCaution(r, opened ? 'lingers-opened' : 'lingers-centre', atMin);
  }
  if (cooking.stage === 'resting') trackHolding(cooking, atMin);
}

function trackHolding(cooking: CookingPiece, atMin: number): void {
  const { result: r, piece } = cooking;
  r.hold ??= { coolMin: 0, state: 'hot' };
  // The outermost meat, not its skin: a wet skin is colder than what lies under it.
  if (piece.tempC.at(-1)! >= HOT_HOLDING_C) {
    r.hold.state = 'hot';
    return;
  }
  r.hold.coolMin++;
  r.hold.state = 'cooling';
  const meantHot = SHUT_IN.includes(cooking.rest!.where);
  if (meantHot) addCaution(r, 'hot-hold', atMin);
  if (r.hold.coolMin > MAX_COOLING_MIN) addCaution(r, 'cools-slowly', atMin);
}
