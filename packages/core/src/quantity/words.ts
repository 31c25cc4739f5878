/** Quantities as a person says them, rounded to what a hand can do. */
import { fromC, fromKg, roundTo, spanFromK, type MassUnit, type TemperatureUnit } from './units';

export interface Units {
  temperature: TemperatureUnit;
  mass: MassUnit;
}

export const METRIC: Units = { temperature: 'C', mass: 'kg' };

/** `121 C` or `250 F`, whole degrees. */
export const temperatureWords = (c: number, units: Units): string =>
  `${Math.round(fromC(c, units.temperature))} ${units.temperature}`;

/** A difference: `8 C` or `14 F`, whole degrees. */
export const spanWords = (k: number, units: Units): string =>
  `${Math.round(spanFromK(k, units.temperature))} ${units.temperature}`;

/** `2.5 kg` to 50 g, or `5.5 lb` to a tenth. */
export function massWords(kg: number, units: Units): string {
  const step = units.mass === 'kg' ? 0.05 : 0.1;
  return `${roundTo(fromKg(kg, units.mass), step)} ${units.mass}`;
}

/** `60 g` or `2 oz`. */
export const smallMassWords = (g: number, units: Units): string =>
  units.mass === 'kg' ? `${Math.round(g)} g` : `${roundTo(g / 28.349523, 0.5)} oz`;

/** `1 shoulder`, `2 shoulders`. */
export const countWords = (n: number, one: string, many: string): string =>
  `${n} ${n === 1 ? one : many}`;

/** `45 min`, `2 h`, `2 h 50`. */
export function spanOfTime(minutes: number): string {
  const m = Math.max(0, Math.round(minutes));
  if (m < 60) return `${m} min`;
  const rest = m % 60;
  return rest === 0 ? `${m / 60} h` : `${Math.floor(m / 60)} h ${String(rest).padStart(2, '0')}`;
}
