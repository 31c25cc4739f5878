/** What eyes and hands tell: how tender a piece feels, how its bark holds, what the smoke looks like. */
import type { FeltTender } from '../estimate/feltTenderness';
import type { WeatherReading } from '../estimate/measuredWeather';
import { doneByFeel, type Cut } from '../meat/cut';
import { MINUTE_MS } from '../quantity/time';
import type { LogLine } from './log';
import {
  LOOKS,
  type Look,
  type Muscle,
  type SmokeLook,
  type Verdict,
  type WeatherLook,
} from './lookKinds';

/** How tender a cut can feel: racks of ribs are lifted, other cuts that are done by feel are probed, the rest neither. */
export function tenderVerdicts(cut: Cut): readonly Verdict[] {
  if (!doneByFeel(cut)) return [];
  const [tough, tug, butter, ...rack] = LOOKS.tender;
  return RACKS.includes(cut.id) ? rack : [tough, tug, butter];
}
const RACKS: readonly string[] = ['spare-ribs', 'back-ribs'];

/** Whether a cut has two muscles that are done at different times. */
export const hasTwoMuscles = (cut: Pick<Cut, 'id'>): boolean => cut.id === 'brisket';

/**
 * What counts of a piece: the leaner muscle of a brisket decides when it is done, so what was felt or read in the point
 * counts only where nobody tried the flat.
 */
export function ofLeanMuscle<T extends { muscle?: Muscle }>(found: readonly T[]): readonly T[] {
  const inFlat = found.filter(({ muscle }) => muscle !== 'point');
  return inFlat.length > 0 ? inFlat : found;
}

/** Tenderness that a verdict stands for, from and to; 1 is tender (common practice; the figures are our reading of it). */
const FELT: Readonly<Record<(typeof LOOKS)['tender'][number], readonly [number, number]>> = {
  tough: [0, 0.65],
  stiff: [0, 0.65],
  'some-tug': [0.55, 1],
  bends: [0.6, 1],
  'like-butter': [0.95, 3],
  cracks: [0.95, 3],
};

/** What looks are read from: lines of a log, in order of time. */
type Lines = { readonly lines: readonly LogLine[] };

/** Lines of the log that are looks, in order of time. */
const looksOf = (log: Lines): { at: number; look: Look }[] =>
  log.lines.flatMap(({ at, body }) => (body.kind === 'look' ? [{ at, look: body }] : []));

/** How tender a piece felt, in minutes after `zeroMs`: the leaner of two muscles. */
export function feltTender(log: Lines, meat: string, zeroMs: number): FeltTender[] {
  const felt = looksOf(log).flatMap(({ at, look: { what, meat: of, verdict, muscle } }) =>
    what === 'tender' && of === meat ? [{ at, verdict, muscle }] : [],
  );
  return ofLeanMuscle(felt).map(({ at, verdict }) => {
    const [low, high] = FELT[verdict as keyof typeof FELT];
    return { atMin: (at - zeroMs) / MINUTE_MS, low, high };
  });
}

/** Whether a piece felt done when it was last tried: the leaner of two muscles. */
export function feltDone(log: Lines, meat: string): boolean {
  const last = feltTender(log, meat, 0).at(-1);
  return last !== undefined && last.low >= DONE_FROM;
}
/** Tenderness from which a verdict means done: `like-butter`, `cracks`. */
const DONE_FROM = 0.9;

/** A bark that wipes off is looked at again after so long, min (common practice). */
const BARK_AGAIN_MIN = 30;

/**
 * When the bark of a piece says that it may be wrapped, epoch ms: as soon as it held, and some while after it last wiped
 * off; null where nobody looked.
 */
export function wrapByBarkMs(log: Lines, meat: string): number | null {
  const last = looksOf(log).findLast(({ look }) => look.what === 'bark' && look.meat === meat);
  if (!last) return null;
  return last.look.verdict === 'sets' ? last.at : last.at + BARK_AGAIN_MIN * MINUTE_MS;
}

/** What the smoke looked like, in minutes after `zeroMs`. */
export const smokeLooks = (log: Lines, zeroMs: number): { atMin: number; smoke: SmokeLook }[] =>
  looksOf(log).flatMap(({ at, look }) =>
    look.what === 'smoke'
      ? [{ atMin: (at - zeroMs) / MINUTE_MS, smoke: look.verdict as SmokeLook }]
      : [],
  );

/** Weather that somebody saw: m/s as at 10 m and mm/h (our figures), and how long it lasts unless seen otherwise, min. */
const SEEN_WEATHER: Readonly<
  Record<WeatherLook, { windMps?: number; rainMmPerH?: number; min: number }>
> = {
  rain: { rainMmPerH: 3, min: 60 },
  dry: { rainMmPerH: 0, min: 60 },
  windy: { windMps: 7, min: 60 },
  calm: { windMps: 1, min: 60 },
  gust: { windMps: 10, min: 5 },
};

/** The weather that somebody saw, from each minute after `zeroMs` at which it began or is over; null as forecast. */
export function weatherSeen(log: Lines, zeroMs: number): WeatherReading[] {
  const seen = looksOf(log).flatMap(({ at, look }) => {
    if (look.what !== 'weather') return [];
    const { min, ...weather } = SEEN_WEATHER[look.verdict as WeatherLook];
    const fromMin = (at - zeroMs) / MINUTE_MS;
    return [{ fromMin, toMin: fromMin + min, ...weather }];
  });
  const changes = seen
    .flatMap(({ fromMin, toMin }) => [
      { atMin: fromMin, knownMin: fromMin },
      { atMin: toMin, knownMin: fromMin },
    ])
    .sort((a, b) => a.atMin - b.atMin);
  return changes.map(({ atMin, knownMin }) => {
    const last = (what: 'windMps' | 'rainMmPerH'): number | null =>
      seen.findLast((s) => s[what] !== undefined && s.fromMin <= atMin && atMin < s.toMin)?.[
        what
      ] ?? null;
    return {
      atMin,
      knownMin,
      airC: null,
      windMps: last('windMps'),
      rainMmPerH: last('rainMmPerH'),
    };
  });
}
