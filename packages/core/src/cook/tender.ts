/**
 * A simulated tender: does what a good cook does with a guide in hand, going by the probe, the clock and a
 * look at the fuel. Every hold on the pit is a rule of the hand, not a search.
 */
import { CHARCOALS } from '../fuel/catalogue';
import { presetOf } from '../pit/catalogue';
import { clamp, roundTo } from '../quantity/units';
import { habitGuide, type Guide } from './guide';
import type { Hand, Look } from './hand';
import type { Action, Scenario } from './scenario';
import { feedSplits } from './splits';
import { setVents, trend, type Tender } from './tending';

/** Looks at the thermometer this often, min, and remembers an hour of it. */
const LOOK_MIN = 5;
const REMEMBERED = 13;
/** Charcoal put on at once: a handful at least, else an hour's worth (common practice). */
const HANDFUL_KG = 0.31;
const TOP_UP_EVERY_MIN = 20;
/** Nobody lights a chimney oftener than this for one fire, min. */
const RELIT_EVERY_MIN = 60;
const LID_S = 40;
/** Share of glowing charcoal that still gives its heat (by eye: coals are half burnt). */
const STILL_IN_COALS = 0.5;
/** A pit is not judged for so long after its lid was off, min. */
const AFTER_LID_MIN = 15;
/** With the intake this far open the exhaust is what holds a fire back: it is opened with it from there on. */
const WIDE_INTAKE = 0.6;

/** A tender for that scenario's pit, going by habit where there is no guide. */
export function createTender(scenario: Scenario, targetC: number, guide?: Guide): Hand {
  const preset = presetOf(scenario.cooker.preset);
  const fire = scenario.fire!;
  const by = guide ?? habitGuide(preset, fire, targetC);
  const t: Tender = {
    targetC,
    guide: by,
    preset,
    fire,
    up: false,
    intake: by.up.intake,
    exhaust: by.up.exhaust,
    movedMin: 0,
    fedMin: 0,
    splitKg: by.feed?.kg ?? 0,
    seen: [],
    addedKg: 0,
    paceKg: 0,
  };
  return {
    look: (seen) => tend(t, seen),
    setTarget: (c) => {
      t.targetC = c;
    },
  };
}

/** What the tender does at this whole minute. */
function tend(t: Tender, seen: Look): Action[] {
  if (seen.atMin === 0) return [setVents(t, 0, t.guide.up.intake, t.guide.up.exhaust)];
  if (seen.atMin % LOOK_MIN !== 0) return [];
  t.seen.push({ ...seen, spentKg: t.addedKg - seen.unlitKg - seen.litKg });
  if (t.seen.length > REMEMBERED) t.seen.shift();
  return t.guide.feed ? feedSplits(t, t.guide.feed, seen) : holdByVents(t, seen);
}

/** A charcoal fire: close down on the way up, then small moves with time between them. */
function holdByVents(t: Tender, now: Look): Action[] {
  const { guide } = t;
  const { atMin } = now;
  const under = t.targetC - now.pitC;
  if (!t.up) {
    if (under > guide.closeBelowK) return topUp(t, now, 0);
    t.up = true;
    return [setIntake(t, atMin, guide.hold.intake)];
  }
  const done = topUp(t, now, under);
  if (done.length > 0) return done;
  if (atMin - t.movedMin < guide.waitMin || Math.abs(under) < guide.leaveK) return [];
  // The dip of an open lid mends itself.
  if (now.sinceLidMin < AFTER_LID_MIN) return [];
  // On its way already: leave it.
  const expected = under - 0.8 * trend(t);
  if (expected * under < 0 || Math.abs(expected) < guide.leaveK) return [];
  const fold = clamp((guide.gain * expected) / (0.9 * guide.perFoldK), -0.5, 0.5);
  const damp = dampMove(t, atMin, fold);
  if (damp) return damp;
  const intake = clamp(t.intake * Math.exp(fold), 0.015, 1);
  return sayable(guide, intake) === t.intake ? [] : [setIntake(t, atMin, intake)];
}

/** With the intake nearly shut it is the exhaust that holds a leaky pit back; it is opened again first. */
function dampMove(t: Tender, atMin: number, fold: number): Action[] | null {
  const { guide } = t;
  if (guide.exhaustPerIntake !== null) return null;
  const damped = t.exhaust < guide.hold.exhaust;
  const shut = t.intake <= 2 * guide.finest.small;
  if (!(damped && fold > 0) && !(shut && fold < 0)) return null;
  const exhaust = clamp(
    sayable(guide, t.exhaust * Math.exp(2 * fold)),
    guide.finest.wide,
    guide.hold.exhaust,
  );
  return exhaust === t.exhaust ? [] : [setVents(t, atMin, t.intake, exhaust)];
}

/** The nearest opening that a hand can set. */
export function sayable({ finest }: Guide, fraction: number): number {
  const step = fraction < 0.1 ? finest.small : finest.wide;
  return clamp(roundTo(fraction, step), finest.small, 1);
}

/** The exhaust beside a wide intake: from its holding place to fully open, no faster than the intake. */
const along = (hold: number, intake: number): number =>
  hold + ((1 - hold) * (intake - WIDE_INTAKE)) / (1 - WIDE_INTAKE);

/** Sets the intake, and the exhaust with it where it goes along. */
function setIntake(t: Tender, atMin: number, fraction: number): Action & { do: 'set-vents' } {
  const { guide } = t;
  const intake = sayable(guide, fraction);
  const exhaust =
    guide.exhaustPerIntake !== null
      ? clamp(sayable(guide, guide.exhaustPerIntake * intake), 0.05, 1)
      : intake > WIDE_INTAKE
        ? sayable(guide, along(guide.hold.exhaust, intake))
        : Math.min(guide.hold.exhaust, t.up && t.exhaust < guide.hold.exhaust ? t.exhaust : 1);
  return setVents(t, atMin, intake, exhaust);
}

/** A handful of charcoal when what is left would not last; never under a deflector. */
function topUp(t: Tender, now: Look, under: number): Action[] {
  const { guide, fire, preset } = t;
  if (!guide.topUp) return [];
  const pace = paceOf(t, now, under);
  const needMin = guide.untilMin - now.atMin;
  const left = now.unlitKg + STILL_IN_COALS * now.litKg;
  const short = left < pace * Math.min(guide.topUp.belowMin, needMin);
  const starving = under > 10 && trend(t) <= 0 && t.intake > 0.9;
  const since = now.atMin - t.fedMin;
  const relight = starving && since >= RELIT_EVERY_MIN;
  if (!(short || relight) || pace <= 0 || since < TOP_UP_EVERY_MIN) return [];
  t.fedMin = now.atMin;
  const piece = CHARCOALS[fire.fuel].pieceKg;
  const lastsMin = Math.min(guide.topUp.forMin, Math.max(needMin, 15));
  const pieces = Math.max(Math.round(HANDFUL_KG / piece), Math.round((pace * lastsMin) / piece));
  t.addedKg += pieces * piece;
  const { atMin } = now;
  // Ash is shaken out before fresh charcoal goes on; a snake's lies behind it.
  const ash: Action[] = fire.arrangement === 'snake' ? [] : [{ atMin, do: 'rake' }];
  const open: Action[] =
    preset.family === 'hopper' ? [] : [{ atMin, do: 'lid-open', seconds: LID_S }];
  const { chunks } = guide;
  const wood: Action[] = Array.from({ length: chunks?.count ?? 0 }, () => ({
    atMin,
    do: 'add-wood',
    species: chunks!.species,
    massG: chunks!.massG,
  }));
  // A fire that has burnt too far down to catch what is laid on it is given glowing charcoal.
  const charcoal: Action = { atMin, do: 'add-fuel', fuel: fire.fuel, pieces, lit: relight };
  const closed = relight && t.intake !== sayable(guide, guide.hold.intake);
  const back = closed ? [setIntake(t, atMin, guide.hold.intake)] : [];
  return [...open, ...ash, charcoal, ...wood, ...back];
}

/** Charcoal burnt a minute while the pit stands where it should, kg as bought; a starved fire teaches nothing. */
function paceOf(t: Tender, now: Look, under: number): number {
  const before = t.seen[0]!;
  const burnt = t.seen.at(-1)!.spentKg - before.spentKg;
  const perMin = burnt / Math.max(now.atMin - before.atMin, 1);
  if (Math.abs(under) < 15 || t.paceKg === 0) t.paceKg = Math.max(perMin, 0.97 * t.paceKg);
  return t.paceKg;
}
