/** What an operator remembers: the policy, what was seen and done, and how the probe is moving. */
import type { FireSpec } from '../fire/fireSpec';
import type { Preset } from '../pit/preset';
import type { ControlPolicy } from './controlPolicy';
import type { Observation } from './operator';
import type { Action } from '../scenario/actions';

export interface OperatorState {
  targetC: number;
  policy: ControlPolicy;
  preset: Preset;
  fire: FireSpec;
  hasComeUp: boolean;
  intake: number;
  exhaust: number;
  lastMoveMin: number;
  lastFeedMin: number;
  splitKg: number;
  history: (Observation & { spentKg: number })[];
  /** Charcoal put on so far, and what is burnt a minute when all is well, kg. */
  addedKg: number;
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
