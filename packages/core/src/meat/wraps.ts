/** Wraps: how much they hold back heat, vapour and juice. */

export type WrapId = 'none' | 'paper' | 'foil' | 'boat' | 'pan';

export interface Wrap {
  name: string;
  /** Resistance to heat, m2K/W (fitted; the same air gap for all, so that only vapour sets their order). */
  heatResistance: number;
  /** Vapour permeance, kg/m2sPa; Infinity for none. */
  permeance: number;
  /** Share of the juice that drains away inside the wrap instead of wetting the face. */
  drains: number;
}

/** A boat lies between paper and foil by construction, a covered pan beside foil. */
export const WRAPS: Readonly<Record<WrapId, Wrap>> = {
  none: { name: 'no wrap', heatResistance: 0, permeance: Infinity, drains: 0 },
  paper: { name: 'paper', heatResistance: 0.037, permeance: 5.8e-10, drains: 0.6 },
  foil: { name: 'foil', heatResistance: 0.037, permeance: 2e-11, drains: 0 },
  boat: { name: 'a foil boat', heatResistance: 0.037, permeance: 1.2e-10, drains: 0.1 },
  pan: { name: 'a covered pan', heatResistance: 0.037, permeance: 4e-11, drains: 0 },
};
