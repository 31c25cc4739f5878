/** Whether a piece is done in time for the table: later than it can be, or so early that it cannot be kept until then. */
import type { Forecast } from '../forecast/forecast';
import type { PitPlan } from '../plan/document/pitPlan';
import type { RequestMeat } from '../plan/request/types';
import { epochOf, MINUTE_MS } from '../quantity/time';

/** Meat is kept hot for so long at most, min (common practice: four hours in a cool box). */
const KEPT_MIN = 240;

/** When a piece is eaten: with the others, or with its own course, which moves with them. Epoch ms. */
const servedMs = (
  { serveAt, timeZone }: Pick<PitPlan['request'], 'serveAt' | 'timeZone'>,
  meat: Pick<RequestMeat, 'serveAt'>,
  serveMs: number,
): number =>
  meat.serveAt ? serveMs + epochOf(meat.serveAt, timeZone) - epochOf(serveAt, timeZone) : serveMs;

/**
 * How much later than it has to be a piece is likely to be done, min; negative where it is so early that it would have to
 * be kept for longer than it can, by so much; 0 where it is in time. `litMs`: when the fire was lit, `serveMs`: when people sit down, epoch ms.
 */
export function latenessMin(
  request: Pick<PitPlan['request'], 'serveAt' | 'timeZone'>,
  meat: Pick<RequestMeat, 'rest' | 'serveAt'>,
  readyMin: Forecast['readyMin'],
  litMs: number | null,
  serveMs: number,
): number {
  if (!readyMin || litMs === null) return 0;
  const latest = servedMs(request, meat, serveMs) - meat.rest.minutes * MINUTE_MS;
  const [, p50, p90] = readyMin.map((min) => (litMs + min * MINUTE_MS - latest) / MINUTE_MS);
  if (p50! > 0) return p50!;
  return Math.min(0, p90! + KEPT_MIN);
}
