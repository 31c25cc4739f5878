/** Wall-clock times in a named zone, as `YYYY-MM-DDTHH:mm`, and instants, as epoch milliseconds. */
import { tzOffset } from '@date-fns/tz/tzOffset';

export const MINUTE_MS = 60_000;
export const HOUR_MS = 3_600_000;
export const DAY_MS = 86_400_000;

/** Whether a time zone is known here. */
export const knownZone = (zone: string): boolean => !Number.isNaN(tzOffset(zone, new Date(0)));

/**
 * The instant at which clocks in `zone` show `local`. A time that the spring change skips counts as
 * if the clock had not changed yet; of a time that comes twice in autumn the first is taken.
 * NaN when `local` is not a time.
 */
export function epochOf(local: string, zone: string): number {
  const asUtc = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(local) ? Date.parse(`${local}:00Z`) : NaN;
  if (Number.isNaN(asUtc)) return NaN;
  const before = tzOffset(zone, new Date(asUtc - 24 * HOUR_MS));
  const guess = asUtc - before * MINUTE_MS;
  const there = tzOffset(zone, new Date(guess));
  if (there === before) return guess;
  const other = asUtc - there * MINUTE_MS;
  return tzOffset(zone, new Date(other)) === there ? other : guess;
}

/** What clocks in `zone` show at an instant, to the minute. */
export function localOf(epochMs: number, zone: string): string {
  const offset = tzOffset(zone, new Date(epochMs));
  return new Date(epochMs + offset * MINUTE_MS).toISOString().slice(0, 16);
}
