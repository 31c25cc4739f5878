/** The air of one step: what comes in and goes out where, by draught, wind and an open lid. */
import { columnLift, solveDraught } from '../air/draught';
import { gasDensity } from '../air/moist';
import { GRAVITY } from '../quantity/units';
import { DOME, FIRE, GRATE, INTAKE, LID_GAP, type PitState } from './state';

/** Flows into and out of each gas zone, kg/s. */
export interface Gas {
  inFire: number;
  outFire: number;
  inGrate: number;
  outGrate: number;
  inDome: number;
  outDome: number;
  inTotal: number;
}

const gas: Gas = {
  inFire: 0,
  outFire: 0,
  inGrate: 0,
  outGrate: 0,
  inDome: 0,
  outDome: 0,
  inTotal: 0,
};

/** Solves the draught for outside air at `airK` and wind at the pit. The answer is reused each step. */
export function drawAir(s: PitState, airK: number, windMps: number): Gas {
  const { tempK: t, pit, net } = s;
  const outside = gasDensity(airK, s.pressurePa);
  const upperK = 0.5 * (t[DOME]! + t[GRATE]!);
  gas.inFire = gas.outFire = gas.inGrate = gas.outGrate = gas.inDome = gas.outDome = 0;
  const lower = gasDensity(t[FIRE]!, s.pressurePa);
  const upper = gasDensity(upperK, s.pressurePa);
  for (let i = 0; i < net.openings.length; i++) {
    net.liftPa[i] = columnLift(net.openings[i]!.heightM, pit.grateHeightM, lower, upper, outside);
  }
  solveDraught(net, 0.5 * outside * windMps * windMps, outside, upper);
  for (let i = INTAKE; i <= LID_GAP; i++) {
    const f = net.flow[i]!;
    if (i <= 1) {
      if (f > 0) gas.inFire += f;
      else gas.outFire -= f;
    } else if (i <= 3) {
      if (f > 0) gas.inGrate += f;
      else gas.outGrate -= f;
    } else if (f > 0) gas.inDome += f;
    else gas.outDome -= f;
  }
  if (s.lidOpen) {
    const gap = net.openings[LID_GAP]!.areaM2;
    const drop = Math.max((upperK - airK) / upperK, 0);
    const exchange = 0.12 * gap * Math.sqrt(GRAVITY * 0.4 * drop) * outside + 0.02 * gap * windMps;
    gas.inDome += exchange;
    gas.outDome += exchange;
    gas.inGrate += exchange;
    gas.outGrate += exchange;
  }
  gas.inTotal = gas.inFire + gas.inGrate + gas.inDome;
  s.draughtKgPerS = Math.max(gas.inTotal, 1e-5);
  return gas;
}
