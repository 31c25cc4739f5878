/** Holes in a cooker's skin, each in one line. */
import type { Hole } from './types';

/** A hole of `areaM2` (fully open) at `heightM`, with its share of the wind and its column of gas by zone, m. */
export const hole = (
  kind: Hole['kind'],
  zone: number,
  areaM2: number,
  heightM: number,
  windShare: number,
  column: readonly number[],
): Hole => ({ kind, zone, areaM2, heightM, windShare, column });

/** The same, gone while the lid is in the hand. */
export const holeInLid = (...of: Parameters<typeof hole>): Hole => ({
  ...hole(...of),
  withLid: true,
});
