/** A pit of a kind that the catalogue does not have: the nearest kind with sizes of its own, and how little that tells. */
import type { CookerParameters, KnownPit } from './parameters';

/** What its owner can measure, m. */
export interface PitSizes {
  /** Inside across: the diameter, or the width of a chamber. */
  diameterM: number;
  /** Inside along; 0 for a round one. */
  lengthM: number;
  /** From the intake up to the exhaust. */
  exhaustHeightM: number;
}

/** How far a pit of another kind may be from what is worked out for it, one sd of the logarithm (from memory; twice a known kind's). */
export const ANOTHER_KIND_SD: KnownPit = {
  leakCm2: 0.6,
  wallLossFactor: 0.2,
  spreadFactor: 0.2,
};

/** Skin of a pit that is so wide and so long or high, up to a factor that its kind has. */
const skin = ({ diameterM, lengthM, exhaustHeightM }: PitSizes): number =>
  diameterM * (lengthM || exhaustHeightM) + diameterM ** 2 / 2;
/** Room of it, up to a factor. */
const room = ({ diameterM, lengthM, exhaustHeightM }: PitSizes): number =>
  diameterM ** 2 * (lengthM || exhaustHeightM);

/**
 * The figures of a pit that is like `kind` but of other sizes: walls grow with its skin, gas and loose metal with its
 * room and skin, heights with its height. Openings stay: they are read off the pit itself.
 */
export function sizedLike(kind: CookerParameters, sizes: PitSizes): Partial<CookerParameters> {
  const area = skin(sizes) / skin(kind);
  const high = sizes.exhaustHeightM / kind.exhaustHeightM;
  return {
    diameterM: sizes.diameterM,
    ...(kind.lengthM > 0 ? { lengthM: sizes.lengthM } : {}),
    exhaustHeightM: sizes.exhaustHeightM,
    seamHeightM: kind.seamHeightM * high,
    grateHeightM: kind.grateHeightM * high,
    fireWallM2: kind.fireWallM2 * area,
    chamberWallM2: kind.chamberWallM2 * area,
    metalJPerK: kind.metalJPerK * area,
    volumeM3: kind.volumeM3 * (room(sizes) / room(kind)),
  };
}
