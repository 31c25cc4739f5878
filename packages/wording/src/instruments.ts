/** Instruments in words: where they measure, what they told, and two that disagree. */
import type { Disagreement, Units, WireSpot } from '@ostrin/core';
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
  if (heardAt === null) return 'Not heard yet';
  const s = Math.max(0, Math.round((nowMs - heardAt) / 1000));
  const ago = s < 90 ? `${s} s ago` : `${spanOfTime(s / 60)} ago`;
  return battery === null ? `Heard ${ago}` : `Heard ${ago}, battery ${Math.round(100 * battery)} %`;
}

/** Two that disagree, in two or three sentences. */
export function disagreementWords(d: Disagreement, units: Units): string {
  const [hot, cold] = d.between;
  const trust = d.trusted
    ? ` Trust ${d.trusted.name}: it was checked ${d.trusted.because === 'checked-later' ? 'later' : 'and the other was not'}.`
    : '';
  return `${hot} reads ${spanWords(d.byK, units)} more than ${cold}.${trust} Ice water reads ${temperatureWords(0, units)} and boiling water here ${temperatureWords(d.boilsC, units)}: hold both into it to settle it.`;
}
