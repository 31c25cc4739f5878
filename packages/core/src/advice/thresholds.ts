/** What advice is measured by. */

/** How long a move is waited for before the next one, min, by what burns (common practice). */
export const WAIT_MIN = { charcoal: 20, splits: 10 };

/** With less of the coming hour in the band, 0 to 1, a pit that no move helps has a cause that somebody has to see. */
export const MOSTLY_OUT = 0.5;
