/** The air of one moment: what comes in and goes out where, by draught, wind, fan and open lids. */
import { solveDraught } from '../air/draught';
import { gasDensity } from '../air/moistAir';
import { GRAVITY } from '../quantity/units';
import { PIT_CLOSURES, YARD_WIND_FRACTION } from './closures';
import type { PitState } from './pitState';
import type { BoundaryFlows } from './workspace';

/** Solves the draught for outside air at `airK` and a forecast wind. The answer is in the pit's workspace. */
export function solveAirflow(pit: PitState, airK: number, forecastWindMps: number): BoundaryFlows {
  const { tempK: t, network: net, layout } = pit;
  const gas = pit.workspace.boundary;
  const { openings: holes } = layout;
  const windMps = YARD_WIND_FRACTION * forecastWindMps;
  const zones = layout.zones.length;
  const outside = gasDensity(airK, pit.pressurePa);
  for (let z = 0; z < zones; z++) gas.inflow[z] = gas.outflow[z] = 0;
  for (let i = 0; i < holes.length; i++) {
    const column = holes[i]!.gasColumnM;
    let lift = 0;
    for (let z = 0; z < zones; z++) {
      lift += (outside - gasDensity(t[z]!, pit.pressurePa)) * column[z]!;
    }
    net.buoyancyPa[i] = GRAVITY * lift;
    net.insideDensity[i] = gasDensity(t[holes[i]!.zone]!, pit.pressurePa);
  }
  solveDraught(net, 0.5 * outside * windMps * windMps, outside);
  let below = 0;
  let among = 0;
  for (let i = 0; i < holes.length; i++) {
    const { zone, kind } = holes[i]!;
    const f = net.flow[i]!;
    if (f > 0) {
      gas.inflow[zone]! += f;
      // Air let in by a door passes over the coals as much as through them.
      if (zone === 0) {
        const passes = kind === 'door' ? 0.5 * f : f;
        below += passes;
        among += kind === 'fan' ? f : layout.bedAirFraction * passes;
      }
    } else gas.outflow[zone]! -= f;
  }
  if (pit.lidOpen) addLidExchange(pit, airK, windMps, outside);
  if (pit.doorFraction > 0) addDoorExchange(pit, airK, outside);
  gas.inflowTotal = 0;
  for (let z = 0; z < zones; z++) gas.inflowTotal += gas.inflow[z]!;
  gas.throughBed = below;
  gas.amongCoals = among;
  return gas;
}

/** Two-way exchange through an open lid: warm gas out above, air in below, in every zone it bares. */
function addLidExchange(pit: PitState, airK: number, windMps: number, outside: number): void {
  const { layout, tempK: t } = pit;
  const gas = pit.workspace.boundary;
  for (const z of layout.lidZones) {
    const drop = Math.max((t[z]! - airK) / t[z]!, 0);
    const each =
      (PIT_CLOSURES.lidExchange / layout.lidZones.length) *
        layout.lidOpeningM2 *
        Math.sqrt(GRAVITY * 0.4 * drop) *
        outside +
      (0.04 / layout.lidZones.length) * layout.lidOpeningM2 * windMps;
    gas.inflow[z]! += each;
    gas.outflow[z]! += each;
  }
}

/** The same through a fire door standing open. */
function addDoorExchange(pit: PitState, airK: number, outside: number): void {
  const area = pit.parameters.doorCm2 * 1e-4 * pit.doorFraction;
  const drop = Math.max((pit.tempK[0]! - airK) / pit.tempK[0]!, 0);
  const gas = pit.workspace.boundary;
  const each = 0.08 * area * Math.sqrt(GRAVITY * Math.sqrt(area) * drop) * outside;
  gas.inflow[0]! += each;
  gas.outflow[0]! += each;
}
