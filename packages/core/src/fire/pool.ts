/** Mixtures of fuel: what is lit and what is not, each with its mean make-up. */
import { dafShare, WOOD_CHAR_ASH, WOOD_CHAR_HEAT, type Charcoal } from '../fuel/catalogue';
import type { Pool } from './types';

/** `boughtKg` of a charcoal as a pool. */
export function poolOf(c: Charcoal, boughtKg: number): Pool {
  const daf = dafShare(c);
  return {
    kg: boughtKg * daf,
    heatJPerKg: c.heatJPerKg,
    ashPerKg: c.ashFraction / daf,
    moisturePerKg: c.moistureFraction / daf,
    paceFactor: c.paceFactor,
  };
}

/** `kg` of char left by wood. */
export const woodChar: Readonly<Pool> = {
  kg: 0,
  heatJPerKg: WOOD_CHAR_HEAT,
  ashPerKg: WOOD_CHAR_ASH,
  moisturePerKg: 0,
  paceFactor: 2,
};

/** Adds `kg` of fuel made up like `from` to `to`; `from` is not changed. */
export function mixIn(to: Pool, from: Readonly<Pool>, kg: number): void {
  if (kg <= 0) return;
  const all = to.kg + kg;
  const share = kg / all;
  to.heatJPerKg += share * (from.heatJPerKg - to.heatJPerKg);
  to.ashPerKg += share * (from.ashPerKg - to.ashPerKg);
  to.moisturePerKg += share * (from.moisturePerKg - to.moisturePerKg);
  to.paceFactor += share * (from.paceFactor - to.paceFactor);
  to.kg = all;
}
