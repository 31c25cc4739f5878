/** Notations that owners tell a vent's opening in: quarters, millimetres, fingers, or the hand of a clock. */

export const VENT_NOTATIONS = ['quarters', 'mm', 'fingers', 'clock'] as const;
export type VentNotation = (typeof VENT_NOTATIONS)[number];

/** A finger's width, mm (common practice). */
const FINGER_MM = 18;
/** A disc turned from shut at twelve to open at three: minutes of the dial. */
const DIAL_MIN = 180;

/** The finest settings: a 32nd of the travel, 1 mm, a quarter of a finger, five minutes of a dial. */
const FINEST = { thirtySecond: 1 / 32, fingerQuarter: FINGER_MM / 4, dial: 5 / DIAL_MIN };
/** The narrowest openings that are told, in counts of the notation. */
const NARROWEST = { thirtySeconds: 2, halfFingers: 0.5, dialMinutes: 5 };
/** Openings from this on are told to 5 mm, mm. */
const COARSE_FROM_MM = 20;

/** The finest setting that a notation can tell, share of the travel. */
export function finestStep(notation: VentNotation, fullMm: number): number {
  switch (notation) {
    case 'quarters':
      return FINEST.thirtySecond;
    case 'mm':
      return 1 / fullMm;
    case 'fingers':
      return FINEST.fingerQuarter / fullMm;
    case 'clock':
      return FINEST.dial;
  }
}

/** Smaller moves are not worth a visit, share of the travel; in other notations the finest setting is. */
const LEAST_MOVE: Partial<Record<VentNotation, number>> = {
  quarters: 1 / 16,
  clock: 7.5 / DIAL_MIN,
};

/** The least move of a vent that a person makes, share of the travel. */
export const leastMove = (notation: VentNotation, fullMm: number): number =>
  LEAST_MOVE[notation] ?? finestStep(notation, fullMm);

/**
 * A share of the travel (0 to 1) rounded to what a person can set, in counts of the notation: 32nds of the
 * travel, millimetres, half fingers, or minutes of the dial. `fullMm` is the travel in mm. 0 is shut; an
 * opening is never rounded to shut: under half a finger counts as 0.5, a crack.
 */
export function ventMark(fraction: number, notation: VentNotation, fullMm: number): number {
  if (fraction <= 0) return 0;
  switch (notation) {
    case 'quarters':
      return Math.max(Math.round(fraction / FINEST.thirtySecond), NARROWEST.thirtySeconds);
    case 'mm': {
      const mm = fraction * fullMm;
      return Math.max(mm < COARSE_FROM_MM ? Math.round(mm) : Math.round(mm / 5) * 5, 1);
    }
    case 'fingers':
      return Math.round((fraction * fullMm * 2) / FINGER_MM) || NARROWEST.halfFingers;
    case 'clock':
      return Math.max(Math.round((fraction * DIAL_MIN) / 15) * 15, NARROWEST.dialMinutes);
  }
}
