/** Mixtures of fuel: what is lit and what is not, each with its mean make-up. */
import { dafFraction, WOOD_CHAR_ASH, WOOD_CHAR_HEAT, type Charcoal } from '../fuel/catalogue';
import type { FuelPool } from './arrangement';

/** `boughtKg` of a charcoal as a pool. */
export function fuelPoolOf(charcoal: Charcoal, boughtKg: number): FuelPool {
  const daf = dafFraction(charcoal);
  return {
    kg: boughtKg * daf,
    heatJPerKg: charcoal.heatJPerKg,
    ashPerKg: charcoal.ashFraction / daf,
    moisturePerKg: charcoal.moistureFraction / daf,
    paceFactor: charcoal.paceFactor,
    openness: charcoal.openness,
  };
}

/** `kg` of char left by wood. */
export const WOOD_CHAR: Readonly<FuelPool> = {
  kg: 0,
  heatJPerKg: WOOD_CHAR_HEAT,
  ashPerKg: WOOD_CHAR_ASH,
  moisturePerKg: 0,
  paceFactor: 2,
  openness: 0.22,
};

/** Adds `kg` of fuel made up like `from` to `to`; `from` is not changed. */
export function addToPool(to: FuelPool, from: Readonly<FuelPool>, kg: number): void {
  if (kg <= 0) return;
  const all = to.kg + kg;
  const share = kg / all;
  to.heatJPerKg += share * (from.heatJPerKg - to.heatJPerKg);
  to.ashPerKg += share * (from.ashPerKg - to.ashPerKg);
  to.moisturePerKg += share * (from.moisturePerKg - to.moisturePerKg);
  to.paceFactor += share * (from.paceFactor - to.paceFactor);
  to.openness += share * (from.openness - to.openness);
  to.kg = all;
}
