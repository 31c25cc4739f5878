/** What the log pad and the job card write. One tap, one entry, sensible figures. */
import {
  litAtMs,
  type Entry,
  type EntryBody,
  type LogLine,
  type Log,
  type Plan,
  type PlanJob,
  type PlanLog,
} from '@ostrin/core';
import { useLive } from '../store/live';

/** What one tap on Fuel and on Lid means until corrected. */
export const FUEL_TAP_PIECES = 6;
export const LID_TAP_SECONDS = 60;

export type PadKey = 'fuel' | 'vents' | 'lid' | 'meat' | 'note';

/** Jobs still to do, in order. */
export const jobsAhead = (plan: Plan, log: Log): PlanJob[] =>
  plan.jobs.filter((j) => !log.jobsDone.has(j.id));

/** The vents as last set, shut when never. */
export function ventsNow(log: Log): { intakeFraction: number; exhaustFraction: number } {
  for (const logLine of [...log.lines].reverse()) {
    if (logLine.body.kind === 'act' && logLine.body.action.do === 'set-vents')
      return logLine.body.action;
  }
  return { intakeFraction: 0, exhaustFraction: 0 };
}

/** What one tap on Fuel puts on: a split as planned, or a handful of this fire's charcoal. */
export function fuelTap(plan: Plan): PlanLog & { do: 'add-fuel' } {
  const fire = plan.fires[0]!;
  const split = fire.feeding.find((f) => f.what === 'splits');
  return split
    ? {
        do: 'add-fuel',
        fuel: 'splits',
        pieces: 1,
        massKg: split.massKg,
        lit: false,
        species: plan.request.pits[0]!.fire.species,
      }
    : { do: 'add-fuel', fuel: fire.fuel, pieces: FUEL_TAP_PIECES, lit: false };
}

/** What can be done with the meat next: of each piece its next step, the one that comes first in the plan. */
export function nextMeat(plan: Plan, log: Log): PlanLog | null {
  const steps = plan.request.meats.flatMap((meat): PlanLog[] => {
    const done = (what: string): boolean =>
      log.lines.some(
        ({ body }) =>
          body.kind === 'act' &&
          body.action.do === what &&
          'meat' in body.action &&
          body.action.meat === meat.id,
      );
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

/** Marks a job done: its actions in the log, or a plain line when it moves nothing. */
export function doJob(job: PlanJob, at: number): Entry[] {
  const { log } = useLive.getState();
  if (job.logs.length === 0) return [log({ kind: 'job' }, at, job.id)];
  return job.logs.map((action) => log({ kind: 'act', action }, at, job.id));
}

/** Whether an action is the very move that a job asks for, and not only part of how it is done. */
export const isActionOfJob = (job: PlanJob, action: PlanLog): boolean =>
  job.do === action.do && job.logs.some((l) => JSON.stringify(l) === JSON.stringify(action));

/** Logs an action; when it is the move that a job ahead asks for, that job is done with it. */
export function logAction(plan: Plan, log: Log, action: PlanLog, at: number): Entry[] {
  const expected = jobsAhead(plan, log).find((j) => isActionOfJob(j, action));
  // A job is not done out of turn by a tap that happens to look like it: the fire must be lit first.
  if (expected && (litAtMs(log) !== null || expected.id === 'light')) return doJob(expected, at);
  return [useLive.getState().log({ kind: 'act', action }, at)];
}

/** Takes entries back. */
export function undo(ids: readonly string[], at: number): void {
  for (const target of ids) useLive.getState().log({ kind: 'undo', target }, at);
}

/** Corrects when a line happened; lines of one job move together. */
export function retime(log: Log, logLine: LogLine, to: number, at: number): void {
  const together = logLine.jobId
    ? log.lines.filter((l) => l.jobId === logLine.jobId && l.at === logLine.at)
    : [logLine];
  for (const l of together) {
    const body: EntryBody = { kind: 'retime', target: l.id, to: Math.round(to) };
    useLive.getState().log(body, at);
  }
}
