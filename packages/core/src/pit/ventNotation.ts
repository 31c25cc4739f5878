/**
 * How owners tell a vent's opening: in a notation (quarters, millimetres, fingers, the hand of a clock) or by
 * the marks of a dial of their own. The two vents of a pit may be given in different ways.
 */

export const VENT_NOTATIONS = ['quarters', 'mm', 'fingers', 'clock'] as const;
export type VentNotation = (typeof VENT_NOTATIONS)[number];

/** A dial, a scale or a row of notches with its owner's own marks. */
export interface VentDial {
  /** The mark at which the vent is shut. */
  shut: number;
  /** The mark at which it is fully open; may be below the other. */
  open: number;
  /** The finest part of a mark that is set, above 0. */
  step: number;
}

/** How one vent is given: in a notation, or by its owner's dial. */
export type VentScale = { way: VentNotation } | { way: 'dial'; dial: VentDial };

/** How the two vents of a pit are given. */
export interface VentScales {
  intake: VentScale;
  exhaust: VentScale;
}

/** A pit as far as it says how its vents are given. */
export interface VentsTold {
  /** One notation for both vents. */
  ventWay?: VentNotation;
  /** A scale for each vent; goes before the notation for both. */
  ventScales?: VentScales;
}

/** How each vent of a pit is given; `usual` is the notation of its preset. */
export function ventScales(pit: VentsTold, usual: VentNotation): VentScales {
  const both = { way: pit.ventWay ?? usual };
  return pit.ventScales ?? { intake: both, exhaust: both };
}

/** How many steps of a dial lie between shut and open. */
const dialSteps = ({ shut, open, step }: VentDial): number => Math.abs(open - shut) / step;

/** A finger's width, mm (common practice). */
const FINGER_MM = 18;
/** A disc turned from shut at twelve to open at three: minutes of the dial. */
const DIAL_MIN = 180;

/** The finest settings: a 32nd of the travel, 1 mm, a quarter of a finger, five minutes of a dial. */
const FINEST = { thirtySecond: 1 / 32, fingerQuarter: FINGER_MM / 4, dial: 5 / DIAL_MIN };
/** The narrowest openings that are given, in counts of the notation. */
const NARROWEST = { thirtySeconds: 2, halfFingers: 0.5, dialMinutes: 5, dialSteps: 0.5 };
/** Openings from this on are given to 5 mm, mm. */
const COARSE_FROM_MM = 20;

/** The finest setting that can be given, share of the travel. `fullMm` is the travel in mm. */
export function finestStep(scale: VentScale, fullMm: number): number {
  switch (scale.way) {
    case 'quarters':
      return FINEST.thirtySecond;
    case 'mm':
      return 1 / fullMm;
    case 'fingers':
      return FINEST.fingerQuarter / fullMm;
    case 'clock':
      return FINEST.dial;
    case 'dial':
      return 1 / dialSteps(scale.dial);
  }
}

/** Smaller moves are not worth a visit, share of the travel; in other notations the finest setting is. */
const LEAST_MOVE: Partial<Record<VentScale['way'], number>> = {
  quarters: 1 / 16,
  clock: 7.5 / DIAL_MIN,
};

/** The least move of a vent that a person makes, share of the travel. */
export const leastMove = (scale: VentScale, fullMm: number): number =>
  LEAST_MOVE[scale.way] ?? finestStep(scale, fullMm);

/**
 * A share of the travel (0 to 1) rounded to what a person can set, in counts of the scale: 32nds of the
 * travel, millimetres, half fingers, minutes of the clock, or steps of the owner's dial. `fullMm` is the travel
 * in mm. 0 is shut; an opening is never rounded to shut: under half a finger or half a step counts as 0.5, a
 * crack.
 */
export function ventMark(fraction: number, scale: VentScale, fullMm: number): number {
  if (fraction <= 0) return 0;
  switch (scale.way) {
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
    case 'dial':
      return Math.round(fraction * dialSteps(scale.dial)) || NARROWEST.dialSteps;
  }
}

/** The counts of a scale over the whole travel. */
function countsOver(scale: VentScale, fullMm: number): number {
  switch (scale.way) {
    case 'quarters':
      return 1 / FINEST.thirtySecond;
    case 'mm':
      return fullMm;
    case 'fingers':
      return (2 * fullMm) / FINGER_MM;
    case 'clock':
      return DIAL_MIN;
    case 'dial':
      return dialSteps(scale.dial);
  }
}

/** A crack, told as half a count, is a little less than that. */
const CRACK = { told: 0.5, is: 0.4 };

/** The share of the travel (0 to 1) that a mark stands for: what a person really sets who is told it. Inverts `ventMark`. */
export const fractionAtMark = (mark: number, scale: VentScale, fullMm: number): number =>
  Math.min((mark === CRACK.told ? CRACK.is : mark) / countsOver(scale, fullMm), 1);
