/** Vents for a target: what setting, in quarters, settles nearest to the wanted temperature. */
import { simulate } from '../cook/cook';
import type { Scenario } from '../cook/scenario';
import { settledC } from '../invert/case';
import type { Pit } from '../pit/types';

export interface QuarterPair {
  intakeFraction: number;
  exhaustFraction: number;
  settlesC: number;
}

const QUARTERS = [0.25, 0.5, 0.75, 1];
/** Free area that the draught feels through intake and exhaust in series, cm2. */
const throughArea = (pit: Pit, intake: number, exhaust: number): number =>
  1 / Math.hypot(1 / (pit.intakeCm2 * intake), 1 / (pit.exhaustCm2 * exhaust));

/** All pairs of quarters from the tightest to the widest; more opening never runs cooler here. */
export function ventLadder(pit: Pit): { intakeFraction: number; exhaustFraction: number }[] {
  return QUARTERS.flatMap((i) => QUARTERS.map((e) => ({ intakeFraction: i, exhaustFraction: e })))
    .filter((v) => v.exhaustFraction >= v.intakeFraction)
    .sort(
      (a, b) =>
        throughArea(pit, a.intakeFraction, a.exhaustFraction) -
        throughArea(pit, b.intakeFraction, b.exhaustFraction),
    );
}

/**
 * The pair of quarters that settles nearest to `targetC`. `withVents` builds the scenario to try.
 * Bisects the ladder: four runs instead of ten. A target out of reach gives the end of the ladder,
 * whose `settlesC` says how far it gets.
 */
export function quartersFor(
  targetC: number,
  pit: Pit,
  withVents: (intakeFraction: number, exhaustFraction: number) => Scenario,
): QuarterPair {
  const ladder = ventLadder(pit);
  const tried = new Map<number, QuarterPair>();
  const look = (i: number): QuarterPair => {
    const known = tried.get(i);
    if (known) return known;
    const v = ladder[i]!;
    const scenario = withVents(v.intakeFraction, v.exhaustFraction);
    const settled = settledC(simulate(scenario).pitC, scenario.everyMin);
    const pair = { ...v, settlesC: settled };
    tried.set(i, pair);
    return pair;
  };
  let low = 0;
  let high = ladder.length - 1;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (look(mid).settlesC < targetC) low = mid;
    else high = mid;
  }
  const a = look(low);
  const b = look(high);
  return Math.abs(a.settlesC - targetC) <= Math.abs(b.settlesC - targetC) ? a : b;
}

const NAMES: Readonly<Record<string, string>> = {
  '0': 'shut',
  '0.25': 'a quarter open',
  '0.5': 'half open',
  '0.75': 'three quarters open',
  '1': 'fully open',
};

/** A vent's setting in words, to the nearest quarter. */
export const ventWords = (fraction: number): string =>
  NAMES[String(Math.round(fraction * 4) / 4)] ?? 'shut';
