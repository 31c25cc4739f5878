/** The rule for the hand, as a plan keeps it. */
import type { HandRule } from '../../control/handRule';

/** How a fire is held by hand: look every so often, and move by one notch. */
export interface PlannedRule extends HandRule {
  /** The pit it is about, by its id. */
  pit: string;
  /** What the thermometer that is read there shows more than the grate has, K. */
  readsOverK: number;
  /** Share of the time in the band by this rule alone, 0 to 1; null for a rough answer. */
  inBandFraction: number | null;
  /**
   * How long it may be left alone once it has settled, min: within two bands of its target in nine of ten cooks. Null for a
   * rough answer and for splits; left out of documents from before that was worked out.
   */
  aloneMin?: number | null;
  /** Charcoal that goes on at a look at which fewer than `belowPieces` lie unlit and the meat is not done; null: none can. */
  topUp: { belowPieces: number; addPieces: number } | null;
  /** Looks from the first to the last, min after lighting. */
  looks: { fromMin: number; toMin: number; count: number };
}
