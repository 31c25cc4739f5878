/** A probe that is no longer in the middle of its piece, by a course that no middle takes. */
import { MINUTE_MS } from '../quantity/time';
import type { ReadingRow } from './readings';

/** How long after its piece went on what a probe reads is not yet of its piece, min. */
const PUT_IN_MIN = 10;
/** A probe that hangs in the pit reads what the pit reads, within this, K: until it was put in it is not out. */
const IN_AIR_K = 20;
/**
 * What a middle may do (our figures): so many K at once, which is another place in it, and so many K a minute, which is
 * more than a sausage gains in a hot pit. None cools in a pit unless a lid is open for long.
 */
const UP = { atOnceK: 12, perMinK: 2 };
const DOWN = { atOnceK: 6, perMinK: 0.2 };
/** How long a course has to be impossible, min: a single value is noise. */
const LASTS_MIN = 2;

/**
 * Since when the probe of a piece is out of it, or lies beside it, epoch ms; null where it is not. `readings` are what came
 * by wire, in order of time, with `coreC` of the piece; `onMs` is when it went on.
 */
export function probeOutMs(readings: readonly ReadingRow[], onMs: number): number | null {
  let trusted: { at: number; c: number } | null = null;
  let since: number | null = null;
  let last = -Infinity;
  let wasIn = false;
  for (const { at, pitC, coreC } of readings) {
    if (coreC === null || at < onMs + PUT_IN_MIN * MINUTE_MS) continue;
    last = at;
    wasIn ||= pitC === null || coreC < pitC - IN_AIR_K;
    if (!wasIn) continue;
    const min = trusted ? (at - trusted.at) / MINUTE_MS : 0;
    const moved: number = trusted ? coreC - trusted.c : 0;
    if (moved > UP.atOnceK + UP.perMinK * min || -moved > DOWN.atOnceK + DOWN.perMinK * min) {
      since ??= at;
    } else {
      trusted = { at, c: coreC };
      since = null;
    }
  }
  return since !== null && last - since >= LASTS_MIN * MINUTE_MS ? since : null;
}
