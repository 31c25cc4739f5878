/** What to do with a piece that came off, in words. */
import { HOLD_ABOVE_C } from '@ostrin/core/catalogue';
import type { Units } from '@ostrin/core/quantity';
import type { AfterOff, NotSafe } from '@ostrin/core/tending';
import { REST_WORDS } from './places';
import { firstStageWords } from './plan/holds';
import { spanOfTime, temperatureWords } from './quantities';

/** A piece on the counter is down to its middle within this, min (this engine, a whole brisket: 105). */
const MOST_FIRST_MIN = 120;

/** An oven that finishes a piece soon, C (common practice). */
const OVEN_C = 150;

/** The clock: an instant as a time of the day. */
type Clock = (ms: number) => string;

/** What is to be done now with a piece that came off, in two or three short sentences. */
export function afterOffWords(a: AfterOff, nowMs: number, clock: Clock, units: Units): string {
  if (a.notSafe?.why === 'cool') return notSafeWords(a.notSafe, units);
  const waits = waitWords(a, nowMs, clock, units);
  return a.notSafe ? `${notSafeWords(a.notSafe, units)} ${waits}` : waits;
}

/** What is not safe about a piece, and what to do. */
export function notSafeWords(unsafe: NotSafe, units: Units): string {
  const safe = temperatureWords(unsafe.safeC, units);
  return unsafe.why === 'cool'
    ? `Not safe to eat: its middle read ${temperatureWords(unsafe.coreC, units)} at most. Put it back on, or finish it in an oven at ${temperatureWords(OVEN_C, units)}, until its middle reads ${safe}: log that reading.`
    : `No recent reading of its middle: check that it reads ${safe} before anyone eats it.`;
}

/** Its rest, and until when it holds. */
function waitWords(a: AfterOff, nowMs: number, clock: Clock, units: Units): string {
  const sinceMin = (nowMs - a.offMs) / 60_000;
  const cold = temperatureWords(HOLD_ABOVE_C, units);
  if (a.coldMs !== null && nowMs >= a.coldMs) {
    return `Its middle is under ${cold}: it is not held any more. Eat it now, heat it again, or cut it small and cool it.`;
  }
  const until = a.coldMs === null ? a.bestUntilMs : Math.min(a.bestUntilMs, a.coldMs);
  const end =
    a.coldMs !== null && a.coldMs < a.bestUntilMs
      ? `About ${clock(a.coldMs)} its middle falls under ${cold}: eat it before.`
      : `It holds well until about ${clock(until)}.`;
  if (a.first && sinceMin < (a.first.minutes ?? MOST_FIRST_MIN)) {
    const stands =
      a.first.minutes === undefined
        ? `Leave it ${firstStageWords(a.first, units)}`
        : `Let it stand ${a.first.where === 'open' ? 'open' : REST_WORDS[a.first.where]} for ${spanOfTime(a.first.minutes - sinceMin)} more, until it stops steaming`;
    return `${stands}, or it goes on cooking. Then ${REST_WORDS[a.where]}. ${end}`;
  }
  return nowMs < a.restedMs
    ? `Resting ${REST_WORDS[a.where]} for ${spanOfTime(sinceMin)} now; rested ${clock(a.restedMs)}. ${end}`
    : `Rested since ${clock(a.restedMs)}. ${end}`;
}
