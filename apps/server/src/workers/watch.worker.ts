/**
 * The worker that watches cooks under way as a phone does: the same estimate, the same forecast, the same alarms. It
 * keeps what it made of each fire; all of it can be made again from the record, to the same numbers.
 */
import type { CookState, Reading } from '@ostrin/contract';
import {
  atTheGrate,
  deedAtMs,
  foldLog,
  jobsByTime,
  litAtMs,
  MINUTE_MS,
  withHandReadings,
  type Alarm,
  type Entry,
  type Plan,
} from '@ostrin/core';
import { FollowedFire, forecast } from '@ostrin/core/lookAhead';
import {
  alarmsOf,
  diagnose,
  forecastInput,
  freshPitC,
  ofPiece,
  wrapByBarkMs,
} from '@ostrin/core/tending';
import { tendedPlan } from '@ostrin/wording/tending';

/** A cook as it is to be watched. */
export interface WatchAsk {
  id: string;
  plan: Plan;
  entries: readonly Entry[];
  readings: readonly Reading[];
  /** The cook's clock, epoch ms. */
  nowMs: number;
}

/** What is made of it; null before its fire was lit. */
export type Watched = { state: CookState; alarms: Alarm[] } | null;

/** Fires that are kept at most: more are made again when they are asked for. */
const MOST_KEPT = 24;
const fires = new Map<string, FollowedFire>();

function fireOf(id: string): FollowedFire {
  const fire = fires.get(id) ?? new FollowedFire();
  // The one that was asked for last goes last.
  fires.delete(id);
  fires.set(id, fire);
  if (fires.size > MOST_KEPT) fires.delete(fires.keys().next().value!);
  return fire;
}

/** Looks at one cook. */
export function look({ id, plan: planned, entries, readings, nowMs }: WatchAsk): Watched {
  const log = foldLog(entries);
  const litMs = litAtMs(log);
  if (litMs === null) return null;
  const plan = tendedPlan(planned, log);
  const fire = fireOf(id);
  const first = plan.request.meats[0]!.id;
  const forecasts = plan.request.meats.map(({ id: meat }) => {
    const read = withHandReadings(ofPiece(readings, meat, first), log, meat);
    return forecast(forecastInput(id, plan, log, read, litMs, nowMs, meat), fire);
  });
  const main = forecasts[0]!;
  const atGrate = atTheGrate(withHandReadings(readings, log, first), main.domeOverGrateK);
  const state = diagnose({
    plan,
    readings: atGrate,
    lines: log.lines,
    nowMs,
    litMs,
    fuelLeftFraction: main.fuelLeftFraction,
    named: main.named,
  });
  const clock = {
    zeroMs: litMs,
    forecast: main,
    serveMs: log.serveMs,
    wrapByBarkMs: wrapByBarkMs(log, first),
  };
  const jobs = jobsByTime(plan, log, clock, nowMs);
  const atMs = (min: number): number => litMs + min * MINUTE_MS;
  const now = (nowMs - litMs) / MINUTE_MS;
  return {
    state: {
      at: nowMs,
      pitC: freshPitC(atGrate, nowMs),
      fuelLeftFraction: main.fuelLeftFraction,
      fuelHours: hoursOf(main.fuelOutMin, now),
      ready: Object.fromEntries(
        plan.request.meats.map(({ id: meat }, i) => {
          const ready = forecasts[i]!.readyMin;
          return [meat, ready && [atMs(ready[0]), atMs(ready[1]), atMs(ready[2])]];
        }),
      ),
      causes: main.named ? [{ code: main.named.fault, sure: main.named.sure }] : [],
    },
    alarms: alarmsOf({
      plan,
      state,
      forecast: main,
      jobs,
      wire: readings,
      pieces: plan.request.meats.map(({ id: meat }, i) => ({
        id: meat,
        readyMin: forecasts[i]!.readyMin,
        off: deedAtMs(log, 'meat-off', meat) !== null,
      })),
      nowMs,
      litMs,
    }),
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
