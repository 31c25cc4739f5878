/** Vents for a temperature: every pair that settles there, and how each stands up to the weather. */
import { simulate } from '../cook/cook';
import type { Weather } from '../air/weather';
import { clamp } from '../quantity/units';
import {
  steadyScenario,
  SETTLED_UNTIL_MIN,
  settledC,
  type SplitFeed,
  type SteadyCase,
} from './steadyCase';

/** A pair of vents that settles at the target. */
interface VentPair {
  /** Intake, 0 shut to 1 fully open. */
  intakeFraction: number;
  /** Exhaust, 0 shut to 1 fully open. */
  exhaustFraction: number;
  /** Where the pit settles, C. */
  settlesC: number;
  /** Where the same setting settles on other days: lowest and highest, C. */
  bandC: [low: number, high: number];
}

/** What can be had of a target. */
export interface VentAnswer {
  /** Target of the pit, C. */
  targetC: number;
  /** Settings that settle there; empty where none does. */
  pairs: VentPair[];
  /** The coolest and hottest that the pit settles at over all settings tried, C. */
  reachC: [low: number, high: number];
  /** Where it settles at the end of the vents' travel that is nearest to the target, C; null when there is a pair. */
  unreachable: { high: boolean; settlesC: number } | null;
}

/** The days that a setting is tried on, beside the one it was asked for. */
export type ReferenceDayId = 'still-warm' | 'windy-warm' | 'still-cold' | 'windy-cold';
export const REFERENCE_DAYS: readonly { id: ReferenceDayId; change: Partial<Weather> }[] = [
  { id: 'still-warm', change: { airC: 27, windMps: 0 } },
  { id: 'windy-warm', change: { airC: 27, windMps: 7 } },
  { id: 'still-cold', change: { airC: -3, windMps: 0 } },
  { id: 'windy-cold', change: { airC: -3, windMps: 7 } },
];

/** The same pit on another day. */
export const withWeather = (steadyCase: SteadyCase, change: Partial<Weather>): SteadyCase => ({
  ...steadyCase,
  weather: { ...steadyCase.weather, ...change },
});

const EXHAUSTS = [0.25, 0.5, 0.75, 1];
/** Narrowest opening tried, share of the travel. */
const NARROWEST_INTAKE = 0.02;
/** Close enough, K, and most runs of one search. */
const CLOSE_K = 1;
const MAX_RUNS = 8;

/** Where a setting settles, C. */
export function settledAtC(
  steadyCase: SteadyCase,
  intake: number,
  exhaust: number,
  feed?: SplitFeed,
): number {
  const scenario = steadyScenario(steadyCase, intake, exhaust, SETTLED_UNTIL_MIN, feed);
  return settledC(simulate(scenario).pitC, scenario.everyMin);
}

/**
 * All intake and exhaust pairs that settle at `targetC`, one for each exhaust setting that can: bracketed
 * search on the logarithm of the intake's opening. A target out of reach gives no pair and says where the vents end.
 * Yields the share done.
 */
export function* ventsFor(
  targetC: number,
  steadyCase: SteadyCase,
  feed?: SplitFeed,
): Generator<number, VentAnswer> {
  const pairs: VentPair[] = [];
  let low = Infinity;
  let high = -Infinity;
  for (const [i, exhaustFraction] of EXHAUSTS.entries()) {
    // A dying fire is a second branch: look at a few openings before trusting the slope between two.
    const scan = [NARROWEST_INTAKE, 0.07, 0.25, 1].map((x) => ({
      x,
      c: settledAtC(steadyCase, x, exhaustFraction, feed),
    }));
    yield (i + 0.5) / EXHAUSTS.length;
    low = Math.min(low, ...scan.map((s) => s.c));
    high = Math.max(high, ...scan.map((s) => s.c));
    const at = scan.findIndex((s, k) => k > 0 && scan[k - 1]!.c <= targetC && targetC <= s.c);
    if (at < 0) continue;
    const found = solveIntake(targetC, scan[at - 1]!, scan[at]!, (x) =>
      settledAtC(steadyCase, x, exhaustFraction, feed),
    );
    if (Math.abs(found.c - targetC) > 4 * CLOSE_K) continue;
    const days = REFERENCE_DAYS.map((d) =>
      settledAtC(withWeather(steadyCase, d.change), found.x, exhaustFraction, feed),
    );
    pairs.push({
      intakeFraction: found.x,
      exhaustFraction,
      settlesC: found.c,
      bandC: [Math.min(...days), Math.max(...days)],
    });
    yield (i + 1) / EXHAUSTS.length;
  }
  const unreachable =
    pairs.length > 0
      ? null
      : targetC > high
        ? { high: true, settlesC: high }
        : { high: false, settlesC: low };
  return { targetC, pairs, reachC: [low, high], unreachable };
}

interface Point {
  x: number;
  c: number;
}

/** Regula falsi on the logarithm, with halving when it creeps. */
function solveIntake(target: number, from: Point, to: Point, at: (x: number) => number): Point {
  let a = from;
  let b = to;
  for (let run = 0; run < MAX_RUNS; run++) {
    if (Math.abs(a.c - target) < CLOSE_K) return a;
    if (Math.abs(b.c - target) < CLOSE_K) return b;
    const share = run % 3 === 2 ? 0.5 : clamp((target - a.c) / (b.c - a.c), 0.08, 0.92);
    const x = Math.exp(Math.log(a.x) + share * (Math.log(b.x) - Math.log(a.x)));
    const p = { x, c: at(x) };
    if (p.c < target) a = p;
    else b = p;
  }
  return Math.abs(a.c - target) < Math.abs(b.c - target) ? a : b;
}
