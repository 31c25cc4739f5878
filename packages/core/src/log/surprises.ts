/**
 * Surprises of a practice cook: what goes wrong at its pit that nobody logs. They are drawn from the cook's id, so that a
 * server that begins again and the page that shows them afterwards know the same ones.
 */
import type { Weather } from '../air/weather';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { seeded, seedFrom, type Random } from '../quantity/random';
import { MINUTE_MS } from '../quantity/time';
import { isSplits, type Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import { deedsOfLine, litAtMs, type Log, type LogLine } from './log';

export const SURPRISES = ['gust', 'damp-split', 'lid-left-open', 'probe-out'] as const;
export type SurpriseKind = (typeof SURPRISES)[number];

/** One surprise, min after lighting. */
export interface Surprise {
  what: SurpriseKind;
  fromMin: number;
  /** When it is over by itself, or somebody mended it. */
  toMin: number;
}

/** A surprise of a past cook, epoch ms. */
export interface SurpriseSeen {
  what: SurpriseKind;
  fromMs: number;
  toMs: number;
  /** When something was logged that shows that it was noticed; null where nothing was. */
  seenMs: number | null;
}

/** Surprises of one cook, each in its own part of the time from meat on to meat off, shares of it. */
const PARTS: readonly (readonly [number, number])[] = [
  [0.15, 0.4],
  [0.5, 0.8],
];
/** How long each lasts where nobody does anything about it, min; a probe stays out until the meat is off. */
const LASTS_MIN: Readonly<Record<SurpriseKind, number>> = {
  gust: 30,
  'damp-split': 90,
  'lid-left-open': 25,
  'probe-out': Infinity,
};
/** A gust, m/s over the wind of the day (common practice: what blows a napkin off the table and more). */
const GUST_MPS = 7;
/** Moisture of a damp split, share of the wet mass: wood that lay in the rain. */
const DAMP_FRACTION = 0.4;

/** Deeds for which somebody stands at the open pit: a lid is shut after them, and a probe is back in its piece. */
const AT_THE_PIT: ReadonlySet<Action['do']> = new Set([
  'lid-open',
  'meat-on',
  'meat-off',
  'wrap',
  'unwrap',
  'spritz',
  'sauce',
  'turn',
  'move',
]);

/** The minutes between which a plan has its first meat on the pit, after lighting. */
function onThePit({ jobs }: Pick<PitPlan, 'jobs'>): readonly [number, number] {
  const on = jobs.find((j) => j.do === 'meat-on')?.atMin ?? 0;
  return [on, jobs.find((j) => j.do === 'meat-off')?.atMin ?? on];
}

/** Kinds that a pit can have, in an order that is drawn. */
function drawn(plan: PitPlan, random: Random): SurpriseKind[] {
  const splits = pitOf(plan).fire.fuel === 'splits';
  return SURPRISES.filter((what) => what !== 'damp-split' || splits)
    .map((what) => ({ what, by: random.next() }))
    .sort((a, b) => a.by - b.by)
    .map(({ what }) => what);
}

/** The surprises of a cook, in order of time; empty where it has none. `log` says what was mended, and when. */
export function surprisesOf(cookId: string, plan: PitPlan, log: Log): Surprise[] {
  if (!log.hasSurprises) return [];
  const random = seeded(seedFrom(`surprises/${cookId}`));
  const kinds = drawn(plan, random);
  const [on, off] = onThePit(plan);
  return PARTS.map(([low, high], i): Surprise => {
    const what = kinds[i]!;
    const fromMin = Math.round(on + (off - on) * (low + (high - low) * random.next()));
    const mended = what === 'lid-left-open' || what === 'probe-out';
    const mendedMin = mended ? firstAtThePitMin(log, fromMin) : Infinity;
    return { what, fromMin, toMin: Math.min(fromMin + LASTS_MIN[what], mendedMin) };
  });
}

/** When somebody stood at the open pit first after a minute; Infinity where nobody did. */
function firstAtThePitMin(log: Log, afterMin: number): number {
  const litMs = litAtMs(log) ?? Infinity;
  const line = log.lines.find(
    ({ at, body }) =>
      at > litMs + afterMin * MINUTE_MS && deedsOfLine(body).some((a) => AT_THE_PIT.has(a.do)),
  );
  return line ? (line.at - litMs) / MINUTE_MS : Infinity;
}

/** A scenario with the weather of the surprises in it. */
export function withGusts(scenario: Scenario, surprises: readonly Surprise[]): Scenario {
  const days = [scenario.weather].flat();
  const weather = surprises
    .filter((s) => s.what === 'gust')
    .reduce<Weather[]>(
      (list, { fromMin, toMin }) => [
        ...list.filter((w) => (w.atMin ?? 0) < fromMin),
        ...blown(list, fromMin, toMin),
        ...list.filter((w) => (w.atMin ?? 0) > toMin),
      ],
      days,
    );
  return { ...scenario, weather };
}

/** The weather from one minute to another with a gust in it, and what it is after that. */
function blown(list: readonly Weather[], fromMin: number, toMin: number): Weather[] {
  const inForce = (min: number): Weather => list.findLast((w) => (w.atMin ?? 0) <= min) ?? list[0]!;
  const meanwhile = [
    { ...inForce(fromMin), atMin: fromMin },
    ...list.filter((w) => (w.atMin ?? 0) > fromMin && (w.atMin ?? 0) < toMin),
  ];
  return [
    ...meanwhile.map((w) => ({ ...w, windMps: w.windMps + GUST_MPS })),
    { ...inForce(toMin), atMin: toMin },
  ];
}

/** What is done at a pit with surprises: the lid that was left open, and the split that was damp. */
export function withSlips(actions: readonly Action[], surprises: readonly Surprise[]): Action[] {
  return surprises.reduce<Action[]>(
    (done, { what, fromMin, toMin }) => {
      if (what === 'lid-left-open')
        return [...done, { do: 'lid-open', atMin: fromMin, seconds: 60 * (toMin - fromMin) }];
      if (what !== 'damp-split') return done;
      const damp = done.find((a) => isSplits(a) && a.atMin >= fromMin && a.atMin < toMin);
      return done.map((a) =>
        a === damp && a.do === 'add-fuel'
          ? { ...a, preheated: false, moistureFraction: DAMP_FRACTION }
          : a,
      );
    },
    [...actions],
  );
}

/** Since when a probe is out of the first piece at a minute, min after lighting; null where it is in. */
export const probeOutSinceMin = (surprises: readonly Surprise[], atMin: number): number | null =>
  surprises.find((s) => s.what === 'probe-out' && s.fromMin <= atMin && atMin < s.toMin)?.fromMin ??
  null;

/** A surprise counts as noticed by what is logged within this time, min. */
const NOTICED_MIN = 120;

/** Whether a line shows that a surprise was noticed. */
function shows(what: SurpriseKind, { body }: LogLine): boolean {
  switch (what) {
    case 'gust':
      return body.kind === 'look' && (body.verdict === 'gust' || body.verdict === 'windy');
    case 'damp-split':
      return body.kind === 'look' && (body.verdict === 'white' || body.verdict === 'dark');
    default:
      return deedsOfLine(body).some((a) => AT_THE_PIT.has(a.do));
  }
}

/** The surprises of a cook that is over, with when each was noticed. Those that it did not come to are left out. */
export function surprisesSeen(cookId: string, plan: PitPlan, log: Log): SurpriseSeen[] {
  const litMs = litAtMs(log);
  if (litMs === null) return [];
  const endMs = log.finishedAt ?? log.lines.at(-1)?.at ?? litMs;
  const ms = (min: number): number => litMs + min * MINUTE_MS;
  return surprisesOf(cookId, plan, log)
    .map(({ what, fromMin, toMin }): SurpriseSeen => {
      const fromMs = ms(fromMin);
      const untilMs = fromMs + NOTICED_MIN * MINUTE_MS;
      const noticed = log.lines.find((l) => l.at > fromMs && l.at < untilMs && shows(what, l));
      // A lid that was left open shuts with the look at it, or by itself.
      const inTime = what !== 'lid-left-open' || (noticed !== undefined && noticed.at <= ms(toMin));
      return {
        what,
        fromMs,
        toMs: Math.min(ms(toMin), endMs),
        seenMs: noticed && inTime ? noticed.at : null,
      };
    })
    .filter((s) => s.fromMs < endMs);
}
