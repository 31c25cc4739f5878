/** Where a piece goes from here: many likely pieces run on in the air that was measured and is expected. */
import { simulate } from '../cook/cook';
import { p10p50p90, weightedP10p50p90 } from '../quantity/statistics';
import type { MeatResult } from '../scenario/result';
import type { Scenario } from '../scenario/scenario';
import { feltPieces, type FeltTender } from './feltTenderness';
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
  /** When it is done as the feel of the piece has it, min, each with its weight; empty where nobody felt it. */
  felt: { value: number; weight: number }[];
}

/**
 * When it is done: p10, p50 and p90 of the likely pieces, min after lighting, as they feel where somebody felt them; Infinity
 * for what lies beyond the minute to which they were run.
 */
export const readyWindow = (runs: readonly PieceOutcome[]): [number, number, number] =>
  runs.some(({ felt }) => felt.length > 0)
    ? weightedP10p50p90(
        runs.flatMap(({ felt, doneAtMin }) =>
          felt.length > 0 ? felt : [{ value: doneAtMin, weight: 1 }],
        ),
      )
    : p10p50p90(runs.map((r) => r.doneAtMin));

/** Runs one drawn piece in the measured air. */
export function runLikelyPiece(
  scenario: Scenario,
  { air, pitC }: MeasuredPit,
  nowMin: number,
  likely: LikelyPiece,
  felt: readonly FeltTender[] = [],
): PieceOutcome {
  const [first] = scenario.meats;
  const one = { ...scenario, meats: first ? [first] : [] };
  const [meat] = simulate(one, {
    variations: [likely.variation],
    airTrace: air(likely.pitBiasK),
  }).meats;
  const late = (min: number | null | undefined): number =>
    min === null || min === undefined
      ? NaN
      : min <= nowMin
        ? min
        : nowMin + (min - nowMin) * likely.pace;
  const outcome = {
    meat,
    pitC,
    doneAtMin: late(meat?.doneAtMin),
    tenderAtMin: late(meat?.tenderAtMin),
  };
  const done = first?.done;
  // What is done by temperature is done by temperature, whatever it feels like.
  if (!meat || !done || !('tender' in done) || felt.length === 0) return { ...outcome, felt: [] };
  const { tenderness } = meat;
  return {
    ...outcome,
    felt: feltPieces(tenderness, likely.variation.tender, felt).map(({ times, weight }) => {
      const tender = tenderness.findIndex((t) => t !== null && t >= times);
      return { value: late(tender < 0 ? null : tender), weight };
    }),
  };
}
