/** The hours in which people sleep, and what is kept out of them. */
import { localOf, MINUTE_MS } from '../../quantity/time';

/** From this hour to that one people sleep (common practice). */
const NIGHT_H = { from: 22, to: 6 };

/** Whether people sleep at that hour of the day. */
const isAsleep = (hour: number): boolean => hour < NIGHT_H.to || hour >= NIGHT_H.from;

/** Whether people sleep then. */
export const isNight = (ms: number, zone: string): boolean =>
  isAsleep(Number(localOf(ms, zone).slice(11, 13)));

/** How much earlier a job that only waits is begun so that nobody gets up for it, min; 0 by day, or where that has passed. */
export function beforeBed(ms: number, nowMs: number, zone: string): number {
  const [hour, minute] = localOf(ms, zone).slice(11).split(':').map(Number) as [number, number];
  if (!isAsleep(hour)) return 0;
  const early = ((hour - NIGHT_H.from + 24) % 24) * 60 + minute;
  return ms - early * MINUTE_MS >= nowMs ? early : 0;
}
