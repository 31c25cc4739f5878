/** Why a piece is earlier or later than planned: what the pit did, or the piece itself. */
import type { Plan, PlanJob } from '../plan/document/plan';
import { MINUTE_MS } from '../quantity/time';
import { mean } from '../quantity/statistics';
import type { Forecast } from './forecast';
import type { ReadingRow } from './handReadings';
import { deedAtMs, type Log } from './log';

/** How far off the plan the first piece is, and why. */
export interface OffPlan {
  /** Later than planned (+) or earlier (-), min. */
  byMin: number;
  /** What the pit read over its target since the meat went on, mean, K. */
  pitOffK: number;
  /** What explains it: the pit ran otherwise, or the piece is thicker or thinner than planned or takes heat otherwise. */
  because: 'hotter-pit' | 'colder-pit' | 'slower-piece' | 'faster-piece';
}

/** Less than this off the plan is no news, min; a mean this far off the target explains it, K. */
const WORTH = { min: 20, pitK: 3 };

/** Null while there is nothing to explain: no forecast, no meat on, or near enough to the plan. */
export function offPlan(
  plan: Pick<Plan, 'request'> & { jobs: readonly Pick<PlanJob, 'id' | 'atMin'>[] },
  log: Log,
  readings: readonly ReadingRow[],
  forecast: Pick<Forecast, 'readyMin'> | null,
): OffPlan | null {
  const planned = plan.jobs.find((j) => j.id === 'off')?.atMin;
  const onMs = deedAtMs(log, 'meat-on');
  if (!forecast?.readyMin || planned === undefined || onMs === null) return null;
  const byMin = forecast.readyMin[1] - planned;
  if (Math.abs(byMin) < WORTH.min) return null;
  const { pitC: targetC } = plan.request.pits[0]!.pace;
  const since = readings.flatMap(({ at, pitC }) =>
    at > onMs + WORTH.min * MINUTE_MS && pitC !== null ? [pitC - targetC] : [],
  );
  const pitOffK = since.length === 0 ? 0 : mean(since);
  const late = byMin > 0;
  // A pit explains it only where it was off to that side.
  const byPit = late ? pitOffK <= -WORTH.pitK : pitOffK >= WORTH.pitK;
  return {
    byMin,
    pitOffK,
    because: byPit ? (late ? 'colder-pit' : 'hotter-pit') : late ? 'slower-piece' : 'faster-piece',
  };
}
