/** Versions of records: who changes one says which version was read, so that nobody undoes a change unseen. */

/** The record was changed since it was read; `current` is how it stands now. */
export class Stale extends Error {
  constructor(readonly current: unknown) {
    super('changed since it was read');
  }
}

/** The version that a write expects; null writes whatever is there. */
export type Expected = number | null;

/** Throws `Stale` where another version is there than was expected; a record that is not there has version 0. */
export function expectVersion(current: { version: number } | null, expected: Expected): void {
  if (expected !== null && (current?.version ?? 0) !== expected) throw new Stale(current);
}
