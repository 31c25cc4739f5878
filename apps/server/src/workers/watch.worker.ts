/**
 * The worker that watches cooks under way as a phone does: the same estimate, the same forecast, the same alarms. It
 * keeps what it made of each fire, which can be made again from the record to the same numbers, and the windows that it
 * gave, which new ones follow.
 */
import type { CookState } from '@ostrin/contract';
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { Alarm, CookNow, CookRecord, Forecasts, Order } from '@ostrin/core/tending';
import { adviseNow, FollowedFire, forecastsOf } from '@ostrin/core/lookAhead';
import {
  callsOf,
  cookNow,
  forecastInputs,
  knownCook,
  leadPiece,
  ordersOf,
  steadied,
  wantsAdvice,
} from '@ostrin/core/tending';

/** A cook as it is to be watched, at `nowMs` of its clock, epoch ms. */
export interface WatchAsk {
  record: CookRecord;
  nowMs: number;
}

/** What is made of it; null before its fire was lit. */
export type Watched = { state: CookState; alarms: readonly Alarm[] } | null;

/** Fires that are kept at most: more are made again when they are asked for. */
const MOST_KEPT = 24;
const watched = new Map<string, { fire: FollowedFire; forecasts: Forecasts }>();

function keptOf(id: string): { fire: FollowedFire; forecasts: Forecasts } {
  const kept = watched.get(id) ?? { fire: new FollowedFire(), forecasts: {} };
  // The one that was asked for last goes last.
  watched.delete(id);
  watched.set(id, kept);
  if (watched.size > MOST_KEPT) watched.delete(watched.keys().next().value!);
  return kept;
}

/** Looks at one cook. */
export function look({ record, nowMs }: WatchAsk): Watched {
  const known = knownCook(record);
  if (known.litMs === null) return null;
  const kept = keptOf(record.id);
  const { fire } = kept;
  const inputs = forecastInputs(known, nowMs);
  kept.forecasts = steadied(kept.forecasts, forecastsOf(inputs, fire));
  const cook = cookNow(known, kept.forecasts, nowMs);
  const { plan, log } = cook;
  const input = inputs[leadPiece(cook).id]!;
  // The advice that a phone would show.
  const advice = wantsAdvice(cook)
    ? adviseNow({ input, plan, lines: log.lines, nowMs }, fire)
    : null;
  const { order } = ordersOf(cook, { advice });
  return { state: stateOf(cook, order, known.litMs), alarms: callsOf(cook, order) };
}

/** A cook as others than phones are told of it. */
function stateOf(
  { nowMs, pitC, forecast, pieces }: CookNow,
  order: Order,
  litMs: number,
): CookState {
  const atMs = (min: number): number => litMs + min * MINUTE_MS;
  const named = forecast?.named;
  return {
    at: nowMs,
    pitC,
    fuelLeftFraction: forecast?.fuelLeftFraction ?? null,
    fuelHours: hoursOf(forecast?.fuelOutMin ?? null, (nowMs - litMs) / MINUTE_MS),
    ready: Object.fromEntries(
      pieces.map(({ id, readyMin }) => [
        id,
        readyMin && [atMs(readyMin[0]), atMs(readyMin[1]), atMs(readyMin[2])],
      ]),
    ),
    causes: named ? [{ code: named.fault, sure: named.sure }] : [],
    order: { id: order.id, at: order.ms },
  };
}

/** Hours from now until the fuel is too little; null where that is not in sight. */
function hoursOf(
  outMin: readonly (number | null)[] | null,
  nowMin: number,
): CookState['fuelHours'] {
  if (!outMin || outMin.some((m) => m === null)) return null;
  const [soonest, middle, latest] = outMin.map((m) => Math.max(0, (m! - nowMin) / 60));
  return [soonest!, middle!, latest!];
}
