/** What advice is measured by. */

/** How long a move is waited for before the next one, min (common practice): a split shows sooner than charcoal. */
export const waitMin = (onSplits: boolean): number => (onSplits ? 10 : 20);

/** With less of the coming hour in the band, 0 to 1, a pit that no move helps has a cause that somebody has to see. */
export const MOSTLY_OUT = 0.5;

/** A feed that is advised is the planned one where that comes within so long, min. */
export const FEED_WITHIN_MIN = 25;

/** What waits for the pit is looked at again after this, min. */
export const LOOK_AGAIN_MIN = 10;

/** Advice is worked out anew so often when nothing happens, and holds for so long, min. */
export const ADVICE_MIN = { every: 10, holds: 20 };

/** An order that somebody looked into does not come first again for so long, min. */
export const SEEN_FOR_MIN = 60;

/** A job counts as due this long before its time, min. */
export const DUE_FROM_MIN = 1;
