/** Kept plans and the shelf, in and out of the database. */
import type { SavedPlan, Shelf, Versioned } from '@ostrin/contract';
import type { Knex } from 'knex';
import { expectVersion, putVersioned, removeVersioned, type Expected } from './versions';

interface PlanRow {
  id: string;
  name: string;
  favourite: number | boolean;
  request: string;
  changed_ms: number;
  version: number;
}

interface VersionRow {
  of: string;
  version: number;
}

interface FuelRow {
  fuel: string;
  on_hand_kg: number | null;
  bag_kg: number | null;
  each: number | null;
}

const fromRow = (r: PlanRow): Versioned<SavedPlan> => ({
  id: r.id,
  name: r.name,
  favourite: Boolean(r.favourite),
  request: JSON.parse(r.request) as SavedPlan['request'],
  changedAt: r.changed_ms,
  version: r.version,
});

/** The repository of kept plans. */
export function savedPlanStore(db: Knex) {
  const get = async (on: Knex, id: string): Promise<Versioned<SavedPlan> | null> => {
    const row = await on<PlanRow>('kept_plans').where({ id }).first();
    return row ? fromRow(row) : null;
  };
  return {
    /** Favourites first, then the newest. */
    async list(): Promise<Versioned<SavedPlan>[]> {
      const rows = await db<PlanRow>('kept_plans').orderBy([
        { column: 'favourite', order: 'desc' },
        { column: 'changed_ms', order: 'desc' },
      ]);
      return rows.map(fromRow);
    },
    /** Keeps a plan; returns it with its new version. Throws `Stale`. */
    put: (plan: SavedPlan, expected: Expected = null): Promise<Versioned<SavedPlan>> =>
      db.transaction(async (trx) => {
        const { changedAt, request, ...rest } = plan;
        const row = { ...rest, request: JSON.stringify(request), changed_ms: changedAt };
        const known = await get(trx, plan.id);
        return { ...plan, version: await putVersioned(trx, 'kept_plans', known, expected, row) };
      }),
    /** Says whether there was one. Throws `Stale`. */
    remove: (id: string, expected: Expected = null): Promise<boolean> =>
      db.transaction(async (trx) => {
        const known = await get(trx, id);
        if (!known) return false;
        expectVersion(known, expected);
        return removeVersioned(trx, 'kept_plans', known);
      }),
  };
}

/** The repository of the shelf: one row a fuel. */
export function shelfStore(db: Knex) {
  const get = async (on: Knex = db): Promise<Versioned<Shelf>> => {
    const rows = await on<FuelRow>('fuels').orderBy('fuel');
    const { version } = (await on<VersionRow>('versions').where({ of: 'shelf' }).first())!;
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
      version,
    };
  };
  return {
    get,
    /** Puts a whole shelf in place of the old one; returns it with its new version. Throws `Stale`. */
    async put(shelf: Shelf, expected: Expected = null): Promise<Versioned<Shelf>> {
      const rows = new Map<string, FuelRow>();
      const row = (fuel: string): FuelRow => {
        const r = rows.get(fuel) ?? { fuel, on_hand_kg: null, bag_kg: null, each: null };
        rows.set(fuel, r);
        return r;
      };
      for (const s of shelf.fuelOnHand) row(s.fuel).on_hand_kg = s.massKg;
      for (const p of shelf.prices) Object.assign(row(p.fuel), { bag_kg: p.bagKg, each: p.each });
      return db.transaction(async (trx) => {
        expectVersion(await get(trx), expected);
        await trx<FuelRow>('fuels').delete();
        if (rows.size > 0) await trx<FuelRow>('fuels').insert([...rows.values()]);
        await trx<VersionRow>('versions').where({ of: 'shelf' }).increment('version');
        return get(trx);
      });
    },
  };
}

export type KeptStore = ReturnType<typeof savedPlanStore>;
export type ShelfStore = ReturnType<typeof shelfStore>;
