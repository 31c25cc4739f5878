/** A thermostat fan: proportional and integral, resting above its set point, its flap falling shut. */
import { celsius, clamp } from '../quantity/units';
import type { PitState } from '../pit/pitState';

/** Settings of the controller (common practice for small blowers). */
const CONTROLLER = {
  perK: 0.035,
  perKS: 0.035 / 500,
  /** It rests this far above the set point, K. */
  restsAboveK: 1.5,
  /** Least mean duty while it runs at all, and how its speed follows, s. */
  leastDuty: 0.04,
  followS: 40,
} as const;

export interface ThermostatFan {
  /** Whether it is switched on. */
  on: boolean;
  /** Target of the pit, C. */
  targetC: number;
  /** The controller's integral term. */
  integral: number;
  /** How fast it turns now, share of full speed. */
  duty: number;
  /** What the probe read when the last step began, K. */
  lastK: number;
  /** How long that step was, s; 0 before the first. */
  sinceS: number;
}

export const createThermostatFan = (targetC: number): ThermostatFan => ({
  on: true,
  targetC,
  integral: 0,
  duty: 0,
  lastK: 0,
  sinceS: 0,
});

/** The controller turns this often, s. */
const TURN_S = 2;

/**
 * The controller's turns over the coming `dtS` seconds, with the pit probe carried on as it moved over the last
 * step; sets the fan's mean duty over them.
 */
export function stepThermostatFan(fan: ThermostatFan, pit: PitState, dtS: number): void {
  const perS = fan.sinceS > 0 ? (pit.probeK - fan.lastK) / fan.sinceS : 0;
  const turns = Math.max(Math.round(dtS / TURN_S), 1);
  const turnS = dtS / turns;
  // How far its speed comes in one turn towards what the controller asks for.
  const follows = 1 - Math.exp(-turnS / CONTROLLER.followS);
  let sum = 0;
  for (let i = 0; i < turns; i++) {
    const under = fan.targetC - celsius(pit.probeK + perS * i * turnS);
    fan.duty += (wantedDuty(fan, under, pit.lidOpen, turnS) - fan.duty) * follows;
    if (fan.duty < 1e-4) fan.duty = 0;
    sum += fan.duty;
  }
  fan.lastK = pit.probeK;
  fan.sinceS = dtS;
  pit.fanDuty = sum / turns;
}

/** The duty that the controller asks for in one turn, 0 to 1: the pit stands `under` K below the target. */
function wantedDuty(fan: ThermostatFan, under: number, lidOpen: boolean, turnS: number): number {
  if (!fan.on || lidOpen) return 0;
  // The integral only winds while the proportional part leaves it room.
  if (Math.abs(under) < 25)
    fan.integral = clamp(fan.integral + CONTROLLER.perKS * under * turnS, 0, 1);
  // It slows down to rest over the last kelvin, or it would hunt.
  const awake = clamp(under + CONTROLLER.restsAboveK, 0, 1);
  const want = awake * clamp(CONTROLLER.perK * under + fan.integral, 0, 1);
  return want < CONTROLLER.leastDuty ? 0 : want;
}
