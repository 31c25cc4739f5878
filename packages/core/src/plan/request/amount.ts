/** How much meat for how many people: from the plate back to the shop. */
import { cutOf } from '../../meat/cuts';
import { type Cut } from '../../meat/cut';
import { usualMassKg } from '../../meat/usualTreatment';
import type { Amount, Request, RequestMeat } from './types';

/** Cooked, edible mass one trimmed piece gives, kg: low and high of the usual range. */
export const edibleKg = (cut: Cut, massKg: number): [number, number] => [
  massKg * cut.yieldRange[0] * cut.edibleFraction,
  massKg * cut.yieldRange[1] * cut.edibleFraction,
];

const midpoint = ([low, high]: readonly [number, number]): number => (low + high) / 2;

/** Pieces needed so that the middle of the yield range feeds everybody; at least one. */
export function piecesFor(people: number, appetiteG: number, cut: Cut, massKg: number): number {
  return Math.max(
    1,
    Math.ceil((people * appetiteG) / 1000 / midpoint(edibleKg(cut, massKg)) - 0.05),
  );
}

/** Mass of one piece of a wish, trimmed, kg. */
export const requestedMassKg = (meat: RequestMeat): number =>
  meat.massKg ?? usualMassKg(cutOf(meat.cut));

/**
 * Pieces of every meat. Those with a number keep it; the rest of the appetite is shared equally among the
 * others, so that together they feed everybody.
 */
export function piecesPerMeat(request: Request): number[] {
  const { people, appetiteG, meats } = request;
  const given = meats.reduce(
    (kg, m) => kg + (m.pieces ?? 0) * midpoint(edibleKg(cutOf(m.cut), requestedMassKg(m))),
    0,
  );
  const open = meats.filter((m) => m.pieces === undefined).length;
  const eachG = Math.max(appetiteG - (1000 * given) / Math.max(people, 1), 0) / Math.max(open, 1);
  return meats.map((m) => m.pieces ?? piecesFor(people, eachG, cutOf(m.cut), requestedMassKg(m)));
}

/** Tells meats of one cut apart, in their order; undefined for one that is the only one of its cut. */
export function numberOfMeat(
  meats: readonly Pick<RequestMeat, 'cut'>[],
  index: number,
): number | undefined {
  const alike = (list: readonly Pick<RequestMeat, 'cut'>[]): number =>
    list.filter((m) => m.cut === meats[index]!.cut).length;
  return alike(meats) > 1 ? alike(meats.slice(0, index + 1)) : undefined;
}

/** One meat's masses: cooked and off the bone, trimmed, raw as bought. */
export function amountOf(request: Request, meat: RequestMeat, pieces: number): Amount {
  const cut = cutOf(meat.cut);
  const trimmedKg = pieces * requestedMassKg(meat);
  const cookedKg = edibleKg(cut, trimmedKg);
  return {
    meat: meat.id,
    pieces,
    cookedKg,
    trimmedKg,
    rawKg: [trimmedKg / (1 - cut.trimRange[0]), trimmedKg / (1 - cut.trimRange[1])],
    feeds: Math.floor((1000 * midpoint(cookedKg)) / request.appetiteG),
  };
}

/** Cooked meat in all, kg: low and high of the usual range. */
export const cookedKgOf = (amounts: readonly Amount[]): [number, number] => [
  amounts.reduce((kg, a) => kg + a.cookedKg[0], 0),
  amounts.reduce((kg, a) => kg + a.cookedKg[1], 0),
];
