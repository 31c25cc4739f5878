/** Splits for a temperature: how heavy, how often, and what swing comes with it. */
import { simulate } from '../cook/cook';
import { presetOf } from '../pit/catalogue';
import { hasSmallFirebox } from '../pit/usualFire';
import { mean } from '../quantity/statistics';
import { steadyScenario, type SplitFeed, type SteadyCase } from './steadyCase';

/** A feed of splits, and how it holds the pit. */
export interface SplitFeedAnswer extends SplitFeed {
  /** Mean of the pit, C. */
  meanC: number;
  /** Half of highest minus lowest within a round, K. */
  swingK: number;
  /** Wood burnt, kg/h. */
  kgPerHour: number;
}

/** Intervals that people keep, min: small fireboxes need more visits (common practice). */
const INTERVALS = { light: [20, 25, 30, 35, 40], heavy: [35, 40, 45, 50, 55, 60] };
/** The splits of one round are looked at over this stretch, min: after the charcoal base has burnt down. */
const JUDGED = { from: 205, rounds: 4 };
const CLOSE_K = 1.5;

/** What a feed settles at: mean and swing over whole rounds. */
export function splitFeedOutcome(
  steadyCase: SteadyCase,
  feed: SplitFeed,
  intake: number,
  exhaust: number,
): { meanC: number; swingK: number } {
  const until = JUDGED.from + JUDGED.rounds * feed.intervalMin;
  const scenario = { ...steadyScenario(steadyCase, intake, exhaust, until, feed), everyMin: 1 };
  const pitC = simulate(scenario).pitC.slice(JUDGED.from, until) as number[];
  return { meanC: mean(pitC), swingK: roundSwingK(pitC, feed.intervalMin) };
}

/** Half of highest minus lowest within a round of `intervalMin` rows, mean over the whole rounds there are, K. */
export function roundSwingK(pitC: readonly number[], intervalMin: number): number {
  const rounds = Math.floor(pitC.length / intervalMin);
  return mean(
    Array.from({ length: rounds }, (_, i) => {
      const round = pitC.slice(i * intervalMin, (i + 1) * intervalMin);
      return (Math.max(...round) - Math.min(...round)) / 2;
    }),
  );
}

/**
 * Feeds that hold `targetC`, the steadiest for its visits first. For each interval the mass is found on
 * the rising branch: too much wood smothers the fire, so masses are scanned before one is solved for.
 * Yields the share done. An empty list means that no split that fits does it.
 */
export function* splitFeedsFor(
  targetC: number,
  steadyCase: SteadyCase,
  intake = 1,
  exhaust = 1,
): Generator<number, SplitFeedAnswer[]> {
  const small = hasSmallFirebox(presetOf(steadyCase.preset));
  const intervals = small ? INTERVALS.light : INTERVALS.heavy;
  const answers: SplitFeedAnswer[] = [];
  for (const [i, intervalMin] of intervals.entries()) {
    const at = (massKg: number) =>
      splitFeedOutcome(steadyCase, { massKg, intervalMin }, intake, exhaust);
    const found = solveSplitMass(targetC, small ? [0.2, 0.4, 0.7, 1.1] : [0.5, 0.9, 1.4, 2.2], at);
    if (found)
      answers.push({ ...found, intervalMin, kgPerHour: (found.massKg * 60) / intervalMin });
    yield (i + 1) / intervals.length;
  }
  // A visit more an hour has to buy 4 K of swing.
  const worth = (f: SplitFeedAnswer): number => f.swingK + (4 * 60) / f.intervalMin;
  return answers.sort((a, b) => worth(a) - worth(b));
}

type Settled = { meanC: number; swingK: number };

/** Mass whose mean is the target, on the first rising stretch of the scan; null when there is none. */
function solveSplitMass(
  targetC: number,
  scan: readonly number[],
  at: (massKg: number) => Settled,
): (Settled & { massKg: number }) | null {
  let low = { massKg: scan[0]!, ...at(scan[0]!) };
  for (const massKg of scan.slice(1)) {
    const high = { massKg, ...at(massKg) };
    if (low.meanC <= targetC && targetC <= high.meanC) {
      let a = low;
      let b = high;
      for (let run = 0; run < 7; run++) {
        const share = (targetC - a.meanC) / (b.meanC - a.meanC);
        const mid = a.massKg + Math.min(Math.max(share, 0.1), 0.9) * (b.massKg - a.massKg);
        const p = { massKg: mid, ...at(mid) };
        if (Math.abs(p.meanC - targetC) < CLOSE_K) return p;
        if (p.meanC < targetC) a = p;
        else b = p;
      }
      return Math.abs(a.meanC - targetC) < Math.abs(b.meanC - targetC) ? a : b;
    }
    low = high;
  }
  return null;
}
