/** Which notes for next time come up in a plan. */
import type { NextTime } from '@ostrin/contract/types';
import type { Request } from '@ostrin/core';

/** The notes that belong to a wish: of its pits by their names, and of its cuts. */
export function notesFor(
  notes: readonly NextTime[],
  { pits, meats }: Pick<Request, 'pits' | 'meats'>,
): NextTime[] {
  const names = new Set(pits.map((p) => p.name ?? p.id));
  const cuts = new Set(meats.map((m) => m.cut));
  return notes.filter((n) => (n.about === 'pit' ? names.has(n.pitName) : cuts.has(n.cut ?? '')));
}
