/** What the fire is doing and why, in one line each, from readings and the log. */
import { clamp } from '../quantity/units';
import { MINUTE_MS } from '../quantity/time';
import type { LogLine } from './log';

export interface PitReading {
  at: number;
  pitC: number | null;
}

export interface Diagnosis {
  trend: 'unlit' | 'coming-up' | 'steady' | 'rising' | 'falling';
  /** Change over the last ten minutes, K; null without two readings. */
  changeK: number | null;
  place: 'below' | 'in' | 'above';
  cause: string;
}

const TREND_MIN = 10;
/** Less than this in ten minutes is steady: swings that do not matter, K. */
const STEADY_K = 3;
/** How long an opening, cold meat or a vent move is felt, min (common practice). */
const FELT_MIN = { lid: 15, meat: 40, vents: 25 };
/** Under this share of the snake the fuel itself is the cause. */
const LOW_FUEL = 0.08;

/** Straight-line change over the last ten minutes, K; null when there is too little to go on. */
export function recentChangeK(readings: readonly PitReading[], nowMs: number): number | null {
  const recent = readings.filter(
    (r): r is { at: number; pitC: number } =>
      r.pitC !== null && r.at > nowMs - TREND_MIN * MINUTE_MS && r.at <= nowMs,
  );
  if (recent.length < 4) return null;
  const n = recent.length;
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

/** Diagnosis at `nowMs` for a target and band; `litMs` null before lighting. */
export function diagnose(
  readings: readonly PitReading[],
  lines: readonly LogLine[],
  nowMs: number,
  litMs: number | null,
  targetC: number,
  bandC: number,
  fuelLeftFraction: number | null,
): Diagnosis {
  const changeK = recentChangeK(readings, nowMs);
  const latest = [...readings].reverse().find((r) => r.pitC !== null)?.pitC ?? null;
  const place =
    latest === null || latest < targetC - bandC
      ? 'below'
      : latest > targetC + bandC
        ? 'above'
        : 'in';
  if (litMs === null) {
    return { trend: 'unlit', changeK, place, cause: 'The fire is not lit yet.' };
  }
  const since = (match: (l: LogLine) => boolean): number =>
    (nowMs - ([...lines].reverse().find((l) => l.at <= nowMs && match(l))?.at ?? -Infinity)) /
    MINUTE_MS;
  const did = (what: string) => (l: LogLine) => l.body.kind === 'act' && l.body.action.do === what;
  const lid = since(did('lid-open'));
  const meat = since(did('meat-on'));
  const vents = since((l) => did('set-vents')(l) && l.jobId !== 'light');
  const change = clamp(changeK ?? 0, -99, 99);
  const trend = Math.abs(change) < STEADY_K ? 'steady' : change > 0 ? 'rising' : 'falling';
  if (vents > 1e6 && place === 'below' && trend !== 'falling') {
    return { trend: 'coming-up', changeK, place, cause: 'Coming up with the vents open.' };
  }
  const running = fuelLeftFraction !== null && fuelLeftFraction < LOW_FUEL;
  return { trend, changeK, place, cause: causeOf(trend, place, lid, meat, vents, running) };
}

function causeOf(
  trend: Diagnosis['trend'],
  place: Diagnosis['place'],
  lid: number,
  meat: number,
  vents: number,
  running: boolean,
): string {
  if (running && trend !== 'rising')
    return 'The snake is nearly through: fuel is the cause, not the vents.';
  if (lid < FELT_MIN.lid) {
    return trend === 'rising'
      ? 'Coming back after the lid was open. Leave it shut.'
      : 'The lid was open. It comes back by itself.';
  }
  if (meat < FELT_MIN.meat && trend !== 'rising')
    return 'Cold meat just went on. It comes back by itself.';
  if (vents < FELT_MIN.vents) return 'The vents were moved. Wait before moving them again.';
  if (place === 'in')
    return trend === 'steady' ? 'Nothing to do.' : 'Inside the band: leave the vents.';
  if (place === 'above') {
    return trend === 'falling'
      ? 'High, but already on its way down.'
      : 'More air than the target needs: close the bowl vent a quarter.';
  }
  if (trend === 'rising') return 'Low, but already on its way up.';
  return trend === 'falling'
    ? 'A steady fall is fuel or wind, not vents: look at the snake first.'
    : 'Less air than the target needs: open the bowl vent a quarter.';
}
