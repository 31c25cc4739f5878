/** When the jobs of a cook under way are due, and which come next. */
import type { PlanJob } from '../plan/document/plan';
import type { PitPlan } from '../plan/document/pitPlan';
import { epochOf, MINUTE_MS } from '../quantity/time';
import type { Forecast } from './forecast';
import { jobsLeft } from '../log/feeds';
import { deedAtMs, type Log } from '../log/log';

/** What of a plan decides when its jobs are due. */
type JobPlan = Pick<PitPlan, 'serveAt' | 'request' | 'jobs'>;

/** What the times of jobs hang on. */
export interface JobClock {
  /** When the fire was lit, or is expected to be, epoch ms. */
  zeroMs: number;
  /** When people sit down, epoch ms, where that was moved. */
  serveMs?: number | null;
  /** When the bark of the first piece says that it may be wrapped, epoch ms; null or left out where nobody looked. */
  wrapByBarkMs?: number | null;
  /** When the pit is where its vents are closed down, epoch ms; null or left out where that is not known. */
  closeMs?: number | null;
  /** How much later than planned the first piece went on, ms; 0 or left out where it did not, or is not on. */
  onLateMs?: number;
  /** When the last piece came off, epoch ms; null or left out while any lies in the pit. */
  allOffMs?: number | null;
  /** What is expected from here; null where that is not known yet. */
  forecast: Pick<Forecast, 'wrapMin' | 'readyMin'> | null;
}

/** A job with its time on the cook's clock, epoch ms. */
export interface DueJob {
  job: PlanJob;
  ms: number;
}

const JOBS_THAT_FOLLOW_THE_MEAT = new Set(['check', 'off', 'shut', 'bare', 'sauce']);

/**
 * Where a job stands on the cook's clock: counted from the real lighting once it is lit, moved with the forecast when
 * it waits for the meat, and with the pit where it waits for that. People sit down when they were asked to.
 */
export function jobMs(
  plan: JobPlan,
  job: PlanJob,
  { zeroMs, serveMs, forecast, wrapByBarkMs, closeMs, allOffMs, onLateMs = 0 }: JobClock,
): number {
  if (job.facts.kind === 'hold' && closeMs != null) return closeMs;
  if (job.id === 'serve') return serveMs ?? epochOf(plan.serveAt, plan.request.timeZone);
  if (job.id === 'wrap' && (forecast?.wrapMin || wrapByBarkMs != null)) {
    // Fingers know better than the clock whether the bark holds.
    return wrapByBarkMs ?? zeroMs + forecast!.wrapMin! * MINUTE_MS;
  }
  // Where nothing is expected of the piece yet, its jobs come as long after it went on as was planned.
  const shift =
    job.id === 'wrap'
      ? onLateMs
      : JOBS_THAT_FOLLOW_THE_MEAT.has(job.id)
        ? (readyShiftMs(plan, forecast) ?? onLateMs)
        : 0;
  const ms = zeroMs + job.atMin * MINUTE_MS + shift;
  // A fire that nothing lies over is shut down, whenever that was planned.
  return job.do === 'shut-down' && allOffMs != null ? Math.min(ms, allOffMs) : ms;
}

/** How much later than planned the meat is now expected; null where nothing is expected of it. */
function readyShiftMs(plan: JobPlan, forecast: JobClock['forecast']): number | null {
  const planned = plan.jobs.find((j) => j.id === 'off')?.atMin;
  if (!forecast?.readyMin || planned === undefined) return null;
  return (forecast.readyMin[1] - planned) * MINUTE_MS;
}

/** How much later than planned the first piece went on, ms: 0 where it was earlier, or is not on. */
export function onLateMs(
  { jobs }: { jobs: readonly Pick<PlanJob, 'id' | 'atMin'>[] },
  log: Pick<Log, 'lines'>,
  zeroMs: number,
): number {
  const planned = jobs.find((j) => j.id === 'meat-on')?.atMin;
  const onMs = deedAtMs(log, 'meat-on');
  return planned === undefined || onMs === null
    ? 0
    : Math.max(0, onMs - zeroMs - planned * MINUTE_MS);
}

/** A look at the pit that nobody took for so long is no job any more, min. */
const LOOK_EXPIRES_MIN = 30;

/** Whether a job is only a look at the pit or the meat, with a small thing to do where it is due. */
const isLook = (job: PlanJob): boolean =>
  job.id.startsWith('trim-') || ['spritz', 'turn', 'add-wood'].includes(job.do);

/**
 * Jobs still to do with their times, the next one first. What must come before the fire is lit stands in the order of
 * the plan; a look that was missed is left out.
 */
export function jobsByTime(plan: JobPlan, log: Log, clock: JobClock, nowMs: number): DueJob[] {
  const moved = { ...clock, onLateMs: onLateMs(plan, log, clock.zeroMs) };
  return jobsLeft(plan, log, nowMs)
    .map((job) => ({ job, ms: jobMs(plan, job, moved) }))
    .filter(({ job, ms }) => !isLook(job) || nowMs - ms < LOOK_EXPIRES_MIN * MINUTE_MS)
    .sort((a, b) => a.ms - b.ms);
}
