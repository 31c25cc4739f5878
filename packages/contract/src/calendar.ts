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

/** The calendar's text. `stamp` is when it was made, epoch ms. Throws Error when a line cannot be told. */
export function calendarOf(plan: WordedPlan, title: string, stamp: number): string {
  const zone = plan.request.timeZone;
  const events = ringingLines(plan).map((line, i): EventAttributes => {
    const startMs = Math.round(epochOf(line.at, zone) / MINUTE_MS) * MINUTE_MS;
    return {
      uid: `${plan.lightAt}-${i}-${line.at}@ostrin`.replaceAll(':', ''),
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
