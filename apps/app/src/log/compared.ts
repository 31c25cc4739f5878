/** Two to four cooks beside each other: their traces on one paper, and their figures in columns. */
import { leadMeat, pitOf, onlyPiece, weatherAt } from '@ostrin/core';
import { cutOf, WRAPS } from '@ostrin/core/catalogue';
import {
  deedAtMs,
  foldLog,
  litAtMs,
  readingsOfPast,
  type Log,
  type ReadingRow,
} from '@ostrin/core/log';
import { HOUR_MS, localOf, MINUTE_MS, type Units } from '@ostrin/core/quantity';
import { afterwardsOf, cookVerdict, handFigures, summarise } from '@ostrin/core/afterwards';
import { massWords, spanOfTime, spanWords, temperatureWords, windWords } from '@ostrin/wording';
import { cookVerdictWords, fireKindWords } from '@ostrin/wording/afterwards';
import type { CookView } from '../api/queries';
import {
  rangeOf,
  sampled,
  type Mark,
  type Point,
  type StripData,
  type Trace,
} from '../strip/model';
import type { Theme } from '../ui/tokens';
import { dayOf } from '../ui/words';

/** What the cooks are laid beside each other by. */
export const ALIGNMENTS = [
  { value: 'meat-on', label: 'Meat on' },
  { value: 'lighting', label: 'Lighting' },
  { value: 'clock', label: 'The clock' },
] as const;
export type Alignment = (typeof ALIGNMENTS)[number]['value'];

/** Cooks that are compared at once. */
export const MOST_COMPARED = 4;

/** A cook with what is made of it once. */
export interface ComparedCook {
  cook: CookView;
  log: Log;
  /** Pit and first piece, until it ended. */
  readings: ReadingRow[];
}

export function comparedCook(cook: CookView): ComparedCook {
  const log = foldLog(cook.entries);
  const end = cook.finishedAt ?? Infinity;
  const readings = readingsOfPast(cook.plan, log, cook.readings).filter((r) => r.at <= end);
  return { cook, log, readings };
}

/** The moment of a cook that is laid on zero, epoch ms. */
function zeroOf({ cook, log }: ComparedCook, by: Alignment): number {
  if (by === 'clock') {
    const zone = cook.plan.request.timeZone;
    const lit = litAtMs(log) ?? cook.startMs;
    const local = localOf(lit, zone);
    return lit - (Number(local.slice(11, 13)) * 60 + Number(local.slice(14, 16))) * MINUTE_MS;
  }
  const lit = litAtMs(log) ?? cook.startMs;
  return by === 'lighting' ? lit : (deedAtMs(log, 'meat-on') ?? lit);
}

/** A colour for each cook. */
export const coloursOf = (theme: Theme): string[] => [theme.pit, ...theme.meats];

/** Spans of time that each trace is told in at most. */
const SPANS = 300;
/** Shown on either side, ms. */
const BESIDE_MS = 15 * MINUTE_MS;
/** What is marked of each cook. */
const MARKED = { 'meat-on': 'on', wrap: 'wrapped', 'meat-off': 'off' } as const;

/** The strip of several cooks; times are after the moment by which they are laid beside each other. */
export function comparedStrip(
  cooks: readonly ComparedCook[],
  by: Alignment,
  theme: Theme,
): StripData {
  const colours = coloursOf(theme);
  const spans = cooks.map((c) => {
    const zero = zeroOf(c, by);
    const from = (litAtMs(c.log) ?? c.cook.startMs) - zero;
    const to = (c.readings.at(-1)?.at ?? c.cook.startMs + HOUR_MS) - zero;
    return { zero, from, to };
  });
  const from = Math.min(...spans.map((s) => s.from)) - BESIDE_MS;
  const to = Math.max(...spans.map((s) => s.to)) + BESIDE_MS;
  const traces = cooks.flatMap((c, i): Trace[] => {
    const { zero } = spans[i]!;
    const points = (valueOf: (r: ReadingRow) => number | null): Point[] =>
      sampled(c.readings, {
        from: from + zero,
        to: to + zero,
        spans: SPANS,
        timeOf: (r) => r.at,
        valueOf,
      }).map((p) => ({ ...p, t: p.t - zero }));
    const one = { colour: colours[i]!, future: [] };
    return [
      { ...one, key: `pit-${i}`, label: String(i + 1), past: points((r) => r.pitC), width: 2.5 },
      { ...one, key: `meat-${i}`, label: '', past: points((r) => r.coreC), width: 1.5 },
    ];
  });
  const bands = sharedBand(cooks);
  const values = traces.flatMap((t) => t.past.map((p) => p.c));
  return {
    from,
    to,
    now: null,
    bands: bands ? [{ from, bandC: bands }] : [],
    rangeC: rangeOf(values, bands ? [{ from, bandC: bands }] : []),
    traces,
    marks: cooks.flatMap((c, i) => marksOf(c, i, spans[i]!.zero)),
  };
}

/** The band that all of them were to be held in; null where they differ. */
function sharedBand(cooks: readonly ComparedCook[]): [number, number] | null {
  const paces = cooks.map((c) => pitOf(c.cook.plan).pace);
  const { pitC, bandC } = paces[0]!;
  return paces.every((p) => p.pitC === pitC && p.bandC === bandC)
    ? [pitC - bandC, pitC + bandC]
    : null;
}

function marksOf({ log }: ComparedCook, index: number, zero: number): Mark[] {
  return Object.entries(MARKED).flatMap(([deed, word]) => {
    const at = deedAtMs(log, deed as keyof typeof MARKED);
    return at === null
      ? []
      : [
          {
            key: `${deed}-${index}`,
            t: at - zero,
            kind: 'meat' as const,
            label: `${index + 1} ${word}`,
            done: true,
          },
        ];
  });
}

/** A figure of every cook. */
interface ComparedRow {
  name: string;
  values: string[];
  /** Whether they differ. */
  differ: boolean;
}

type Cells = [name: string, value: string][];

/** The figures of several cooks, row by row. */
export function comparedRows(cooks: readonly ComparedCook[], units: Units): ComparedRow[] {
  const columns = cooks.map((c) => [...givenCells(c, units), ...cameCells(c, units)]);
  return columns[0]!.map(([name], row) => {
    const values = columns.map((column) => column[row]![1]);
    return { name, values, differ: values.some((v) => v !== values[0]) };
  });
}

/** What was given: the pit, the day, the fire, the meat. */
function givenCells({ cook, log }: ComparedCook, units: Units): Cells {
  const { plan } = cook;
  const { request } = plan;
  const meat = leadMeat(plan);
  const [scenario] = plan.scenarios;
  const weather = weatherAt(scenario.weather, 0);
  const wrapped = log.lines.flatMap(({ body }) =>
    body.kind === 'act' && body.action.do === 'wrap' ? [body.action.with] : [],
  )[0];
  const { pitC } = pitOf(plan).pace;
  return [
    ['Day', dayOf(localOf(cook.startMs, request.timeZone))],
    ['Pit', cook.pitName],
    ['Fire', fireKindWords(plan.fires[0])],
    ['Air', temperatureWords(weather.airC, units)],
    ['Wind', windWords(weather.windMps, units)],
    ['Meat', `${plan.pieces} ${cutOf(meat.cut).short}`],
    ['Mass of a piece', massWords(onlyPiece(scenario).massKg, units)],
    ['Wrapped in', wrapped && wrapped !== 'none' ? WRAPS[wrapped].name : 'nothing'],
    ['Target', temperatureWords(pitC, units)],
  ];
}

/** What came of it. */
function cameCells({ cook, log, readings }: ComparedCook, units: Units): Cells {
  const { plan, entries } = cook;
  const f = summarise(plan, log, readings);
  const hand = handFigures(plan, log, readings);
  const verdict = cookVerdict(afterwardsOf(entries));
  const span = (from: number | null, to: number | null): string =>
    from === null || to === null ? '–' : spanOfTime((to - from) / MINUTE_MS);
  return [
    ['In band', f.inBandFraction === null ? '–' : `${Math.round(100 * f.inBandFraction)} %`],
    ['Average pit', f.averageC === null ? '–' : temperatureWords(f.averageC, units)],
    ['Swing', f.swingC === null ? '–' : spanWords(f.swingC[1] - f.swingC[0], units)],
    ['On the grate', span(f.meatOn.actual, f.off.actual)],
    ['Lit to meat on', span(f.lit.actual, f.meatOn.actual)],
    ['Stall', hand.stall ? span(hand.stall.from, hand.stall.to) : 'none seen'],
    ['Looks', String(hand.looks.times)],
    ['Verdict', cookVerdictWords(verdict) || '–'],
  ];
}
