/**
 * A simulated tender: does what a good cook does with this fire to hold a target, going by the probe,
 * the clock and a look at the fuel. Every hold on the pit is a rule of the hand, not a search.
 */
import { CHARCOALS, dafShare } from '../fuel/catalogue';
import { BRING_UP, smallFirebox } from '../pit/usual';
import { presetOf } from '../pit/catalogue';
import { woodLeftKg, type PitState } from '../pit/state';
import type { Preset } from '../pit/types';
import { celsius, clamp } from '../quantity/units';
import type { Action, Scenario } from './scenario';
import type { FireSpec } from '../fire/spec';

/** What a family's vents are first set to for a target: intake at `atC`, and K per e-fold of opening. */
const HABIT: Readonly<Record<Exclude<Preset['family'], 'offset'>, Habit>> = {
  kettle: { intake: 0.22, atC: 125, perFoldK: 40, exhaust: 0.5, closeBelowK: 12, waitMin: 15 },
  bullet: { intake: 0.22, atC: 115, perFoldK: 40, exhaust: 1, closeBelowK: 12, waitMin: 15 },
  kamado: { intake: 0.075, atC: 115, perFoldK: 75, exhaust: 2.4, closeBelowK: 8, waitMin: 25 },
  hopper: { intake: 0.17, atC: 121, perFoldK: 55, exhaust: 1, closeBelowK: 15, waitMin: 15 },
};

interface Habit {
  intake: number;
  atC: number;
  perFoldK: number;
  /** A fixed setting, or for kamados so many times the intake's share. */
  exhaust: number;
  closeBelowK: number;
  /** Shortest time between two moves of a vent, min. */
  waitMin: number;
}

/** How splits are fed (common practice): mass at 135 C, least and most minutes between two. */
const SPLITS = {
  heavy: { kg: 1.25, least: 40, most: 65, lightest: 1, heaviest: 1.5, bedKg: 0.5 },
  light: { kg: 0.45, least: 25, most: 40, lightest: 0.35, heaviest: 0.7, bedKg: 0.25 },
} as const;

/** Looks at the thermometer this often, min. */
const LOOK_MIN = 5;
/** Charcoal for less than this many minutes is topped up; how much goes on, as bought kg. */
const TOP_UP = { minutes: 40, handfulPieces: 12 };

export interface Tender {
  targetC: number;
  preset: Preset;
  fire: FireSpec;
  up: boolean;
  intake: number;
  exhaust: number;
  movedMin: number;
  fedMin: number;
  splitKg: number;
  seen: { atMin: number; c: number; fuelKg: number }[];
}

/** A tender for that scenario's pit. */
export function createTender(scenario: Scenario, targetC: number): Tender {
  const preset = presetOf(scenario.cooker.preset);
  const size = SPLITS[smallFirebox(preset) ? 'light' : 'heavy'];
  return {
    targetC,
    preset,
    fire: scenario.fire!,
    up: false,
    intake: 1,
    exhaust: 1,
    movedMin: 0,
    fedMin: 0,
    splitKg: clamp(size.kg * ((targetC - 15) / 120), size.lightest, size.heaviest),
    seen: [],
  };
}

/** What the tender does at this whole minute; most often nothing. */
export function tendPit(t: Tender, pit: PitState, atMin: number): Action[] {
  if (atMin === 0) {
    const up = BRING_UP[t.preset.family];
    return [vents(t, 0, up.intake, up.exhaust)];
  }
  if (atMin % LOOK_MIN !== 0) return [];
  const c = celsius(pit.probeK);
  t.seen.push({ atMin, c, fuelKg: pit.unlit.kg + pit.lit.kg });
  if (t.seen.length > 13) t.seen.shift();
  return t.preset.family === 'offset' && t.fire.arrangement === 'coal-bed'
    ? feedSplits(t, pit, atMin, c)
    : holdByVents(
        t,
        pit,
        atMin,
        c,
        HABIT[t.preset.family === 'offset' ? 'kettle' : t.preset.family],
      );
}

/** Change of the probe over the last quarter of an hour, K. */
function trend(t: Tender): number {
  const now = t.seen.at(-1)!;
  const then = t.seen.at(-4) ?? t.seen[0]!;
  return now.c - then.c;
}

function vents(t: Tender, atMin: number, intake: number, exhaust: number): Action {
  t.intake = intake;
  t.exhaust = exhaust;
  t.movedMin = atMin;
  return { atMin, do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust };
}

/** A charcoal fire: close down on the way up, then small moves with time between them. */
function holdByVents(t: Tender, pit: PitState, atMin: number, c: number, h: Habit): Action[] {
  const under = t.targetC - c;
  const rising = trend(t);
  if (!t.up) {
    if (under > h.closeBelowK) return topUp(t, pit, atMin, 0);
    t.up = true;
    const intake = clamp(h.intake * Math.exp((t.targetC - h.atC) / h.perFoldK), 0.02, 1);
    return [ventsFor(t, atMin, intake, h)];
  }
  const done = topUp(t, pit, atMin, under);
  if (done.length > 0) return done;
  if (atMin - t.movedMin < h.waitMin || Math.abs(under) < 3) return [];
  // On its way already: leave it.
  const expected = under - 0.8 * rising;
  if (expected * under < 0 || Math.abs(expected) < 3) return [];
  const intake = clamp(
    t.intake * Math.exp(clamp(expected / (0.9 * h.perFoldK), -0.5, 0.5)),
    0.015,
    1,
  );
  return Math.abs(intake - t.intake) < 0.004 ? [] : [ventsFor(t, atMin, intake, h)];
}

function ventsFor(t: Tender, atMin: number, intake: number, h: Habit): Action {
  // A hand sets no finer than this.
  const step = intake < 0.1 ? 0.005 : 0.02;
  const set = Math.max(Math.round(intake / step) * step, 0.015);
  const exhaust =
    t.preset.family === 'kamado'
      ? clamp(h.exhaust * set, 0.05, 1)
      : t.preset.family === 'kettle' && set > 0.6
        ? 1
        : h.exhaust;
  return vents(t, atMin, Number(set.toFixed(3)), Number(exhaust.toFixed(3)));
}

/** A handful of charcoal when what is left would not last; never under a deflector. */
function topUp(t: Tender, pit: PitState, atMin: number, under: number): Action[] {
  if (t.preset.family === 'kamado') return [];
  const before = t.seen[0]!;
  const burning = before.fuelKg - (pit.unlit.kg + pit.lit.kg);
  const perMin = burning / Math.max(atMin - before.atMin, 1);
  const short = pit.unlit.kg < perMin * TOP_UP.minutes;
  const starving = under > 10 && trend(t) <= 0 && t.intake > 0.9;
  if (!(short || starving) || perMin <= 0 || atMin - t.fedMin < 20) return [];
  t.fedMin = atMin;
  const { fuel } = t.fire;
  const hour = (perMin * 60) / dafShare(CHARCOALS[fuel]);
  const pieces = Math.max(
    Math.round(TOP_UP.handfulPieces * (0.026 / CHARCOALS[fuel].pieceKg)),
    Math.round(hour / CHARCOALS[fuel].pieceKg),
  );
  const open: Action[] =
    t.preset.family === 'hopper' ? [] : [{ atMin, do: 'lid-open', seconds: 40 }];
  return [...open, { atMin, do: 'add-fuel', fuel, pieces, lit: false }];
}

/** A stick burner: the next split before the fall, its weight by how the last round went, dampers for the rest. */
function feedSplits(t: Tender, pit: PitState, atMin: number, c: number): Action[] {
  const size = SPLITS[smallFirebox(t.preset) ? 'light' : 'heavy'];
  const under = t.targetC - c;
  const actions: Action[] = [];
  if (!t.up && under < 8) t.up = true;
  const since = atMin - t.fedMin;
  const first = t.fedMin === 0;
  // Before the fall, not after it: where the pit will stand when the next split has caught.
  const low = under - Math.min(trend(t), 0) > -2;
  const spent = woodLeftKg(pit) < 0.35 * t.splitKg;
  const due = first
    ? atMin >= 20 && under > -25
    : (since >= size.least && low && spent) || since >= size.most;
  if (due && under > (spent ? -10 : -5)) {
    if (!first) {
      const round = t.seen.filter((s) => s.atMin > t.fedMin);
      const mean = round.reduce((sum, s) => sum + s.c, 0) / Math.max(round.length, 1);
      // The charcoal base runs hot for the first two hours: no lesson for the splits to come.
      const off = atMin < 150 ? 0 : clamp((t.targetC - mean) / 120, -0.1, 0.1);
      t.splitKg = clamp(t.splitKg * (1 + off), size.lightest, size.heaviest);
    }
    t.fedMin = atMin;
    actions.push(
      {
        atMin,
        do: 'add-fuel',
        fuel: 'splits',
        pieces: 1,
        // A lighter piece while the pit stands high.
        massKg: Number(
          clamp(
            t.splitKg * (1 + clamp(under / 60, -0.2, 0.15)),
            size.lightest,
            size.heaviest,
          ).toFixed(2),
        ),
        lit: false,
        preheated: true,
      },
      { atMin, do: 'door', openFraction: 0.15, seconds: 60 },
    );
    // Coals burnt down too far to carry wood: a little charcoal with it.
    if (pit.lit.kg < 0.4 * size.bedKg) {
      actions.push({
        atMin,
        do: 'add-fuel',
        fuel: 'lump',
        pieces: Math.round(size.bedKg / 0.06),
        lit: false,
      });
    }
  }
  // Damper: half when well over, wide again when the fire needs its breath.
  if (t.up && under < -14 && t.exhaust > 0.6) actions.push(vents(t, atMin, t.intake, 0.5));
  else if (under > -4 && t.exhaust < 1) actions.push(vents(t, atMin, t.intake, 1));
  return actions;
}
