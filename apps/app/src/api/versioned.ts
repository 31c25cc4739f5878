/** Writing records that others may change too: with the version that was read, merged where that is safe. */
import { mergeFields, type Fields } from '@ostrin/contract/merge';
import type { Versioned } from '@ostrin/contract/types';
import { HttpError, requestJson } from './http';

/** Somebody else changed the same fields: theirs stands, and ours was not stored. */
class ChangedElsewhere extends Error {
  constructor(
    message: string,
    /** The fields that both changed. */
    readonly fields: readonly string[] = [],
  ) {
    super(message);
  }
}

/** How a kind of record is written and merged. */
export interface RecordKind<T> {
  path: string;
  /** What is sent: the record without its id and version. */
  body(record: T): unknown;
  fields(record: T): Fields;
  withFields(record: T, fields: Fields): T;
}

const BOTH_CHANGED =
  'This was changed on another device at the same time. You now see that version; your change was not saved.';

/** A write can be overtaken so often before it gives up. */
const MOST_TRIES = 4;

/**
 * Stores `mine`, which was made from `base` (null: it is new). Where another version is there by now, both are
 * merged and stored again. Returns what is stored. Throws `ChangedElsewhere`, or what a request throws.
 */
export async function storeVersioned<T>(
  kind: RecordKind<T>,
  base: Versioned<T> | null,
  mine: T,
): Promise<Versioned<T>> {
  let [before, wanted] = [base, mine];
  for (let tries = 1; ; tries++) {
    try {
      return await requestJson<Versioned<T>>(kind.path, 'PUT', kind.body(wanted), {
        'If-Match': `"${before?.version ?? 0}"`,
      });
    } catch (error) {
      if (!(error instanceof HttpError) || error.status !== 412 || tries >= MOST_TRIES) throw error;
      const theirs = error.problem.current as Versioned<T> | null;
      if (!before) throw new ChangedElsewhere('That name is already taken: choose another.');
      if (!theirs) throw new ChangedElsewhere('It was deleted on another device in the meantime.');
      const merged = mergeFields(kind.fields(before), kind.fields(wanted), kind.fields(theirs));
      if (!merged.ok) throw new ChangedElsewhere(BOTH_CHANGED, merged.conflicts);
      wanted = kind.withFields(theirs, merged.fields);
      before = theirs;
    }
  }
}
