/** What an operator remembers: the policy, what was seen and done, and how the probe is moving. */
import type { FireSpec } from '../fire/fireSpec';
import type { Preset } from '../pit/preset';
import type { ControlPolicy } from './controlPolicy';
import type { Observation } from './operator';
import type { Action } from '../scenario/actions';

export interface OperatorState {
  /** Target of the pit, C. */
  targetC: number;
  /** How the fire is held. */
  policy: ControlPolicy;
  /** Whether another target was set that no vent was moved for yet. */
  retargeted: boolean;
  /** The cooker. */
  preset: Preset;
  /** The fire as it is built. */
  fire: FireSpec;
  /** Whether the pit has come up and the vents were closed down. */
  hasComeUp: boolean;
  /** Intake, 0 shut to 1 fully open. */
  intake: number;
  /** Exhaust, 0 shut to 1 fully open. */
  exhaust: number;
  /** When the pit had come up, min after lighting. */
  cameUpMin: number;
  /** Whether the walls have taken up their heat, where the policy waits for that (`soak`). */
  soaked: boolean;
  /** Moves of a vent in the first hours, the closing down included. */
  earlyMoves: number;
  /** When a vent was last moved, min after lighting. */
  lastMoveMin: number;
  /** When fuel was last put on, min after lighting. */
  lastFeedMin: number;
  /** Mass of the usual split by now, kg. */
  splitKg: number;
  /** What the probe read, the latest last. */
  history: (Observation & { spentKg: number })[];
  /** Charcoal put on so far, and what is burnt a minute when all is well, kg. */
  addedKg: number;
  /** How fast the charcoal burns, kg/min. */
  burnKgPerMin: number;
}

/** Change of the probe over the last quarter of an hour, K. */
export function probeTrendK(operator: OperatorState): number {
  const now = operator.history.at(-1)!;
  const then = operator.history.at(-4) ?? operator.history[0]!;
  return now.pitC - then.pitC;
}

/** Sets the vents and remembers it. */
export function setVents(
  operator: OperatorState,
  atMin: number,
  intake: number,
  exhaust: number,
): Action & { do: 'set-vents' } {
  operator.intake = intake;
  operator.exhaust = exhaust;
  operator.lastMoveMin = atMin;
  return { atMin, do: 'set-vents', intakeFraction: intake, exhaustFraction: exhaust };
}
