/** A thermostat fan: proportional and integral, resting above its set point, its flap falling shut. */
import { celsius, clamp } from '../quantity/units';
import type { PitState } from '../pit/state';

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
}

export const createThermostatFan = (targetC: number): ThermostatFan => ({
  on: true,
  targetC,
  integral: 0,
});

/** One turn of the controller: reads the pit probe, sets the fan's mean duty. */
export function stepThermostatFan(fan: ThermostatFan, pit: PitState, dtS: number): void {
  const under = fan.targetC - celsius(pit.probeK);
  let want = 0;
  if (fan.on && !pit.lidOpen) {
    // The integral only winds while the proportional part leaves it room.
    if (Math.abs(under) < 25) {
      fan.integral = clamp(fan.integral + CONTROLLER.perKS * under * dtS, 0, 1);
    }
    want = clamp(CONTROLLER.perK * under + fan.integral, 0, 1);
    if (want < CONTROLLER.leastDuty || under < -CONTROLLER.restsAboveK) want = 0;
  }
  pit.fanDuty += (want - pit.fanDuty) * (1 - Math.exp(-dtS / CONTROLLER.followS));
  if (pit.fanDuty < 1e-4) pit.fanDuty = 0;
}
