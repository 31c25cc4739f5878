/** Kept plans and the shelf, in and out of the database. */
import type { SavedPlan, Shelf } from '@ostrin/contract';
import type { Knex } from 'knex';

interface PlanRow {
  id: string;
  name: string;
  favourite: number | boolean;
  request: string;
  changed_ms: number;
}

interface FuelRow {
  fuel: string;
  on_hand_kg: number | null;
  bag_kg: number | null;
  each: number | null;
}

const fromRow = (r: PlanRow): SavedPlan => ({
  id: r.id,
  name: r.name,
  favourite: Boolean(r.favourite),
  request: JSON.parse(r.request) as SavedPlan['request'],
  changedAt: r.changed_ms,
});

/** The repository of kept plans. */
export function savedPlanStore(db: Knex) {
  return {
    /** Favourites first, then the newest. */
    async list(): Promise<SavedPlan[]> {
      const rows = await db<PlanRow>('kept_plans').orderBy([
        { column: 'favourite', order: 'desc' },
        { column: 'changed_ms', order: 'desc' },
      ]);
      return rows.map(fromRow);
    },
    /** Keeps a plan; says whether it is new. */
    async put(plan: SavedPlan): Promise<boolean> {
      const { changedAt, request, ...rest } = plan;
      const row = { ...rest, request: JSON.stringify(request), changed_ms: changedAt };
      return db.transaction(async (tx) => {
        const known = await tx<PlanRow>('kept_plans').where({ id: plan.id }).update(row);
        if (known === 0) await tx<PlanRow>('kept_plans').insert(row);
        return known === 0;
      });
    },
    /** Says whether there was one. */
    async remove(id: string): Promise<boolean> {
      return (await db<PlanRow>('kept_plans').where({ id }).delete()) > 0;
    },
  };
}

/** The repository of the shelf: one row a fuel. */
export function shelfStore(db: Knex) {
  return {
    async get(): Promise<Shelf> {
      const rows = await db<FuelRow>('fuels').orderBy('fuel');
      type Fuel = Shelf['prices'][number]['fuel'];
      return {
        fuelOnHand: rows.flatMap((r) =>
          r.on_hand_kg === null ? [] : [{ fuel: r.fuel as Fuel, massKg: r.on_hand_kg }],
        ),
        prices: rows.flatMap((r) =>
          r.bag_kg === null || r.each === null
            ? []
            : [{ fuel: r.fuel as Fuel, bagKg: r.bag_kg, each: r.each }],
        ),
      };
    },
    /** Puts a whole shelf in place of the old one. */
    async put(shelf: Shelf): Promise<void> {
      const rows = new Map<string, FuelRow>();
      const row = (fuel: string): FuelRow => {
        const r = rows.get(fuel) ?? { fuel, on_hand_kg: null, bag_kg: null, each: null };
        rows.set(fuel, r);
        return r;
      };
      for (const s of shelf.fuelOnHand) row(s.fuel).on_hand_kg = s.massKg;
      for (const p of shelf.prices) Object.assign(row(p.fuel), { bag_kg: p.bagKg, each: p.each });
      await db.transaction(async (tx) => {
        await tx<FuelRow>('fuels').delete();
        if (rows.size > 0) await tx<FuelRow>('fuels').insert([...rows.values()]);
      });
    },
  };
}

export type KeptStore = ReturnType<typeof savedPlanStore>;
export type ShelfStore = ReturnType<typeof shelfStore>;
