/** Holes in a cooker's skin, each in one line. */
import type { OpeningSpec } from './types';

/** A hole of `areaM2` (fully open) at `heightM`, with its share of the wind and its column of gas by zone, m. */
export const openingIn = (
  kind: OpeningSpec['kind'],
  zone: number,
  areaM2: number,
  heightM: number,
  windShare: number,
  column: readonly number[],
): OpeningSpec => ({
  kind,
  zone,
  areaM2,
  heightM,
  windPressureCoefficient: windShare,
  gasColumnM: column,
});

/** The same, gone while the lid is in the hand. */
export const openingInLid = (...of: Parameters<typeof openingIn>): OpeningSpec => ({
  ...openingIn(...of),
  liftedWithLid: true,
});
