/** Wraps: how much they hold back heat, vapour and juice. */

export type WrapId = 'none' | 'paper' | 'foil' | 'boat' | 'pan';

export interface Wrap {
  /** What it is called. */
  name: string;
  /** Resistance to heat, m2K/W. */
  heatResistance: number;
  /** Vapour permeance, kg/m2sPa; Infinity for none. */
  permeance: number;
  /** Share of the juice that drains away inside the wrap instead of wetting the face. */
  drainedFraction: number;
  /** How fast it softens bark, foil 1 (common practice: paper keeps most of it). */
  barkSofteningRate: number;
  /** Whether liquid stays in it, round the meat. */
  holdsLiquid: boolean;
}

/**
 * Resistance of a wrap, m2K/W: a few millimetres of still air (0.04-0.1), and bright foil that hardly takes
 * part in radiation (another 0.06-0.08). Fitted within that, and one figure for all wraps, so that only vapour
 * sets their order.
 */
const WRAP_HEAT_RESISTANCE = 0.1435;

/** A boat lies between paper and foil by construction, a covered pan beside foil. */
export const WRAPS: Readonly<Record<WrapId, Wrap>> = {
  none: {
    name: 'no wrap',
    heatResistance: 0,
    permeance: Infinity,
    drainedFraction: 0,
    barkSofteningRate: 0,
    holdsLiquid: false,
  },
  paper: {
    name: 'paper',
    heatResistance: WRAP_HEAT_RESISTANCE,
    permeance: 2e-10,
    drainedFraction: 0.3,
    barkSofteningRate: 0.25,
    holdsLiquid: false,
  },
  foil: {
    name: 'foil',
    heatResistance: WRAP_HEAT_RESISTANCE,
    permeance: 2e-11,
    drainedFraction: 0,
    barkSofteningRate: 1,
    holdsLiquid: true,
  },
  boat: {
    name: 'a foil boat',
    heatResistance: WRAP_HEAT_RESISTANCE,
    permeance: 1e-10,
    drainedFraction: 0.1,
    barkSofteningRate: 0.5,
    holdsLiquid: true,
  },
  pan: {
    name: 'a covered pan',
    heatResistance: WRAP_HEAT_RESISTANCE,
    permeance: 4e-11,
    drainedFraction: 0,
    barkSofteningRate: 1.3,
    holdsLiquid: true,
  },
};
