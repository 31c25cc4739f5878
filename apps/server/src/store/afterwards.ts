/** What is done with a cook once it is over: another name, deleting it, bringing it back. */
import { DAY_MS } from '@ostrin/core/quantity';
import type { Knex } from 'knex';
import { HIDDEN_MS } from './newCook';

/** Days on which the server ran, for which a deleted cook can be brought back. */
const KEPT_DAYS = 30;

/** The part of the repository of cooks that changes what is over. Each says whether there was such a cook. */
export const afterwards = (db: Knex) => ({
  async rename(id: string, name: string): Promise<boolean> {
    return (await db('cooks').where({ id }).whereNull('deleted_ms').update({ name })) > 0;
  },

  /** Puts a cook away at `nowMs`; it is in no list any more, and can be brought back. */
  async remove(id: string, nowMs: number): Promise<boolean> {
    const there = db('cooks').where({ id }).whereNull('deleted_ms');
    return (await there.update({ deleted_ms: nowMs })) > 0;
  },

  async restore(id: string): Promise<boolean> {
    const deleted = db('cooks').where({ id }).whereNotNull('deleted_ms');
    return (await deleted.update({ deleted_ms: null })) > 0;
  },

  /** Counts the day of `nowMs` as one on which the server ran. */
  async noteDay(nowMs: number): Promise<void> {
    await db('days')
      .insert({ day: Math.floor(nowMs / DAY_MS) })
      .onConflict()
      .ignore();
  },

  /**
   * Forgets what was deleted longer ago than it can be brought back; returns how many cooks, and their photographs. Days count
   * only if the server ran on them, and as often as it did: a clock that jumps ahead makes nothing older than a day.
   */
  forgetDeleted: (nowMs: number): Promise<{ cooks: number; photographs: string[] }> =>
    db.transaction(async (trx) => {
      const today = Math.floor(nowMs / DAY_MS);
      const days = trx('days').where('day', '<=', today).orderBy('day', 'desc');
      const oldest = await days.offset(KEPT_DAYS - 1).first<{ day: number } | undefined>('day');
      const old = (): Knex.QueryBuilder =>
        trx('cooks').where('deleted_ms', '<', oldest ? oldest.day * DAY_MS : HIDDEN_MS + 1);
      const photographs = await trx('photographs')
        .whereIn('cook_id', old().select('id'))
        .pluck<string[]>('id');
      return { cooks: await old().delete(), photographs };
    }),
});
