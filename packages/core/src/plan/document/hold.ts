/** How a piece waits after it came off, as figures. */
import type { HeldPoint } from '../../cook/holdOn';

/** What ends a hold: too cold to be safe or good, too soft, too dry, or cooked on past what was wanted. */
export type HoldEnd = 'cold' | 'soft' | 'dry' | 'over';

/** How a piece waits. */
export interface Hold {
  /** A row each half hour after it came off, for a day. */
  rows: HeldPoint[];
  /** How long it waits well, min after it came off. */
  goodMin: number;
  /** What ends that; null where a day does not. */
  ends: HoldEnd | null;
}

/**
 * Tenderness (1 probes tender) from which slices no longer hold together; what is pulled may be twice as soft. Set by
 * common practice: a brisket cooled to 71 C and held for 22 h at 77 C still slices (3.2 here), one that goes from the
 * fire straight into that oven does not for half a day (4.5).
 */
export const TOO_SOFT = 3.5;
