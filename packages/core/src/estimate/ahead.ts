/** Where a piece goes from here: many likely pieces run on in the air that was measured and is expected. */
import { simulate } from '../cook/cook';
import type { MeatResult, Scenario } from '../cook/scenario';
import type { Measured } from './drive';
import type { DrawnPiece } from './piece';

/** A drawn piece run through the whole cook; what comes after now takes as much longer as the draw says. */
export interface Ahead {
  /** Undefined when nothing is on the grate. */
  meat: MeatResult | undefined;
  /** What the pit's thermometer read, or is expected to. */
  pitC: (atMin: number) => number;
  /** Minute at which it is done and at which it is tender; NaN when never. */
  doneAtMin: number;
  tenderAtMin: number;
}

/** Runs one drawn piece in the measured air. */
export function runAhead(
  scenario: Scenario,
  { air, pitC }: Measured,
  nowMin: number,
  drawn: DrawnPiece,
): Ahead {
  const one = { ...scenario, meats: scenario.meats.slice(0, 1) };
  const meat = simulate(one, { spreads: [drawn.spread], air: air(drawn.pitBiasK) }).meats[0];
  const late = (min: number | null | undefined): number =>
    min === null || min === undefined
      ? NaN
      : min <= nowMin
        ? min
        : nowMin + (min - nowMin) * drawn.pace;
  return { meat, pitC, doneAtMin: late(meat?.doneAtMin), tenderAtMin: late(meat?.tenderAtMin) };
}
