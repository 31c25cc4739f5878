/** The notches of a pit: settings of its vents, or splits, in steps that are worth about as much. */
import {
  withHoldingIntake,
  type ControlPolicy,
  type VentOpenings,
} from '../../control/controlPolicy';
import { exhaustBeside } from '../../control/simulatedOperator';
import { roundTo } from '../../quantity/units';
import type { PitSetup } from './designFire';
import { settable, toldVents } from './firstMove';

/** Notches on either side of the one that should hold. */
const MOST_EACH_WAY = { vents: 8, splits: 4 };
/** The most that one notch changes an opening by, natural logarithm: the worth of a move is known where it holds alone. */
const MOST_FOLDS = 0.35;
/** A scale that cannot show a notch is gone along in so many parts of one. */
const PARTS = 8;
/** More parts than that never make a difference: the vent is at the end of its travel. */
const MOST_PARTS = 40;
/** A leaky pit whose intake is nearly shut is held back by the exhaust: each notch leaves this share of its opening. */
const DAMPED = 0.75;
const LEAST_EXHAUST = 0.15;
/** A split is picked to so much, kg (common practice: by eye, a finger's width of it). */
const PICKED_KG = 0.01;

/** Both vents when the intake should stand at `intake`. */
function beside(policy: ControlPolicy, intake: number): VentOpenings {
  const { hold } = withHoldingIntake(policy, intake);
  return policy.exhaustPerIntake === null
    ? { ...hold, exhaust: exhaustBeside(hold.exhaust, intake) }
    : hold;
}

/** Settings of the vents from tight to wide, about `notchK` apart, and which of them is the policy's own. */
export function ventNotches(
  setup: PitSetup,
  policy: ControlPolicy,
  notchK: number,
): { settings: VentOpenings[]; start: number } {
  const at = (folds: number): VentOpenings =>
    settable(setup, beside(policy, Math.min(policy.hold.intake * Math.exp(folds), 1)));
  const same = (a: VentOpenings, b: VentOpenings): boolean =>
    toldVents(setup, a) === toldVents(setup, b);
  const step = Math.min(notchK / policy.kelvinPerEFold, MOST_FOLDS);
  const first = at(0);
  const goOn = (sign: 1 | -1): VentOpenings[] => {
    const found: VentOpenings[] = [];
    let folds = 0;
    while (found.length < MOST_EACH_WAY.vents) {
      const before = found.at(-1) ?? first;
      folds += sign * step;
      for (let k = 0; k < MOST_PARTS && same(at(folds), before); k++)
        folds += (sign * step) / PARTS;
      if (same(at(folds), before)) break;
      found.push(at(folds));
    }
    return found;
  };
  const tighter = goOn(-1);
  while (policy.exhaustPerIntake === null && tighter.length < MOST_EACH_WAY.vents) {
    const last = tighter.at(-1) ?? first;
    const next = settable(setup, { ...last, exhaust: last.exhaust * DAMPED });
    if (next.exhaust < LEAST_EXHAUST || same(next, last)) break;
    tighter.push(next);
  }
  return { settings: [...tighter.reverse(), first, ...goOn(1)], start: tighter.length };
}

/** Splits from light to heavy, each `ratio` times the one before, and which of them is the policy's usual one. */
export function splitNotches(
  { feed }: ControlPolicy,
  ratio: number,
): { splitsKg: number[]; start: number } {
  const { kg, lightestKg, heaviestKg } = feed!;
  const each = (sign: 1 | -1): number[] =>
    Array.from({ length: MOST_EACH_WAY.splits }, (_, i) => kg * ratio ** (sign * (i + 1))).filter(
      (k) => k >= lightestKg && k <= heaviestKg,
    );
  const lighter = each(-1).reverse();
  const all = [...lighter, kg, ...each(1)].map((k) => roundTo(k, PICKED_KG));
  const splitsKg = all.filter((k, i) => i === 0 || k > all[i - 1]!);
  return { splitsKg, start: splitsKg.indexOf(roundTo(kg, PICKED_KG)) };
}
