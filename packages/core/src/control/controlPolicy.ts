/** How a fire is held: the settings and rules that an operator goes by. */
import type { WoodId } from '../fuel/catalogue';
import { clamp } from '../quantity/units';

/** Both vents as shares of their handles' travel, 0 shut to 1 fully open. */
export interface VentOpenings {
  /** Intake, 0 shut to 1 fully open. */
  intake: number;
  /** Exhaust, 0 shut to 1 fully open. */
  exhaust: number;
}

/** How splits are fed. */
export interface SplitFeedPolicy {
  /** Wood of the splits; oak when left out. */
  species?: WoodId;
  /** Mass of a usual split for the target, kg. */
  kg: number;
  /** Lightest and heaviest split that may be picked instead, kg. */
  lightestKg: number;
  /** Heaviest split that may be picked, kg. */
  heaviestKg: number;
  /** Least and most time between two splits, min. */
  leastMin: number;
  /** Most time between two splits, min. */
  mostMin: number;
  /** Glowing coals that carry a split, kg as bought: with fewer, a little charcoal goes on too. */
  bedKg: number;
  /** Lump that goes on with every split, kg: small fireboxes do not keep a bed on wood alone. */
  lumpKg: number;
  /** Minute after lighting from which the first split may go on. */
  firstMin: number;
  /** No split goes on while the pit stands this far over the target, K. */
  skipOverK: number;
  /** How much heavier the usual split gets for each K that the last round was short, share. */
  learnPerK: number;
  /** The same for the next split only, share for each K. */
  nowPerK: number;
  /** Minute after lighting from which rounds are learnt from: the charcoal base runs hot at first. */
  learnFromMin: number;
  /** The exhaust is set to half when the pit stands this far over the target, K; null: it is left alone. */
  dampOverK: number | null;
}

/** Everything an operator needs to hold one fire. A plan works it out; habit has one for every cooker. */
export interface ControlPolicy {
  /** Vents while the pit comes up. */
  up: VentOpenings;
  /** How far under the target the vents are closed down on the way up, K. */
  closeBelowK: number;
  /** Vents that hold the target. */
  hold: VentOpenings;
  /**
   * Closed down in two steps while cold walls take up heat: first the holding intake so many times as wide, then,
   * that many minutes later, the holding one. Left out: closed down at once.
   */
  soak?: { times: number; forMin: number };
  /** The exhaust is opened this many times as far as the intake; null: it stays as it is. */
  exhaustPerIntake: number | null;
  /** What opening the intake by a factor e is worth, K. */
  kelvinPerEFold: number;
  /** Least time between two moves of a vent, min. */
  waitMin: number;
  /** Differences from the target that are left alone, K; null: no vent is ever moved. */
  deadbandK: number | null;
  /**
   * Finest setting, share of the travel: of a small opening, and of a wide one; and the least move that is worth a
   * visit (none where it is left out).
   */
  finest: { small: number; wide: number; move?: number };
  /** How splits are fed; null where the fire is not kept on splits. */
  feed: SplitFeedPolicy | null;
  /** Charcoal that lasts less than `belowMin` is topped up for `forMin`; null: nothing can be put on. */
  topUp: { belowMin: number; forMin: number } | null;
  /** Minute after lighting at which the fire is no longer needed; null: not known. */
  untilMin: number | null;
  /** Chunks that go on with every top-up. */
  chunks: { species: WoodId; massG: number; count: number } | null;
  /** How much of the missing heat one move of a vent makes up for, 0 to 1.5. */
  gain: number;
}

/** The policy with another holding setting of the intake; the exhaust follows where it goes along. */
export function withHoldingIntake(policy: ControlPolicy, intake: number): ControlPolicy {
  const exhaust =
    policy.exhaustPerIntake === null
      ? policy.hold.exhaust
      : clamp(policy.exhaustPerIntake * intake, 0.05, 1);
  return { ...policy, hold: { intake, exhaust } };
}
