/** What the tests of the documents share. */

/** Paths of the fields that were refused. */
export const fields = (checked: { ok: boolean; problems?: { field: string }[] }): string[] =>
  (checked.problems ?? []).map((p) => p.field);
