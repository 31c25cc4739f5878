/** Somebody at the pit: what can be seen at a minute, and what is done about it. */
import { dafFraction, CHARCOALS, type CharcoalId } from '../fuel/catalogue';
import { remainingWoodKg } from '../pit/state';
import type { PitState } from '../pit/pitState';
import { celsius } from '../quantity/units';
import type { Action } from '../scenario/actions';

/** What a cook sees at a whole minute: the thermometer, the clock and a look at the fuel. */
export interface Observation {
  /** Minutes after lighting. */
  atMin: number;
  /** What the probe reads, C. */
  pitC: number;
  /** Charcoal not yet reached by the fire, and glowing, kg as bought. */
  unlitKg: number;
  /** Charcoal that glows, kg as bought. */
  litKg: number;
  /** Splits and chunks not yet burnt, kg dry. */
  woodKg: number;
  /** Since the lid was last shut, min; Infinity when it has not been off. */
  sinceLidMin: number;
}

/** Does what it does at every whole minute; most often nothing. */
export interface Operator {
  decide(observation: Observation): Action[];
  setTarget(targetC: number): void;
}

/** A pit as somebody standing at it sees it. */
export function observe(
  pit: PitState,
  atMin: number,
  fuel: CharcoalId,
  lidShutS: number,
): Observation {
  const share = dafFraction(CHARCOALS[fuel]);
  return {
    atMin,
    pitC: celsius(pit.probeK),
    unlitKg: pit.unlit.kg / share,
    litKg: pit.lit.kg / share,
    woodKg: remainingWoodKg(pit),
    sinceLidMin: lidShutS < 0 ? Infinity : Math.max(0, atMin - lidShutS / 60),
  };
}

/** The same operator with a thermometer that is off by `biasK` and trembles by `noiseK`. */
export const withProbeError = (
  operator: Operator,
  biasK: number,
  noise: () => number,
): Operator => ({
  ...operator,
  decide: (observation) =>
    operator.decide({ ...observation, pitC: observation.pitC + biasK + noise() }),
});

/** What an operator does for a fire that a fan holds: fuel and ash, no vents. */
const ALLOWED_BESIDE_FAN: ReadonlySet<Action['do']> = new Set(['add-fuel', 'add-wood', 'rake']);

/** The same operator beside a thermostat fan: it fills the hopper when that runs low, and leaves the air to the fan. */
export const besideThermostatFan = (operator: Operator): Operator => ({
  ...operator,
  decide: (observation) => operator.decide(observation).filter((a) => ALLOWED_BESIDE_FAN.has(a.do)),
});
