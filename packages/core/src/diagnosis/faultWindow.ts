/** A window of a cook that is looked at for trouble: what was read in it, and what likely pits would have read. */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Weather } from '../air/weather';
import { advance, STEP } from '../cook/cook';
import {
  SLOT_MIN,
  type FireEstimator,
  type FireNews,
  type PastMembers,
} from '../estimate/fireEstimate';
import {
  applyTraits,
  copyMember,
  wouldRead,
  type FireMember,
  type PitSpot,
} from '../estimate/fireMember';
import { ascending, mean, quantile } from '../quantity/statistics';
import { clamp } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { FaultKind } from './faults';

/** What is told of a fire: by a thermometer at a spot, C, or by its fan, percent of full speed. */
export interface Told {
  atMin: number;
  value: number;
  by: PitSpot | 'fan';
}

/** A mean of what was told close together. */
export interface Read extends Told {
  sd: number;
  /** The minutes it was told at, min after lighting. */
  minutes: readonly number[];
}

/** Readings are put together over so many minutes: the latest ones finer. */
const TOGETHER_MIN = { latest: 2.5, older: 5, latestFor: 15 };
/** What they may be off by, one standard deviation: K, and percent of a fan's speed. */
const SD: Readonly<Record<Told['by'], number>> = { grate: 0.7, dome: 1.5, fan: 8 };
/** What a pit wanders by in a minute with nothing wrong, variance, K2: the least and the most that is reckoned with. */
const WANDER = { least: 0.03, most: 0.5 };

/** What each teller would tell, minute by minute from the beginning of a window. */
export type Trace = Readonly<Record<Told['by'], Float64Array>>;

/** A window of the cook: what was read in it, and what the likely pits would have read with nothing wrong. */
export interface Window {
  fromMin: number;
  nowMin: number;
  actions: Action[];
  reads: Read[];
  member: FireMember;
  /** What the likely pits would have read. */
  expected: number[];
  /** The middle one's trace. */
  middle: Trace;
  covariance: Matrix;
  /** The inverse of the covariance. */
  inverse: Matrix;
}

export function windowOf(
  estimator: FireEstimator,
  past: PastMembers,
  news: FireNews,
  nowMin: number,
): Window | null {
  const { atMin: fromMin } = past;
  const reads = together(toldOf(news), fromMin, nowMin);
  if (reads.length < 2) return null;
  const actions = news.done.filter((a) => a.atMin > fromMin && a.atMin <= nowMin);
  const { weather } = estimator.members[0]!.basis;
  const members = past.members.map((m) => inWeather(m, weather));
  const traces = members.map((m) => traceOf(m, actions, fromMin, nowMin));
  const usual = traces.map((t) => reads.map((r) => at(t, r, fromMin)));
  const expected = reads.map((_, i) => mean(usual.map((u) => u[i]!)));
  const central = mostCentral(usual, expected);
  const covariance = covarianceOf(usual, expected, reads, fromMin, wanderOf(estimator, fromMin));
  return {
    fromMin,
    nowMin,
    actions,
    reads,
    member: members[central]!,
    expected,
    middle: traces[central]!,
    covariance,
    inverse: new CholeskyDecomposition(covariance).solve(Matrix.eye(reads.length)),
  };
}

const toldOf = ({ readings, fan = [] }: FireNews): Told[] => [
  ...readings.map(({ atMin, c, spot }): Told => ({ atMin, value: c, by: spot ?? 'grate' })),
  ...fan.map(({ atMin, duty }): Told => ({ atMin, value: 100 * duty, by: 'fan' })),
];

/** The member that lies closest to the mean of all. */
function mostCentral(traces: readonly number[][], middle: readonly number[]): number {
  const far = traces.map((t) => t.reduce((sum, v, i) => sum + (v - middle[i]!) ** 2, 0));
  return far.indexOf(Math.min(...far));
}

/** The same member in the weather as it is known by now. */
export function inWeather(member: FireMember, weather: Weather[]): FireMember {
  const m = { ...member, cook: { ...member.cook }, basis: { ...member.basis, weather } };
  applyTraits(m);
  return m;
}

/** What was told in a window, put together one teller after the other. */
function together(told: readonly Told[], fromMin: number, nowMin: number): Read[] {
  const groups = new Map<string, Told[]>();
  for (const t of told) {
    if (t.atMin <= fromMin || t.atMin > nowMin) continue;
    const late = t.atMin > nowMin - TOGETHER_MIN.latestFor;
    const over = late ? TOGETHER_MIN.latest : TOGETHER_MIN.older;
    const key = `${t.by} ${late} ${Math.ceil((t.atMin - nowMin) / over)}`;
    const group = groups.get(key);
    if (group) group.push(t);
    else groups.set(key, [t]);
  }
  return [...groups.values()]
    .map((g) => ({
      atMin: mean(g.map((t) => t.atMin)),
      value: mean(g.map((t) => t.value)),
      minutes: [...new Set(g.map((t) => Math.round(2 * t.atMin) / 2))],
      by: g[0]!.by,
      sd: SD[g[0]!.by],
    }))
    .sort((a, b) => a.atMin - b.atMin);
}

/** What a member's thermometers and fan would have told from `fromMin` on, with a fault from there on or without. */
export function traceOf(
  member: FireMember,
  actions: readonly Action[],
  fromMin: number,
  nowMin: number,
  kind?: FaultKind,
  size = 0,
): Trace {
  const m = copyMember(member);
  m.cook.pending = [...actions];
  if (kind?.begin) {
    kind.begin(m.cook, size);
    m.cook.stepS = STEP.afterEventS;
  }
  const minutes = Math.ceil(nowMin - fromMin) + 1;
  const trace = {
    grate: new Float64Array(minutes),
    dome: new Float64Array(minutes),
    fan: new Float64Array(minutes),
  };
  for (let i = 0; i < minutes; i++) {
    advance(m.cook, fromMin + i);
    trace.grate[i] = wouldRead(m, 'grate');
    trace.dome[i] = wouldRead(m, 'dome');
    trace.fan[i] = 100 * m.cook.pit!.fanDuty;
  }
  return trace;
}

/** What a trace tells at the minutes of a reading, or so many minutes before: the mean, straight between its minutes. */
export function at(trace: Trace, { by, minutes }: Read, fromMin: number, before = 0): number {
  const series = trace[by];
  let sum = 0;
  for (const minute of minutes) {
    const x = clamp(minute - before - fromMin, 0, series.length - 1);
    const i = Math.floor(x);
    const next = series[Math.min(i + 1, series.length - 1)]!;
    sum += series[i]! + (next - series[i]!) * (x - i);
  }
  return sum / minutes.length;
}

/** What a pit wanders by in a minute when nothing is wrong, variance: from how far off its readings were before. */
function wanderOf({ surprises }: FireEstimator, beforeMin: number): number {
  const offs = ascending(
    surprises
      .filter((s) => s.spot === 'grate' && s.atMin <= beforeMin && s.atMin > 30)
      .slice(-36)
      .map((s) => Math.abs(s.offK)),
  );
  if (offs.length < 6) return 4 * WANDER.least;
  return clamp((1.48 * quantile(offs, 0.5)) ** 2 / SLOT_MIN, WANDER.least, WANDER.most);
}

/** How what was read may lie off what was expected, nothing being wrong: the likely pits, wandering, reading. */
function covarianceOf(
  traces: readonly number[][],
  middle: readonly number[],
  reads: readonly Read[],
  fromMin: number,
  wander: number,
): Matrix {
  return new Matrix(
    reads.map((a, i) =>
      reads.map((b, j) => {
        const likely = mean(traces.map((t) => (t[i]! - middle[i]!) * (t[j]! - middle[j]!)));
        const own = i === j ? a.sd ** 2 : 0;
        if (a.by === 'fan' || b.by === 'fan') return likely + own;
        return likely + own + wander * (Math.min(a.atMin, b.atMin) - fromMin);
      }),
    ),
  );
}
