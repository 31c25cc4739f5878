/** Where a piece goes from here: many likely pieces run on in the air that was measured and is expected. */
import { simulate } from '../cook/cook';
import type { MeatResult } from '../scenario/result';
import type { Scenario } from '../scenario/scenario';
import type { MeasuredPit } from './measuredAir';
import type { LikelyPiece } from './pieceEstimate';

/** A drawn piece run through the whole cook; what comes after now takes as much longer as the draw says. */
export interface PieceOutcome {
  /** Undefined when nothing is on the grate. */
  meat: MeatResult | undefined;
  /** What the pit's thermometer read, or is expected to. */
  pitC: (atMin: number) => number;
  /** Minute at which it is done and at which it is tender; NaN when never. */
  doneAtMin: number;
  /** Minute at which it is tender; NaN when never. */
  tenderAtMin: number;
}

/** Runs one drawn piece in the measured air. */
export function runLikelyPiece(
  scenario: Scenario,
  { air, pitC }: MeasuredPit,
  nowMin: number,
  likely: LikelyPiece,
): PieceOutcome {
  const one = { ...scenario, meats: scenario.meats.slice(0, 1) };
  const meat = simulate(one, { variations: [likely.variation], airTrace: air(likely.pitBiasK) })
    .meats[0];
  const late = (min: number | null | undefined): number =>
    min === null || min === undefined
      ? NaN
      : min <= nowMin
        ? min
        : nowMin + (min - nowMin) * likely.pace;
  return { meat, pitC, doneAtMin: late(meat?.doneAtMin), tenderAtMin: late(meat?.tenderAtMin) };
}
