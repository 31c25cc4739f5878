/** A piece of meat in a cook: when it goes on, is wrapped, comes off, and what was noted of it. */
import { cutOf } from '../meat/cuts';
import { type Cut } from '../meat/cut';
import { bark, coreProbeC, createPiece, stepPiece, tenderness } from '../meat/piece';
import { restSurroundings, startRest } from '../meat/rest';
import type { PieceVariation } from '../meat/variation';
import type { Surroundings } from '../meat/surface';
import {
  FIRM_BARK,
  saucePiece,
  smokeUptakeFraction,
  USUAL_LIQUID_KG,
  wrapPiece,
} from '../meat/treatments';
import { WRAPS, type WrapId } from '../meat/wraps';
import { NOT_SAFE, sugarCaution } from '../safety/cautions';
import { isSafe, safetyKindOf, addCaution, trackSafety } from './foodSafety';
import { emptyMeatResult } from './meatResult';
import type { Action } from '../scenario/actions';
import type { MeatSpec } from '../scenario/scenario';
import type { CookingPiece } from './state';

/** Opened foil scalds when what is in it is this hot, C. */
const STEAM_C = 80;
/** Slower than this is a stall, K per minute (4 C/h), between these core temperatures. */
export const STALL = { perMin: 4 / 60, fromC: 60, toC: 85, windowMin: 20 };

/** How pieces are made where not from the catalogue as usual. */
export interface PieceOverrides {
  /** Cells that the piece is cut into. */
  cells?: number;
  /** A cut that takes the place of the catalogue's. */
  cut?: (cut: Cut) => Cut;
}

/** A piece in the fridge. */
export function createCookingPiece(
  spec: MeatSpec,
  variation?: PieceVariation,
  { cells, cut = (c) => c }: PieceOverrides = {},
): CookingPiece {
  return {
    spec,
    piece: createPiece(cut(cutOf(spec.cut)), spec.massKg, spec.startC, {
      thicknessMm: spec.thicknessMm,
      variation,
      cells,
    }),
    stage: 'waiting',
    onForMin: 0,
    gratePlace: spec.at,
    rest: null,
    restUntilMin: Infinity,
    stalled: false,
    coreHistory: [],
    progress: null,
    smokeUptake: 0,
    sauceSetAtKg: null,
    result: emptyMeatResult(spec.id),
  };
}

/** Steps one piece; `pit` is the air at its place, `smoke` the pit's in g/m3. Those not yet on stay cold. */
export function stepCookingPiece(
  cooking: CookingPiece,
  pit: Surroundings,
  altitudeM: number,
  smoke: number,
  dtS: number,
): void {
  if (cooking.stage === 'on') {
    cooking.smokeUptake += (smoke * smokeUptakeFraction(cooking.piece) * dtS) / 60;
    stepPiece(cooking.piece, pit, dtS);
  } else if (cooking.rest && (cooking.stage === 'resting' || cooking.stage === 'oven')) {
    stepPiece(cooking.piece, restSurroundings(cooking.rest, cooking.piece, altitudeM, dtS), dtS);
  }
}

/** Wraps a piece now; a covered pan gets a cupful of liquid where nothing else is said. */
export function wrapCookingPiece(
  cooking: CookingPiece,
  wrapWith: WrapId,
  atMin: number,
  liquidKg?: number,
): void {
  if (wrapWith === 'none') {
    unwrapCookingPiece(cooking, atMin);
    return;
  }
  wrapPiece(cooking.piece, wrapWith, liquidKg ?? (wrapWith === 'pan' ? USUAL_LIQUID_KG : 0));
  cooking.result.wrappedAtMin ??= atMin;
}

/** Unwraps a piece: its bark firms up. Where it is to be bare at the end, that time begins now. */
export function unwrapCookingPiece(cooking: CookingPiece, atMin: number): void {
  wrapPiece(cooking.piece, 'none');
  if (cooking.spec.wrap?.bareLastMin !== undefined) cooking.result.baredAtMin ??= atMin;
}

/** Brushes sauce on; `pitC` is the air it will set in. */
export function sauceCookingPiece(cooking: CookingPiece, pitC: number, atMin: number): void {
  cooking.sauceSetAtKg = cooking.piece.evaporatedKg + saucePiece(cooking.piece);
  cooking.result.sauceSetAtMin = null;
  const sugar = sugarCaution(pitC);
  if (sugar) addCaution(cooking.result, sugar, atMin);
}

/**
 * Whole-minute bookkeeping: stall, wrap rule, done, tender, safe. Returns what was done by rule, so
 * that it can be told in `happened`.
 */
export function endPieceMinute(g: CookingPiece, atMin: number): Action[] {
  const done: Action[] = [];
  if (g.stage === 'waiting' || g.stage === 'off') return done;
  const { result: r, piece, spec } = g;
  const core = coreProbeC(piece);
  if (g.stage === 'on') trackStall(g, atMin, core);
  // Said while it is wrapped, before anybody opens it.
  if (WRAPS[piece.wrap].holdsLiquid && piece.faceC > STEAM_C) addCaution(r, 'foil-steam', atMin);
  if (r.safeAtMin === null && isSafe(piece, spec.injected)) r.safeAtMin = atMin;
  if (r.tenderAtMin === null && tenderness(piece) >= 1) r.tenderAtMin = atMin;
  if (g.sauceSetAtKg !== null && piece.evaporatedKg >= g.sauceSetAtKg) r.sauceSetAtMin ??= atMin;
  if (g.stage === 'on' && isWrapDue(g, atMin, core)) {
    const { with: wrapWith, liquidKg } = spec.wrap!;
    wrapCookingPiece(g, wrapWith, atMin, liquidKg);
    done.push({ atMin, do: 'wrap', meat: spec.id, with: wrapWith });
  }
  if (g.stage === 'on' && hasRules(spec)) done.push(...treatmentDue(g, atMin, core));
  if (g.stage === 'on') g.onForMin += 1;
  const cooking = g.stage === 'on' || g.stage === 'oven';
  if (cooking && r.doneAtMin === null && isDone(g, atMin, core)) {
    r.doneAtMin = atMin;
    if (r.safeAtMin === null) {
      addCaution(r, NOT_SAFE[safetyKindOf(piece.cut, spec.injected)], atMin);
    }
    if (spec.rest) {
      takeOff(g, atMin);
      done.push({ atMin, do: 'meat-off', meat: spec.id });
    }
  }
  trackSafety(g, core, atMin);
  shutInWhenDue(g, atMin, core);
  if (g.stage === 'resting' && atMin >= g.restUntilMin) g.stage = 'off';
  return done;
}

/** Whether a piece is sprayed, brushed or bared by rules. */
export const hasRules = ({ spray, sauce, wrap }: MeatSpec): boolean =>
  spray !== undefined || sauce !== undefined || wrap?.bareLastMin !== undefined;

/** What the rules of a piece on the grate ask for this minute: to bare it again, which is done, to spray it or to brush it. */
function treatmentDue(g: CookingPiece, atMin: number, core: number): Action[] {
  const { spec, piece, result: r } = g;
  const leftMin = minutesLeft(g, atMin, core);
  if (atMin < (spec.rulesFromMin ?? 0)) return [];
  const { bareLastMin } = spec.wrap ?? {};
  const meat = spec.id;
  if (bareLastMin !== undefined && piece.wrap !== 'none' && leftMin <= bareLastMin) {
    unwrapCookingPiece(g, atMin);
    return [{ atMin, do: 'unwrap', meat }];
  }
  if (piece.wrap !== 'none') return [];
  if (spec.sauce && r.saucedAtMin === null && leftMin <= spec.sauce.lastMin) {
    r.saucedAtMin = atMin;
    return [{ atMin, do: 'sauce', meat }];
  }
  return isSprayDue(g, atMin) ? [{ atMin, do: 'spritz', meat }] : [];
}

/** Sprayed only once its bark is firm enough or its own hour has come, and not any more once it was wrapped. */
function isSprayDue({ spec, piece, onForMin, result: r }: CookingPiece, atMin: number): boolean {
  if (!spec.spray || r.wrappedAtMin !== null) return false;
  const { everyMin, firstMin, most = Infinity } = spec.spray;
  if (firstMin === undefined ? bark(piece) < FIRM_BARK : onForMin < firstMin) return false;
  return r.sprayedAtMin.length < most && atMin - (r.sprayedAtMin.at(-1) ?? -Infinity) >= everyMin;
}

/** Minutes until it is done: of its bare time, or at the pace of the last minute; Infinity where it stands still. */
function minutesLeft(g: CookingPiece, atMin: number, core: number): number {
  const { done, wrap } = g.spec;
  const { baredAtMin } = g.result;
  if (baredAtMin !== null) return baredAtMin + wrap!.bareLastMin! - atMin;
  if (!done) return Infinity;
  const [now, end] = 'coreC' in done ? [core, done.coreC] : [tenderness(g.piece), 1];
  const before = g.progress;
  g.progress = now;
  const pace = before === null ? 0 : now - before;
  return pace > 0 ? (end - now) / pace : Infinity;
}

function isWrapDue(cooking: CookingPiece, atMin: number, core: number): boolean {
  const { wrap } = cooking.spec;
  if (!wrap?.when || wrap.with === 'none' || cooking.result.wrappedAtMin !== null) return false;
  const { when } = wrap;
  if ('coreC' in when) return core >= when.coreC;
  if ('atMin' in when) return atMin >= when.atMin;
  if ('onForMin' in when) return cooking.onForMin >= when.onForMin;
  return 'stalled' in when ? cooking.stalled : bark(cooking.piece) >= 1;
}

/** Takes a piece off the pit, to its rest where one is planned. */
export function takeOff(cooking: CookingPiece, atMin: number): void {
  if (cooking.stage !== 'on' && cooking.stage !== 'oven') return;
  const { rest } = cooking.spec;
  cooking.stage = rest ? 'resting' : 'off';
  if (!rest) return;
  cooking.rest = startRest(rest.first?.where ?? rest.where, rest.first ? undefined : rest.atC);
  cooking.restUntilMin = atMin + rest.minutes;
}

/** Shuts a piece in once its first stage is over: for so long, or down to a middle. */
function shutInWhenDue(cooking: CookingPiece, atMin: number, core: number): void {
  const { rest } = cooking.spec;
  if (!rest?.first || cooking.stage !== 'resting' || cooking.rest?.where === rest.where) return;
  const { minutes = 0, untilCoreC } = rest.first;
  const sinceMin = atMin - (cooking.restUntilMin - rest.minutes);
  if (untilCoreC === undefined ? sinceMin >= minutes : core <= untilCoreC)
    cooking.rest = startRest(rest.where, rest.atC);
}

/** Off the fire into a kitchen oven at `atC` that brings it to its end. */
export function moveToOven(cooking: CookingPiece, atC: number): void {
  if (cooking.stage !== 'on') return;
  cooking.stage = 'oven';
  cooking.rest = startRest('oven', atC);
}

/** As it is called done; a piece that was bared again is as good as done then, and comes off when that time is over. */
function isDone(cooking: CookingPiece, atMin: number, core: number): boolean {
  const d = cooking.spec.done;
  if (!d) return false;
  const { baredAtMin } = cooking.result;
  if (baredAtMin !== null && atMin - baredAtMin >= cooking.spec.wrap!.bareLastMin!) return true;
  return 'coreC' in d ? core >= d.coreC : tenderness(cooking.piece) >= 1;
}

function trackStall(cooking: CookingPiece, atMin: number, core: number): void {
  cooking.coreHistory.push({ atMin, c: core });
  while (cooking.coreHistory.length > 2 && cooking.coreHistory[0]!.atMin < atMin - STALL.windowMin)
    cooking.coreHistory.shift();
  const first = cooking.coreHistory[0]!;
  if (atMin - first.atMin < STALL.windowMin - 2) return;
  const pace = (core - first.c) / (atMin - first.atMin);
  const slow = pace < STALL.perMin && core > STALL.fromC && core < STALL.toC;
  if (slow) {
    cooking.stalled = true;
    if (cooking.result.stall) cooking.result.stall.toMin = atMin;
    else cooking.result.stall = { fromMin: atMin - STALL.windowMin, toMin: atMin };
  }
}
