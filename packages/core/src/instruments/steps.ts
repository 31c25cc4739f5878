/**
 * Long records in steps: what lies further back is given less often. A pit moves in minutes, and a week at one reading a
 * second is more than a page can draw or a forecast can use. What is left out is still kept, and shown where it is asked for.
 */
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../quantity/time';
import type { ReadingRow } from './readings';

/** Instruments that read every second are asked about this often only, ms. */
const THINNED_MS = 15_000;

/** A record of more values than this is given in steps: four probes every fifteen seconds for most of a day. */
export const MOST_VALUES = 16_000;

/** How often a value is told, ms, by how long before the last reading it was, ms; the latest first. */
export const STEPS: readonly { untilAgoMs: number; stepMs: number }[] = [
  { untilAgoMs: 2 * HOUR_MS, stepMs: THINNED_MS },
  { untilAgoMs: DAY_MS, stepMs: MINUTE_MS },
  { untilAgoMs: Infinity, stepMs: 10 * MINUTE_MS },
];

/** The step of a moment so long before the last reading, ms. */
const stepAt = (agoMs: number): number => STEPS.find((s) => agoMs <= s.untilAgoMs)!.stepMs;

const known = (channels: object): string[] =>
  Object.entries(channels).flatMap(([key, value]) =>
    value === null || value === undefined ? [] : [key],
  );

/** What a row tells of the pit and of one piece, by its channels. */
const channelsOf = ({ pitC, coreC, domeC, fanDuty, weather }: ReadingRow): string[] =>
  known({ pitC, coreC, domeC, fanDuty, ...weather });

/** What a row tells of the pit and of all pieces. */
const allChannelsOf = (row: ReadingRow): string[] => [
  ...channelsOf(row),
  ...known(row.meatC ?? {}),
];

/** Whether a row tells anything at all: every thermometer may be silent at once. */
export const isTelling = (row: ReadingRow): boolean => allChannelsOf(row).length > 0;

/** Rows that tell what no other of their step told before; `readings` are in order of time. */
function withSteps(
  readings: readonly ReadingRow[],
  stepOf: (at: number) => number,
  tells: (row: ReadingRow) => string[],
): ReadingRow[] {
  let span = '';
  const told = new Set<string>();
  return readings.filter((row) => {
    const step = stepOf(row.at);
    const here = `${step} ${Math.floor(row.at / step)}`;
    if (here !== span) told.clear();
    span = here;
    const before = told.size;
    for (const channel of tells(row)) told.add(channel);
    return told.size > before;
  });
}

/** Rows of one piece with at most one of each channel in fifteen seconds, the first. */
export const thinned = (readings: readonly ReadingRow[]): ReadingRow[] =>
  withSteps(readings, () => THINNED_MS, channelsOf);

/**
 * A record as it is kept: in steps, where it has more values than a page and a forecast can use, and without rows that tell
 * nothing.
 */
export function inSteps(readings: readonly ReadingRow[]): ReadingRow[] {
  let values = 0;
  const telling = readings.filter((r) => {
    const told = allChannelsOf(r).length;
    values += told;
    return told > 0;
  });
  if (values <= MOST_VALUES) return telling;
  const last = telling.at(-1)!.at;
  return withSteps(telling, (at) => stepAt(last - at), allChannelsOf);
}
