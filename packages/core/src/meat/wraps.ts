/** Wraps: how much they hold back heat, vapour and juice. */

export type WrapId = 'none' | 'paper' | 'foil';

export interface Wrap {
  name: string;
  /** Resistance to heat, m2K/W (fitted to the meat rows of the checks). */
  heatResistance: number;
  /** Vapour permeance, kg/m2sPa; Infinity for none. */
  permeance: number;
  /** Share of the juice that drains away inside the wrap instead of wetting the face. */
  drains: number;
}

export const WRAPS: Readonly<Record<WrapId, Wrap>> = {
  none: { name: 'no wrap', heatResistance: 0, permeance: Infinity, drains: 0 },
  paper: { name: 'paper', heatResistance: 0.019, permeance: 5.8e-10, drains: 0.6 },
  foil: { name: 'foil', heatResistance: 0.05, permeance: 2e-11, drains: 0 },
};
