/** A reading by hand that can hardly be: compared with the last one at its place, and what was probably meant. */
import type { EntryBody, LogLine } from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';

export type ReadBody = Extract<EntryBody, { kind: 'read' }>;
/** A place that can be read. */
export type Spot = Pick<ReadBody, 'spot' | 'meat' | 'muscle'>;

/** A reading at an instant, C and epoch ms. */
export interface LastReading {
  c: number;
  at: number;
}

/** A reading this old says nothing about the next, min. */
const OLD_MIN = 90;
/**
 * A fire that burns changes by less, K, from this reading on, C: one that is coming up climbs by more. The middle of a
 * piece climbs by less, K and K a minute, and falls by less (common practice: a rest loses about 5 in half an hour).
 */
const PIT = { fromC: 80, byK: 70 };
const MEAT = { riseK: 10, riseKPerMin: 1, fallK: 10 };
/** What was meant lies this near the last reading, in the reader's degrees. */
const MEANT_WITHIN = 40;

/** A place as one text. */
export const keyOf = ({ spot, meat, muscle }: Spot): string => [spot, meat, muscle].join('/');

/** The last reading by hand at a place before an instant; null where there is none. */
export function lastReading(
  lines: readonly LogLine[],
  spot: Spot,
  beforeMs: number,
): LastReading | null {
  const line = lines.findLast(
    ({ at, body }) => body.kind === 'read' && at < beforeMs && keyOf(body) === keyOf(spot),
  );
  return line?.body.kind === 'read' ? { c: line.body.c, at: line.at } : null;
}

/** Whether a reading of `c`, C, at `atMs` can hardly be after the last one. */
export function isSurprising(
  { spot }: Spot,
  c: number,
  atMs: number,
  last: LastReading | null,
): boolean {
  if (!last) return false;
  const min = (atMs - last.at) / MINUTE_MS;
  if (min > OLD_MIN) return false;
  const byK = c - last.c;
  return spot === 'meat'
    ? byK > MEAT.riseK + MEAT.riseKPerMin * min || byK < -MEAT.fallK
    : last.c > PIT.fromC && Math.abs(byK) > PIT.byK;
}

/** Digits in every order. */
const orders = (digits: string): string[] =>
  digits.length < 2
    ? [digits]
    : [...digits].flatMap((d, i) =>
        orders(digits.slice(0, i) + digits.slice(i + 1)).map((rest) => d + rest),
      );

/**
 * What was probably meant by `typed`, whole degrees: its digits in another order, or without one that was typed twice,
 * whichever lies nearest to the last reading; null where none lies near.
 */
export function meantBy(typed: number, last: number): number | null {
  const digits = String(Math.abs(typed));
  const dropped = [...digits].map((_, i) => digits.slice(0, i) + digits.slice(i + 1));
  const nearest = [...orders(digits), ...dropped]
    .filter((text) => text !== '' && !text.startsWith('0') && Number(text) !== typed)
    .map(Number)
    .sort((a, b) => Math.abs(a - last) - Math.abs(b - last))[0];
  return nearest !== undefined && Math.abs(nearest - last) <= MEANT_WITHIN ? nearest : null;
}
