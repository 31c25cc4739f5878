/** How pieces of one cut differ from each other. */
import type { Random } from '../quantity/random';

/** Multipliers on what differs from piece to piece; 1 is the catalogue. `holdingK` is added, in K. */
export interface PieceVariation {
  /** On its thickness. */
  radius: number;
  /** On the heat it takes. */
  heat: number;
  /** On its evaporation. */
  evaporation: number;
  /** On how fast juice flows. */
  juice: number;
  /** On how much of it drips. */
  drip: number;
  /** Share of the water that cooked protein lets go of. */
  shrink: number;
  /** On the resistance of its crust. */
  crust: number;
  /** On the resistance of a paper wrap. */
  paper: number;
  /** On how long it takes to be tender. */
  tender: number;
  /** Shift of the temperature at which protein lets go of its water, K. */
  holdingK: number;
}

export const NO_VARIATION: PieceVariation = {
  radius: 1,
  heat: 1,
  evaporation: 1,
  juice: 1,
  drip: 1,
  shrink: 1,
  crust: 1,
  paper: 1,
  tender: 1,
  holdingK: 0,
};

/**
 * One standard deviation of each: of a multiplier's logarithm, of `holdingK` in K. Together they spread the done time
 * of large pieces by about a tenth: an hour or so in ten to twelve (common practice).
 */
export const VARIATION_SD: PieceVariation = {
  radius: 0.08,
  heat: 0.14,
  evaporation: 0.25,
  juice: 0.3,
  drip: 0.25,
  shrink: 0.05,
  crust: 0.25,
  paper: 0.3,
  tender: 0.24,
  holdingK: 1.2,
};

export const VARIATION_KEYS = Object.keys(VARIATION_SD) as (keyof PieceVariation)[];

/** The variation that lies `z` standard deviations from the catalogue in each key; 0 where none is given. */
export function variationAt(z: Partial<Record<keyof PieceVariation, number>>): PieceVariation {
  const out: PieceVariation = { ...NO_VARIATION };
  for (const key of VARIATION_KEYS) {
    const off = VARIATION_SD[key] * (z[key] ?? 0);
    out[key] = key === 'holdingK' ? off : Math.exp(off);
  }
  return out;
}

/**
 * A piece of meat drawn from the spreads. `scale` is a share of the standard deviations, 0 to 1: less than 1
 * for pieces that are more alike than any two.
 */
export const drawPieceVariation = (random: Random, scale = 1): PieceVariation =>
  variationAt(Object.fromEntries(VARIATION_KEYS.map((key) => [key, scale * random.normal()])));
