/** Splits for a temperature: how heavy, how often, and what swing comes with it. */
import { simulate } from '../cook/cook';
import { presetOf } from '../pit/catalogue';
import { smallFirebox } from '../pit/usual';
import { mean } from '../quantity/statistics';
import { caseScenario, type Feed, type PitCase } from './case';

/** One way of feeding, as it turns out. */
export interface FeedAnswer extends Feed {
  meanC: number;
  /** Half of highest minus lowest within a round, K. */
  swingK: number;
  kgPerHour: number;
}

/** Intervals that people keep, min: small fireboxes need more visits (common practice). */
const INTERVALS = { light: [20, 25, 30, 35, 40], heavy: [35, 40, 45, 50, 55, 60] };
/** The splits of one round are looked at over this stretch, min: after the charcoal base has burnt down. */
const LOOK = { from: 205, rounds: 4 };
const CLOSE_K = 1.5;

/** What a feed settles at: mean and swing over whole rounds. */
export function feedSettles(
  c: PitCase,
  feed: Feed,
  intake: number,
  exhaust: number,
): { meanC: number; swingK: number } {
  const until = LOOK.from + LOOK.rounds * feed.intervalMin;
  const scenario = { ...caseScenario(c, intake, exhaust, until, feed), everyMin: 1 };
  const pitC = simulate(scenario).pitC.slice(LOOK.from, until) as number[];
  return { meanC: mean(pitC), swingK: swingOf(pitC, feed.intervalMin) };
}

/** Half of highest minus lowest within a round of `intervalMin` rows, mean over the whole rounds there are, K. */
export function swingOf(pitC: readonly number[], intervalMin: number): number {
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
export function* feedFor(
  targetC: number,
  c: PitCase,
  intake = 1,
  exhaust = 1,
): Generator<number, FeedAnswer[]> {
  const small = smallFirebox(presetOf(c.preset));
  const intervals = small ? INTERVALS.light : INTERVALS.heavy;
  const answers: FeedAnswer[] = [];
  for (const [i, intervalMin] of intervals.entries()) {
    const at = (massKg: number) => feedSettles(c, { massKg, intervalMin }, intake, exhaust);
    const found = solveMass(targetC, small ? [0.2, 0.4, 0.7, 1.1] : [0.5, 0.9, 1.4, 2.2], at);
    if (found)
      answers.push({ ...found, intervalMin, kgPerHour: (found.massKg * 60) / intervalMin });
    yield (i + 1) / intervals.length;
  }
  // A visit more an hour has to buy 4 K of swing.
  const worth = (f: FeedAnswer): number => f.swingK + (4 * 60) / f.intervalMin;
  return answers.sort((a, b) => worth(a) - worth(b));
}

type Settled = { meanC: number; swingK: number };

/** Mass whose mean is the target, on the first rising stretch of the scan; null when there is none. */
function solveMass(
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
