/** A piece of meat in a cook: when it goes on, is wrapped, comes off, and what was noted of it. */
import { cutOf, type Cut } from '../meat/cuts';
import { bark, coreC, createPiece, stepPiece, tenderness } from '../meat/piece';
import { restSurroundings, startRest } from '../meat/rest';
import type { MeatSpread } from '../meat/spread';
import type { Surroundings } from '../meat/surface';
import { saucePiece, smokeSticks, USUAL_LIQUID_KG, wrapPiece } from '../meat/treat';
import { WRAPS, type WrapId } from '../meat/wraps';
import { CAUTIONS, NOT_SAFE } from '../safety/cautions';
import { isSafe, kindOf, warn, watchSafety } from './harm';
import { emptyMeat } from './meatResult';
import type { Action, MeatSpec } from './scenario';
import type { Guest } from './state';

/** Sugar in a sauce or rub burns above this air, C (common practice). */
const SUGAR_BURNS_C = 160;
/** Opened foil scalds when what is in it is this hot, C. */
const STEAM_C = 80;
/** Slower than this is a stall, K per minute (4 C/h), between these core temperatures. */
const STALL = { perMin: 4 / 60, fromC: 60, toC: 85, windowMin: 20 };

/** How pieces are made where not from the catalogue as usual. */
export interface PieceMaking {
  cells?: number;
  cut?: (cut: Cut) => Cut;
}

/** A guest in the fridge. */
export function createGuest(
  spec: MeatSpec,
  spread?: MeatSpread,
  { cells, cut = (c) => c }: PieceMaking = {},
): Guest {
  return {
    spec,
    piece: createPiece(cut(cutOf(spec.cut)), spec.massKg, spec.startC, {
      thicknessMm: spec.thicknessMm,
      spread,
      cells,
    }),
    place: 'waiting',
    at: spec.at,
    rest: null,
    restUntilMin: Infinity,
    stalled: false,
    past: [],
    smokeTaken: 0,
    sauceSetAtKg: null,
    result: emptyMeat(spec.id),
  };
}

/** Steps one guest; `pit` is the air at its place, `smoke` the pit's in g/m3. Those not yet on stay cold. */
export function stepGuest(
  g: Guest,
  pit: Surroundings,
  altitudeM: number,
  smoke: number,
  dt: number,
): void {
  if (g.place === 'on') {
    g.smokeTaken += (smoke * smokeSticks(g.piece) * dt) / 60;
    stepPiece(g.piece, pit, dt);
  } else if (g.rest && (g.place === 'resting' || g.place === 'oven')) {
    stepPiece(g.piece, restSurroundings(g.rest, g.piece, altitudeM, dt), dt);
  }
}

/** Wraps a guest now; a covered pan gets a cupful of liquid where nothing else is said. */
export function wrapGuest(g: Guest, wrapWith: WrapId, atMin: number, liquidKg?: number): void {
  if (wrapWith === 'none') {
    unwrapGuest(g);
    return;
  }
  wrapPiece(g.piece, wrapWith, liquidKg ?? (wrapWith === 'pan' ? USUAL_LIQUID_KG : 0));
  g.result.wrappedAtMin ??= atMin;
}

/** Bares a guest again: its bark firms up. */
export function unwrapGuest(g: Guest): void {
  if (WRAPS[g.piece.wrap].pools && g.piece.faceC > STEAM_C) warn(g.result, CAUTIONS.foilSteam);
  wrapPiece(g.piece, 'none');
}

/** Brushes sauce on; `pitC` is the air it will set in. */
export function sauceGuest(g: Guest, pitC: number): void {
  g.sauceSetAtKg = g.piece.evaporatedKg + saucePiece(g.piece);
  g.result.sauceSetAtMin = null;
  if (pitC > SUGAR_BURNS_C) warn(g.result, CAUTIONS.sugarBurns);
}

/**
 * Whole-minute bookkeeping: stall, wrap rule, done, tender, safe. Returns what was done by rule, so
 * that it can be told in `happened`.
 */
export function minuteOfGuest(g: Guest, atMin: number): Action[] {
  const done: Action[] = [];
  if (g.place === 'waiting' || g.place === 'off') return done;
  const { result: r, piece, spec } = g;
  const core = coreC(piece);
  if (g.place === 'on') watchStall(g, atMin, core);
  if (r.safeAtMin === null && isSafe(piece, spec.injected)) r.safeAtMin = atMin;
  if (r.tenderAtMin === null && tenderness(piece) >= 1) r.tenderAtMin = atMin;
  if (g.sauceSetAtKg !== null && piece.evaporatedKg >= g.sauceSetAtKg) r.sauceSetAtMin ??= atMin;
  if (g.place === 'on' && wantsWrap(g, atMin, core)) {
    const { with: wrapWith, liquidKg } = spec.wrap!;
    wrapGuest(g, wrapWith, atMin, liquidKg);
    done.push({ atMin, do: 'wrap', meat: spec.id, with: wrapWith });
  }
  const cooking = g.place === 'on' || g.place === 'oven';
  if (cooking && r.doneAtMin === null && isDone(g, core)) {
    r.doneAtMin = atMin;
    if (r.safeAtMin === null) warn(r, NOT_SAFE[kindOf(piece, spec.injected)]);
    if (spec.rest) {
      takeOff(g, atMin);
      done.push({ atMin, do: 'meat-off', meat: spec.id });
    }
  }
  watchSafety(g, core);
  if (g.place === 'resting' && atMin >= g.restUntilMin) g.place = 'off';
  return done;
}

function wantsWrap(g: Guest, atMin: number, core: number): boolean {
  const { wrap } = g.spec;
  if (!wrap?.when || wrap.with === 'none' || g.result.wrappedAtMin !== null) return false;
  const { when } = wrap;
  if ('coreC' in when) return core >= when.coreC;
  if ('atMin' in when) return atMin >= when.atMin;
  return 'stalled' in when ? g.stalled : bark(g.piece) >= 1;
}

/** Takes a guest off the pit, to its rest where one is planned. */
export function takeOff(g: Guest, atMin: number): void {
  if (g.place !== 'on' && g.place !== 'oven') return;
  g.place = g.spec.rest ? 'resting' : 'off';
  if (g.spec.rest) {
    g.rest = startRest(g.spec.rest.where, g.spec.rest.atC);
    g.restUntilMin = atMin + g.spec.rest.minutes;
  }
}

/** Off the fire into a kitchen oven at `atC` that brings it to its end. */
export function ovenFinish(g: Guest, atC: number): void {
  if (g.place !== 'on') return;
  g.place = 'oven';
  g.rest = startRest('oven', atC);
}

function isDone(g: Guest, core: number): boolean {
  const d = g.spec.done;
  if (!d) return false;
  return 'coreC' in d ? core >= d.coreC : tenderness(g.piece) >= 1;
}

function watchStall(g: Guest, atMin: number, core: number): void {
  g.past.push({ atMin, c: core });
  while (g.past.length > 2 && g.past[0]!.atMin < atMin - STALL.windowMin) g.past.shift();
  const first = g.past[0]!;
  if (atMin - first.atMin < STALL.windowMin - 2) return;
  const pace = (core - first.c) / (atMin - first.atMin);
  const slow = pace < STALL.perMin && core > STALL.fromC && core < STALL.toC;
  if (slow) {
    g.stalled = true;
    if (g.result.stall) g.result.stall.toMin = atMin;
    else g.result.stall = { fromMin: atMin - STALL.windowMin, toMin: atMin };
  }
}
