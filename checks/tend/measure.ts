/** How well a fire and its meat are known from their readings, in true cooks that no model of ours can be exactly. */
import { leadMeat, onlyPit } from '@ostrin/core';
import {
  actionsOfJobs,
  createFireEstimator,
  follow,
  forecast,
  mean,
  memberFuelKg,
  membersAhead,
  pitSightings,
  quantile,
  SLOT_MIN,
  type Family,
  type FireEstimator,
  type PitSighting,
  type ProbeReading,
} from '@ostrin/core/internals';
import { cases, FAMILIES, type Case } from '../plans/requests';
import { diagnoseCase, poolDiagnosis, type Diagnosed } from './diagnosis';
import { tendCase, WAYS, type Tended, type Way } from './inBand';
import { planOf } from './truePit';
import { trueCook, type TrueCook } from './truth';

/** The pit is looked ahead so far, and so often, from the first of these minutes on. */
const AHEAD = { min: 30, everyMin: 15, fromMin: 30 };
/** A hand reads the dial so often, and the middle of the meat. */
const BY_HAND = { dialMin: 30, meatMin: 60 };
/** What a trend is drawn through, min. */
const TREND_MIN = 15;
/** Likely cooks behind the time it is done. */
const DONE_MEMBERS = 24;

/** Errors of one cook, pooled later. K. */
export interface Errors {
  /** Of the estimate, of holding the last reading, and of going on with its trend. */
  ahead: number[];
  held: number[];
  trend: number[];
}

/** What one cook came to. */
export interface Measured {
  id: string;
  family: Family;
  byWire: Errors;
  byHand: Errors;
  /** At half time; null for a fire on splits, which is fed as it burns, and where it was never done. */
  fuelLeftError: number | null;
  /** At half time, share of the cook; null where it was never done. */
  doneError: number | null;
  /** Whether the true time lay within p10 to p90. */
  doneInside: boolean | null;
  /** Time of the processor for one slot of the estimate, ms. */
  updateMs: number[];
  /** What was named of faults, and without any. */
  diagnosed: Diagnosed;
  /** How long it stayed in its band in each way of tending; null where that was not tried. */
  tended: Record<Way, Tended> | null;
}

const byWire = (t: TrueCook): ProbeReading[] =>
  t.readings.map(({ atMin, pitC, coreC }) => ({ atMin, pitC, coreC }));

/** Somebody looks at the dial in the lid now and then. */
const byHand = (t: TrueCook): ProbeReading[] =>
  t.readings
    .filter((r) => r.atMin % BY_HAND.dialMin === 0)
    .map(({ atMin, domeC, coreC }) => ({
      atMin,
      pitC: null,
      domeC,
      coreC: atMin % BY_HAND.meatMin === 0 ? coreC : null,
    }));

/** The estimate's reading half an hour on: of the thermometer that is read, as the members think it reads. */
function expectedAhead(estimator: FireEstimator, t: TrueCook, dome: boolean): number {
  const runs = membersAhead(estimator, AHEAD.min, t.done);
  if (!dome) return mean(runs.map((r) => r.readC[AHEAD.min]!));
  return (
    mean(runs.map((r) => r.domeC[AHEAD.min]!)) + mean(estimator.members.map((m) => m.biasK[1]!))
  );
}

/** Follows one cook by its readings; `at` is told of every slot. */
function errorsOf(
  t: TrueCook,
  readings: readonly ProbeReading[],
  dome: boolean,
  at: (estimator: FireEstimator, ms: number) => void,
): Errors {
  const estimator = createFireEstimator(t.scenario, { seed: 3 });
  const sightings = pitSightings(readings);
  const out: Errors = { ahead: [], held: [], trend: [] };
  const end = t.doneMin ?? t.endMin;
  for (let now = SLOT_MIN; now + AHEAD.min <= end; now += SLOT_MIN) {
    const began = process.cpuUsage();
    follow(estimator, now, { done: t.done, readings: sightings });
    at(estimator, process.cpuUsage(began).user / 1000);
    if (now < AHEAD.fromMin || now % AHEAD.everyMin !== 0) continue;
    const then = t.readings[2 * (now + AHEAD.min)];
    const truth = dome ? then?.domeC : then?.pitC;
    const held = heldC(sightings, now, dome ? BY_HAND.dialMin + 1 : 3);
    if (truth === null || truth === undefined || held === null) continue;
    const every = dome ? BY_HAND.dialMin : TREND_MIN;
    const before = heldC(sightings, now - every, dome ? 1 : 3) ?? held;
    out.ahead.push(Math.abs(expectedAhead(estimator, t, dome) - truth));
    out.held.push(Math.abs(held - truth));
    out.trend.push(Math.abs(held + ((held - before) * AHEAD.min) / every - truth));
  }
  return out;
}

/** Mean of the readings of the last minutes; null where there are none. */
function heldC(read: readonly PitSighting[], nowMin: number, overMin: number): number | null {
  const last = read.filter((r) => r.atMin <= nowMin && r.atMin > nowMin - overMin);
  return last.length === 0 ? null : mean(last.map((r) => r.c));
}

/** When it is done, from what is known at half time: p10, p50 and p90, min after lighting. */
function doneAtHalfTime(t: TrueCook, halfMin: number): readonly [number, number, number] | null {
  const { scenario } = t;
  const known = byWire(t).filter((r) => r.atMin <= halfMin);
  const done = t.done.filter((a) => a.atMin <= halfMin);
  const jobs = actionsOfJobs(t.plan.jobs);
  const wrapped = done.some((a) => a.do === 'wrap');
  return forecast({
    scenario,
    done,
    // The jobs of the plan that are still to come.
    ahead: jobs.filter((a) => a.atMin > halfMin || (a.do === 'wrap' && !wrapped)),
    nowMin: halfMin,
    readings: known,
    piece: leadMeat(t.plan).id,
    members: DONE_MEMBERS,
    seed: 5,
  }).readyMin;
}

/** One case in so many is tended in each way. */
const TENDED_EVERY = 3;

/** Measures one case; `n` is its place among all. */
export function measureCook(c: Case, n: number): Measured {
  const made = planOf(c);
  const t = trueCook(c, made);
  const end = t.doneMin ?? t.endMin;
  const halfMin = SLOT_MIN * Math.round(end / 2 / SLOT_MIN);
  const updateMs: number[] = [];
  let fuelKg: number | null = null;
  const wire = errorsOf(t, byWire(t), false, (estimator, ms) => {
    updateMs.push(ms);
    if (estimator.atMin === halfMin) fuelKg = mean(estimator.members.map(memberFuelKg));
  });
  const hand = errorsOf(t, byHand(t), true, () => undefined);
  const onSplits = onlyPit(c.request).fire.fuel === 'splits';
  const trueKg = t.trueFuelKg[2 * halfMin]!;
  const window = t.doneMin === null ? null : doneAtHalfTime(t, halfMin);
  return {
    id: c.id,
    family: c.family,
    byWire: wire,
    byHand: hand,
    fuelLeftError:
      onSplits || fuelKg === null || t.doneMin === null
        ? null
        : Math.abs(fuelKg - trueKg) / Math.max(trueKg, 0.1 * t.trueFuelKg[0]!),
    doneError: window && t.doneMin !== null ? Math.abs(window[1] - t.doneMin) / t.doneMin : null,
    doneInside:
      window && t.doneMin !== null ? t.doneMin >= window[0] && t.doneMin <= window[2] : null,
    updateMs,
    diagnosed: diagnoseCase(c, made, t, n),
    tended:
      n % TENDED_EVERY === 0
        ? (Object.fromEntries(WAYS.map((w) => [w, tendCase(w, c, made)])) as Record<Way, Tended>)
        : null,
  };
}

/** The cases of a seed, as many of each family. */
export const tendCases = (seed: number, cooks: number): Case[] =>
  cases(seed, Math.ceil(cooks / FAMILIES.length));

const round = (v: number, digits = 3): number => Number(v.toFixed(digits));
const middle = (of: readonly number[]): number =>
  quantile(
    [...of].sort((a, b) => a - b),
    0.5,
  );

/** Cooks pooled, under the names of the open format. */
export function poolTend(all: readonly Measured[]) {
  const errors = (way: 'byWire' | 'byHand', of: keyof Errors): number =>
    mean(all.flatMap((m) => m[way][of]));
  const better = (way: 'byWire' | 'byHand'): number =>
    1 - errors(way, 'ahead') / Math.min(errors(way, 'held'), errors(way, 'trend'));
  const known = <T>(of: (m: Measured) => T | null): T[] =>
    all.flatMap((m) => {
      const v = of(m);
      return v === null ? [] : [v];
    });
  const inside = known((m) => m.doneInside);
  const updates = all.flatMap((m) => m.updateMs).sort((a, b) => a - b);
  return {
    cooks: all.length,
    ahead30: {
      maeC: round(errors('byWire', 'ahead'), 2),
      holdC: round(errors('byWire', 'held'), 2),
      trendC: round(errors('byWire', 'trend'), 2),
      betterFraction: round(better('byWire'), 2),
      byHandMaeC: round(errors('byHand', 'ahead'), 2),
      byHandBetterFraction: round(better('byHand'), 2),
    },
    fuelLeftErrorFraction: round(middle(known((m) => m.fuelLeftError))),
    doneErrorFraction: round(middle(known((m) => m.doneError))),
    coverageFraction: round(mean(inside.map(Number)), 2),
    diagnosis: poolDiagnosis(all.map((m) => m.diagnosed)),
    inBandFraction: overWays(all, (t) => t.inBand),
    visitsPerH: overWays(all, (t) => t.visitsPerH),
    updateCpuMs: { median: round(middle(updates), 1), most: round(updates.at(-1)!, 1) },
  };
}

/** A figure of each way of tending, over the cooks that were tended in all of them. */
const overWays = (all: readonly Measured[], of: (t: Tended) => number): Record<Way, number> => {
  const tended = all.flatMap((m) => (m.tended ? [m.tended] : []));
  return Object.fromEntries(
    WAYS.map((way) => [way, round(mean(tended.map((t) => of(t[way]))), 3)]),
  ) as Record<Way, number>;
};
