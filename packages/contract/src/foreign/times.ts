/** Times as other programs write them. */
import { DAY_MS, epochOf, HOUR_MS, MINUTE_MS } from '@ostrin/core/quantity';

/** How a column of times is written. Elapsed times count from a start that somebody says. */
export const TIME_FORMATS = [
  'iso',
  'day-first',
  'month-first',
  'year-first',
  'clock',
  'epoch-s',
  'epoch-ms',
  'elapsed',
  'elapsed-s',
  'elapsed-min',
] as const;
export type TimeFormat = (typeof TIME_FORMATS)[number];

/** Whether a format tells only how long it is since a start, or the time of a day that is not named. */
export const needsStart = (format: TimeFormat): boolean =>
  format.startsWith('elapsed') || format === 'clock';

/** `7:05`, `07:05:30`, `7:05:30.250 pm`. */
const CLOCK = /(\d{1,2}):(\d\d)(?::(\d\d)(?:[.,](\d{1,3})\d*)?)?\s*([ap])?\.?m?\.?/i;
/** Three numbers with something between them. */
const DATE = /(\d{1,4})[./-](\d{1,2})[./-](\d{1,4})/;
const ZONED = /(?:Z|[+-]\d\d:?\d\d)$/;

/** A clock in a text, ms after midnight; null where there is none, or no such time. */
function clockMs(text: string): number | null {
  const found = CLOCK.exec(text);
  if (!found) return null;
  const [, h, m, s = '0', ms = '0', half] = found;
  let hour = Number(h);
  if (half) {
    if (hour < 1 || hour > 12) return null;
    hour = (hour % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  }
  if (hour > 23 || Number(m) > 59 || Number(s) > 59) return null;
  return hour * HOUR_MS + Number(m) * MINUTE_MS + Number(s) * 1000 + Number(ms.padEnd(3, '0'));
}

/** A date in a text as `YYYY-MM-DD`; null where there is none in that order. */
function dateIn(text: string, format: TimeFormat): string | null {
  const found = DATE.exec(text);
  if (!found) return null;
  const [a, b, c] = [found[1]!, found[2]!, found[3]!];
  const order =
    format === 'day-first' ? [c, b, a] : format === 'month-first' ? [c, a, b] : [a, b, c];
  const [y, m, d] = order as [string, string, string];
  if (d.length > 2 || m.length > 2) return null;
  const year = y.length === 4 ? Number(y) : y.length === 2 ? 2000 + Number(y) : NaN;
  if (!(year >= 2000 && year < 2200)) return null;
  const date = `${year}-${m.padStart(2, '0')}-${d.padStart(2, '0')}`;
  const asked = new Date(`${date}T00:00:00Z`);
  return Number.isNaN(asked.getTime()) || asked.toISOString().slice(0, 10) !== date ? null : date;
}

/** A moment of a day in a zone, epoch ms. */
function momentOf(date: string, ms: number, zone: string): number {
  const whole = Math.floor(ms / MINUTE_MS);
  const local = `${date}T${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
  return epochOf(local, zone) + (ms - whole * MINUTE_MS);
}

/** `1:02:30` or `62:30` as ms; null where it is none. */
function spanMs(text: string): number | null {
  const parts = text.replace(',', '.').split(':');
  if (parts.length < 2 || parts.length > 3 || !parts.every((p) => /^\d+(\.\d+)?$/.test(p))) {
    return null;
  }
  const numbers = parts.map(Number);
  const [h, m, s] = parts.length === 3 ? numbers : [numbers[0]!, numbers[1]!, 0];
  return h! * HOUR_MS + m! * MINUTE_MS + s! * 1000;
}

/** A plain number, whichever comma it has; null where it is none. */
function plainNumber(text: string): number | null {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) ? value : null;
}

/** What is known of times that do not say all of it. */
export interface TimeSettings {
  /** Where they were written, for those that do not say. */
  zone: string;
  /** When it began, epoch ms: of elapsed times the start, of clocks the day. */
  startMs: number;
}

/** A time, epoch ms (of clocks: the time on the day of the start); null where the text is none of that format. */
export function timeOf(
  text: string,
  format: TimeFormat,
  { zone, startMs }: TimeSettings,
): number | null {
  switch (format) {
    case 'iso':
    case 'year-first': {
      if (format === 'iso' && ZONED.test(text) && /^\d{4}-/.test(text)) {
        const ms = Date.parse(text);
        return Number.isNaN(ms) ? null : ms;
      }
      return dated(text, 'year-first', zone);
    }
    case 'day-first':
    case 'month-first':
      return dated(text, format, zone);
    case 'clock': {
      if (DATE.test(text)) return null;
      const ms = clockMs(text);
      return ms === null ? null : midnight(startMs, zone) + ms;
    }
    case 'epoch-s':
    case 'epoch-ms': {
      const value = plainNumber(text);
      const ms = value === null ? NaN : format === 'epoch-s' ? value * 1000 : value;
      return ms > 946684800000 && ms < 7258118400000 ? ms : null;
    }
    case 'elapsed': {
      const ms = spanMs(text);
      return ms === null ? null : startMs + ms;
    }
    case 'elapsed-s':
    case 'elapsed-min': {
      const value = plainNumber(text);
      if (value === null || value < 0) return null;
      return startMs + value * (format === 'elapsed-s' ? 1000 : MINUTE_MS);
    }
  }
}

function dated(text: string, format: TimeFormat, zone: string): number | null {
  const date = dateIn(text, format);
  if (!date) return null;
  const rest = text.replace(DATE, ' ');
  return momentOf(date, clockMs(rest) ?? 0, zone);
}

const midnight = (ms: number, zone: string): number => {
  // Noon is on the same day in every zone's clock change.
  const local = new Date(ms);
  const day = [-1, 0, 1]
    .map((d) => new Date(local.getTime() + d * DAY_MS).toISOString().slice(0, 10))
    .map((date) => epochOf(`${date}T00:00`, zone))
    .filter((at) => at <= ms);
  return Math.max(...day);
};

/** Tried in this order; the first that reads nearly all of them, and in order, is taken. */
const GUESSED: readonly TimeFormat[] = [
  'iso',
  'year-first',
  'day-first',
  'month-first',
  'epoch-ms',
  'epoch-s',
  'clock',
  'elapsed',
  'elapsed-s',
];
const SAMPLE = 400;
/** So many of the cells must be times, and so many must come in order. */
const MOST_OF_THEM = 0.7;
const IN_ORDER = 0.9;
/** A clock that goes back by more than this has passed midnight, ms. */
export const PAST_MIDNIGHT_MS = DAY_MS / 2;

/** How a column of times is written; null where it holds none. */
export function guessTimeFormat(
  texts: readonly string[],
  settings: TimeSettings,
): TimeFormat | null {
  const step = Math.max(1, Math.floor(texts.length / SAMPLE));
  const some = texts.filter((t, i) => i % step === 0 && t !== '');
  if (some.length === 0) return null;
  // Half a day twice: with am and pm the month comes first, as where that is written.
  const halves = some.some((t) => /\d\s*[ap]\.?m/i.test(t) && DATE.test(t));
  const tried = halves
    ? (['month-first', ...GUESSED.filter((f) => f !== 'month-first')] as const)
    : GUESSED;
  for (const format of tried) {
    const times = some.map((t) => timeOf(t, format, settings)).filter((t) => t !== null);
    if (times.length < MOST_OF_THEM * some.length) continue;
    const backMs = format === 'clock' ? PAST_MIDNIGHT_MS : Infinity;
    const forward = times.filter(
      (t, i) => i === 0 || t >= times[i - 1]! || times[i - 1]! - t > backMs,
    ).length;
    // A month taken for a day jumps back all the time.
    if (forward >= IN_ORDER * times.length) return format;
  }
  return null;
}
