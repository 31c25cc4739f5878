/** A simulated operator who goes by a rule for the hand: between two looks nothing is done but putting on fuel. */
import { WAIT_WITH_SPLIT_MIN, type Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import type { ControlPolicy, SplitFeedPolicy, VentOpenings } from './controlPolicy';
import { notchAtLook, notchFor, type HandMemory, type HandRule, type Notches } from './handRule';
import type { Observation, Operator } from './operator';
import { createSimulatedOperator } from './simulatedOperator';
import { splitActions } from './splitFeeding';

/** A fire on splits has come up when the pit is so near its target, K: splits are of one size until then. */
const UP_WITHIN_K = 8;

/**
 * An operator for that scenario's pit who goes by `rule`; `policy` says how it comes up, and when charcoal is topped up. Throws
 * RangeError for splits where the policy feeds none.
 */
export const createHandOperator = (
  scenario: Scenario,
  targetC: number,
  policy: ControlPolicy,
  rule: HandRule,
): Operator => {
  const { notches } = rule;
  if (notches.by === 'vents') return byVents(scenario, targetC, policy, rule, notches.settings);
  if (!policy.feed) throw new RangeError('a rule of splits for a fire that is not kept on them');
  return bySplits(targetC, policy, policy.feed, rule, notches);
};

function byVents(
  scenario: Scenario,
  firstC: number,
  policy: ControlPolicy,
  rule: HandRule,
  settings: readonly VentOpenings[],
): Operator {
  const hold = settings[rule.start]!;
  const { soak: _, ...rest } = policy;
  const coming = createSimulatedOperator(scenario, firstC, { ...rest, hold, deadbandK: null });
  const memory: HandMemory = { notch: rule.start, lastC: null };
  let targetC = firstC;
  let nextMin = Infinity;
  const set = (atMin: number): Action => {
    const { intake, exhaust } = settings[memory.notch]!;
    return { atMin, do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust };
  };
  return {
    setTarget: (c) => {
      memory.notch = notchFor(rule, c - firstC);
      memory.lastC = null;
      targetC = c;
      coming.setTarget(c);
      // The vents are set for it at once.
      if (nextMin !== Infinity) nextMin = -1;
    },
    decide: (seen: Observation): Action[] => {
      const { atMin, pitC } = seen;
      const others = coming.decide(seen);
      if (nextMin === Infinity) {
        const closes = others.some((a) => a.do === 'set-vents' && a.atMin > 0);
        if (!closes) return others;
        nextMin = atMin + rule.everyMin;
        return [...others.filter((a) => a.do !== 'set-vents'), set(atMin)];
      }
      const fuel = others.filter((a) => a.do !== 'set-vents');
      if (atMin < nextMin) return fuel;
      const retargeted = nextMin < 0;
      nextMin = atMin + rule.everyMin;
      const notch = retargeted ? memory.notch : notchAtLook(rule, memory, pitC, targetC);
      memory.lastC = pitC;
      if (notch === memory.notch && !retargeted) return fuel;
      memory.notch = notch;
      return [...fuel, set(atMin)];
    },
  };
}

function bySplits(
  firstC: number,
  policy: ControlPolicy,
  feed: SplitFeedPolicy,
  rule: HandRule,
  { splitsKg, waitOverK }: Extract<Notches, { by: 'splits' }>,
): Operator {
  const memory: HandMemory = { notch: rule.start, lastC: null };
  let targetC = firstC;
  let nextMin = feed.firstMin;
  let up = false;
  return {
    setTarget: (c) => {
      memory.notch = notchFor(rule, c - firstC);
      targetC = c;
    },
    decide: ({ atMin, pitC }): Action[] => {
      if (atMin === 0) {
        const { intake, exhaust } = policy.up;
        return [{ atMin, do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust }];
      }
      up ||= pitC > targetC - UP_WITHIN_K;
      if (atMin < nextMin) return [];
      if (pitC - targetC > waitOverK) {
        nextMin = atMin + WAIT_WITH_SPLIT_MIN;
        return [];
      }
      nextMin = atMin + rule.everyMin;
      if (up) memory.notch = notchAtLook(rule, memory, pitC, targetC);
      memory.lastC = pitC;
      return splitActions(feed, atMin, splitsKg[memory.notch]!, feed.lumpKg);
    },
  };
}
