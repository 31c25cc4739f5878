/** The hours in which people sleep, and what is kept out of them. */
import { localOf, MINUTE_MS } from '../../quantity/time';
import type { PlannedRule } from '../document/rule';

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

/** A night's looks are put off in steps of so much, min. */
const NIGHT_STEP_MIN = 15;

/**
 * When the next look is due, epoch ms. By night nobody is woken for one that the pit can do without: it waits as long as the
 * plan says that a settled pit may be left alone, or for the morning.
 */
export function nextLookMs(
  { everyMin, aloneMin }: Pick<PlannedRule, 'everyMin' | 'aloneMin'>,
  lastMs: number,
  zone: string,
): number {
  const dueMs = lastMs + everyMin * MINUTE_MS;
  const latestMs = lastMs + Math.max(everyMin, aloneMin ?? 0) * MINUTE_MS;
  let ms = dueMs;
  while (isNight(ms, zone) && ms < latestMs) ms += NIGHT_STEP_MIN * MINUTE_MS;
  return Math.max(dueMs, Math.min(ms, latestMs));
}

/** When a pit is looked at by its rule from `firstMs` to `lastMs`, epoch ms. */
export function lookTimesMs(
  rule: Parameters<typeof nextLookMs>[0],
  [firstMs, lastMs]: readonly [number, number],
  zone: string,
): number[] {
  const times: number[] = [];
  for (let ms = firstMs; ms <= lastMs; ms = nextLookMs(rule, ms, zone)) times.push(ms);
  return times;
}
