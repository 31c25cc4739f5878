/** What the tests of the documents share. */
import type { Scenario } from '@ostrin/core';
import { kettle } from '@ostrin/testing';

/** Paths of the fields that were refused. */
export const fields = (checked: { ok: boolean; problems?: { field: string }[] }): string[] =>
  (checked.problems ?? []).map((p) => p.field);

/** A cook with nothing logged yet, as far as its log depends on it; it starts at an hour of May 2027. */
export const LOGGED = {
  startMs: Date.UTC(2027, 4, 15, 7),
  plan: { scenarios: [kettle()] satisfies [Scenario] },
  entries: [],
};
