/** Quantities as a person says them, in the user's units, rounded to what a person can set or weigh. */
import { fromC, fromKg, roundTo, spanFromK, type Units } from '@ostrin/core/quantity';

/** A temperature, C, in whole degrees: `121 °C` or `250 °F`. */
export const temperatureWords = (c: number, units: Units): string =>
  `${Math.round(fromC(c, units.temperature))} °${units.temperature}`;

/** A difference of temperature, K, in whole degrees: `8 °C` or `14 °F`. */
export const spanWords = (k: number, units: Units): string =>
  `${Math.round(spanFromK(k, units.temperature))} °${units.temperature}`;

/** A mass, kg, to 50 g or a tenth of a pound: `2.5 kg` or `5.5 lb`. */
export function massWords(kg: number, units: Units): string {
  const step = units.mass === 'kg' ? 0.05 : 0.1;
  return `${roundTo(fromKg(kg, units.mass), step)} ${units.mass}`;
}

const GRAMS_PER_OUNCE = 28.349523;

/** A small mass, g: `60 g` or `2 oz`. */
export const smallMassWords = (g: number, units: Units): string =>
  units.mass === 'kg' ? `${Math.round(g)} g` : `${roundTo(g / GRAMS_PER_OUNCE, 0.5)} oz`;

const CM_PER_INCH = 2.54;

/** A number of centimetres in the unit of length that goes with the user's unit of mass. */
const lengthNumber = (cm: number, units: Units): number =>
  units.mass === 'kg' ? Math.round(cm) : roundTo(cm / CM_PER_INCH, 0.5);

const lengthUnit = (units: Units): string => (units.mass === 'kg' ? 'cm' : 'in');

/** A length, cm: `33 cm` or `13 in`. */
export const lengthWords = (cm: number, units: Units): string =>
  `${lengthNumber(cm, units)} ${lengthUnit(units)}`;

/** Two sides, cm: `40 by 18 cm` or `15.5 by 7 in`. */
export const sidesWords = (cm: number, byCm: number, units: Units): string =>
  `${lengthNumber(cm, units)} by ${lengthNumber(byCm, units)} ${lengthUnit(units)}`;

const MM_PER_INCH = 25.4;

/** A thickness, mm: `6 mm`, or in eighths of an inch: `1/4 in`. */
export function thinWords(mm: number, units: Units): string {
  if (units.mass === 'kg') return `${Math.round(mm)} mm`;
  const eighths = Math.max(1, Math.round((8 * mm) / MM_PER_INCH));
  const whole = Math.floor(eighths / 8);
  const rest = eighths % 8;
  const part =
    rest === 0 ? '' : rest % 4 === 0 ? '1/2' : rest % 2 === 0 ? `${rest / 2}/4` : `${rest}/8`;
  return `${[whole > 0 || rest === 0 ? String(whole) : '', part].filter(Boolean).join(' ')} in`;
}

const ML_PER_FLUID_OUNCE = 29.5735;

/** A volume, ml, to 10 ml or half a fluid ounce: `210 ml` or `7 fl oz`. */
export const volumeWords = (ml: number, units: Units): string =>
  units.mass === 'kg'
    ? `${10 * Math.max(1, Math.round(ml / 10))} ml`
    : `${Math.max(0.5, roundTo(ml / ML_PER_FLUID_OUNCE, 0.5))} fl oz`;

const M_PER_FOOT = 0.3048;

/** A step of height that a person names: 50 m, or 200 ft; in m. */
export const heightStepM = (units: Units): number => (units.mass === 'kg' ? 50 : 200 * M_PER_FOOT);

/** A height above the sea, m: `300 m` or `1000 ft`. */
export const heightWords = (m: number, units: Units): string =>
  units.mass === 'kg' ? `${Math.round(m)} m` : `${Math.round(m / M_PER_FOOT)} ft`;

const MPH_PER_MPS = 2.23694;

/** A wind, m/s, to so many digits: `6 m/s` or `13 mph`. */
export const windWords = (mps: number, units: Units, digits = 0): string =>
  units.mass === 'kg' ? `${mps.toFixed(digits)} m/s` : `${(mps * MPH_PER_MPS).toFixed(digits)} mph`;

/** Rain, mm/h: `1.5 mm/h` or `0.06 in/h`. */
export const rainWords = (mmPerH: number, units: Units): string =>
  units.mass === 'kg' ? `${mmPerH.toFixed(1)} mm/h` : `${(mmPerH / MM_PER_INCH).toFixed(2)} in/h`;

/** The first of some names, and how many more there are: `A, B and 3 more`. */
export function firstNames(names: readonly string[], most: number): string {
  const more = names.length - most;
  return `${names.slice(0, most).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}

/** `1 shoulder`, `2 shoulders`. */
export const countWords = (n: number, one: string, many: string): string =>
  `${n} ${n === 1 ? one : many}`;

/** A length of time, min: `45 min`, `2 h`, `2 h 50`. */
export function spanOfTime(minutes: number): string {
  const m = Math.max(0, Math.round(minutes));
  if (m < 60) return `${m} min`;
  const rest = m % 60;
  return rest === 0 ? `${m / 60} h` : `${Math.floor(m / 60)} h ${String(rest).padStart(2, '0')}`;
}

/** A share, 0 to 1, as a count in a hundred. */
export const inHundred = (fraction: number): number => Math.round(100 * fraction);

/** The first letter in lower case: units behind it keep theirs. */
export const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** The first letter in upper case. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
