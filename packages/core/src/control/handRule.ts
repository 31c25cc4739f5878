/** A rule that a hand carries out with a thermometer and a clock: look every so often, and move by one notch. */
import type { VentOpenings } from './controlPolicy';

/** What a notch is: a setting of both vents, or the mass of a split. The tightest, or the lightest, comes first. */
export type Notches =
  /** Each a notch wider than the one before, on the owner's own scales. */
  | { by: 'vents'; settings: VentOpenings[] }
  /** Each a notch heavier than the one before, kg; `waitOverK`: no split goes on while it is so far over the target, K. */
  | { by: 'splits'; splitsKg: number[]; waitOverK: number };

/** How a hand holds a fire. */
export interface HandRule {
  /** Minutes from one look to the next; a fire on splits is fed at each. */
  everyMin: number;
  /**
   * Over the target by more than this it is closed, or the splits get lighter, by one notch, K. Under 0 where a pit that is
   * held right is lower than its target at a look: just before a split.
   */
  overK: number;
  /** Under the target by more than this it is opened, or the splits get heavier, by one notch, K. */
  underK: number;
  /** From so far off on it is two notches, K; null: never. */
  twoFromK: number | null;
  /** What has come back by so much since the last look is left alone, K. */
  backK: number;
  /** What a notch is worth, K. */
  notchK: number;
  /** The notch that should hold the target, counted from 0. */
  start: number;
  /** The notches themselves. */
  notches: Notches;
}

/** How many notches there are. */
export const notchCount = ({ notches }: HandRule): number =>
  notches.by === 'vents' ? notches.settings.length : notches.splitsKg.length;

/** The notch that should hold another target, `moreK` over the first one, K. */
export const notchFor = (rule: HandRule, moreK: number): number =>
  Math.min(Math.max(rule.start + Math.round(moreK / rule.notchK), 0), notchCount(rule) - 1);

/** The notch nearest to where the vents stand, counted from 0. */
export function nearestNotch(settings: readonly VentOpenings[], at: VentOpenings): number {
  const off = (s: VentOpenings): number =>
    (s.intake - at.intake) ** 2 + (s.exhaust - at.exhaust) ** 2;
  return settings.reduce((best, s, i) => (off(s) < off(settings[best]!) ? i : best), 0);
}

/** What somebody who goes by a rule remembers. */
export interface HandMemory {
  /** The notch where it stands. */
  notch: number;
  /** What the thermometer read at the last look, C; null before the first. */
  lastC: number | null;
}

/** The notch for a reading of `pitC` at a look; the present one where nothing is to be done. Temperatures in C. */
export function notchAtLook(
  rule: HandRule,
  { notch, lastC }: HandMemory,
  pitC: number,
  targetC: number,
): number {
  const offK = pitC - targetC;
  const rightC = targetC + (rule.overK - rule.underK) / 2;
  const backK = lastC === null ? 0 : Math.abs(lastC - rightC) - Math.abs(pitC - rightC);
  if (backK >= rule.backK) return notch;
  const by = Math.abs(offK) >= (rule.twoFromK ?? Infinity) ? 2 : 1;
  if (offK > rule.overK) return Math.max(notch - by, 0);
  if (offK < -rule.underK) return Math.min(notch + by, notchCount(rule) - 1);
  return notch;
}
