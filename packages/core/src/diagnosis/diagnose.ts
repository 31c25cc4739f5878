/** What a fire is doing and why, as a code with its figures, from readings and the log. */
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import type { Fault } from './faults';
import type { Suspicion } from './faultSearch';
import { deedsOfLine, type LogLine } from '../log/log';
import type { SmokeLook } from '../log/lookKinds';
import { smokeLooks } from '../log/looks';
import {
  isReadLately,
  recentChangeK,
  steadiedTrend,
  type PitReading,
  type SteadiedTrend,
  type Trend,
} from './trend';

/** Smoke that no clean fire gives. */
export type BadSmoke = Extract<SmokeLook, 'white' | 'dark'>;

export type BandPlace = 'below' | 'in' | 'above';

/** Why a pit does what it does, and what to do about it. */
export type Cause =
  | { code: 'not-lit' }
  | { code: 'coming-up' }
  /** Nobody has read the pit lately. */
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
  /** At the edge of its band, and it stays there. */
  | { code: 'low-in-band' }
  | { code: 'high-in-band' }
  | { code: 'high-and-falling' }
  | { code: 'low-and-rising' }
  | { code: 'fuel-or-wind' }
  /** Something specific that the readings speak for, how sure, 0 to 1, and since when, epoch ms. */
  | { code: 'suspected'; fault: Fault; sure: number; sinceMs: number }
  /** Somebody saw smoke that no clean fire gives, when, epoch ms. */
  | { code: 'smoke'; smoke: BadSmoke; sinceMs: number }
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

/** A pit no warmer than this over the air, so long after it was lit, by readings over so long, is out, K and min. */
const OUT = { overAirK: 20, sinceLitMin: 40, forMin: 8 };
/** A pit that left its band counts as back only so far inside it, and as out only so far outside, share of the band. */
const BAND_MARGIN = 0.15;
/** The inner share of a band. A pit that is further from its target stands at the edge: a gust takes it out. */
export const INNER = 0.6;
/** It goes back to its target by itself from this on, K in ten minutes. */
const BACK_K = 1;
/** How long an opening, cold meat or a vent move is felt, min (common practice). */
const FELT_MIN = { lid: 15, meat: 40, vents: 25 };
/** How long no wood goes on after white or dark smoke was seen, min (common practice). */
export const SMOKE_CLEARS_MIN = 10;
/** Under this share of its charcoal the fuel itself is the cause. */
const LOW_FUEL = 0.08;
/** A pit that does not climb any more so long after lighting is not coming up, min (common practice). */
const BRING_UP_MIN = 45;

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
  const cause: Cause = isReadLately(since, nowMs)
    ? causeOf(input, trend, place, edgeCode(since, changeK, pitOf(plan).pace))
    : { code: 'no-reading' };
  return { trend, changeK, place, cause };
}

/** Whether the pit is as cold as the air, at the grate and in the lid, and has been for some while. */
function isOut({ plan, nowMs, litMs }: DiagnosisInput, since: readonly PitReading[]): boolean {
  if (litMs === null || nowMs - litMs < OUT.sinceLitMin * MINUTE_MS) return false;
  const { weather } = plan.request;
  const airC = Math.max(...(Array.isArray(weather) ? weather : [weather]).map((w) => w.airC));
  const warm = ({ pitC, domeC }: PitReading): boolean =>
    Math.max(pitC ?? -Infinity, domeC ?? -Infinity) > airC + OUT.overAirK;
  const read = since.filter((r) => r.pitC !== null || r.domeC != null);
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

/** Which edge of its band a pit stands at and stays, by its last reading; null where it is nearer to its target. */
function edgeCode(
  readings: readonly PitReading[],
  changeK: number | null,
  { pitC: targetC, bandC }: { pitC: number; bandC: number },
): 'low-in-band' | 'high-in-band' | null {
  const last = readings.findLast((r) => r.pitC !== null);
  if (!last || changeK === null) return null;
  const offK = last.pitC! - targetC;
  if (Math.abs(offK) <= INNER * bandC || -Math.sign(offK) * changeK >= BACK_K) return null;
  return offK < 0 ? 'low-in-band' : 'high-in-band';
}

function causeOf(
  input: DiagnosisInput,
  trend: SteadiedTrend,
  place: BandPlace,
  edge: ReturnType<typeof edgeCode>,
): Cause {
  const { fuelLeftFraction, litMs } = input;
  const smoke = badSmoke(input);
  // What somebody saw is surer than what the readings speak for, and damp wood is what white smoke is.
  if (input.named && litMs !== null && !(smoke && input.named.fault === 'damp-wood')) {
    const { fault, sure, sinceMin } = input.named;
    return { code: 'suspected', fault, sure, sinceMs: litMs + sinceMin * MINUTE_MS };
  }
  if (smoke) return smoke;
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
  if (place === 'in') return { code: edge ?? (trend === 'steady' ? 'on-target' : 'inside-band') };
  if (place === 'above') {
    return trend === 'falling' ? { code: 'high-and-falling' } : { code: 'too-much-air' };
  }
  if (trend === 'rising') return { code: 'low-and-rising' };
  return trend === 'falling' ? { code: 'fuel-or-wind' } : { code: 'too-little-air' };
}

/** White or dark smoke that was seen a short while ago, and not clearer since; else null. */
function badSmoke({ lines, nowMs }: DiagnosisInput): Cause | null {
  const last = smokeLooks({ lines }, 0).at(-1);
  if (!last || (last.smoke !== 'white' && last.smoke !== 'dark')) return null;
  const sinceMs = last.atMin * MINUTE_MS;
  return nowMs - sinceMs < SMOKE_CLEARS_MIN * MINUTE_MS
    ? { code: 'smoke', smoke: last.smoke, sinceMs }
    : null;
}

/** Minutes since the last line that matches; Infinity where there is none. */
function minutesSince({ lines, nowMs }: DiagnosisInput, match: (l: LogLine) => boolean): number {
  const last = [...lines].reverse().find((l) => l.at <= nowMs && match(l));
  return (nowMs - (last?.at ?? -Infinity)) / MINUTE_MS;
}
