/** The rule for the hand that a plan prints: of several, the one with the fewest looks that still holds the pit. */
import { MILD_DAY } from '../../air/weather';
import type { ControlPolicy } from '../../control/controlPolicy';
import { createHandOperator } from '../../control/handOperator';
import type { HandRule } from '../../control/handRule';
import type { Operator } from '../../control/operator';
import { ascending, mean, quantile } from '../../quantity/statistics';
import { sdOfKnown } from '../../sampling/likelyPits';
import type { Scenario } from '../../scenario/scenario';
import type { PitSetup } from './designFire';
import { isSplits } from '../../scenario/actions';
import { ventNotches, splitNotches } from './notches';
import { judgedFromMin, simulatePolicy } from './policyTrial';
import { runInLikelyPit, scoreInLikelyPit } from './trialPits';

/** A rule with how it did. */
export interface ChosenRule extends HandRule {
  /** Share of the time in the band of the pits that it was tried in, 0 to 1; null where it was not tried. */
  inBandFraction: number | null;
  /**
   * How long it may be left alone once it has settled, min: in nine of ten of those pits it is then still within two bands of
   * its target. Null where that was not tried, and for splits.
   */
  aloneMin: number | null;
}

/** A pit has settled so long after lighting, min. */
export const SETTLED_MIN = 210;
/** From there on it is left alone, for so long at most, min, and may stray by so many bands. */
const ALONE = { mostMin: 600, bands: 2 };
/** An operator who goes to sleep at a minute. */
const asleepFrom = (operator: Operator, fromMin: number): Operator => ({
  ...operator,
  decide: (seen) => (seen.atMin < fromMin ? operator.decide(seen) : []),
});

/** Seeds of the pits that rules are tried on. */
const SEEDS = [21, 22, 23, 24, 25, 26];
/**
 * Looks that are tried, min apart, and from how many bands off on it is two notches: what is slow to follow its vents is not
 * looked at more often.
 */
const LOOKS = {
  usual: [
    { everyMin: 15, two: null },
    { everyMin: 20, two: 1.25 },
    { everyMin: 20, two: null },
    { everyMin: 30, two: null },
  ],
  slow: [
    { everyMin: 20, two: null },
    { everyMin: 30, two: null },
    { everyMin: 45, two: null },
  ],
};
/** Bounds and what has come back, in bands. */
const BOUND = { vents: 0.5, splits: [0.35, 0.6, 1] };
const BACK = 0.4;
/** What one split is heavier than the last: tried. */
const RATIOS = [1.1, 1.2];
/** No split goes on over this, in bands. */
const WAIT_OVER = 1.2;
/** Fewer looks are worth this share of the time. */
const WORTH = 0.03;
/** Share of the pit's heat over the air that comes of the splits themselves: the rest is their coals' (plausible). */
const HEAT_OF_SPLITS = 0.5;

/** How much lower a fire is just before a split than on average, K (at most 0): as the policy feeds it, in its owner's pit. */
function beforeSplitK(setup: PitSetup, policy: ControlPolicy, scenario: Scenario): number {
  const { minutes, pitC, happened } = simulatePolicy(setup, { ...scenario, everyMin: 1 }, policy);
  const fromMin = judgedFromMin(happened);
  const at = (these: (minute: number) => boolean): number[] =>
    minutes.flatMap((m, i) => (these(m) && pitC[i] !== null ? [pitC[i]!] : []));
  const feeds = new Set(
    happened.flatMap((a) => (isSplits(a) && a.atMin >= fromMin ? [a.atMin] : [])),
  );
  const [low, all] = [at((m) => feeds.has(m)), at((m) => m >= fromMin)];
  return low.length === 0 ? 0 : Math.min(0, mean(low) - mean(all));
}

/** The rules that are tried for a setup, those with the fewest looks last; `atLookK`: see `beforeSplitK`. */
function rulesOf(setup: PitSetup, policy: ControlPolicy, atLookK: number): HandRule[] {
  const { pitC, bandC } = setup.pit.pace;
  const backK = BACK * bandC;
  if (policy.feed) {
    const { mostMin } = policy.feed;
    return RATIOS.flatMap((ratio) => {
      const { splitsKg, start } = splitNotches(policy, ratio);
      return BOUND.splits.map((bound): HandRule => ({
        everyMin: mostMin,
        overK: bound * bandC + atLookK,
        underK: bound * bandC - atLookK,
        twoFromK: null,
        backK,
        notchK: HEAT_OF_SPLITS * (ratio - 1) * (pitC - MILD_DAY.airC),
        start,
        notches: { by: 'splits', splitsKg, waitOverK: WAIT_OVER * bandC },
      }));
    });
  }
  const { settings, start } = ventNotches(setup, policy, bandC);
  const looks = LOOKS[setup.preset.traits.slowToCool ? 'slow' : 'usual'];
  return looks.map(({ everyMin, two }) => ({
    everyMin,
    twoFromK: two === null ? null : two * bandC,
    overK: BOUND.vents * bandC,
    underK: BOUND.vents * bandC,
    backK,
    notchK: bandC,
    start,
    notches: { by: 'vents', settings },
  }));
}

/** A rule that was not tried: for a first rough answer. Null beside a fan. */
export function usualRule(setup: PitSetup, policy: ControlPolicy): ChosenRule | null {
  if (setup.underFan) return null;
  const rules = rulesOf(setup, policy, 0);
  return { ...rules[0]!, inBandFraction: null, aloneMin: null };
}

/** A rule with the share of the time in its band that it kept. */
type Tried = HandRule & { inBandFraction: number };

/** Somebody who goes by a rule. */
const handOf =
  (setup: PitSetup, policy: ControlPolicy, rule: HandRule) =>
  (scenario: Scenario): Operator =>
    createHandOperator(scenario, setup.pit.pace.pitC, policy, rule);

/** How long a pit that was held by a rule may be left alone: see `ChosenRule.aloneMin`. */
function aloneMinOf(
  setup: PitSetup,
  policy: ControlPolicy,
  rule: HandRule,
  scenario: Scenario,
): number {
  const { pitC: targetC, bandC } = setup.pit.pace;
  const sd = sdOfKnown(setup.pit.known);
  const long = { ...scenario, untilMin: SETTLED_MIN + ALONE.mostMin };
  const hand = handOf(setup, policy, rule);
  const stayed = SEEDS.map((seed) => {
    const sleeps = (of: Scenario): Operator => asleepFrom(hand(of), SETTLED_MIN);
    const { minutes, pitC } = runInLikelyPit(setup, long, sleeps, { seed, sd, asItComes: true });
    const left = minutes.find(
      (m, i) =>
        m > SETTLED_MIN && pitC[i] !== null && Math.abs(pitC[i]! - targetC) > ALONE.bands * bandC,
    );
    return (left ?? long.untilMin) - SETTLED_MIN;
  });
  return quantile(ascending(stayed), 0.1);
}

/** The rule that holds a setup best in likely pits; null beside a fan. Yields the share done. */
export function* chooseRule(
  setup: PitSetup,
  policy: ControlPolicy,
  scenario: Scenario,
): Generator<number, ChosenRule | null> {
  if (setup.underFan) return null;
  const tried: Tried[] = [];
  const sd = sdOfKnown(setup.pit.known);
  const rules = rulesOf(setup, policy, policy.feed ? beforeSplitK(setup, policy, scenario) : 0);
  for (const [i, rule] of rules.entries()) {
    const hand = handOf(setup, policy, rule);
    const shares = SEEDS.map(
      (seed) =>
        1 - scoreInLikelyPit(setup, scenario, hand, { seed, sd, asItComes: true }).outFraction,
    );
    tried.push({ ...rule, inBandFraction: mean(shares) });
    yield (i + 1) / rules.length;
  }
  const best = Math.max(...tried.map((r) => r.inBandFraction));
  const asGood = tried.filter((r) => r.inBandFraction >= best - WORTH);
  const rarest = Math.max(...asGood.map((r) => r.everyMin));
  const chosen = asGood
    .filter((r) => r.everyMin === rarest)
    .reduce((a, b) => (b.inBandFraction > a.inBandFraction ? b : a));
  const aloneMin = policy.feed ? null : aloneMinOf(setup, policy, chosen, scenario);
  return { ...chosen, aloneMin };
}
