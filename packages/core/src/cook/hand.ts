/** Somebody at the pit: what can be seen at a minute, and what is done about it. */
import { dafShare, CHARCOALS, type CharcoalId } from '../fuel/catalogue';
import { woodLeftKg, type PitState } from '../pit/state';
import { celsius } from '../quantity/units';
import type { Action } from './scenario';

/** What a cook sees at a whole minute: the thermometer, the clock and a look at the fuel. */
export interface Look {
  atMin: number;
  pitC: number;
  /** Charcoal not yet reached by the fire, and glowing, kg as bought. */
  unlitKg: number;
  litKg: number;
  /** Splits and chunks not yet burnt, kg dry. */
  woodKg: number;
  /** Since the lid was last shut, min; Infinity when it has not been off. */
  sinceLidMin: number;
}

/** Does what it does at every whole minute; most often nothing. */
export interface Hand {
  look(seen: Look): Action[];
  setTarget(targetC: number): void;
}

/** A pit as somebody standing at it sees it. */
export function lookAt(pit: PitState, atMin: number, fuel: CharcoalId, lidShutS: number): Look {
  const share = dafShare(CHARCOALS[fuel]);
  return {
    atMin,
    pitC: celsius(pit.probeK),
    unlitKg: pit.unlit.kg / share,
    litKg: pit.lit.kg / share,
    woodKg: woodLeftKg(pit),
    sinceLidMin: lidShutS < 0 ? Infinity : Math.max(0, atMin - lidShutS / 60),
  };
}

/** The same hand with a thermometer that is off by `biasK` and trembles by `noiseK`. */
export const throughProbe = (hand: Hand, biasK: number, noise: () => number): Hand => ({
  ...hand,
  look: (seen) => hand.look({ ...seen, pitC: seen.pitC + biasK + noise() }),
});

/** What a hand does for a fire that a fan holds: fuel and ash, no vents. */
const FOR_A_FAN: ReadonlySet<Action['do']> = new Set(['add-fuel', 'add-wood', 'rake']);

/** The same hand beside a thermostat fan: it fills the hopper when that runs low, and leaves the air to the fan. */
export const besideFan = (hand: Hand): Hand => ({
  ...hand,
  look: (seen) => hand.look(seen).filter((a) => FOR_A_FAN.has(a.do)),
});
