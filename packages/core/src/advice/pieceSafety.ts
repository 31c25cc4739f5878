/** Whether a piece that came off was ever hot enough to be eaten, by what was read of its middle. */
import { safetyKindOf } from '../cook/foodSafety';
import { cutOf } from '../meat/cuts';
import type { SafetyKind } from '../meat/cut';
import { wishedC } from '../meat/usualTreatment';
import type { RequestMeat } from '../plan/request/types';
import type { ReadingRow } from '../instruments/readings';
import { MINUTE_MS } from '../quantity/time';
import {
  INTACT_SAFE_C,
  logReductionsPerMin,
  SAFE_C,
  SAFE_LOG_REDUCTION,
} from '../safety/lethality';

/** What is not safe about a piece that came off. */
export type NotSafe =
  /** Its middle never read more than this, C, and is safe from `safeC` on. */
  | { why: 'cool'; coreC: number; safeC: number }
  /** Nobody read its middle when it came off, or shortly before: it is safe from `safeC` on. */
  | { why: 'not-read'; safeC: number };

/** Between two readings further apart than this nothing is credited, min. */
const MOST_GAP_MIN = 60;
/** A roast is pulled within so much of the middle that was wished for, K. */
const PULLED_WITHIN_K = 3;

/** A middle may have warmed so fast since it was read, K/min (our figure: a bird in a hot pit), if it was warmer than this, C. */
const SINCE_READ = { perMinK: 0.5, rawC: 40 };

const safeFromC = (kind: SafetyKind): number => (kind === 'red' ? INTACT_SAFE_C : SAFE_C[kind]);

/** Log reductions between readings, each pair at the lower of its two. */
function creditedLog(read: readonly { at: number; c: number }[]): number {
  let log = 0;
  for (let i = 1; i < read.length; i++) {
    const min = (read[i]!.at - read[i - 1]!.at) / MINUTE_MS;
    if (min <= MOST_GAP_MIN) log += min * logReductionsPerMin(Math.min(read[i]!.c, read[i - 1]!.c));
  }
  return log;
}

/**
 * What is not safe about a piece by its readings, in order of time (`coreC` is its own), those after it came off included;
 * null where it was hot enough, felt tender, or was to be eaten rarer than that and got there. `offMs` is when it came off,
 * epoch ms; with its last reading when left out.
 */
export function notSafe(
  { cut, injected, done }: Pick<RequestMeat, 'cut' | 'injected' | 'done'>,
  readings: readonly ReadingRow[],
  feltTender = false,
  offMs?: number,
): NotSafe | null {
  const kind = safetyKindOf(cutOf(cut), injected);
  // No piece is tender that was not hot for long.
  if (feltTender && kind === 'red') return null;
  const safeC = safeFromC(kind);
  const read = readings.flatMap(({ at, coreC }) => (coreC === null ? [] : [{ at, c: coreC }]));
  if (read.length === 0) return { why: 'not-read', safeC };
  const coreC = read.reduce((hottest, { c }) => Math.max(hottest, c), -Infinity);
  if (coreC >= safeC) return null;
  if (kind === 'red' && creditedLog(read) >= SAFE_LOG_REDUCTION) return null;
  // Whoever wished for a rare roast was told so by its plan.
  if (kind === 'red' && coreC >= (wishedC(done) ?? Infinity) - PULLED_WITHIN_K) return null;
  const lastMs = read.at(-1)!.at;
  const sinceMin = Math.max((offMs ?? lastMs) - lastMs, 0) / MINUTE_MS;
  // What was read long before it came off may be done by then, unless it was raw.
  return coreC >= SINCE_READ.rawC && coreC + SINCE_READ.perMinK * sinceMin >= safeC
    ? { why: 'not-read', safeC }
    : { why: 'cool', coreC, safeC };
}
