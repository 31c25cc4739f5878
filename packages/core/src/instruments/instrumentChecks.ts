/** Checks of a thermometer against what is known: what it is off by, how that drifts, and when it is due again. */
import { mean } from '../quantity/statistics';
import { DAY_MS } from '../quantity/time';
import { boilingPointC } from '../air/moistAir';

/** What a thermometer is held into, or beside. */
export const CHECKED_AGAINST = ['ice', 'boiling', 'another'] as const;
export type CheckedAgainst = (typeof CHECKED_AGAINST)[number];

/** One check. */
export interface InstrumentCheck {
  /** When, epoch ms. */
  at: number;
  against: CheckedAgainst;
  /** What it read, C. */
  readsC: number;
  /** What was true there, C. */
  trueC: number;
}

/** Checks within this are of one occasion, ms. */
const OCCASION_MS = DAY_MS;
/** A thermometer is checked again after so long, days (common practice: twice a year, and after every fall). */
export const USUAL_DUE_DAYS = 180;
const YEAR_MS = 365.25 * DAY_MS;
/** A drift is told from so many occasions on, and over so long, ms. */
const DRIFT = { occasions: 3, overMs: 30 * DAY_MS };

const offK = (c: InstrumentCheck): number => c.readsC - c.trueC;

/** Checks by their occasions, the oldest first. */
function occasions(checks: readonly InstrumentCheck[]): InstrumentCheck[][] {
  const found: InstrumentCheck[][] = [];
  for (const check of [...checks].sort((a, b) => a.at - b.at)) {
    const last = found.at(-1);
    if (last && check.at - last[0]!.at < OCCASION_MS) last.push(check);
    else found.push([check]);
  }
  return found;
}

/** What it reads too much by its last occasion, K; null where it was never checked. */
export function offsetOf(checks: readonly InstrumentCheck[]): number | null {
  const last = occasions(checks).at(-1);
  return last ? mean(last.map(offK)) : null;
}

/** What two ends of the last occasion differ by, K: more than a degree or two, and one offset does not put it right. */
export function spreadOf(checks: readonly InstrumentCheck[]): number {
  const offs = (occasions(checks).at(-1) ?? []).map(offK);
  return offs.length < 2 ? 0 : Math.max(...offs) - Math.min(...offs);
}

/** How its error grows, K a year, a straight line through its occasions; null where they are too few or too near. */
export function driftOf(checks: readonly InstrumentCheck[]): number | null {
  const points = occasions(checks).map((o) => ({
    t: mean(o.map((c) => c.at)) / YEAR_MS,
    k: mean(o.map(offK)),
  }));
  const span = points.length > 1 ? (points.at(-1)!.t - points[0]!.t) * YEAR_MS : 0;
  if (points.length < DRIFT.occasions || span < DRIFT.overMs) return null;
  const [t, k] = [mean(points.map((p) => p.t)), mean(points.map((p) => p.k))];
  const spread = points.reduce((sum, p) => sum + (p.t - t) ** 2, 0);
  return points.reduce((sum, p) => sum + (p.t - t) * (p.k - k), 0) / spread;
}

/** When it is to be checked again, epoch ms; null where it never was: that is now. */
export const dueAt = (checkedAt: number | null, dueDays = USUAL_DUE_DAYS): number | null =>
  checkedAt === null ? null : checkedAt + dueDays * DAY_MS;

/** What boiling water reads under a pressure of the air as it is there, hPa; C. */
export const boilsAtHPa = (hPa: number): number => boilingPointC(100 * hPa);
