/** What a fire is doing and why, as a code with its figures, from readings and the log. */
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import type { Fault } from './faults';
import type { Suspicion } from './faultSearch';
import { deedsOfLine, type LogLine } from '../log/log';

/** A reading of the pit, C, at an instant of the cook's clock, epoch ms; null where the probe was silent. */
interface PitReading {
  /** Cook's clock, epoch ms. */
  at: number;
  /** Pit, C; null where the probe was silent. */
  pitC: number | null;
}

export type Trend = 'unlit' | 'coming-up' | 'steady' | 'rising' | 'falling';
/** The trend of a fire that has come up. */
type SteadiedTrend = 'steady' | 'rising' | 'falling';
export type BandPlace = 'below' | 'in' | 'above';

/** Why a pit does what it does, and what to do about it. */
export type Cause =
  | { code: 'not-lit' }
  | { code: 'coming-up' }
  /** Nobody has read the pit of late. */
  | { code: 'no-reading' }
  /** Nothing in the pit is warm, long after it was lit. */
  | { code: 'fire-out' }
  | { code: 'fuel-nearly-gone' }
  | { code: 'recovering-from-lid' }
  | { code: 'lid-was-open' }
  | { code: 'cold-meat' }
  | { code: 'vents-just-moved' }
  | { code: 'on-target' }
  | { code: 'inside-band' }
  | { code: 'high-and-falling' }
  | { code: 'low-and-rising' }
  | { code: 'fuel-or-wind' }
  /** Something specific that the readings speak for, how sure, 0 to 1, and since when, epoch ms. */
  | { code: 'suspected'; fault: Fault; sure: number; sinceMs: number }
  | { code: 'too-much-air' }
  | { code: 'too-little-air' };

export interface Diagnosis {
  /** How it moves. */
  trend: Trend;
  /** Change over the last ten minutes, K; null without enough readings. */
  changeK: number | null;
  /** Where it stands in its band. */
  place: BandPlace;
  /** Why, and what to do. */
  cause: Cause;
}

/** What a diagnosis is made from. */
interface DiagnosisInput {
  /** The plan of the pit; its first pit is the one that is tended. */
  plan: Pick<PitPlan, 'request' | 'guides'>;
  /** Readings, in order of time. */
  readings: readonly PitReading[];
  /** The log. */
  lines: readonly LogLine[];
  /** The cook's clock, epoch ms. */
  nowMs: number;
  /** When the fire was lit, epoch ms; null before that. */
  litMs: number | null;
  /** Share of the charcoal that is left, 0 to 1; null where it is not known. */
  fuelLeftFraction: number | null;
  /** What is wrong by simulation; null or left out where nothing is named. */
  named?: Suspicion | null;
}

const TREND_MIN = 10;
/** Fewest readings that show a change. */
const FEWEST_READINGS = 4;
/** A change is told over this at least, min. */
const LEAST_SPAN_MIN = 2;
/** Where somebody reads a dial now and then, the last readings of so many minutes show it, and so many of them. */
const SELDOM = { min: 70, fewest: 2, most: 4 };
/** A pit no warmer than this over the air, so long after it was lit, by readings over so long, is out, K and min. */
const OUT = { overAirK: 20, sinceLitMin: 40, forMin: 8 };
/** Change in ten minutes from which a pit counts as moving, and under which it counts as steady again, K. */
const MOVING_K = { from: 3, until: 2 };
/** The trend now depends on the trends of so many minutes before, so that it does not flicker. */
const TREND_MEMORY_MIN = 12;
/** A pit that left its band counts as back only so far inside it, and as out only so far outside, share of the band. */
const BAND_MARGIN = 0.15;
/** How long an opening, cold meat or a vent move is felt, min (common practice). */
const FELT_MIN = { lid: 15, meat: 40, vents: 25 };
/** Under this share of its charcoal the fuel itself is the cause. */
const LOW_FUEL = 0.08;
/** A pit that does not climb any more so long after lighting is not coming up, min (common practice). */
const BRING_UP_MIN = 45;

/** Change in ten minutes before `nowMs` by a straight line through the latest readings, K; null with too few. */
function recentChangeK(readings: readonly PitReading[], nowMs: number): number | null {
  const within = (minutes: number): { at: number; pitC: number }[] =>
    readings.filter(
      (r): r is { at: number; pitC: number } =>
        r.pitC !== null && r.at > nowMs - minutes * MINUTE_MS && r.at <= nowMs,
    );
  let recent = within(TREND_MIN);
  if (recent.length < FEWEST_READINGS) recent = within(SELDOM.min).slice(-SELDOM.most);
  if (recent.length < SELDOM.fewest) return null;
  // Readings of one moment show no change.
  if (recent.at(-1)!.at - recent[0]!.at < LEAST_SPAN_MIN * MINUTE_MS) return null;
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

/** What the fire is doing at `nowMs`, and why. */
export function diagnose(input: DiagnosisInput): Diagnosis {
  const { plan, readings, nowMs, litMs } = input;
  const { pitC: targetC, bandC } = pitOf(plan).pace;
  const changeK = recentChangeK(readings, nowMs);
  const since = readings.filter((r) => litMs !== null && r.at >= litMs && r.at <= nowMs);
  const place = bandPlace(since, targetC, bandC);
  if (litMs === null) return { trend: 'unlit', changeK, place, cause: { code: 'not-lit' } };
  const trend = steadiedTrend(readings, nowMs);
  if (isOut(input, since)) return { trend, changeK, place, cause: { code: 'fire-out' } };
  const reached = since.some((r) => r.pitC !== null && r.pitC >= targetC - bandC);
  const young = nowMs - litMs < BRING_UP_MIN * MINUTE_MS;
  if (!reached && trend !== 'falling' && (trend === 'rising' || young)) {
    return { trend: 'coming-up', changeK, place, cause: { code: 'coming-up' } };
  }
  const lately = since.some((r) => r.pitC !== null && r.at > nowMs - SELDOM.min * MINUTE_MS);
  const cause: Cause = lately ? causeOf(input, trend, place) : { code: 'no-reading' };
  return { trend, changeK, place, cause };
}

/** Whether the pit is as cold as the air, and has been for some while. */
function isOut({ plan, nowMs, litMs }: DiagnosisInput, since: readonly PitReading[]): boolean {
  if (litMs === null || nowMs - litMs < OUT.sinceLitMin * MINUTE_MS) return false;
  const { weather } = plan.request;
  const airC = Math.max(...(Array.isArray(weather) ? weather : [weather]).map((w) => w.airC));
  const warm = (r: PitReading): boolean => r.pitC !== null && r.pitC > airC + OUT.overAirK;
  const read = since.filter((r) => r.pitC !== null && r.at <= nowMs);
  const cold = read.slice(read.findLastIndex(warm) + 1);
  return cold.length > 1 && cold.at(-1)!.at - cold[0]!.at >= OUT.forMin * MINUTE_MS;
}

/** Where the pit stands, remembering where it stood: a reading on the edge of the band changes nothing. */
function bandPlace(readings: readonly PitReading[], targetC: number, bandC: number): BandPlace {
  const margin = BAND_MARGIN * bandC;
  let place: BandPlace | null = null;
  for (const { pitC } of readings) {
    if (pitC === null) continue;
    const off = pitC - targetC;
    if (place === null) place = off < -bandC ? 'below' : off > bandC ? 'above' : 'in';
    else if (off > bandC + margin) place = 'above';
    else if (off < -bandC - margin) place = 'below';
    else if (place === 'above' && off < bandC - margin) place = off < -bandC ? 'below' : 'in';
    else if (place === 'below' && off > -bandC + margin) place = off > bandC ? 'above' : 'in';
  }
  return place ?? 'below';
}

/** The trend now, remembering the minutes before: it starts above one threshold and ends under a lower one. */
function steadiedTrend(readings: readonly PitReading[], nowMs: number): SteadiedTrend {
  // Older readings say nothing about it: they are left out once, not for every minute.
  const fromMs = nowMs - (TREND_MEMORY_MIN + SELDOM.min) * MINUTE_MS;
  const recent = readings.filter((r) => r.at > fromMs && r.at <= nowMs);
  let trend: SteadiedTrend = 'steady';
  for (let ago = TREND_MEMORY_MIN; ago >= 0; ago--) {
    const change = recentChangeK(recent, nowMs - ago * MINUTE_MS) ?? 0;
    if (change >= MOVING_K.from) trend = 'rising';
    else if (change <= -MOVING_K.from) trend = 'falling';
    else if (trend === 'rising' && change < MOVING_K.until) trend = 'steady';
    else if (trend === 'falling' && change > -MOVING_K.until) trend = 'steady';
  }
  return trend;
}

function causeOf(input: DiagnosisInput, trend: SteadiedTrend, place: BandPlace): Cause {
  const { fuelLeftFraction, litMs } = input;
  if (input.named && litMs !== null) {
    const { fault, sure, sinceMin } = input.named;
    return { code: 'suspected', fault, sure, sinceMs: litMs + sinceMin * MINUTE_MS };
  }
  const sinceMin = (match: (l: LogLine) => boolean): number => minutesSince(input, match);
  const did = (what: string) => (l: LogLine) => deedsOfLine(l.body).some((a) => a.do === what);
  if (fuelLeftFraction !== null && fuelLeftFraction < LOW_FUEL && trend !== 'rising') {
    return { code: 'fuel-nearly-gone' };
  }
  // An opening and cold meat cool a pit: neither explains one that is too hot.
  const cooled = place !== 'above';
  if (cooled && sinceMin(did('lid-open')) < FELT_MIN.lid) {
    return { code: trend === 'rising' ? 'recovering-from-lid' : 'lid-was-open' };
  }
  if (cooled && sinceMin(did('meat-on')) < FELT_MIN.meat && trend !== 'rising') {
    return { code: 'cold-meat' };
  }
  const moved = sinceMin((l) => did('set-vents')(l) && l.jobId !== 'light');
  if (moved < FELT_MIN.vents) return { code: 'vents-just-moved' };
  if (place === 'in') return { code: trend === 'steady' ? 'on-target' : 'inside-band' };
  if (place === 'above') {
    return trend === 'falling' ? { code: 'high-and-falling' } : { code: 'too-much-air' };
  }
  if (trend === 'rising') return { code: 'low-and-rising' };
  return trend === 'falling' ? { code: 'fuel-or-wind' } : { code: 'too-little-air' };
}

/** Minutes since the last line that matches; Infinity where there is none. */
function minutesSince({ lines, nowMs }: DiagnosisInput, match: (l: LogLine) => boolean): number {
  const last = [...lines].reverse().find((l) => l.at <= nowMs && match(l));
  return (nowMs - (last?.at ?? -Infinity)) / MINUTE_MS;
}
