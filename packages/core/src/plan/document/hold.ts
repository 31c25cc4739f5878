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
