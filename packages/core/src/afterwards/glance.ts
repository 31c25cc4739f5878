/** What a list of cooks shows of each: a small trace of its pit, how well it was held, when it was ready. */
import type { ArrangementId } from '../fire/fireSpec';
import type { CharcoalId } from '../fuel/catalogue';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { epochOf } from '../quantity/time';
import { readingsOfPast, type ReadingRow } from '../instruments/readings';
import { inSteps } from '../instruments/steps';
import { foldLog, type Entry } from '../log/log';
import { summarise } from './summary';
import { afterwardsOf, cookVerdict, type CookVerdict } from './verdicts';
import { waysOf, type CookWays } from './ways';

/** Points of the small trace. */
export const TRACE_POINTS = 40;

export interface Glance {
  /** The pit from lighting to the meat's coming off at equal steps, C, whole; null where it was not read. */
  traceC: (number | null)[];
  /** The band it was to be held in, C. */
  bandC: [low: number, high: number];
  /** Share of the settled time spent inside it, 0 to 1; null without readings. */
  inBandFraction: number | null;
  /** When the first piece was planned to be ready, in the middle of its window, and when it came off, epoch ms. */
  ready: { planned: number; actual: number | null };
  /** What it was cooked on. */
  fire: { arrangement: ArrangementId; fuel: CharcoalId };
  /** Every cut of it, each once. */
  cuts: string[];
  /** What was said of it; null where nothing was. */
  verdict: CookVerdict;
  /** What its cook's own ways can be learned from. */
  ways: CookWays;
}

/** A finished cook at a glance. */
export function glanceOf(
  plan: PitPlan,
  entries: readonly Entry[],
  readings: readonly ReadingRow[],
): Glance {
  const log = foldLog(entries);
  const after = afterwardsOf(entries);
  const { meats, timeZone } = plan.request;
  const pit = readingsOfPast(plan, log, inSteps(readings));
  const { inBandFraction, off, lit } = summarise(plan, log, pit);
  const { pitC, bandC } = pitOf(plan).pace;
  const from = lit.actual ?? pit[0]?.at ?? lit.planned;
  const to = off.actual ?? log.finishedAt ?? pit.at(-1)?.at ?? from;
  const { arrangement, fuel } = plan.fires[0];
  return {
    traceC: smallTrace(pit, from, to),
    bandC: [pitC - bandC, pitC + bandC],
    inBandFraction,
    ready: { planned: epochOf(plan.ready[0]!.p50, timeZone), actual: off.actual },
    fire: { arrangement, fuel },
    cuts: [...new Set(meats.map((m) => m.cut))],
    verdict: cookVerdict(after),
    ways: waysOf(plan, log, pit, after),
  };
}

/** Means of equal spans from one time to another; null where a span has no reading. */
function smallTrace(readings: readonly ReadingRow[], from: number, to: number): (number | null)[] {
  const sums = Array.from({ length: TRACE_POINTS }, () => ({ sum: 0, n: 0 }));
  if (to <= from) return [];
  for (const { at, pitC } of readings) {
    const i = Math.floor(((at - from) / (to - from)) * TRACE_POINTS);
    if (pitC === null || i < 0 || i >= TRACE_POINTS) continue;
    sums[i]!.sum += pitC;
    sums[i]!.n++;
  }
  return sums.map(({ sum, n }) => (n > 0 ? Math.round(sum / n) : null));
}
