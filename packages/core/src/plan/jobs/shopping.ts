/** What is needed, what is on the shelf, what to buy, and what that costs. */
import { USUAL_CHUNK_WOOD, USUAL_SPLIT_WOOD, type FuelId, type WoodId } from '../../fuel/catalogue';
import { mean } from '../../quantity/statistics';
import { roundDigits } from '../../quantity/units';
import { requestedMassKg } from '../request/amount';
import type { PlateCost, Shopping } from '../document/facts';
import type { Feeding, PlannedFire } from '../document/plan';
import type { Amount, Request } from '../request/types';

/** What a planned fire says of its fuel. */
type FuelOfFire = Pick<
  PlannedFire,
  'pit' | 'fuel' | 'massKg' | 'fromLastKg' | 'reserveKg' | 'woodChunks' | 'moreChunks'
> & {
  feeding: readonly Pick<Feeding, 'what' | 'massKg' | 'count'>[];
};

/** Fuel of a plan by kind, kg: laid, put on and kept in reserve. */
export function fuelNeeded(fires: readonly FuelOfFire[]): Map<FuelId | 'chunks', number> {
  const need = new Map<FuelId | 'chunks', number>();
  const add = (fuel: FuelId | 'chunks', kg: number): void => {
    if (kg > 0) need.set(fuel, (need.get(fuel) ?? 0) + kg);
  };
  for (const f of fires) {
    // What lies in the pit already is not taken from the shelf.
    add(f.fuel, f.massKg - (f.fromLastKg ?? 0));
    for (const feed of f.feeding) add(feed.what, feed.massKg * feed.count);
    add(f.feeding.some((x) => x.what === 'splits') ? 'splits' : f.fuel, f.reserveKg);
    add(
      'chunks',
      f.woodChunks.reduce((kg, c) => kg + c.massG / 1000, 0) +
        ((f.moreChunks ?? 0) * (f.woodChunks[0]?.massG ?? 0)) / 1000,
    );
  }
  return need;
}

/** What a plate costs: raw meat at its price, and the fuel it takes, with the cuts that have none; null where no meat has one. */
export function plateOf(
  request: Request,
  amounts: readonly Amount[],
  fires: readonly FuelOfFire[],
): PlateCost | null {
  const priceOf = (cut: string) => request.meatPrices?.find((p) => p.cut === cut);
  const costs = amounts.flatMap((a, i) => {
    const price = priceOf(request.meats[i]!.cut);
    return price ? [price.perKg * mean(a.rawKg)] : [];
  });
  if (costs.length === 0) return null;
  const unpriced = [...new Set(request.meats.map((m) => m.cut))].filter((cut) => !priceOf(cut));
  const meat = costs.reduce((sum, c) => sum + c, 0);
  const fuel = fuelWorth({ request, fires });
  return {
    meat: roundDigits(meat / request.people, 2),
    fuel: fuel === null ? null : roundDigits(fuel / request.people, 2),
    each: roundDigits((meat + (fuel ?? 0)) / request.people, 2),
    ...(unpriced.length > 0 ? { unpriced } : {}),
  };
}

interface FuelOfPlan {
  request: Request;
  fires: readonly FuelOfFire[];
}

/** What the fuel of a plan is worth at the user's prices, reserve and shelf included; null where none has a price. */
export function fuelWorth({ request, fires }: FuelOfPlan): number | null {
  let worth: number | null = null;
  for (const [fuel, kg] of fuelNeeded(fires)) {
    const price = request.prices?.find((p) => p.fuel === fuel);
    if (price) worth = (worth ?? 0) + (kg / price.bagKg) * price.each;
  }
  return worth === null ? null : roundDigits(worth, 2);
}

/** The list, what it costs where prices are given, and what of it has to be fetched. */
export function shoppingOf(
  request: Request,
  fires: readonly FuelOfFire[],
  amounts: readonly Amount[],
): { list: Shopping[]; cost: number | null; fetch: Shopping[] } {
  const meats = amounts.map((a, i): Shopping => {
    const meat = request.meats[i]!;
    return {
      kind: 'meat',
      cut: meat.cut,
      pieces: a.pieces,
      eachKg: requestedMassKg(meat),
      rawKg: a.rawKg,
      frozen: meat.frozen ?? false,
    };
  });
  const fuels = fuelsToBuy(request, fires);
  const costs = fuels.flatMap((f) => (f.bags ? [f.bags.cost] : []));
  return {
    list: [...meats, ...fuels],
    cost:
      costs.length > 0
        ? roundDigits(
            costs.reduce((a, b) => a + b),
            2,
          )
        : null,
    fetch: [
      ...meats.filter((m) => m.kind === 'meat' && !m.frozen),
      ...fuels.filter((f) => f.missingKg > 0),
    ],
  };
}

type FuelFigures = Extract<Shopping, { kind: 'fuel' }>;

/** Each fuel, wood by its species, less what is on the shelf. */
function fuelsToBuy(request: Request, fires: readonly FuelOfFire[]): FuelFigures[] {
  const need = new Map<string, { fuel: FuelId | 'chunks'; species: WoodId; kg: number }>();
  for (const fire of fires) {
    const chosen = request.pits.find((p) => p.id === fire.pit)?.fire.species;
    for (const [fuel, kg] of fuelNeeded([fire])) {
      const species = chosen ?? (fuel === 'splits' ? USUAL_SPLIT_WOOD : USUAL_CHUNK_WOOD);
      const key = fuel === 'splits' || fuel === 'chunks' ? `${fuel} ${species}` : fuel;
      const line = need.get(key) ?? { fuel, species, kg: 0 };
      need.set(key, { ...line, kg: line.kg + kg });
    }
  }
  // What is on the shelf goes to the first line of its fuel that needs it.
  const shelf = new Map((request.fuelOnHand ?? []).map((s) => [s.fuel, s.massKg]));
  return [...need.values()].map(({ fuel, species, kg }) => {
    const shelfKg = shelf.get(fuel) ?? null;
    if (shelfKg !== null) shelf.set(fuel, Math.max(0, shelfKg - kg));
    return fuelToBuy(request, fuel, kg, species, shelfKg);
  });
}

function fuelToBuy(
  request: Request,
  fuel: FuelId | 'chunks',
  kg: number,
  species: WoodId,
  shelfKg: number | null,
): FuelFigures {
  const price = request.prices?.find((p) => p.fuel === fuel);
  const missingKg = Math.max(0, kg - (shelfKg ?? 0));
  const count = price ? Math.ceil(missingKg / price.bagKg - 1e-6) : 0;
  return {
    kind: 'fuel',
    fuel,
    species,
    kg,
    shelfKg,
    missingKg,
    bags: price ? { count, eachKg: price.bagKg, cost: roundDigits(count * price.each, 2) } : null,
  };
}
