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
  const version = (known?.version ?? 0) + 1;
  await trx(table)
    .insert({ ...row, version })
    .onConflict('id')
    .merge();
  return version;
}

/** Throws `Stale` where another version is there than was expected; a record that is not there has version 0. */
export function expectVersion(current: { version: number } | null, expected: Expected): void {
  if (expected !== null && (current?.version ?? 0) !== expected) throw new Stale(current);
}
