/** What is needed, what is on the shelf, what to buy, and what that costs. */
import { CHARCOALS } from '../../fuel/catalogue';
import { cutOf } from '../../meat/cuts';
import { roundDigits } from '../../quantity/units';
import { countWords, massWords, type Units } from '../../quantity/words';
import { requestedMassKg } from '../request/amount';
import { piecesName } from './job';
import type { Amount, Plan, PlannedFire, Request, Shopping } from '../request/types';
import type { FuelId } from '../../fuel/catalogue';

/** Fuel of a plan by kind, kg: laid, put on and kept in reserve. */
export function fuelNeeded(fires: readonly PlannedFire[]): Map<FuelId | 'chunks', number> {
  const need = new Map<FuelId | 'chunks', number>();
  const add = (fuel: FuelId | 'chunks', kg: number): void => {
    if (kg > 0) need.set(fuel, (need.get(fuel) ?? 0) + kg);
  };
  for (const f of fires) {
    add(f.fuel, f.massKg);
    for (const feed of f.feeding) add(feed.what, feed.massKg * feed.count);
    add(f.feeding.some((x) => x.what === 'splits') ? 'splits' : f.fuel, f.reserveKg);
    add(
      'chunks',
      f.woodChunks.reduce((kg, c) => kg + c.massG / 1000, 0),
    );
  }
  return need;
}

/** What the fuel of a plan is worth at the user's prices, reserve and shelf included; null where none has a price. */
export function fuelWorth({ request, fires }: Pick<Plan, 'request' | 'fires'>): number | null {
  let worth: number | null = null;
  for (const [fuel, kg] of fuelNeeded(fires)) {
    const price = request.prices?.find((p) => p.fuel === fuel);
    if (price) worth = (worth ?? 0) + (kg / price.bagKg) * price.each;
  }
  return worth === null ? null : roundDigits(worth, 2);
}

/** Name of a fuel on a list. */
export const fuelName = (fuel: FuelId | 'chunks', species: string): string =>
  fuel === 'splits'
    ? `${species} splits, seasoned`
    : fuel === 'chunks'
      ? `${species} chunks`
      : CHARCOALS[fuel].name;

/** The list, what it costs where prices are given, and what of it has to be fetched, in a few words each. */
export function shoppingOf(
  request: Request,
  fires: readonly PlannedFire[],
  amounts: readonly Amount[],
  units: Units,
): { list: Shopping[]; cost: number | null; fetch: string[] } {
  const fetch: string[] = [];
  const list: Shopping[] = amounts.map((a, i) => {
    const meat = request.meats[i]!;
    const name = piecesName(meat, a.pieces);
    const item = `${name}, trimmed`;
    const amount = `${a.pieces} x ${massWords(requestedMassKg(meat), units)}`;
    if (meat.frozen) return { item, amount, buy: 'nothing: it is in the freezer' };
    const [low, high] = a.rawKg;
    const same = Math.abs(high - low) < 0.05;
    const raw = `${massWords(low, units)}${same ? '' : ` to ${massWords(high, units)}`} as bought`;
    fetch.push(`${a.pieces} ${name}, ${raw}`);
    return {
      item,
      amount,
      buy: same ? raw : `${raw}: trimming takes ${percent(cutOf(meat.cut).trimRange)}`,
    };
  });
  const species = request.pits[0]?.fire.species ?? 'cherry';
  let cost: number | null = null;
  for (const [fuel, kg] of fuelNeeded(fires)) {
    const shelf = request.fuelOnHand?.find((s) => s.fuel === fuel)?.massKg;
    const price = request.prices?.find((p) => p.fuel === fuel);
    const missing = Math.max(0, kg - (shelf ?? 0));
    const bags = price ? Math.ceil(missing / price.bagKg - 1e-6) : 0;
    if (price) cost = (cost ?? 0) + bags * price.each;
    const bought = price
      ? `${countWords(bags, 'bag', 'bags')} of ${massWords(price.bagKg, units)}`
      : massWords(missing, units);
    if (missing > 0) fetch.push(`${fuelName(fuel, species)}, ${bought}`);
    list.push({
      item: fuelName(fuel, species),
      amount: massWords(kg, units),
      ...(shelf === undefined ? {} : { onShelf: massWords(shelf, units) }),
      ...(missing <= 0
        ? { buy: 'nothing: there is enough' }
        : price || shelf !== undefined
          ? { buy: bought }
          : {}),
      ...(price ? { cost: roundDigits(bags * price.each, 2) } : {}),
    });
  }
  return { list, cost: cost === null ? null : roundDigits(cost, 2), fetch };
}

const percent = ([low, high]: readonly [number, number]): string =>
  `${Math.round(100 * low)} to ${Math.round(100 * high)} in 100`;
