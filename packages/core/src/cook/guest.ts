/** A piece of meat in a cook: when it goes on, is wrapped, comes off, and what was noted of it. */
import { cutOf } from '../meat/cuts';
import {
  bark,
  coreC,
  createPiece,
  pieceKg,
  stepPiece,
  tenderness,
  type MeatSpread,
  type Piece,
} from '../meat/piece';
import { restSurroundings, startRest, type Rest } from '../meat/rest';
import type { Surroundings } from '../meat/surface';
import { shown } from '../quantity/units';
import { CAUTIONS } from '../safety/cautions';
import { SAFE_C, SAFE_LOG_REDUCTION } from '../safety/lethality';
import type { WrapId } from '../meat/wraps';
import type { Action, MeatResult, MeatSpec } from './scenario';

/** Slower than this is a stall, K per minute (4 C/h), between these core temperatures. */
const STALL = { perMin: 4 / 60, fromC: 60, toC: 85, windowMin: 20 };

export interface Guest {
  spec: MeatSpec;
  piece: Piece;
  place: 'waiting' | 'on' | 'resting' | 'off';
  rest: Rest | null;
  restUntilMin: number;
  result: MeatResult;
  stalled: boolean;
  past: { atMin: number; c: number }[];
}

/** A guest in the fridge. */
export function createGuest(spec: MeatSpec, spread?: MeatSpread): Guest {
  return {
    spec,
    piece: createPiece(cutOf(spec.cut), spec.massKg, spec.startC, spec.thicknessMm, spread),
    place: 'waiting',
    rest: null,
    restUntilMin: Infinity,
    stalled: false,
    past: [],
    result: {
      id: spec.id,
      coreC: [],
      surfaceC: [],
      massKg: [],
      tenderness: [],
      bark: [],
      wrappedAtMin: null,
      stall: null,
      doneAtMin: null,
      tenderAtMin: null,
      safeAtMin: null,
      cautions: [],
    },
  };
}

const caution = (g: Guest, text: string): void => {
  if (!g.result.cautions.includes(text)) g.result.cautions.push(text);
};

/** Steps one guest; `pit` is the air at the grate. Guests not yet on are left in the cold. */
export function stepGuest(g: Guest, pit: Surroundings, altitudeM: number, dt: number): void {
  if (g.place === 'on') stepPiece(g.piece, pit, dt);
  else if (g.place === 'resting' && g.rest) {
    stepPiece(g.piece, restSurroundings(g.rest, g.piece, altitudeM, dt), dt);
  }
}

/** Wraps a guest now. */
export function wrapGuest(g: Guest, wrapWith: Exclude<WrapId, 'none'>, atMin: number): void {
  g.piece.wrap = wrapWith;
  g.result.wrappedAtMin ??= atMin;
}

/**
 * Whole-minute bookkeeping: stall, wrap rule, done, tender, safe. Returns what was done by rule, so
 * that it can be told in `happened`.
 */
export function minuteOfGuest(g: Guest, atMin: number): Action[] {
  const done: Action[] = [];
  if (g.place === 'waiting') return done;
  const core = coreC(g.piece);
  if (g.place === 'on') watchStall(g, atMin, core);
  if (g.result.safeAtMin === null && isSafe(g.piece)) {
    g.result.safeAtMin = atMin;
  }
  if (g.result.tenderAtMin === null && tenderness(g.piece) >= 1) g.result.tenderAtMin = atMin;
  const wrap = g.spec.wrap;
  if (
    g.place === 'on' &&
    wrap &&
    wrap.with !== 'none' &&
    g.result.wrappedAtMin === null &&
    (('coreC' in wrap.when && core >= wrap.when.coreC) ||
      ('atMin' in wrap.when && atMin >= wrap.when.atMin) ||
      ('stalled' in wrap.when && g.stalled) ||
      ('barkSet' in wrap.when && bark(g.piece) >= 1))
  ) {
    wrapGuest(g, wrap.with, atMin);
    done.push({ atMin, do: 'wrap', meat: g.spec.id, with: wrap.with });
  }
  if (g.place === 'on' && g.result.doneAtMin === null && isDone(g, core)) {
    g.result.doneAtMin = atMin;
    if (g.result.safeAtMin === null) caution(g, CAUTIONS.notSafeYet.text);
    if (g.spec.rest) {
      takeOff(g, atMin);
      done.push({ atMin, do: 'meat-off', meat: g.spec.id });
    }
  }
  if (g.place === 'resting' && g.spec.rest?.where === 'cool-box' && g.piece.faceC < 57) {
    caution(g, CAUTIONS.hotHold.text);
  }
  if (g.place === 'resting' && atMin >= g.restUntilMin) g.place = 'off';
  return done;
}

/** Red meat by its table at the slowest point; poultry and minced meat by their temperature alone. */
const isSafe = (p: Piece): boolean =>
  p.cut.kind === 'red' ? p.logReduction >= SAFE_LOG_REDUCTION : p.tempC[0]! >= SAFE_C[p.cut.kind];

/** Takes a guest off the pit, to its rest where one is planned. */
export function takeOff(g: Guest, atMin: number): void {
  if (g.place !== 'on') return;
  g.place = g.spec.rest ? 'resting' : 'off';
  if (g.spec.rest) {
    g.rest = startRest(g.spec.rest.where, g.spec.rest.atC);
    g.restUntilMin = atMin + g.spec.rest.minutes;
  }
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

/** Adds one row to a guest's series. What is not on the table yet is null. */
export function recordGuest(g: Guest): void {
  const r = g.result;
  const here = g.place !== 'waiting' && g.place !== 'off';
  r.coreC.push(here ? shown(coreC(g.piece), 2) : null);
  r.surfaceC.push(here ? shown(g.piece.faceC, 2) : null);
  r.massKg.push(here ? shown(pieceKg(g.piece), 4) : null);
  r.tenderness.push(here ? shown(tenderness(g.piece), 3) : null);
  r.bark.push(here ? shown(bark(g.piece), 3) : null);
}
