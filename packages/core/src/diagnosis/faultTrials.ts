/** What speaks for each fault in a window: its effect by simulation, laid over what likely pits would do by themselves. */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { weatherAt } from '../air/weather';
import type { FireNews } from '../estimate/fireEstimate';
import { memberFuelKg } from '../estimate/fireMember';
import type { WeatherReading } from '../estimate/measuredWeather';
import { clamp } from '../quantity/units';
import { faultKinds, type Fault, type FaultContext, type FaultKind } from './faults';
import { at, inWeather, traceOf, type Read, type Window } from './faultWindow';

/**
 * What a pit and its thermometers do with a fault is never quite as computed: each reading of its effect is off by this
 * share, and by so many minutes; the fault may be so many times as large as it was simulated, about one; and it has to
 * show by this share at least.
 */
const EFFECT = { shape: 0.12, lateMin: 0.7, timesSd: 0.5, times: [0.4, 2.2], least: 0.15 } as const;
/**
 * A fault may have begun so long before the first surprise, and so long ago at least, min. Every minute is tried of the
 * latest ones, and every few of those before.
 */
const BEGINS_MIN = { before: 9, least: 3, latest: 20, few: 3 };
/** How far errors may be larger than thought is not known: degrees of freedom; and so many readings tell as much as one. */
const ERRORS = { freedom: 4, alike: 2 };

/** One fault from one minute on, and what speaks for it. */
interface Trial {
  fault: Fault;
  sinceMin: number;
  evidence: number;
  young: boolean;
}

/** Every fault that this pit can have, in several sizes and from several minutes on. */
export function trials(w: Window, sinceMin: number, news: FireNews): Trial[] {
  const station = news.weather?.filter((r) => r.atMin <= w.nowMin) ?? [];
  const nothing = misfit(
    w,
    w.reads.map(() => 0),
  );
  const kinds = faultKinds(
    contextOf(
      w,
      news,
      station.some((s) => s.atMin > w.fromMin),
    ),
  );
  return [
    ...kinds.flatMap((kind) =>
      kind.sizes.flatMap((size) => tryFault(w, kind, size, sinceMin, nothing)),
    ),
    ...weatherTrial(w, station),
  ];
}

/** The best trial of every fault. */
export function bestTrials(all: readonly Trial[]): Trial[] {
  const best = new Map<Fault, Trial>();
  for (const t of all) {
    if (t.evidence > (best.get(t.fault)?.evidence ?? -Infinity)) best.set(t.fault, t);
  }
  return [...best.values()];
}

/**
 * A fault of one size. It is simulated once, from the beginning of the window on; that it began later is its effect,
 * later. Its effect on the middle pit is laid over what the likely pits would do by themselves. `nothing` is how the
 * readings fit with nothing wrong.
 */
function tryFault(
  w: Window,
  kind: FaultKind,
  size: number,
  sinceMin: number,
  nothing: number,
): Trial[] {
  const { fault } = kind;
  const { fromMin, nowMin, middle, reads } = w;
  const actions = kind.actions ? kind.actions(w.actions, size) : w.actions;
  const run =
    kind.begin || kind.actions ? traceOf(w.member, actions, fromMin, nowMin, kind, size) : middle;
  return (kind.fromStart ? [fromMin] : begins(w, sinceMin)).map((began) => {
    const later = began - fromMin;
    const effect = reads.map((r) => {
      if (r.minutes.at(-1)! <= began) return 0;
      if (kind.read) return readEffect(w, kind, r, began, size);
      return at(run, r, fromMin, later) - at(middle, r, fromMin, later);
    });
    const times = likeliestSize(w, effect);
    const young = nowMin - began < (kind.leastMin ?? 0);
    const scaled = effect.map((e) => e * (times ?? 0));
    if (times === null || goesWrong(kind, w, scaled))
      return { fault, sinceMin: began, evidence: -Infinity, young };
    return { fault, sinceMin: began, evidence: nothing - misfit(w, scaled) + kind.prior, young };
  });
}

/** Whether an effect goes the other way in the end than such a fault does, as chance in a simulation may have it. */
function goesWrong({ goes }: FaultKind, { reads }: Window, effect: readonly number[]): boolean {
  if (!goes) return false;
  const last = effect.filter((_, i) => reads[i]!.by !== 'fan').slice(-LAST_READS);
  const sum = last.reduce((a, b) => a + b, 0);
  return goes === 'up' ? sum < 0 : sum > 0;
}

/** So many of the latest readings show which way a pit goes. */
const LAST_READS = 4;

/** The minutes from which on a fault may have been there. */
function begins({ fromMin, nowMin }: Window, sinceMin: number): number[] {
  const all: number[] = [];
  let m = Math.max(fromMin, Math.round(sinceMin - BEGINS_MIN.before));
  while (m <= nowMin - BEGINS_MIN.least) {
    all.push(m);
    m += m < nowMin - BEGINS_MIN.latest ? BEGINS_MIN.few : 1;
  }
  return all;
}

/** What a thermometer that tells of another place reads more than it should. */
function readEffect(w: Window, kind: FaultKind, r: Read, began: number, size: number): number {
  if (r.by !== 'grate') return 0;
  const c = at(w.middle, r, w.fromMin);
  const { airC } = weatherAt(w.member.cook.scenario.weather, r.atMin);
  return kind.read!(c, airC, r.atMin - began, size) - c;
}

/** How many times as large an effect tells the readings best, about one; null where they go against it. */
function likeliestSize(w: Window, effect: readonly number[]): number | null {
  const e = Matrix.columnVector([...effect]);
  const off = Matrix.columnVector(w.reads.map((r, i) => r.value - w.expected[i]!));
  const weighed = e.transpose().mmul(w.inverse);
  const prior = 1 / EFFECT.timesSd ** 2;
  const own = weighed.mmul(e).get(0, 0);
  const together = weighed.mmul(off).get(0, 0);
  // An effect that the readings do not show at all is no effect.
  if (together < EFFECT.least * own) return null;
  return clamp((together + prior) / (own + prior), ...EFFECT.times);
}

/** Wind that rose by so much, m/s, or rain, mm/h, may be what moves a pit. */
const ROUGH = { windMps: 4.5, rainMmPerH: 1 };
/** Rough weather that was told and must move this pit by so much, K or percent of its fan, is evidence of so much. */
const TOLD_ROUGH = { k: 6, percent: 15, evidence: 10 };

/** Weather that has just turned rough is waited for so long before anything else is named, min; it outweighs all other evidence. */
const JUST_TURNED = { forMin: 10, evidence: 50 };

/** Weather that a station or somebody saw is no guess: it is a cause where it must have moved this pit. */
function weatherTrial(w: Window, station: readonly WeatherReading[]): Trial[] {
  const before = weatherAt(w.member.basis.weather, w.fromMin);
  const rough = station.find(
    (r) =>
      r.atMin > w.fromMin &&
      ((r.windMps ?? 0) > before.windMps + ROUGH.windMps ||
        (r.rainMmPerH ?? 0) > before.rainMmPerH + ROUGH.rainMmPerH),
  );
  if (!rough) return [];
  const calm = traceOf(inWeather(w.member, [before]), w.actions, w.fromMin, w.nowMin);
  const moved = w.reads.some(
    (r) =>
      Math.abs(at(calm, r, w.fromMin) - at(w.middle, r, w.fromMin)) >
      (r.by === 'fan' ? TOLD_ROUGH.percent : TOLD_ROUGH.k),
  );
  const { evidence } = TOLD_ROUGH;
  const trial = { fault: 'wind-or-rain', sinceMin: rough.atMin } as const;
  if (moved) return [{ ...trial, evidence, young: false }];
  return w.nowMin - rough.atMin < JUST_TURNED.forMin
    ? [{ ...trial, evidence: JUST_TURNED.evidence, young: true }]
    : [];
}

/**
 * How badly the readings fit, with a fault's effect on them: less is better. How large errors are is not known better
 * than to a factor, so that it is the share of the misfit that counts (a multivariate t distribution).
 */
function misfit(w: Window, effect: readonly number[]): number {
  const c = w.covariance.clone();
  effect.forEach((e, i) => {
    if (e !== 0) c.set(i, i, c.get(i, i) + (EFFECT.shape * e) ** 2 + lateness(w.reads, effect, i));
  });
  const wrong = new CholeskyDecomposition(c);
  const off = Matrix.columnVector(w.reads.map((r, i) => r.value - w.expected[i]! - effect[i]!));
  const square = off.transpose().mmul(wrong.solve(off)).get(0, 0);
  const logRoot = wrong.lowerTriangularMatrix.diagonal().reduce((sum, d) => sum + Math.log(d), 0);
  const { freedom, alike } = ERRORS;
  const count = effect.length / alike;
  return ((freedom + count) / 2) * Math.log1p(square / alike / freedom) + logRoot / alike;
}

/** What an effect may be off because it comes sooner or later than computed, variance. */
function lateness(reads: readonly Read[], effect: readonly number[], i: number): number {
  const { by } = reads[i]!;
  const before = reads.findLastIndex((r, k) => k < i && r.by === by);
  const after = reads.findIndex((r, k) => k > i && r.by === by);
  const [a, b] = [before < 0 ? i : before, after < 0 ? i : after];
  const minutes = Math.max(reads[b]!.atMin - reads[a]!.atMin, 1);
  return ((EFFECT.lateMin * (effect[b]! - effect[a]!)) / minutes) ** 2;
}

function contextOf(
  { member, fromMin, nowMin }: Window,
  { done, smoke = [] }: FireNews,
  weatherTold: boolean,
): FaultContext {
  const { weather } = member.cook.scenario;
  const times = Array.isArray(weather) ? weather.map((w) => w.atMin ?? 0) : [];
  return {
    member,
    fromMin,
    done: done.filter((a) => a.atMin > fromMin - 30 && a.atMin <= nowMin),
    fuelLeftFraction: memberFuelKg(member) / Math.max(member.cook.pit!.ledger.givenKg, 1e-6),
    smoke: smoke.findLast((s) => s.atMin > fromMin && s.atMin <= nowMin)?.smoke ?? null,
    weatherTold,
    weatherChanges: times.some((at) => at > fromMin && at <= nowMin),
  };
}
