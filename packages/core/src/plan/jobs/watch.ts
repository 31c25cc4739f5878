/** When somebody must be there, how long nobody need be, and who takes which hours. */
import { localOf, MINUTE_MS } from '../../quantity/time';
import type { Plan, Shift } from '../document/plan';

/** Jobs that nobody stands at the pit for. */
const NOT_AT_PIT = new Set(['serve', 'prepare', 'shop']);
/** Whether somebody stands at the pit for a job. */
export const isAtPit = (job: { do: string }): boolean => !NOT_AT_PIT.has(job.do);

/** Jobs of so many minutes together are one visit. */
const ONE_VISIT_MIN = 6;

/** Minutes at which somebody is at the pit, each visit once; minutes of the plan's clock. */
function visitMinutes(jobs: readonly { do: string; clockMin: number }[]): number[] {
  const times = jobs
    .filter(isAtPit)
    .map((j) => j.clockMin)
    .sort((a, b) => a - b);
  return times.filter((t, i) => i === 0 || t - times[i - 1]! > ONE_VISIT_MIN);
}

/** Visits, the longest stretch without one, and the crew's shifts. */
export function watchOf(
  jobs: readonly { do: string; clockMin: number }[],
  crew: readonly string[],
  zeroMs: number,
  zone: string,
): Plan['watch'] {
  const visits = visitMinutes(jobs);
  let longest = 0;
  for (let i = 1; i < visits.length; i++) longest = Math.max(longest, visits[i]! - visits[i - 1]!);
  return {
    visits: visits.length,
    longestFreeMin: longest,
    shifts: crewShifts(visits, lastAtPit(jobs), crew, zeroMs, zone),
  };
}

/** The last minute at which somebody stands at the pit: the shutdown is within minutes of what comes off last. */
const lastAtPit = (jobs: readonly { do: string; clockMin: number }[]): number =>
  Math.max(...jobs.filter(isAtPit).map((j) => j.clockMin), -Infinity);

/** Equal stretches for each of the crew, handed over where it is quiet. */
function crewShifts(
  visits: readonly number[],
  to: number,
  crew: readonly string[],
  zeroMs: number,
  zone: string,
): Shift[] {
  if (crew.length === 0 || visits.length === 0) return [];
  const from = visits[0]!;
  const ends = crew.map((_, i) => {
    const wish = from + ((to - from) * (i + 1)) / crew.length;
    if (i === crew.length - 1) return to + 1;
    // The middle of the quiet stretch nearest to an even share.
    const gaps = visits.slice(1).map((v, k) => (v + visits[k]!) / 2);
    return gaps.reduce((best, g) => (Math.abs(g - wish) < Math.abs(best - wish) ? g : best), wish);
  });
  const at = (min: number): string => localOf(zeroMs + Math.round(min) * MINUTE_MS, zone);
  return crew.map((name, i) => {
    const start = i === 0 ? from : ends[i - 1]!;
    return {
      name,
      from: at(start),
      to: at(Math.min(ends[i]!, to)),
      visits: visits.filter((v) => v >= start && v < ends[i]!).length,
    };
  });
}
