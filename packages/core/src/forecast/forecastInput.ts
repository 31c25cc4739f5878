/** A cook under way as the core is asked about it: the same in a phone and in the server. */
import type { PlanJob } from '../plan/document/plan';
import { pitOf, leadMeat, type PitPlan } from '../plan/document/pitPlan';
import { seedFrom } from '../quantity/random';
import { MINUTE_MS } from '../quantity/time';
import type { Action } from '../scenario/actions';
import { weatherReadings, type ReadingRow } from '../instruments/readings';
import { thinned } from '../instruments/steps';
import type { ForecastInput } from './likelyCooks';
import { fedUntil, jobsLeft } from '../log/feeds';
import { actionsOf, type Log } from '../log/log';
import { feltTender, smokeLooks, weatherSeen } from '../log/looks';

/** Likely cooks behind a forecast. */
const MEMBERS = 12;
/** Looked ahead so far at least, min, however long the cook has taken. */
const LOOK_AHEAD_MIN = 300;

/** Spraying, brushing and baring go by rules of the piece; a pit is shut down once its meat is off, and not by the clock. */
const LEFT_OUT = new Set<PlanJob['do']>(['shut-down', 'spritz', 'sauce', 'unwrap']);

/** What jobs do, at their minutes. */
export const actionsOfJobs = (jobs: readonly PlanJob[]): Action[] =>
  jobs
    .filter((j) => !LEFT_OUT.has(j.do))
    .flatMap((j) => j.logs.map((a) => ({ ...a, atMin: j.atMin })));

/** What the core needs to look ahead from `now`; `lit` is when the fire was lit, `piece` the one that is asked about. */
export function forecastInput(
  id: string,
  plan: Pick<PitPlan, 'request' | 'scenarios' | 'jobs'>,
  log: Log,
  readings: readonly ReadingRow[],
  lit: number,
  now: number,
  piece = leadMeat(plan).id,
): ForecastInput {
  const told = thinned(readings);
  const nowMin = Math.max(0, (now - lit) / MINUTE_MS);
  const planned = plan.scenarios[0];
  // No cook ends by a planned minute.
  const untilMin = Math.max(planned.untilMin, Math.ceil(nowMin) + LOOK_AHEAD_MIN);
  return {
    scenario: { ...planned, untilMin },
    done: actionsOf(log, lit),
    ahead: actionsOfJobs(fedUntil(jobsLeft(plan, log, now), untilMin)),
    nowMin,
    readings: told
      .filter((r) => r.at >= lit && r.at <= now)
      .map(({ at, pitC, coreC, domeC, fanDuty }) => ({
        atMin: (at - lit) / MINUTE_MS,
        pitC,
        coreC,
        domeC,
        fanDuty,
      })),
    weather: [...weatherReadings(told, lit), ...weatherSeen(log, lit)].sort(
      (a, b) => a.atMin - b.atMin,
    ),
    felt: feltTender(log, piece, lit),
    smoke: smokeLooks(log, lit),
    piece,
    bandK: pitOf(plan).pace.bandC,
    members: MEMBERS,
    seed: seedFrom(id),
  };
}
