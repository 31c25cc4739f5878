/** What of a database came with the demo data: that is loaded once, into an empty yard, and goes with one touch. */
import type { DemoRemoved } from '@ostrin/contract';
import type { Knex } from 'knex';
import { shelfStore } from './savedPlans';

/** What is marked; `loaded` stays when the rest is gone, `shelf` has the version of the shelf for an id. */
type Marked = 'loaded' | 'cook' | 'pit' | 'plan' | 'shelf';

/** Tables that are empty in a yard that nobody has used; deleted cooks count as used. */
const USED = ['cooks', 'pits', 'kept_plans', 'fuels', 'instruments'] as const;

/** The marks in a database. */
export function demoMarks(db: Knex) {
  return {
    /** Whether the demo data may be loaded: it never was, and nobody has used this yard. */
    async mayLoad(): Promise<boolean> {
      if (await db('demo').where({ what: 'loaded' }).first()) return false;
      for (const table of USED) if (await db(table).first()) return false;
      return true;
    },
    mark: (what: Marked, id: string): Promise<unknown> => db('demo').insert({ what, id }),
    /** How many things of the demo data are left. */
    async left(): Promise<number> {
      const [row] = await db('demo').whereNot({ what: 'loaded' }).count({ n: '*' });
      return Number(row!.n);
    },
    /**
     * Removes the demo data. A pit that own cooks or instruments use, and a pit, plan or shelf that was changed since,
     * stay. Returns what is gone, with the ids of photographs whose files go too.
     */
    remove: (): Promise<DemoRemoved & { photographs: string[] }> =>
      db.transaction(async (trx) => {
        const ids = (what: Marked): Promise<string[]> => trx('demo').where({ what }).pluck('id');
        const cookIds = await ids('cook');
        const photographs = await trx('photographs')
          .whereIn('cook_id', cookIds)
          .pluck<string[]>('id');
        const cooks = await trx('cooks').whereIn('id', cookIds).delete();
        const unchanged = { version: 1 };
        const plans = await trx('kept_plans')
          .whereIn('id', await ids('plan'))
          .where(unchanged)
          .delete();
        const inUse = (table: string): Knex.QueryBuilder =>
          trx(table).whereNotNull('pit_id').select('pit_id');
        const pits = await trx('pits')
          .whereIn('id', await ids('pit'))
          .where(unchanged)
          .whereNotIn('id', inUse('cooks'))
          .whereNotIn('id', inUse('instruments'))
          .delete();
        const shelf = await shelfStore(trx).get();
        const [asLoaded] = await ids('shelf');
        if (asLoaded === String(shelf.version)) {
          await shelfStore(trx).put({ fuelOnHand: [], prices: [] });
        }
        await trx('demo').whereNot({ what: 'loaded' }).delete();
        return { cooks, pits, plans, photographs };
      }),
  };
}
