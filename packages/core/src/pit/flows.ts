/** Where gas goes inside the pit, and the oxygen it carries. */
import { gasDensity, OXYGEN_IN_AIR } from '../air/moist';
import { INSIDE } from './closures';
import { MOST_ZONES, type Gas } from './gas';
import { solveDense } from './solve';
import type { PitState } from './state';

/** Flows between zones, kg/s; reused. */
export interface Flows {
  /** From zone z on to z + 1, signed. */
  onward: Float64Array;
  /** Falling back from the loop's end to the fire, and the part of it that passes the coals. */
  around: number;
  back: number;
  /** Two-way exchange of each mixing pair. */
  mixed: Float64Array;
}

const flows: Flows = {
  onward: new Float64Array(MOST_ZONES),
  around: 0,
  back: 0,
  mixed: new Float64Array(MOST_ZONES),
};

/** Flows between zones for outside flows and the fire's heat, W. */
export function flowsOf(s: PitState, gas: Gas, fireW: number): Flows {
  const { layout } = s;
  const { loop } = layout;
  flows.around = flows.back = 0;
  if (loop) {
    const plume =
      INSIDE.plumeConstant *
      Math.cbrt(Math.max((INSIDE.convectiveShare * fireW) / 1000, 0.02)) *
      Math.pow(loop.heightM, 5 / 3);
    flows.around = Math.max(
      plume,
      gas.out[loop.from]! - gas.into[loop.from]!,
      gas.out[0]! - gas.into[0]!,
      0,
    );
    flows.back = loop.throughCoals * flows.around;
  }
  let carried = flows.around;
  for (let z = 0; z < layout.zones.length - 1; z++) {
    carried += gas.into[z]! - gas.out[z]!;
    flows.onward[z] = carried;
  }
  for (let i = 0; i < layout.mixing.length; i++) {
    const m = layout.mixing[i]!;
    flows.mixed[i] = m.share * gas.inTotal + m.kgPerS;
  }
  return flows;
}

const matrix = new Float64Array(MOST_ZONES * MOST_ZONES);
const supply = new Float64Array(MOST_ZONES);

/** Gas that a zone holds, kg, at 400 K. */
export const zoneGasKg = (s: PitState, zone: number): number =>
  gasDensity(400, s.pressurePa) * s.layout.zones[zone]!.volumeM3;

/** What takes oxygen: charcoal per unit of oxygen share in the fire's zone, wood's flame, kg/s. */
export interface OxygenSinks {
  charPerShare: number;
  wood: number;
}

/**
 * The oxygen balance as a linear system: what leaves (matrix) and what comes (supply), kg/s of gas.
 * Wood's sink falls off with the oxygen that is there, so that no share goes below zero.
 */
function assemble(s: PitState, gas: Gas, f: Flows, sinks: OxygenSinks): number {
  const { layout, oxygen } = s;
  const n = layout.zones.length;
  for (let i = 0; i < n * n; i++) matrix[i] = 0;
  const move = (a: number, b: number, kg: number): void => {
    matrix[a * n + a]! += kg;
    matrix[b * n + a]! -= kg;
  };
  for (let z = 0; z < n; z++) {
    supply[z] = gas.into[z]! * OXYGEN_IN_AIR;
    matrix[z * n + z]! += gas.out[z]!;
  }
  const bypass = f.around - f.back;
  for (let z = 0; z < n - 1; z++) {
    const on = f.onward[z]! - (z === 0 ? bypass : 0);
    if (on >= 0) move(z, z + 1, on);
    else move(z + 1, z, -on);
  }
  if (layout.loop) {
    move(layout.loop.from, 0, f.back);
    if (layout.loop.from !== 1) move(layout.loop.from, 1, bypass);
  }
  for (let i = 0; i < layout.mixing.length; i++) {
    const m = layout.mixing[i]!;
    move(m.a, m.b, f.mixed[i]!);
    move(m.b, m.a, f.mixed[i]!);
  }
  matrix[0]! += sinks.charPerShare + (layout.flameInFire * sinks.wood) / Math.max(oxygen[0]!, 0.02);
  if (n > 1) {
    matrix[n + 1]! += ((1 - layout.flameInFire) * sinks.wood) / Math.max(oxygen[1]!, 0.02);
  }
  return n;
}

/** Oxygen shares after `dt` seconds, implicit, put into the state. */
export function stepOxygen(s: PitState, gas: Gas, f: Flows, sinks: OxygenSinks, dt: number): void {
  const n = assemble(s, gas, f, sinks);
  for (let z = 0; z < n; z++) {
    const inertia = zoneGasKg(s, z) / dt;
    matrix[z * n + z]! += inertia;
    supply[z]! += inertia * s.oxygen[z]!;
  }
  solveDense(matrix, supply, n);
  for (let z = 0; z < n; z++) s.oxygen[z] = Math.min(Math.max(supply[z]!, 0), OXYGEN_IN_AIR);
}

/** How fast each oxygen share changes now, 1/s, into `out`: the same balance for the reference. */
export function oxygenRates(
  s: PitState,
  gas: Gas,
  f: Flows,
  sinks: OxygenSinks,
  out: Float64Array,
): void {
  const n = assemble(s, gas, f, sinks);
  for (let z = 0; z < n; z++) {
    let sum = supply[z]!;
    for (let k = 0; k < n; k++) sum -= matrix[z * n + k]! * s.oxygen[k]!;
    out[z] = sum / zoneGasKg(s, z);
  }
}
