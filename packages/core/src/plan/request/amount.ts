/** How much meat for how many people: from the plate back to the shop. */
import { cutOf } from '../../meat/cuts';
import { type Cut } from '../../meat/cut';
import { massStepKg, usualMassKg } from '../../meat/usualTreatment';
import { ceilTo, clamp } from '../../quantity/units';
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

/** Mass of one piece of a wish, trimmed, kg; as usually bought where it is open. */
export const requestedMassKg = (meat: Pick<RequestMeat, 'cut' | 'massKg'>): number =>
  meat.massKg ?? usualMassKg(cutOf(meat.cut));

/** How many pieces of a meat there are, and how heavy each is, trimmed, kg. */
export interface Pieces {
  /** Number of pieces. */
  pieces: number;
  /** Mass of one piece, trimmed, kg. */
  massKg: number;
}

/** What is asked of the pieces of a meat. */
type WishedPieces = Pick<RequestMeat, 'cut' | 'pieces' | 'massKg'>;

/** Most pieces of one kind (a request takes no more); heavier ones beyond. */
const MOST_PIECES = 200;

/**
 * Pieces that feed so much, kg cooked: as near as can be to the usual mass and to what is needed, within what the
 * cut is sold as; their number, where `pieces` says it.
 */
function fittingPieces(cut: Cut, needKg: number, pieces?: number): Pieces {
  const [low, high] = cut.massRange;
  const usual = usualMassKg(cut);
  const trimmedKg = needKg / midpoint(edibleKg(cut, 1));
  const of = (n: number): Pieces => ({
    pieces: n,
    massKg: clamp(ceilTo(trimmedKg / n, massStepKg(cut)), low, high),
  });
  if (pieces !== undefined) return of(pieces);
  const awayFrom = ({ massKg, pieces: n }: Pieces): number =>
    Math.abs(Math.log(massKg / usual)) + Math.max((n * massKg) / trimmedKg - 1, 0);
  let best = of(Math.max(1, Math.ceil(trimmedKg / high)));
  for (let n = best.pieces + 1; n <= MOST_PIECES && (n - 1) * low < trimmedKg; n++) {
    if (awayFrom(of(n)) < awayFrom(best)) best = of(n);
  }
  return best;
}

/**
 * Number and mass of the pieces of every meat. What is said of either is kept; what two meats of a request leave open
 * is shared equally between them, so that together they feed everybody.
 */
export function piecesPerMeat({
  people,
  appetiteG,
  meats,
}: Pick<Request, 'people' | 'appetiteG'> & { meats: readonly WishedPieces[] }): Pieces[] {
  const isOpen = (m: WishedPieces): boolean => m.pieces === undefined || m.massKg === undefined;
  const given = meats.reduce(
    (kg, m) =>
      isOpen(m) ? kg : kg + m.pieces! * midpoint(edibleKg(cutOf(m.cut), requestedMassKg(m))),
    0,
  );
  const open = meats.filter(isOpen).length;
  const eachG = Math.max(appetiteG - (1000 * given) / Math.max(people, 1), 0) / Math.max(open, 1);
  return meats.map(({ cut: id, pieces, massKg }) => {
    const cut = cutOf(id);
    if (massKg === undefined) return fittingPieces(cut, (people * eachG) / 1000, pieces);
    return { pieces: pieces ?? piecesFor(people, eachG, cut, massKg), massKg };
  });
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
