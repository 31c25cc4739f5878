/** The air of one moment: what comes in and goes out where, by draught, wind, fan and open lids. */
import { solveDraught } from '../air/draught';
import { gasDensity } from '../air/moist';
import { GRAVITY } from '../quantity/units';
import { INSIDE, SHELTER } from './closures';
import type { PitState } from './state';

/** Most gas zones of any layout. */
export const MOST_ZONES = 6;

/** Flows, kg/s. One record, reused: the engine is single-threaded and a step never yields. */
export interface Gas {
  into: Float64Array;
  out: Float64Array;
  inTotal: number;
  /** Air that passes the coals on its way in. */
  throughBed: number;
}

const gas: Gas = {
  into: new Float64Array(MOST_ZONES),
  out: new Float64Array(MOST_ZONES),
  inTotal: 0,
  throughBed: 0,
};

/** Solves the draught for outside air at `airK` and a forecast wind. The answer is reused each call. */
export function drawAir(s: PitState, airK: number, forecastWindMps: number): Gas {
  const { tempK: t, net, layout } = s;
  const { holes } = layout;
  const windMps = SHELTER * forecastWindMps;
  const zones = layout.zones.length;
  const outside = gasDensity(airK, s.pressurePa);
  for (let z = 0; z < zones; z++) gas.into[z] = gas.out[z] = 0;
  for (let i = 0; i < holes.length; i++) {
    const column = holes[i]!.column;
    let lift = 0;
    for (let z = 0; z < zones; z++) {
      lift += (outside - gasDensity(t[z]!, s.pressurePa)) * column[z]!;
    }
    net.liftPa[i] = GRAVITY * lift;
    net.insideDensity[i] = gasDensity(t[holes[i]!.zone]!, s.pressurePa);
  }
  solveDraught(net, 0.5 * outside * windMps * windMps, outside);
  let below = 0;
  for (let i = 0; i < holes.length; i++) {
    const { zone, kind } = holes[i]!;
    const f = net.flow[i]!;
    if (f > 0) {
      gas.into[zone]! += f;
      // Air let in by a door passes over the coals as much as through them.
      if (zone === 0) below += kind === 'door' ? 0.5 * f : f;
    } else gas.out[zone]! -= f;
  }
  if (s.lidOpen) exchange(s, airK, windMps, outside);
  if (s.doorFraction > 0) doorExchange(s, airK, outside);
  gas.inTotal = 0;
  for (let z = 0; z < zones; z++) gas.inTotal += gas.into[z]!;
  gas.throughBed = below;
  return gas;
}

/** Two-way exchange through an open lid: warm gas out above, air in below, in every zone it bares. */
function exchange(s: PitState, airK: number, windMps: number, outside: number): void {
  const { layout, tempK: t } = s;
  for (const z of layout.lidZones) {
    const drop = Math.max((t[z]! - airK) / t[z]!, 0);
    const each =
      (INSIDE.lidExchange / layout.lidZones.length) *
        layout.lidGapM2 *
        Math.sqrt(GRAVITY * 0.4 * drop) *
        outside +
      (0.04 / layout.lidZones.length) * layout.lidGapM2 * windMps;
    gas.into[z]! += each;
    gas.out[z]! += each;
  }
}

/** The same through a fire door standing open. */
function doorExchange(s: PitState, airK: number, outside: number): void {
  const area = s.pit.doorCm2 * 1e-4 * s.doorFraction;
  const drop = Math.max((s.tempK[0]! - airK) / s.tempK[0]!, 0);
  const each = 0.08 * area * Math.sqrt(GRAVITY * Math.sqrt(area) * drop) * outside;
  gas.into[0]! += each;
  gas.out[0]! += each;
}
