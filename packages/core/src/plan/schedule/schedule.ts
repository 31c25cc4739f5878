/** When: from the serving time back through rest and window to meat on and lighting. */
import { cutOf } from '../../meat/cuts';
import { doneByFeel, usualThicknessMm } from '../../meat/cut';
import { ascending, quantile } from '../../quantity/statistics';
import { epochOf } from '../../quantity/time';
import { clamp } from '../../quantity/units';
import { requestedMassKg } from '../request/amount';
import type { Hold } from '../document/hold';
import type { Request, RequestMeat } from '../request/types';

/**
 * Longest that a piece can be held well after it is ready, min (common practice, M9 and M10 of the checks):
 * big pieces done by feel keep for hours where it is warm; what is done by a temperature goes on cooking or
 * dries out.
 */
const MAX_HOLD_MIN: Readonly<
  Record<RequestMeat['rest']['where'], { feel: number; temperature: number }>
> = {
  open: { feel: 40, temperature: 25 },
  tented: { feel: 60, temperature: 45 },
  counter: { feel: 100, temperature: 60 },
  // M9 asks for four hours over 60 C; this engine's own box keeps a brisket there for six.
  'cool-box': { feel: 330, temperature: 90 },
  warmer: { feel: 900, temperature: 150 },
  oven: { feel: 900, temperature: 120 },
};

/** The piece that those times are for, mm (a whole brisket); a thinner one cools so much sooner, down to a share. */
const FULL_HOLD_MM = 72;
const MIN_HOLD_FRACTION = 0.4;
/** A piece that waits where it is kept hot may be ready so much sooner than asked for, min. */
const HOLD_ROOM_MIN = 120;
const HEATED_PLACES: readonly RequestMeat['rest']['where'][] = ['warmer', 'oven'];

/** Longest good hold of a piece where it rests; never less than its rest. */
export function maxHoldMin(meat: RequestMeat): number {
  const { where, minutes } = meat.rest;
  const cut = cutOf(meat.cut);
  const hold = MAX_HOLD_MIN[where][doneByFeel(cut) ? 'feel' : 'temperature'];
  const share = HEATED_PLACES.includes(where)
    ? 1
    : clamp(usualThicknessMm(cut, requestedMassKg(meat)) / FULL_HOLD_MM, MIN_HOLD_FRACTION, 1);
  const holds = Math.round(share * hold);
  if (minutes <= holds) return holds;
  // A longer hold that is asked for is planned with room to be ready sooner than that.
  return minutes + (HEATED_PLACES.includes(where) ? HOLD_ROOM_MIN : 0);
}

/** How long a piece waits well where it rests, min: as the simulated one does, and no longer than such a place keeps it. */
export const waitsWellMin = (meat: RequestMeat, hold: Pick<Hold, 'goodMin'> | null): number =>
  Math.min(maxHoldMin(meat), hold?.goodMin ?? Infinity);

/** When a piece is eaten: with its course, or with everything else; epoch ms. */
export const servedMs = (request: Request, meat: RequestMeat): number =>
  epochOf(meat.serveAt ?? request.serveAt, request.timeZone);

/** The course a piece belongs to, by the id of its job at the table: `serve` for the main one, the last. */
export function courseOf(request: Request, meat: RequestMeat): string {
  const early = (m: RequestMeat): boolean => !!m.serveAt && m.serveAt !== request.serveAt;
  return early(meat)
    ? `serve-${request.meats.find((m) => m.serveAt === meat.serveAt)!.id}`
    : 'serve';
}

/** The wanted window for being ready: earliest and latest good minute, for a piece eaten at `eatenMin`. */
export const wantedWindow = (meat: RequestMeat, eatenMin: number): [from: number, to: number] => [
  eatenMin - maxHoldMin(meat),
  eatenMin - meat.rest.minutes,
];

/** A list of minutes with NaN last. */
export const ascendingNeverLast = (minutes: readonly number[]): number[] => [
  ...ascending(minutes),
  ...minutes.filter((v) => !Number.isFinite(v)).map(() => Infinity),
];

/** Longest cook that is planned, min. */
export const MAX_COOK_MIN = 1500;

/** The late end of the last window, min after lighting. */
export const latestEndMin = (plan: { readyMin: readonly (readonly number[])[] }): number =>
  Math.max(
    ...plan.readyMin.map((r) => Math.min(quantile(ascendingNeverLast(r), 0.95), MAX_COOK_MIN)),
    60,
  );

/** Margins that are weighed where a piece can wait, share of the likely cooks that are in time. */
const ALLOWANCE_MARGINS = [0, 0.2, 0.4, 0.5, 0.6, 0.7, 0.8];

/**
 * The minute that a piece should be allowed to take. It is on time with at least the wanted chance; where it
 * can be held, so much more is allowed as puts most of the likely cooks inside the wanted window.
 */
export function allowanceMin(
  readyMin: readonly number[],
  chanceOnTime: number,
  holdSpanMin: number,
): number {
  const sorted = ascendingNeverLast(readyMin);
  let best = { allow: quantile(sorted, chanceOnTime), inside: -1 };
  for (const margin of ALLOWANCE_MARGINS) {
    const allow = quantile(sorted, chanceOnTime + margin * (1 - chanceOnTime));
    if (!Number.isFinite(allow)) break;
    const inside = sorted.filter((v) => v <= allow && v >= allow - holdSpanMin).length;
    if (inside > best.inside) best = { allow, inside };
  }
  return best.allow;
}

/** Shares of the likely cooks that are late and that are ready too early to be held. */
export function missChances(readyMin: readonly number[], latestMin: number, earliestMin: number) {
  const n = Math.max(readyMin.length, 1);
  return {
    late: readyMin.filter((v) => !(v <= latestMin)).length / n,
    early: readyMin.filter((v) => v < earliestMin).length / n,
  };
}
