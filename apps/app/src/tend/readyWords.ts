/** When the first piece is ready, in words. */
import type { PitPlan } from '@ostrin/core';
import { localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { Forecast } from '@ostrin/core/tending';
import { clockOf, roughClock } from '../ui/words';

/** What else decides what is said of the time it is ready. */
interface ReadyContext {
  /** When the first piece came off, epoch ms; null while it has not. */
  offMs?: number | null;
  /** Whether the fire is out. */
  out?: boolean;
}

/** A window in words, by rough hours; past `horizonMin`, where the look ahead ends, all that is known is `after`. */
export function windowWords(
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

/** When it is ready, in words: the forecast's window once there is one. */
export function readyWords(
  plan: PitPlan,
  forecast: Forecast | null,
  litMs: number | null,
  { offMs = null, out = false }: ReadyContext = {},
): string {
  const zone = plan.request.timeZone;
  if (offMs !== null) return `off ${clockOf(localOf(offMs, zone))}`;
  if (out) return 'not in sight';
  if (forecast?.readyMin && litMs !== null) {
    return `ready ${windowWords(forecast.readyMin, forecast.horizonMin, litMs, zone)}`;
  }
  const r = plan.ready[0]!;
  return `ready ${clockOf(r.p10)}–${clockOf(r.p90)}`;
}
