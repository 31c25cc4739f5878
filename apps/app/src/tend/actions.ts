/** What the log pad and the job card write. One tap, one entry, sensible figures. */
import { pitOf, type PitPlan, type PlanJob, type PlanLog } from '@ostrin/core';
import {
  type Entry,
  type EntryBody,
  type Log,
  type LogLine,
  deedAtMs,
  deedsOfLine,
  foldLog,
  jobsLeft,
  lastVents,
  litAtMs,
} from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { Advice, Order } from '@ostrin/core/tending';
import { deedsOf, logDeeds, openLog, type Deed } from '../store/logging';

/** Pieces that one tap on Fuel means until corrected. */
const FUEL_TAP_PIECES = 6;

export type PadKey = 'read' | 'fuel' | 'vents' | 'lid' | 'meat' | 'note';

/** The vents as last set, shut when never. */
export const ventsNow = (log: Log): { intakeFraction: number; exhaustFraction: number } =>
  lastVents(log.lines) ?? { intakeFraction: 0, exhaustFraction: 0 };

/** A planned feed is due from so long before its time on: a tap on Fuel then means that feed, min. */
const FEED_DUE_MIN = 20;

/** The planned feed that is due at `at` (epoch ms), or overdue; null where none is. */
function feedDue(plan: PitPlan, log: Log, at: number): PlanJob | null {
  const lit = litAtMs(log);
  if (lit === null) return null;
  const next = jobsLeft(plan, log, at).find((j) => j.do === 'add-fuel');
  return next && lit + (next.atMin - FEED_DUE_MIN) * MINUTE_MS <= at ? next : null;
}

type Feed = PlanLog & { do: 'add-fuel' };

/** What one tap on Fuel puts on: the feed that is due, else a split as planned or a handful of charcoal. */
export function fuelTap(plan: PitPlan, log: Log, at: number): Feed {
  const due = feedDue(plan, log, at)?.logs.find((l): l is Feed => l.do === 'add-fuel');
  if (due) return due;
  const fire = plan.fires[0];
  const split = fire.feeding.find((f) => f.what === 'splits');
  return split
    ? {
        do: 'add-fuel',
        fuel: 'splits',
        pieces: 1,
        massKg: split.massKg,
        lit: false,
        species: pitOf(plan).fire.species,
        preheated: true,
      }
    : { do: 'add-fuel', fuel: fire.fuel, pieces: FUEL_TAP_PIECES, lit: false };
}

/** What can be done with the meat next: of each piece its next step, the one that comes first in the plan. */
export function nextMeat(plan: PitPlan, log: Log): PlanLog | null {
  const steps = plan.request.meats.flatMap((meat): PlanLog[] => {
    const done = (what: PlanLog['do']): boolean => deedAtMs(log, what, meat.id) !== null;
    if (!done('meat-on')) return [{ do: 'meat-on', meat: meat.id }];
    if (done('meat-off')) return [];
    return meat.wrap.with !== 'none' && !done('wrap')
      ? [{ do: 'wrap', meat: meat.id, with: meat.wrap.with }]
      : [{ do: 'meat-off', meat: meat.id }];
  });
  const planned = (step: PlanLog): number => {
    const at = plan.jobs.findIndex((j) => isActionOfJob(j, step));
    return at < 0 ? plan.jobs.length : at;
  };
  return [...steps].sort((a, b) => planned(a) - planned(b))[0] ?? null;
}

/** Jobs whose touch is being kept right now: a double touch does one job. */
const beingDone = new Set<PlanJob>();

/** Marks a job done: its actions in the log, or a plain line when it moves nothing. Once only. */
export async function doJob(job: PlanJob, at: number): Promise<Entry[]> {
  if (beingDone.has(job) || foldLog(openLog()).jobsDone.has(job.id)) return [];
  beingDone.add(job);
  try {
    return await logDeeds(deedsOf(job), at);
  } finally {
    beingDone.delete(job);
  }
}

/** Advice that was taken: a double touch takes it once. Another answer is another one, also after an undo. */
const taken = new WeakSet<Advice>();

/** Logs that an order was done, once. Orders that ask for a look write nothing. */
export function doOrder(order: Order, at: number): Promise<Entry[]> {
  switch (order.kind) {
    case 'job':
      return doJob(order.job, at);
    case 'move':
      if (taken.has(order.advice)) return Promise.resolve([]);
      taken.add(order.advice);
      return logDeeds(
        order.advice.logs.map((action) => ({
          body: { kind: 'act', action },
          ...(order.jobIds[0] ? { jobId: order.jobIds[0] } : {}),
        })),
        at,
      );
    case 'make-safe': {
      // Whatever lies on the pit again never came off.
      const off = foldLog(openLog()).lines.filter(({ body }) =>
        deedsOfLine(body).some((a) => a.do === 'meat-off' && a.meat === order.meat),
      );
      return undo(
        off.map((l) => l.id),
        at,
      );
    }
    default:
      return Promise.resolve([]);
  }
}

/** Leaves a job out, and says so in the log. */
export const skipJob = (job: PlanJob, at: number): Promise<Entry[]> =>
  logDeeds([{ body: { kind: 'skip' }, jobId: job.id }], at);

/** Whether an action is the very move that a job asks for, and not only part of how it is done. */
export const isActionOfJob = (job: PlanJob, action: PlanLog): boolean =>
  job.do === action.do && job.logs.some((l) => sameIntent(l, action));

/** Whether two actions mean the same, though their figures differ a little. */
function sameIntent(planned: PlanLog, done: PlanLog): boolean {
  if (planned.do !== done.do) return false;
  if ('meat' in planned && 'meat' in done && planned.meat !== done.meat) return false;
  switch (planned.do) {
    case 'add-fuel':
      return done.do === 'add-fuel' && (planned.fuel === 'splits') === (done.fuel === 'splits');
    case 'set-vents':
      return (
        done.do === 'set-vents' &&
        isNear(planned.intakeFraction, done.intakeFraction) &&
        isNear(planned.exhaustFraction, done.exhaustFraction)
      );
    case 'wrap':
      return done.do === 'wrap' && (planned.with === 'none') === (done.with === 'none');
    default:
      return true;
  }
}

/** Openings that count as the same, as shares of the travel. */
const isNear = (a: number, b: number): boolean => Math.abs(a - b) < 1 / 32;

/**
 * Logs an action; when it is the move that a job ahead asks for, that job is done with it. A feed closes the
 * planned one only when that is due. The action is logged as it was done, with what else the job asks for.
 */
export async function logAction(
  plan: PitPlan,
  log: Log,
  action: PlanLog,
  at: number,
): Promise<Entry[]> {
  const expected =
    action.do === 'add-fuel'
      ? feedDue(plan, log, at)
      : (jobsLeft(plan, log, at).find((j) => isActionOfJob(j, action)) ?? null);
  const lit = litAtMs(log) !== null;
  // A job is not done out of turn by a tap that happens to look like it: the fire must be lit first.
  if (!expected || !isActionOfJob(expected, action) || (!lit && expected.id !== 'light')) {
    return logDeeds([{ body: { kind: 'act', action } }], at);
  }
  return logDeeds(
    expected.logs.map((planned): Deed => ({
      body: { kind: 'act', action: sameIntent(planned, action) ? action : planned },
      jobId: expected.id,
    })),
    at,
  );
}

/** What takes entries back. */
export const undoing = (ids: readonly string[]): Deed[] =>
  ids.map((target) => ({ body: { kind: 'undo', target } }));

/** Takes entries back. */
export const undo = (ids: readonly string[], at: number): Promise<Entry[]> =>
  logDeeds(undoing(ids), at);

/** What corrects when a line happened; lines of one job move together. */
export function retiming(log: Log, logLine: LogLine, to: number): Deed[] {
  const together = logLine.jobId
    ? log.lines.filter((l) => l.jobId === logLine.jobId && l.at === logLine.at)
    : [logLine];
  return together.map((l) => ({ body: { kind: 'retime', target: l.id, to: Math.round(to) } }));
}

/** What puts a reading right: the old one is taken back, the new one stands at its own time. */
export const rereading = (id: string, body: EntryBody, at: number): Deed[] => [
  ...undoing([id]),
  { body, at },
];
