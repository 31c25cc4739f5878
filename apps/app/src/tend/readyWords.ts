/** When a piece is ready, in words. */
import type { PitPlan } from '@ostrin/core';
import { localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { PieceNow } from '@ostrin/core/tending';
import { clockOf, roughClock } from '../ui/words';

/** A window in words, by rough hours; past `horizonMin`, where the look ahead ends, all that is known is `after`. */
function windowWords(
  [p10, , p90]: readonly [number, number, number],
  horizonMin: number | null,
  litMs: number,
  zone: string,
): string {
  const say = (min: number): string => roughClock(litMs + min * MINUTE_MS, zone);
  const isBeyond = (min: number): boolean => horizonMin !== null && min >= horizonMin;
  if (isBeyond(p10)) return `after ${say(p10)}`;
  return isBeyond(p90) ? `${say(p10)} to after ${say(p90)}` : `${say(p10)}–${say(p90)}`;
}

/** When a piece is ready, in words: the forecast's window once there is one, until then the planned one. */
export function readyWords(
  plan: PitPlan,
  { id, readyMin, horizonMin, offMs }: Pick<PieceNow, 'id' | 'readyMin' | 'horizonMin' | 'offMs'>,
  litMs: number | null,
  out = false,
): string {
  const zone = plan.request.timeZone;
  if (offMs !== null) return `off ${clockOf(localOf(offMs, zone))}`;
  if (out) return 'not in sight';
  if (readyMin && litMs !== null) return `ready ${windowWords(readyMin, horizonMin, litMs, zone)}`;
  const planned = plan.ready.find((r) => r.id === id);
  return planned ? `ready ${clockOf(planned.p10)}–${clockOf(planned.p90)}` : 'not known yet';
}
