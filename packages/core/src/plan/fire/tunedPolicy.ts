/** What tuning a fire's policy comes to. */
import type { ControlPolicy } from '../../control/controlPolicy';
import type { ChosenRule } from './chooseRule';
import type { PitSetup } from './designFire';
import type { HoldingScore } from './policyTrial';

/** A policy, and how it did. */
export interface HeldSetup {
  /** The pit as it is best set up for it. */
  setup: PitSetup;
  /** The policy that held best. */
  policy: ControlPolicy;
  /** Where the owner's own pit settles under it, C. */
  settlesC: number;
  /** How it did in the pits it was tried on. */
  score: HoldingScore;
}

/** The same with the rule for the hand that goes with it. */
export interface TunedPolicy extends HeldSetup {
  /** Null beside a fan. */
  rule: ChosenRule | null;
}
