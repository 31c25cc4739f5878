/**
 * Units of users. Inside, everything is in SI or C, kg and minutes, with the unit in the name; a user's
 * unit is turned into ours and back only here.
 */

type TemperatureUnit = 'C' | 'F';
type MassUnit = 'kg' | 'lb';

/** The units a user reads and writes. */
export interface Units {
  /** Of temperatures. */
  temperature: TemperatureUnit;
  /** Of masses; lengths go with it. */
  mass: MassUnit;
}

export const METRIC: Units = { temperature: 'C', mass: 'kg' };

/** 0 C in kelvin. Exact by definition of the Celsius scale. */
const ZERO_C_IN_K = 273.15;
/** One avoirdupois pound in kilograms. Exact by international agreement (1959). */
const KG_PER_LB = 0.45359237;
/** Stefan-Boltzmann constant, W/m2K4 (CODATA). */
export const STEFAN_BOLTZMANN = 5.670374e-8;
/** Standard gravity, m/s2. Exact by convention. */
export const GRAVITY = 9.80665;

/** Celsius to kelvin. */
export const kelvin = (c: number): number => c + ZERO_C_IN_K;
/** Kelvin to Celsius. */
export const celsius = (k: number): number => k - ZERO_C_IN_K;

/** A temperature in C shown in the user's unit. */
export const fromC = (c: number, unit: TemperatureUnit): number =>
  unit === 'F' ? c * 1.8 + 32 : c;
/** A temperature in the user's unit as C. */
export const toC = (value: number, unit: TemperatureUnit): number =>
  unit === 'F' ? (value - 32) / 1.8 : value;
/** A temperature difference in K shown in the user's unit. */
export const spanFromK = (k: number, unit: TemperatureUnit): number => (unit === 'F' ? k * 1.8 : k);

/** A mass in kg shown in the user's unit. */
export const fromKg = (kg: number, unit: MassUnit): number => (unit === 'lb' ? kg / KG_PER_LB : kg);
/** A mass in the user's unit as kg. */
export const toKg = (value: number, unit: MassUnit): number =>
  unit === 'lb' ? value * KG_PER_LB : value;

/** Nearest multiple of `step`, without the binary dust (0.1 + 0.2 style) of a bare division. */
export function roundTo(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(9));
}

/** A value rounded up to a step. */
export const ceilTo = (value: number, step: number): number =>
  roundTo(Math.ceil(value / step - 1e-9) * step, step);

/** Keep `value` between `low` and `high`. */
export const clamp = (value: number, low: number, high: number): number =>
  value < low ? low : value > high ? high : value;

/** A figure as documents show it, to so many digits. */
export function roundDigits(v: number, digits: number): number {
  const tens = Math.pow(10, digits);
  // Never minus nought.
  return Math.round(v * tens) / tens + 0;
}
