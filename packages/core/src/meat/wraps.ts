/** Wraps: how much they hold back heat, vapour and juice. */

export type WrapId = 'none' | 'paper' | 'foil' | 'boat' | 'pan';

export interface Wrap {
  /** What it is called. */
  name: string;
  /** Share of the pit's radiation that it takes up; bright foil little (0.1-0.4), paper nearly all. */
  radiationShare: number;
  /** From the damp room inside it to the meat, m2K/W: vapour, touch and a few millimetres of air (0.01-0.15). */
  gapResistance: number;
  /** Its outside over the meat's: a pan's is larger; 0 for no wrap. */
  outsideOverFace: number;
  /** Vapour permeance when fresh, kg/m2sPa; Infinity for none. */
  permeance: number;
  /** Vapour permeance when fat has soaked it, kg/m2sPa. */
  soakedPermeance: number;
  /** Share of the juice that drains away inside the wrap instead of wetting the face. */
  drainedFraction: number;
  /** How fast it softens bark, foil 1 (common practice: paper keeps most of it). */
  barkSofteningRate: number;
  /** Whether liquid stays in it, round the meat. */
  holdsLiquid: boolean;
}

/** A boat lies between paper and foil by construction, a covered pan beside foil. */
export const WRAPS: Readonly<Record<WrapId, Wrap>> = {
  none: {
    name: 'no wrap',
    radiationShare: 1,
    gapResistance: 0,
    outsideOverFace: 0,
    permeance: Infinity,
    soakedPermeance: Infinity,
    drainedFraction: 0,
    barkSofteningRate: 0,
    holdsLiquid: false,
  },
  paper: {
    name: 'paper',
    radiationShare: 0.9,
    gapResistance: 0.12,
    outsideOverFace: 1.05,
    permeance: 3.8e-9,
    soakedPermeance: 1.9e-10,
    drainedFraction: 0.3,
    barkSofteningRate: 0.25,
    holdsLiquid: false,
  },
  foil: {
    name: 'foil',
    radiationShare: 0.24,
    gapResistance: 0.035,
    outsideOverFace: 1.05,
    permeance: 2e-11,
    soakedPermeance: 2e-11,
    drainedFraction: 0,
    barkSofteningRate: 1,
    holdsLiquid: true,
  },
  boat: {
    name: 'a foil boat',
    radiationShare: 0.6,
    gapResistance: 0.06,
    outsideOverFace: 1,
    permeance: 1e-10,
    soakedPermeance: 1e-10,
    drainedFraction: 0.1,
    barkSofteningRate: 0.5,
    holdsLiquid: true,
  },
  pan: {
    name: 'a covered pan',
    radiationShare: 0.5,
    gapResistance: 0.016,
    outsideOverFace: 2.2,
    permeance: 4e-11,
    soakedPermeance: 4e-11,
    drainedFraction: 0,
    barkSofteningRate: 1.3,
    holdsLiquid: true,
  },
};
