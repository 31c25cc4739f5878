/** What the dial in a pit's lid reads beside its grate, from cooks in which both were read. */
import { mean, quantile, ascending } from '../quantity/statistics';
import type { LoggedCook } from './loggedCook';

export interface DomeRelation {
  /** The dial reads so much more than the grate, the middle of all pairs, K. */
  overK: number;
  /** Eight of ten pairs lie between these, K. */
  spanK: [number, number];
  /** Cooks behind it. */
  cooks: number;
}

/** Two readings so near to each other belong together, min. */
const TOGETHER_MIN = 5;
/** A pit that comes up, and one under this, say nothing: the lid is ahead of the grate then. */
const UP = { afterMin: 60, fromC: 80 };
/** Fewer pairs than this say nothing. */
const LEAST_PAIRS = 4;

/** The relation as the cooks tell it; null where too few read both. */
export function domeRelation(cooks: readonly Pick<LoggedCook, 'readings'>[]): DomeRelation | null {
  const byCook = cooks.map(pairsOf).filter((pairs) => pairs.length > 0);
  const all = ascending(byCook.flat());
  if (all.length < LEAST_PAIRS) return null;
  // Each cook counts alike, however often it was read.
  const overK = mean(byCook.map((pairs) => quantile(ascending(pairs), 0.5)));
  return { overK, spanK: [quantile(all, 0.1), quantile(all, 0.9)], cooks: byCook.length };
}

/** How much more the dial read than the grate, for each reading of the dial with one of the grate near it. */
function pairsOf({ readings }: Pick<LoggedCook, 'readings'>): number[] {
  const grate = readings.filter((r) => r.pitC !== null);
  return readings.flatMap((r) => {
    if (r.domeC == null || r.atMin < UP.afterMin) return [];
    const near = grate.reduce<(typeof grate)[number] | null>(
      (best, g) =>
        best && Math.abs(best.atMin - r.atMin) <= Math.abs(g.atMin - r.atMin) ? best : g,
      null,
    );
    if (!near || Math.abs(near.atMin - r.atMin) > TOGETHER_MIN || near.pitC! < UP.fromC) return [];
    return [r.domeC - near.pitC!];
  });
}
