/** When a piece is ready, in words. */
import type { PitPlan } from '@ostrin/core';
import { epochOf, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { PieceNow } from '@ostrin/core/tending';
import { clockOf } from '../ui/words';

const QUARTER_MS = 15 * MINUTE_MS;

/** A quarter hour before, or after, a moment: nobody acts on less, and it does not move with each reading. */
const quarter = (ms: number, zone: string, round: (quarters: number) => number): string =>
  clockOf(localOf(round(ms / QUARTER_MS) * QUARTER_MS, zone));

/** A window in words; past `horizonMs`, where the look ahead ends, all that is known is `after`. Epoch ms. */
function windowWords(fromMs: number, toMs: number, horizonMs: number, zone: string): string {
  const from = quarter(fromMs, zone, Math.floor);
  if (fromMs >= horizonMs) return `after ${from}`;
  return toMs >= horizonMs
    ? `${from} to after ${quarter(toMs, zone, Math.floor)}`
    : `${from}–${quarter(toMs, zone, Math.ceil)}`;
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
  if (readyMin && litMs !== null) {
    const ms = (min: number): number => litMs + min * MINUTE_MS;
    return `ready ${windowWords(ms(readyMin[0]), ms(readyMin[2]), ms(horizonMin ?? Infinity), zone)}`;
  }
  const planned = plan.ready.find((r) => r.id === id);
  if (!planned) return 'not known yet';
  const ms = (local: string): number => epochOf(local, zone);
  return `ready ${windowWords(ms(planned.p10), ms(planned.p90), Infinity, zone)}`;
}
