/** What a tender has in mind while tending: the guide, what was seen and done, and how the probe is moving. */
import type { FireSpec } from '../fire/spec';
import type { Preset } from '../pit/types';
import type { Guide } from './guide';
import type { Look } from './hand';
import type { Action } from './scenario';

export interface Tender {
  targetC: number;
  guide: Guide;
  preset: Preset;
  fire: FireSpec;
  up: boolean;
  intake: number;
  exhaust: number;
  movedMin: number;
  fedMin: number;
  splitKg: number;
  seen: (Look & { spentKg: number })[];
  /** Charcoal put on so far, and what is burnt a minute when all is well, kg. */
  addedKg: number;
  paceKg: number;
}

/** Change of the probe over the last quarter of an hour, K. */
export function trend(t: Tender): number {
  const now = t.seen.at(-1)!;
  const then = t.seen.at(-4) ?? t.seen[0]!;
  return now.pitC - then.pitC;
}

/** Sets the vents and remembers it. */
export function setVents(
  t: Tender,
  atMin: number,
  intake: number,
  exhaust: number,
): Action & { do: 'set-vents' } {
  t.intake = intake;
  t.exhaust = exhaust;
  t.movedMin = atMin;
  return { atMin, do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust };
}
