/** Where a piece goes from here: many likely pieces run on in the air that was measured and is expected. */
import { simulate } from '../cook/cook';
import type { MeatResult, Scenario } from '../cook/scenario';
import { measuredAir, type ProbeReading, type Traced } from './drive';
import type { DrawnPiece } from './piece';

/** A drawn piece run through the whole cook; `happens` counts what comes after now as long as the draw says. */
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
  traced: Traced,
  readings: readonly ProbeReading[],
  nowMin: number,
  drawn: DrawnPiece,
): Ahead {
  const { air, pitC } = measuredAir(traced, readings, drawn.pitBiasK);
  const one = { ...scenario, meats: scenario.meats.slice(0, 1) };
  const meat = simulate(one, { spreads: [drawn.spread], air }).meats[0];
  const late = (min: number | null | undefined): number =>
    min === null || min === undefined
      ? NaN
      : min <= nowMin
        ? min
        : nowMin + (min - nowMin) * drawn.pace;
  return { meat, pitC, doneAtMin: late(meat?.doneAtMin), tenderAtMin: late(meat?.tenderAtMin) };
}
