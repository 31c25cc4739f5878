/** Whether a piece is done in time for the table: later than it can be, or so early that it cannot be kept until then. */
import type { Forecast } from '../forecast/forecast';
import type { RequestMeat } from '../plan/request/types';
import { MINUTE_MS } from '../quantity/time';

/** Meat is kept hot for so long at most, min (common practice: four hours in a cool box). */
const KEPT_MIN = 240;

/**
 * How much later than it has to be a piece is likely to be done, min; negative where it is so early that it would have to
 * be kept for longer than it can, by so much; 0 where it is in time. `litMs` and `serveMs`: epoch ms.
 */
export function latenessMin(
  { rest }: Pick<RequestMeat, 'rest'>,
  readyMin: Forecast['readyMin'],
  litMs: number | null,
  serveMs: number,
): number {
  if (!readyMin || litMs === null) return 0;
  const latest = serveMs - rest.minutes * MINUTE_MS;
  const [, p50, p90] = readyMin.map((min) => (litMs + min * MINUTE_MS - latest) / MINUTE_MS);
  if (p50! > 0) return p50!;
  return Math.min(0, p90! + KEPT_MIN);
}
