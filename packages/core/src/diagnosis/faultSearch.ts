/**
 * Sees trouble in a fire before the dial shows it: where readings leave what the likely pits expect, every way in
 * which something could be wrong is simulated from then on, and the one that tells the readings best is named, if it
 * tells them far better than the others and than nothing at all.
 */
import { SLOT_MIN, type FireEstimator, type FireNews } from '../estimate/fireEstimate';
import { clamp } from '../quantity/units';
import type { Fault } from './faults';
import { bestTrials, trials } from './faultTrials';
import { windowOf } from './faultWindow';

/** A fault that the readings speak for. */
export interface Suspicion {
  fault: Fault;
  /** How sure, 0 to 1, among all faults and none. */
  sure: number;
  /** When it began, min after lighting. */
  sinceMin: number;
  /** How much better it tells the readings than nothing wrong, logarithm of the likelihoods' ratio. */
  evidence: number;
  /** Whether it has not lasted long enough yet to be trouble. */
  young: boolean;
}

/**
 * Surprises of a slot add up where they go to one side, less what chance gives; from so much on there may be trouble,
 * standard deviations. (Page's cumulative sums; E. S. Page, Biometrika 41 (1954), from memory.)
 */
const ADDED = { slack: 0.5, most: 12, trouble: 3 };
/** How much likelier it is that nothing is wrong than that one fault is, logarithm. */
const NOTHING_WRONG = 5;
/** Windows are this long at least, min, and begin so long before the first surprise. */
const WINDOW_MIN = { least: 5, before: 10 };

/** Suspicions at `nowMin`, by their evidence, the likeliest first; empty where nothing speaks for any. */
function suspect(estimator: FireEstimator, news: FireNews, nowMin = estimator.atMin): Suspicion[] {
  const sinceMin = troubleSince(estimator, nowMin);
  if (sinceMin === null) return [];
  const past = estimator.past.findLast((p) => p.atMin <= sinceMin - WINDOW_MIN.before);
  const from = past ?? estimator.past[0];
  if (!from || nowMin - from.atMin < WINDOW_MIN.least) return [];
  const w = windowOf(estimator, from, news, nowMin);
  if (!w) return [];
  const all = bestTrials(trials(w, sinceMin, news)).sort((a, b) => b.evidence - a.evidence);
  const top = Math.max(all[0]?.evidence ?? 0, NOTHING_WRONG);
  const weights = all.map((s) => Math.exp(s.evidence - top));
  const sum = weights.reduce((a, b) => a + b, Math.exp(NOTHING_WRONG - top));
  return all.map(({ fault, sinceMin: since, evidence, young }, i) => ({
    fault,
    young,
    sinceMin: since,
    evidence,
    sure: weights[i]! / sum,
  }));
}

/** A suspicion is named from so much evidence on, where it stands so far above the next one, logarithms. */
const NAMED = { evidence: 3.7, above: 0.3 };

/** How far a pit may stray from its target where nobody says, K. */
const USUAL_BAND_K = 8;
/** A fan that turns so much faster or slower than it should is trouble, though it still holds the pit, percent. */
const FAN_TROUBLE = 25;

/** Whether what is suspected shows: the pit was out of its band since then, or its fan far from usual. Swings within are harmless. */
function isTrouble(
  { scenario, surprises, atMin: nowMin }: FireEstimator,
  { readings }: FireNews,
  sinceMin: number,
  bandK: number,
): boolean {
  const { targetC } = scenario.control;
  const inWindow = ({ atMin }: { atMin: number }): boolean => atMin >= sinceMin && atMin <= nowMin;
  const atGrate = readings.filter((r) => (r.spot ?? 'grate') === 'grate' && inWindow(r));
  if (surprises.some((s) => s.spot === 'fan' && inWindow(s) && Math.abs(s.offK) > FAN_TROUBLE)) {
    return true;
  }
  // Where only the lid is read, or nobody said what the pit is to hold, what was expected stands for the target.
  if (targetC === undefined || atGrate.length === 0) {
    return surprises.some((s) => s.spot !== 'fan' && inWindow(s) && Math.abs(s.offK) >= bandK);
  }
  return atGrate.some(({ c }) => Math.abs(c - targetC) >= bandK);
}

/**
 * The suspicion that stands out now and stood out a slot ago, so that no single reading names one, and that is trouble for a
 * pit that may stray by `bandK`; null where none does.
 */
export function namedFault(
  estimator: FireEstimator,
  news: FireNews,
  bandK = USUAL_BAND_K,
): Suspicion | null {
  const now = standingOut(suspect(estimator, news));
  if (!now || !isTrouble(estimator, news, now.sinceMin, bandK)) return null;
  const before = standingOut(suspect(estimator, news, estimator.atMin - SLOT_MIN));
  return before?.fault === now.fault ? now : null;
}

function standingOut([first, second]: readonly Suspicion[]): Suspicion | null {
  if (!first || first.young || first.evidence < NAMED.evidence) return null;
  return first.evidence - (second?.evidence ?? -Infinity) >= NAMED.above ? first : null;
}

/** A pit has settled so long after it first came so near its target, min and K: before that nothing is looked for. */
const SETTLED = { afterMin: 40, withinK: 15 };

/** From when on a pit is settled, min after lighting; Infinity while it is not. */
function settledMin({ pitC, scenario }: FireEstimator): number {
  const { targetC } = scenario.control;
  if (targetC === undefined) return SETTLED.afterMin;
  const reached = pitC.findIndex((c) => c >= targetC - SETTLED.withinK);
  return reached < 0 ? Infinity : reached + SETTLED.afterMin;
}

/** When readings began to leave what was expected, as known at `nowMin`, min after lighting; null while they have not. */
function troubleSince(estimator: FireEstimator, nowMin: number): number | null {
  const { surprises, past } = estimator;
  const earliest = Math.max(past[0]?.atMin ?? Infinity, settledMin(estimator));
  const since: number[] = [];
  for (const spot of ['grate', 'dome', 'fan'] as const) {
    for (const sign of [1, -1]) {
      let added = 0;
      let began = 0;
      for (const s of surprises) {
        if (s.spot !== spot || s.atMin <= earliest || s.atMin > nowMin) continue;
        if (added === 0) began = s.atMin - SLOT_MIN;
        added = clamp(added + sign * s.sd - ADDED.slack, 0, ADDED.most);
      }
      if (added > ADDED.trouble) since.push(began);
    }
  }
  return since.length === 0 ? null : Math.min(...since);
}
