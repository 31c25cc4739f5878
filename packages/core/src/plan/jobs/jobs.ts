/** The jobs of a plan: what to do, when, as codes and figures, and what "done" writes into the log. */
import { fireJobs, shutJob } from './fireJobs';
import { lastOffMin, numbered, windowOf, type JobDraft } from './job';
import { meatJobs } from './meatJobs';
import { smokeJobs } from './smokeJobs';
import { turnJobs } from './turnJobs';
import type { PitSchedule } from '../schedule/pitSchedule';
import type { RequestMeat } from '../request/types';

/** All jobs at one pit in order of time. `meats`, `pieces` and the numbers that tell those of one cut apart are those on this pit, in the plan's order. */
export function jobsAt(
  plan: PitSchedule,
  meats: readonly RequestMeat[],
  pieces: readonly number[],
  numbers: readonly (number | undefined)[],
  pit?: string,
): JobDraft[] {
  const last = lastOffMin(plan);
  const off = { firstMin: Math.max(...plan.readyMin.map((r) => windowOf(r)[0])), lastMin: last };
  const drafts = [
    ...fireJobs(plan, off, meats),
    ...meats.flatMap((m, i) => numbered(meatJobs(plan, m, i, pieces[i]!), numbers[i])),
    ...turnJobs(plan, meats, pieces, numbers),
    ...smokeJobs(plan),
    shutJob(plan, last),
  ];
  return drafts
    .map((d) => ({ ...d, atMin: Math.round(d.atMin), ...(pit ? { pit } : {}) }))
    .sort((a, b) => a.atMin - b.atMin);
}
