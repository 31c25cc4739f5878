/** A plan as a calendar (RFC 5545) with alarms. Loaded only when somebody takes a plan along. */
import { epochOf, MINUTE_MS } from '@ostrin/core/quantity';
import { ringingLines, type WordedPlan } from '@ostrin/wording';
import { createEvents, type EventAttributes } from 'ics';

/** A job takes so many minutes in the calendar, and its alarm rings so many before it. */
const EVENT_MIN = 10;
const ALARM_MIN = 5;

/** Every time of a round rings by itself (RFC 5545, 3.3.10). */
const ruleOf = ({ count, everyMin }: { count: number; everyMin: number }): string =>
  `FREQ=MINUTELY;INTERVAL=${everyMin};COUNT=${count}`;

/** Versions count from here, so that they fit in 32 bits for a lifetime, epoch ms. */
const FIRST_VERSION_MS = Date.UTC(2026, 0, 1);

/**
 * The calendar's text. Its jobs are known by `key`: one made later (`stamp`, epoch ms) under the same key takes the place of
 * an earlier one, job by job (RFC 5545, 3.8.4.7 and 3.8.7.4). Throws Error when a line cannot be written.
 */
export function calendarOf(plan: WordedPlan, title: string, key: string, stamp: number): string {
  const zone = plan.request.timeZone;
  const sequence = Math.max(0, Math.floor((stamp - FIRST_VERSION_MS) / 1000));
  const events = ringingLines(plan).map((line): EventAttributes => {
    const startMs = Math.round(epochOf(line.at, zone) / MINUTE_MS) * MINUTE_MS;
    return {
      uid: `${line.job}.${key}@ostrin`,
      sequence,
      start: startMs,
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: EVENT_MIN },
      ...(line.round ? { recurrenceRule: ruleOf(line.round) } : {}),
      title: line.inWords,
      description: line.detail,
      calName: title,
      productId: 'ostrin/plan',
      created: stamp,
      lastModified: stamp,
      alarms: [
        {
          action: 'display',
          description: line.inWords,
          trigger: { minutes: ALARM_MIN, before: true },
        },
      ],
    };
  });
  const { error, value } = createEvents(events);
  if (error || !value) throw new Error(`The calendar could not be made: ${error?.message ?? ''}`);
  return value;
}
