/** What following the order on the card through a cook comes to. */
import type { Case } from '../plans/requests';
import type { Violation } from './rules';

/** What one cook came to. */
export interface Followed {
  id: string;
  family: Case['family'];
  /** Whether each order was done when it was due. */
  exactly: boolean;
  moments: number;
  violations: Partial<Record<Violation, number>>;
  /** Where each kind was first seen: cook, minute, order. */
  examples: string[];
  /** Share of the time in the band once it was reached with the meat on, 0 to 1; null where it never was. */
  inBand: number | null;
  /** Minutes at which somebody did something, an hour. */
  visitsPerH: number;
}
