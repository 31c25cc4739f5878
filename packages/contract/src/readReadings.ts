/** Readings from outside, checked a part at a time, and the times that what belongs to a cook can have. */
import { DAY_MS } from '@ostrin/core/quantity';
import { ReadingsDto } from './cook';
import { plainOf } from './plain';
import type { FieldProblem } from './problems';
import type { Reading } from './types';
import { invalid, validate, type Checked } from './validate';

/** Preparation begins this long before a cook's planned lighting at most: the longest brine, and a day. */
const BEFORE_COOK_MS = 15 * DAY_MS;
/** What is dated later than this after the planned lighting does not belong to the cook. */
const AFTER_COOK_MS = 31 * DAY_MS;

/** The times that an entry or a reading of a cook can have, epoch ms. */
export const cookSpanMs = (startMs: number): readonly [number, number] => [
  startMs - BEFORE_COOK_MS,
  startMs + AFTER_COOK_MS,
];

/** Problem with a time of a cook, or nothing. */
export function timeProblems(startMs: number, at: number, field: string): FieldProblem[] {
  const [from, to] = cookSpanMs(startMs);
  if (at >= from && at <= to) return [];
  const day = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
  return [{ field, message: `must be a time of this cook, from ${day(from)} to ${day(to)}` }];
}

/** Readings that are checked in one go: a week of one a second would fill the memory with instances of their class. */
const PART = 5_000;

/** Readings of a cook that began at `startMs`, after `before` others, of which the last was at `afterMs`. */
export function readReadings(
  plain: readonly unknown[],
  { startMs, before, afterMs }: { startMs: number; before: number; afterMs: number },
): Checked<Reading[]> {
  const readings: Reading[] = [];
  for (let from = 0; from < plain.length; from += PART) {
    const part = validate(ReadingsDto, { readings: plain.slice(from, from + PART) });
    const at = (i: number): string => `readings[${before + from + i}]`;
    if (!part.ok) {
      const moved = (field: string): string =>
        field.replace(/^readings\[(\d+)\]/, (_, i: string) => at(Number(i)));
      return invalid(part.problems.map((p) => ({ ...p, field: moved(p.field) })));
    }
    const problems = plainOf<Reading[]>(part.value.readings).flatMap((r, i): FieldProblem[] => {
      const last = readings.at(-1)?.at ?? afterMs;
      readings.push(r);
      return [
        ...(r.at <= last
          ? [{ field: `${at(i)}.at`, message: 'must come after the one before' }]
          : []),
        ...timeProblems(startMs, r.at, `${at(i)}.at`),
      ];
    });
    if (problems.length > 0) return invalid(problems);
  }
  return { ok: true, value: readings };
}
