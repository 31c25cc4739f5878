/**
 * Cooks of the past that come in with long records: each is put away until all of it is there, so that no other request waits
 * for it. What was broken off in the middle is forgotten at the next start.
 */
import type { Glance } from '@ostrin/core/afterwards';
import type { Entry } from '@ostrin/core/log';
import type { Knex } from 'knex';
import { setImmediate as otherRequests } from 'node:timers/promises';
import type { NewHead } from './heads';
import { HIDDEN_MS, insertCook } from './newCook';
import { addValues, OWN, type SeriesText } from './series';

/** The part of the repository of cooks that takes in cooks of the past. */
export const bringingIn = (db: Knex) => ({
  /** Puts a cook in, out of sight. */
  addHidden: (head: NewHead, entries: readonly Entry[], glance: Glance): Promise<void> =>
    db.transaction((trx) => insertCook(trx, head, { entries, glance, hidden: true })),

  /** Adds readings as `writtenReadings` made them, each text a write of its own. */
  async addWritten(id: string, texts: readonly SeriesText[]): Promise<void> {
    for (const text of texts) {
      await addValues(db, id, OWN, text);
      if (!db.isTransaction) await otherRequests();
    }
  },

  /** What is known of a cook by then: when it ended, and where its clock stands. */
  async setEnd(id: string, finishedAt: number, clockMs: number): Promise<void> {
    await db('cooks').where({ id }).update({ finished_ms: finishedAt, clock_ms: clockMs });
  },

  /** Shows what was put in out of sight. */
  async showHidden(ids: readonly string[]): Promise<void> {
    await db('cooks')
      .whereRaw('id IN (SELECT value FROM json_each(?))', [JSON.stringify(ids)])
      .update({ deleted_ms: null });
  },

  /** Forgets what was put in out of sight. */
  async forgetHidden(ids: readonly string[]): Promise<void> {
    for (const id of ids) {
      await db('cooks').where({ id, deleted_ms: HIDDEN_MS }).delete();
      await otherRequests();
    }
  },

  /** Whether a cook of that id was deleted and can be brought back. */
  async isDeleted(id: string): Promise<boolean> {
    const row = await db('cooks').where({ id }).where('deleted_ms', '>', HIDDEN_MS).first('id');
    return row !== undefined;
  },
});
