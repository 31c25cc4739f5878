/**
 * What the instrument of a cook read, one short row for each moment. A row names its cook by a small number, and the table
 * is its own index: a twelve-hour cook at two readings a minute takes some 40 kB.
 */
import type { Reading } from '@ostrin/contract';
import type { Knex } from 'knex';

interface ReadingRow {
  at: number;
  pit_c: number | null;
  core_c: number | null;
  /** Whatever else was told, JSON. */
  more: string | null;
}

/** Adds many readings in one statement; one that is there already is left as it is. */
const ADD_READINGS = `INSERT OR IGNORE INTO readings (cook_no, at, pit_c, core_c, more)
  SELECT cooks.no, value ->> '$.at', value ->> '$.pitC', value ->> '$.coreC',
    nullif(json_remove(value, '$.at', '$.pitC', '$.coreC'), '{}')
  FROM cooks, json_each(?) WHERE cooks.id = ?`;

const ofCook = (db: Knex, id: string) =>
  db<ReadingRow>('readings').where('cook_no', db('cooks').where({ id }).select('no'));

/** Adds readings of a cook; those of moments that are there already are passed over. */
export const addReadings = (
  trx: Knex.Transaction,
  id: string,
  readings: readonly Reading[],
): Knex.Raw => trx.raw(ADD_READINGS, [JSON.stringify(readings), id]);

/** The readings of a cook, in order of time. */
export async function readingsOf(db: Knex, id: string): Promise<Reading[]> {
  const rows = await ofCook(db, id).orderBy('at').select('at', 'pit_c', 'core_c', 'more');
  return rows.map((r) => ({
    at: r.at,
    pitC: r.pit_c,
    coreC: r.core_c,
    ...(r.more === null ? {} : (JSON.parse(r.more) as object)),
  }));
}

/** When the last reading of a cook was, cook's clock, epoch ms; null where there is none. */
export async function lastReadingMs(db: Knex, id: string): Promise<number | null> {
  const row = await ofCook(db, id).max({ at: 'at' }).first();
  return (row as { at: number | null } | undefined)?.at ?? null;
}
