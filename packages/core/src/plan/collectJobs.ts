/** The jobs of all pits on one clock: ahead of the fire, at the pits, at the table, and in the shop. */
import { localOf, MINUTE_MS } from '../quantity/time';
import type { PlanJob } from './document/plan';
import type { Shopping } from './document/facts';
import type { Amount, Request } from './request/types';
import { numbered, type JobDraft } from './jobs/job';
import { jobsAt } from './jobs/jobs';
import { beforeBed, isNight } from './jobs/night';
import { prepareJobs, shopJob } from './jobs/prepare';
import type { PlannedPit, PlanClock } from './plannedPit';
import { numberOfMeat } from './request/amount';
import { courseOf, servedMs } from './schedule/schedule';

/** A job with its minute on the plan's clock. */
type ClockedJob = PlanJob & { clockMin: number };

/** All jobs in order of time, and what each meat needs ahead of going on, min. */
export function collectJobs(
  request: Request,
  parts: readonly PlannedPit[],
  amounts: readonly Amount[],
  fetch: Shopping[],
  clock: PlanClock,
  nowMs: number,
): { jobs: ClockedJob[]; leadMin: number[] } {
  const { zeroMs, zone } = clock;
  const jobs: ClockedJob[] = [];
  const leadMin = request.meats.map(() => 0);
  const numbers = request.meats.map((_, i) => numberOfMeat(request.meats, i));
  parts.forEach((part, k) => {
    const { cook } = part;
    const litMs = clock.litMs[k]!;
    const pit = parts.length > 1 ? cook.setup.pit.id : undefined;
    part.index.forEach((i, n) => {
      const meat = request.meats[i]!;
      const name = (job: string): string => (n === 0 ? job : `${job}-${meat.id}`);
      const ahead = prepareJobs(meat, part.pieces[n]!, cook.onMin[n]!, name, (min) =>
        beforeBed(litMs + min * MINUTE_MS, nowMs, zone),
      );
      leadMin[i] = ahead.leadMin;
      addJobs(jobs, numbered(ahead.jobs, numbers[i]), litMs, clock, pit);
    });
    const onPit = part.index.map((i) => request.meats[i]!);
    const told = part.index.map((i) => numbers[i]);
    const atPit = jobsAt(cook, onPit, part.pieces, told, pit);
    // Nobody gets up for another chunk (common practice: the first half of the smoke is what counts).
    const awake = atPit.filter(
      (j) => j.facts.kind !== 'smoke-again' || !isNight(litMs + j.atMin * MINUTE_MS, zone),
    );
    addJobs(jobs, awake, litMs, clock, pit);
  });
  addJobs(jobs, servingJobs(request, amounts, jobs, clock), zeroMs, clock);
  // What thaws is there already: everything else has to be fetched before it is begun.
  const begun = jobs.filter((j) => !j.id.startsWith('thaw')).map((j) => j.clockMin);
  const begunMs = zeroMs + Math.min(...begun) * MINUTE_MS;
  addJobs(jobs, shopJob(fetch, begunMs, nowMs, zone, zeroMs), zeroMs, clock);
  return { jobs: jobs.sort((a, b) => a.clockMin - b.clockMin), leadMin };
}

/** Adds jobs whose minutes count from `litMs`; with the name of their pit where there are several. */
function addJobs(
  jobs: ClockedJob[],
  drafts: readonly JobDraft[],
  litMs: number,
  { zeroMs, zone }: PlanClock,
  pit?: string,
): void {
  for (const d of drafts) {
    const ms = litMs + d.atMin * MINUTE_MS;
    const id = pit && jobs.some((j) => j.id === d.id) ? idAt(d.id, pit) : d.id;
    jobs.push({
      ...d,
      id,
      ...(pit ? { pit } : {}),
      at: localOf(ms, zone),
      clockMin: (ms - zeroMs) / MINUTE_MS,
    });
  }
}

/** The id of a job that stands at more than one pit. */
const idAt = (job: string, pit: string): string => `${job}@${pit}`;

/** The meals of a request: its courses in order, the main one last. */
function servings(request: Request, serveMs: number) {
  const main = { id: 'serve', ms: serveMs, meats: [] as number[] };
  const courses = new Map([['serve', main]]);
  request.meats.forEach((m, i) => {
    const id = courseOf(request, m);
    const course = courses.get(id) ?? { id, ms: servedMs(request, m), meats: [] };
    course.meats.push(i);
    courses.set(id, course);
  });
  return [...courses.values()].sort((x, y) => x.ms - y.ms).filter((s) => s.meats.length > 0);
}

/** The jobs at the table: each course, and the meal itself once its last piece has rested a moment. */
function servingJobs(
  request: Request,
  amounts: readonly Amount[],
  jobs: readonly ClockedJob[],
  { serveMs, zeroMs }: PlanClock,
): JobDraft[] {
  const lastOff = Math.max(...jobs.filter((j) => j.do === 'meat-off').map((j) => j.clockMin));
  return servings(request, serveMs).map(({ id, ms, meats }) => {
    const main = id === 'serve';
    const rawKg = meats.reduce((sum, i) => sum + amounts[i]!.trimmedKg, 0);
    const min = Math.round((ms - zeroMs) / MINUTE_MS);
    const cuts = meats.map((n) => request.meats[n]!.cut);
    return {
      id,
      atMin: main ? Math.max(min, Math.round(lastOff) + 10) : min,
      do: 'serve',
      facts: main
        ? { kind: 'serve', people: request.people, cuts, rawKg }
        : { kind: 'serve-course', cuts, rawKg },
      logs: [],
    };
  });
}
