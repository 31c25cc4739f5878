/** Instruments in words: where they measure, what they reported, and two that disagree. */
import { spanFromK, type Units } from '@ostrin/core/quantity';
import type { CheckedAgainst, Disagreement, InstrumentCheck, WireSpot } from '@ostrin/core/log';
import { rainWords, spanOfTime, spanWords, temperatureWords, windWords } from './quantities';

/** What a channel measures. */
export const SPOT_NAMES: Readonly<Record<WireSpot, string>> = {
  grate: 'At the grate',
  dome: 'In the lid',
  meat: 'In a piece',
  air: 'Air outside',
  wind: 'Wind',
  rain: 'Rain',
  fan: 'Speed of the fan',
  none: 'Not used',
};

/** A value as it was told. */
export function toldWords(spot: WireSpot, value: number, units: Units): string {
  switch (spot) {
    case 'wind':
      return windWords(value, units, 1);
    case 'rain':
      return rainWords(value, units);
    case 'fan':
      return `${Math.round(100 * value)} %`;
    case 'none':
      return value.toFixed(1);
    default:
      return temperatureWords(value, units);
  }
}

/** When it was heard last, and its battery: `12 s ago, battery 80 %`. */
export function heardWords(heardAt: number | null, battery: number | null, nowMs: number): string {
  if (heardAt === null) return 'No reading yet';
  const s = Math.max(0, Math.round((nowMs - heardAt) / 1000));
  const ago = s < 90 ? `${s} s ago` : `${spanOfTime(s / 60)} ago`;
  return battery === null
    ? `Last reading ${ago}`
    : `Last reading ${ago}, battery ${Math.round(100 * battery)} %`;
}

/** Kinds of instruments. */
export const INSTRUMENT_NAMES = {
  wire: 'Connected',
  'leave-in': 'Probe that stays in, read by hand',
  'instant-read': 'Quick thermometer',
  dial: 'Dial',
} as const;

const AGAINST_WORDS: Readonly<Record<CheckedAgainst, string>> = {
  ice: 'ice water',
  boiling: 'boiling water',
  another: 'beside another one',
};

/** Less than this is nothing, K. */
const NOTHING_K = 0.25;

/** So much too much or too little, to half a degree. */
function offWords(k: number, units: Units): string {
  if (Math.abs(k) < NOTHING_K) return 'right';
  const span = spanFromK(Math.abs(k), units.temperature).toFixed(1);
  return `${span} ${units.temperature} too ${k > 0 ? 'much' : 'little'}`;
}

/** One check: `Sun 2 May, ice water: 1.5 C too much.` */
export const checkWords = (c: InstrumentCheck, day: string, units: Units): string =>
  `${day}, ${AGAINST_WORDS[c.against]}: ${offWords(c.readsC - c.trueC, units)}.`;

/** When it is to be checked. */
export function dueWords(
  dueAtMs: number | null,
  nowMs: number,
  day: (ms: number) => string,
): string {
  if (dueAtMs === null) return 'Never checked: check it before you trust it.';
  return dueAtMs < nowMs ? `A check is due since ${day(dueAtMs)}.` : `Next check ${day(dueAtMs)}.`;
}

/** A drift worth a word, K a year. */
const DRIFTS_K = 0.5;

/** How its error grows. */
export const driftWords = (kPerYear: number, units: Units): string =>
  Math.abs(kPerYear) < DRIFTS_K
    ? 'It does not drift, by its checks.'
    : `It drifts by ${spanFromK(Math.abs(kPerYear), units.temperature).toFixed(1)} ${units.temperature} a year, by its checks: check it more often, or replace it.`;

/** Two ends further apart than this are not put right by one offset, K. */
const UNEVEN_K = 2;

/** What the two ends of its last checks say; null where one offset does. */
export const spreadWords = (spreadK: number, units: Units): string | null =>
  spreadK < UNEVEN_K
    ? null
    : `In ice water and in boiling water it is off by different amounts, ${spanWords(spreadK, units)} apart: between them it is off by something between.`;

/** How two that lie side by side differ. */
export const apartWords = (name: string, trusted: string, k: number, units: Units): string =>
  Math.abs(k) < NOTHING_K
    ? `${name} and ${trusted} agree.`
    : `${name} reads ${spanFromK(Math.abs(k), units.temperature).toFixed(1)} ${units.temperature} ${k > 0 ? 'more' : 'less'} than ${trusted}.`;

/** By how much two disagree. */
export const disagreementInShort = ({ between: [hot, cold], byK }: Disagreement, units: Units) =>
  `${hot} reads ${spanWords(byK, units)} more than ${cold}.`;

/** Two that disagree, in two or three sentences. */
export function disagreementWords(d: Disagreement, units: Units): string {
  const trust = d.trusted
    ? ` Trust ${d.trusted.name}: it was checked ${d.trusted.because === 'checked-later' ? 'later' : 'and the other was not'}.`
    : '';
  return `${disagreementInShort(d, units)}${trust} Ice water reads ${temperatureWords(0, units)} and boiling water here ${temperatureWords(d.boilsC, units)}: hold both into it to settle it.`;
}
