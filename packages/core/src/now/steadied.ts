/** Windows that move no faster than somebody can follow: a single reading, or the chance of the likely cooks, is no news. */
import type { Forecast } from '../forecast/forecast';
import { clamp } from '../quantity/units';
import type { Forecasts } from './lookAhead';

/**
 * Where nothing was done since, a window moves by this at most from one look ahead to the next, and not at all by less
 * than this share of the time until then, within these, min.
 */
const MOVES = { most: 45, share: 0.1, least: [2, 10] } as const;

type Window = NonNullable<Forecast['readyMin']>;

/** Forecasts with windows that follow those of `before`; as they are where something was done since. */
export const steadied = (before: Forecasts, next: Forecasts): Forecasts =>
  Object.fromEntries(
    Object.entries(next).map(([piece, forecast]) => {
      const was = before[piece];
      const { readyMin, deeds, fromMin } = forecast;
      if (!was?.readyMin || !readyMin || was.deeds !== deeds) return [piece, forecast];
      return [piece, { ...forecast, readyMin: followed(was.readyMin, readyMin, fromMin) }];
    }),
  );

function followed(was: Window, is: Window, nowMin: number): Window {
  const moved = is.map((to, i) => {
    const from = was[i]!;
    const [low, high] = MOVES.least;
    const least = clamp(MOVES.share * (to - nowMin), low, high);
    return Math.abs(to - from) < least ? from : clamp(to, from - MOVES.most, from + MOVES.most);
  });
  // An end that was passed is not ahead any more.
  return moved.map((min) => Math.max(min, Math.min(nowMin, is[0]))).sort((a, b) => a - b) as Window;
}
