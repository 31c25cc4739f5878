/** How long a move at a fire is waited for before the next one. */

/** Min, by what burns (common practice). */
export const WAIT_MIN = { charcoal: 20, splits: 10 };
