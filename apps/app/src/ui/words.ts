/** Times and temperatures as the page says them. */
import { fromC, localOf, MINUTE_MS, type Units } from '@ostrin/core/quantity';

/** Names a part of the day that a wall-clock text is on. */
const naming = (options: Intl.DateTimeFormatOptions): ((local: string) => string) => {
  const names = new Intl.DateTimeFormat('en-US', { timeZone: 'UTC', ...options });
  return (local) => names.format(new Date(`${local.slice(0, 10)}T00:00Z`));
};
const shortDay = naming({ weekday: 'short' });
const longDay = naming({ weekday: 'long' });
const shortMonth = naming({ month: 'short' });
const dayOfMonth = (local: string): number => Number(local.slice(8, 10));

/** A text whose figures are not parted from their units at the end of a line. */
export const keepUnitsTogether = (text: string): string =>
  text
    .replace(/([\d½¼¾]) (?=(?:h|min|kg|g|lb|oz|°C|°F|cm|mm)\b)/g, '$1\u00a0')
    .replace(/(\dh|\d\u00a0h) (?=\d)/g, '$1\u00a0');

/** The time zone of this device. */
export const deviceZone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** `18:30`. */
export const clockOf = (local: string): string => local.slice(11, 16);
const FIVE_MIN_MS = 5 * MINUTE_MS;
/** `15:05`: an instant of a forecast, epoch ms, as sure as it is: to five minutes. */
export const roughClock = (ms: number, zone: string): string =>
  clockOf(localOf(Math.round(ms / FIVE_MIN_MS) * FIVE_MIN_MS, zone));
/** `Sat 15 May`. */
export const dayOf = (local: string): string =>
  `${shortDay(local)} ${dayOfMonth(local)} ${shortMonth(local)}`;
/** `Saturday 15 May`; day and month stay on one line. */
export const weekdayOf = (local: string): string =>
  `${longDay(local)} ${dayOfMonth(local)}\u00a0${shortMonth(local)}`;
/** `18:30 Sat`. */
export const clockAndDay = (local: string): string => `${clockOf(local)} ${shortDay(local)}`;

/** A time in `zone` as seen from `nowMs`: `18:30`, with its day where that is another one; epoch ms. */
export function clockFrom(ms: number, nowMs: number, zone: string): string {
  const local = localOf(ms, zone);
  return local.slice(0, 10) === localOf(nowMs, zone).slice(0, 10)
    ? clockOf(local)
    : clockAndDay(local);
}

/** `121°` in the user's unit, whole. */
export const degrees = (c: number | null | undefined, units: Units): string =>
  c === null || c === undefined ? '–' : `${Math.round(fromC(c, units.temperature))}°`;

const QUARTER = ['shut', '¼', '½', '¾', 'open'];
/** A vent as a fraction sign. */
export const quarter = (fraction: number): string => QUARTER[Math.round(fraction * 4)] ?? 'shut';
