/** What to have and to buy for a plan, in words. */
import { CHARCOALS, cutOf, WOODS, type FuelId, type WoodId } from '@ostrin/core/catalogue';
import type { PlateCost, Shopping, ShoppingWords } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { countWords, inHundred, massWords } from '../quantities';

/** Name of a fuel on a list. */
export const fuelName = (fuel: FuelId | 'chunks', species: WoodId): string =>
  fuel === 'splits'
    ? `${WOODS[species].name} splits, seasoned`
    : fuel === 'chunks'
      ? `${WOODS[species].name} chunks`
      : CHARCOALS[fuel].name;

type MeatFigures = Extract<Shopping, { kind: 'meat' }>;
type FuelFigures = Extract<Shopping, { kind: 'fuel' }>;

const meatName = ({ cut, pieces }: MeatFigures): string =>
  pieces === 1 ? cutOf(cut).name : cutOf(cut).plural;

/** Low and high closer than this are told as one mass, kg. */
const SAME_KG = 0.05;

const oneMass = ({ rawKg: [low, high] }: MeatFigures): boolean => Math.abs(high - low) < SAME_KG;

function rawWords(meat: MeatFigures, units: Units): string {
  const [low, high] = meat.rawKg;
  return `${massWords(low, units)}${oneMass(meat) ? '' : ` to ${massWords(high, units)}`} as bought`;
}

const boughtWords = ({ bags, missingKg }: FuelFigures, units: Units): string =>
  bags
    ? `${countWords(bags.count, 'bag', 'bags')} of ${massWords(bags.eachKg, units)}`
    : massWords(missingKg, units);

/** A line of the list. */
export function shoppingWords(s: Shopping, units: Units): ShoppingWords {
  if (s.kind === 'as-written') return s.words;
  if (s.kind === 'meat') {
    const raw = rawWords(s, units);
    const [low, high] = cutOf(s.cut).trimRange;
    const trimmed = oneMass(s)
      ? ''
      : `: trimming takes ${inHundred(low)} to ${inHundred(high)} in 100`;
    return {
      item: `${meatName(s)}, trimmed`,
      amount: `${s.pieces} x ${massWords(s.eachKg, units)}`,
      buy: s.frozen ? 'nothing: it is in the freezer' : `${raw}${trimmed}`,
    };
  }
  const told = s.bags !== null || s.shelfKg !== null;
  return {
    item: fuelName(s.fuel, s.species),
    amount: massWords(s.kg, units),
    ...(s.shelfKg === null ? {} : { onShelf: massWords(s.shelfKg, units) }),
    ...(s.missingKg <= 0
      ? { buy: 'nothing: there is enough' }
      : told
        ? { buy: boughtWords(s, units) }
        : {}),
    ...(s.bags ? { cost: s.bags.cost } : {}),
  };
}

/** The same in a few words, for somebody on the way to the shop. */
export function fetchWords(s: Shopping, units: Units): string {
  switch (s.kind) {
    case 'as-written':
      return s.words.item;
    case 'meat':
      return `${s.pieces} ${meatName(s)}, ${rawWords(s, units)}`;
    case 'fuel':
      return `${fuelName(s.fuel, s.species)}, ${boughtWords(s, units)}`;
  }
}

/** What a plate costs, and what is not in it for want of a price. */
export function plateWords({ meat, fuel, each, unpriced }: PlateCost): string {
  const burnt = fuel === null ? '' : `, ${fuel.toFixed(2)} for fuel`;
  const without = unpriced
    ? ` Not counted, because it has no price: ${unpriced.map((cut) => cutOf(cut).name).join(', ')}.`
    : '';
  return `A plate costs ${each.toFixed(2)}: ${meat.toFixed(2)} for meat${burnt}.${without}`;
}
