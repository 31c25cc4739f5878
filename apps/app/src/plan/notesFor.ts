/** Which notes for next time come up in a plan. */
import type { NextTime } from '@ostrin/contract/types';
import type { Request } from '@ostrin/core';

/** The notes that belong to a wish: of its pits, and of its cuts. */
export function notesFor(
  notes: readonly NextTime[],
  { pits, meats }: Pick<Request, 'pits' | 'meats'>,
): NextTime[] {
  const ids = new Set(pits.map((p) => p.id));
  const cuts = new Set(meats.map((m) => m.cut));
  return notes.filter((n) => (n.about === 'pit' ? ids.has(n.pitId ?? '') : cuts.has(n.cut ?? '')));
}
