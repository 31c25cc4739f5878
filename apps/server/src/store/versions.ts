/** Versions of records: who changes one says which version was read, so that nobody undoes a change unseen. */

import type { Knex } from 'knex';

/** The record was changed since it was read; `current` is how it stands now. */
export class Stale extends Error {
  constructor(readonly current: unknown) {
    super('changed since it was read');
  }
}

/** The version that a write expects; null writes whatever is there. */
export type Expected = number | null;

/** Stores a record with its new version over what is there, and returns the version. Throws `Stale`. */
export async function putVersioned(
  trx: Knex.Transaction,
  table: string,
  known: { version: number } | null,
  expected: Expected,
  row: { id: string },
): Promise<number> {
  expectVersion(known, expected);
  const version = (known?.version ?? (await lastRemoved(trx, table))) + 1;
  await trx(table)
    .insert({ ...row, version })
    .onConflict('id')
    .merge();
  return version;
}

interface VersionRow {
  of: string;
  version: number;
}

/** The greatest version of a record of a table that was removed; 0 where none was. */
async function lastRemoved(trx: Knex.Transaction, table: string): Promise<number> {
  const row = await trx<VersionRow>('versions').where({ of: table }).first();
  return row?.version ?? 0;
}

/**
 * Removes a record, and says whether there was one. One that is made anew under its id goes on from its version: who read the
 * former one does not overwrite it. Whether the expected version is there was looked at before.
 */
export async function removeVersioned(
  trx: Knex.Transaction,
  table: string,
  known: { id: string; version: number },
): Promise<boolean> {
  const version = Math.max(known.version, await lastRemoved(trx, table));
  await trx<VersionRow>('versions').insert({ of: table, version }).onConflict('of').merge();
  return (await trx(table).where({ id: known.id }).delete()) > 0;
}

/** Throws `Stale` where another version is there than was expected; a record that is not there has version 0. */
export function expectVersion(current: { version: number } | null, expected: Expected): void {
  if (expected !== null && (current?.version ?? 0) !== expected) throw new Stale(current);
}
