/** The catalogue of cuts, in the order in which they are offered. */
import { BIRDS_AND_SAUSAGES } from './birdsAndSausages';
import type { Cut } from './cut';
import { RED_CUTS } from './redCuts';

export const CUTS: Readonly<Record<string, Cut>> = { ...RED_CUTS, ...BIRDS_AND_SAUSAGES };

/** The cut of that name. Throws RangeError for a name not in the catalogue. */
export function cutOf(id: string): Cut {
  const cut = CUTS[id];
  if (!cut) throw new RangeError(`cut: ${id} is not in the catalogue`);
  return cut;
}
