/** How one fuel of the shelf stands, and a shelf with one fuel changed. */
import { CHARCOALS, type FuelId } from '@ostrin/core/catalogue';
import type { Shelf as ShelfDoc } from '@ostrin/contract/types';
import { capital } from '@ostrin/wording';

export type ShelfFuel = FuelId | 'chunks';
export const SHELF_FUELS: readonly ShelfFuel[] = ['briquette', 'lump', 'splits', 'chunks'];

/** One fuel of the shelf; null where nobody said. */
interface ShelfItem {
  massKg: number | null;
  bagKg: number | null;
  each: number | null;
}

/** How a fuel stands. */
export function shelfItemOf(shelf: ShelfDoc, fuel: ShelfFuel): ShelfItem {
  const price = shelf.prices.find((p) => p.fuel === fuel);
  return {
    massKg: shelf.fuelOnHand.find((s) => s.fuel === fuel)?.massKg ?? null,
    bagKg: price?.bagKg ?? null,
    each: price?.each ?? null,
  };
}

/** The shelf with one fuel as it stands now. A price needs both its bag and its money. */
export function withShelfItem(shelf: ShelfDoc, fuel: ShelfFuel, stand: ShelfItem): ShelfDoc {
  const { massKg, bagKg, each } = stand;
  return {
    fuelOnHand: [
      ...shelf.fuelOnHand.filter((s) => s.fuel !== fuel),
      ...(massKg === null ? [] : [{ fuel, massKg }]),
    ],
    prices: [
      ...shelf.prices.filter((p) => p.fuel !== fuel),
      ...(bagKg === null || each === null ? [] : [{ fuel, bagKg, each }]),
    ],
  };
}

export const shelfName = (fuel: ShelfFuel): string =>
  fuel === 'splits' ? 'Splits' : fuel === 'chunks' ? 'Chunks' : capital(CHARCOALS[fuel].name);
