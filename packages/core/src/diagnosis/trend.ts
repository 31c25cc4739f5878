/** How a pit moves, by its last readings: for as long as they say anything about now. */
import { clamp } from '../quantity/units';
import { MINUTE_MS } from '../quantity/time';

/** What was read at a pit at an instant of the cook's clock, epoch ms; null where a thermometer was silent. */
export interface PitReading {
  /** Cook's clock, epoch ms. */
  at: number;
  /** At the grate, C. */
  pitC: number | null;
  /** By the dial in the lid, C. */
  domeC?: number | null;
}

/** How a pit moves; `unclear` where nothing was read that shows it. */
export type Trend = 'unlit' | 'coming-up' | 'steady' | 'rising' | 'falling' | 'unclear';
/** The trend of a fire that has come up. */
export type SteadiedTrend = 'steady' | 'rising' | 'falling' | 'unclear';

const TREND_MIN = 10;
/** Fewest readings that show a change. */
const FEWEST_READINGS = 4;
/** A change is shown by readings that lie this far apart at least, min. */
const LEAST_SPAN_MIN = 2;
/** Where somebody reads a dial now and then, the last readings of so many minutes show it, and so many of them. */
const SELDOM = { min: 70, fewest: 2, most: 4 };
/** What the last readings show holds for so many times as long as they lie apart, min at least and at most. */
const HOLDS = { times: 1.5, leastMin: 15, mostMin: 60 };
/** Change in ten minutes from which a pit counts as moving, and under which it counts as steady again, K. */
const MOVING_K = { from: 3, until: 2 };
/** The trend now depends on the trends of so many minutes before, so that it does not flicker. */
const TREND_MEMORY_MIN = 12;

/** Whether anybody read the pit within the time in which a reading says anything. */
export const isReadLately = (readings: readonly PitReading[], nowMs: number): boolean =>
  readings.some((r) => r.pitC !== null && r.at > nowMs - SELDOM.min * MINUTE_MS && r.at <= nowMs);

/**
 * Change in ten minutes before `nowMs` by a straight line through the latest readings, K; null with too few, and once
 * they are too old.
 */
export function recentChangeK(readings: readonly PitReading[], nowMs: number): number | null {
  const within = (minutes: number): { at: number; pitC: number }[] =>
    readings.filter(
      (r): r is { at: number; pitC: number } =>
        r.pitC !== null && r.at > nowMs - minutes * MINUTE_MS && r.at <= nowMs,
    );
  let recent = within(TREND_MIN);
  if (recent.length < FEWEST_READINGS) recent = within(SELDOM.min).slice(-SELDOM.most);
  if (recent.length < SELDOM.fewest) return null;
  const n = recent.length;
  const lastMs = recent.at(-1)!.at;
  const spanMin = (lastMs - recent[0]!.at) / MINUTE_MS;
  // Readings of one moment show no change.
  if (spanMin < LEAST_SPAN_MIN) return null;
  const holdsMin = clamp((HOLDS.times * spanMin) / (n - 1), HOLDS.leastMin, HOLDS.mostMin);
  if (nowMs - lastMs > holdsMin * MINUTE_MS) return null;
  const tMean = recent.reduce((s, r) => s + r.at, 0) / n;
  const cMean = recent.reduce((s, r) => s + r.pitC, 0) / n;
  let above = 0;
  let below = 0;
  for (const r of recent) {
    above += (r.at - tMean) * (r.pitC - cMean);
    below += (r.at - tMean) ** 2;
  }
  return below === 0 ? null : (above / below) * TREND_MIN * MINUTE_MS;
}

/** The trend now, remembering the minutes before: it starts above one threshold and ends under a lower one. */
export function steadiedTrend(readings: readonly PitReading[], nowMs: number): SteadiedTrend {
  // Older readings say nothing about it: they are left out once, not for every minute.
  const fromMs = nowMs - (TREND_MEMORY_MIN + SELDOM.min) * MINUTE_MS;
  const recent = readings.filter((r) => r.at > fromMs && r.at <= nowMs);
  let trend: SteadiedTrend = 'steady';
  for (let ago = TREND_MEMORY_MIN; ago >= 0; ago--) {
    const change = recentChangeK(recent, nowMs - ago * MINUTE_MS);
    if (change === null) trend = 'unclear';
    else if (change >= MOVING_K.from) trend = 'rising';
    else if (change <= -MOVING_K.from) trend = 'falling';
    else if (trend === 'unclear') trend = 'steady';
    else if (trend === 'rising' && change < MOVING_K.until) trend = 'steady';
    else if (trend === 'falling' && change > -MOVING_K.until) trend = 'steady';
  }
  return trend;
}

/** What a pit does in ten minutes, K, from which it plainly goes one way, whatever is expected of it. */
const PLAINLY_K = 5;

/** Whether a pit plainly moves `up`, or down, by its last readings; `changeK` over ten minutes, null where unknown. */
export const plainlyMoves = (up: boolean, changeK: number | null): boolean =>
  changeK !== null && (up ? changeK >= PLAINLY_K : changeK <= -PLAINLY_K);
