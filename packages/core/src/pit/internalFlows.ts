/** Where gas goes inside the pit, and the oxygen it carries. */
import { gasDensity, OXYGEN_IN_AIR } from '../air/moistAir';
import { PIT_CLOSURES } from './closures';
import { solveDense } from './solveDense';
import type { PitState } from './pitState';
import type { BoundaryFlows, InternalFlows, OxygenSinks } from './workspace';

/** Flows between zones for outside flows and the fire's heat, W. */
export function solveInternalFlows(
  pit: PitState,
  boundary: BoundaryFlows,
  fireW: number,
): InternalFlows {
  const { layout } = pit;
  const { recirculation } = layout;
  const { flows } = pit.workspace;
  flows.recirculated = flows.recirculatedThroughCoals = 0;
  if (recirculation) {
    const plume =
      PIT_CLOSURES.plumeConstant *
      Math.cbrt(Math.max((PIT_CLOSURES.convectiveShare * fireW) / 1000, 0.02)) *
      Math.pow(recirculation.heightM, 5 / 3);
    flows.recirculated = Math.max(
      plume,
      boundary.outflow[recirculation.from]! - boundary.inflow[recirculation.from]!,
      boundary.outflow[0]! - boundary.inflow[0]!,
      0,
    );
    flows.recirculatedThroughCoals = recirculation.throughCoals * flows.recirculated;
  }
  let carried = flows.recirculated;
  for (let z = 0; z < layout.zones.length - 1; z++) {
    carried += boundary.inflow[z]! - boundary.outflow[z]!;
    flows.onward[z] = carried;
  }
  for (let i = 0; i < layout.mixing.length; i++) {
    const m = layout.mixing[i]!;
    flows.mixing[i] = m.share * boundary.inflowTotal + m.kgPerS;
  }
  return flows;
}

/** Gas that a zone holds, kg, at 400 K. */
export const zoneGasKg = (pit: PitState, zone: number): number =>
  gasDensity(400, pit.pressurePa) * pit.layout.zones[zone]!.volumeM3;

/** Gas carried from zone `a` to zone `b`, kg/s: it takes its oxygen along. */
function move(matrix: Float64Array, n: number, a: number, b: number, kgPerS: number): void {
  matrix[a * n + a]! += kgPerS;
  matrix[b * n + a]! -= kgPerS;
}

/**
 * The oxygen balance as a linear system: what leaves (matrix) and what comes (supply), kg/s of gas.
 * Wood's sink falls off with the oxygen that is there, so that no share goes below zero.
 */
function assembleOxygenBalance(
  pit: PitState,
  boundary: BoundaryFlows,
  flows: InternalFlows,
  sinks: OxygenSinks,
): number {
  const { layout, oxygen } = pit;
  const { matrix, supply } = pit.workspace.oxygenBalance;
  const n = layout.zones.length;
  for (let i = 0; i < n * n; i++) matrix[i] = 0;
  for (let z = 0; z < n; z++) {
    supply[z] = boundary.inflow[z]! * OXYGEN_IN_AIR;
    matrix[z * n + z]! += boundary.outflow[z]!;
  }
  const bypass = flows.recirculated - flows.recirculatedThroughCoals;
  for (let z = 0; z < n - 1; z++) {
    const on = flows.onward[z]! - (z === 0 ? bypass : 0);
    if (on >= 0) move(matrix, n, z, z + 1, on);
    else move(matrix, n, z + 1, z, -on);
  }
  if (layout.recirculation) {
    move(matrix, n, layout.recirculation.from, 0, flows.recirculatedThroughCoals);
    if (layout.recirculation.from !== 1) move(matrix, n, layout.recirculation.from, 1, bypass);
  }
  for (let i = 0; i < layout.mixing.length; i++) {
    const m = layout.mixing[i]!;
    move(matrix, n, m.a, m.b, flows.mixing[i]!);
    move(matrix, n, m.b, m.a, flows.mixing[i]!);
  }
  matrix[0]! +=
    sinks.charPerShare + (layout.flameFractionInFireZone * sinks.wood) / Math.max(oxygen[0]!, 0.02);
  if (n > 1) {
    matrix[n + 1]! +=
      ((1 - layout.flameFractionInFireZone) * sinks.wood) / Math.max(oxygen[1]!, 0.02);
  }
  return n;
}

/** Oxygen shares after `dt` seconds, implicit, put into the state. */
export function stepOxygen(
  pit: PitState,
  boundary: BoundaryFlows,
  flows: InternalFlows,
  sinks: OxygenSinks,
  dtS: number,
): void {
  const { matrix, supply } = pit.workspace.oxygenBalance;
  const n = assembleOxygenBalance(pit, boundary, flows, sinks);
  for (let z = 0; z < n; z++) {
    const inertia = zoneGasKg(pit, z) / dtS;
    matrix[z * n + z]! += inertia;
    supply[z]! += inertia * pit.oxygen[z]!;
  }
  solveDense(matrix, supply, n);
  for (let z = 0; z < n; z++) pit.oxygen[z] = Math.min(Math.max(supply[z]!, 0), OXYGEN_IN_AIR);
}

/** How fast each oxygen share changes now, 1/s, into `out`: the same balance for the reference. */
export function oxygenRates(
  pit: PitState,
  boundary: BoundaryFlows,
  flows: InternalFlows,
  sinks: OxygenSinks,
  out: Float64Array,
): void {
  const { matrix, supply } = pit.workspace.oxygenBalance;
  const n = assembleOxygenBalance(pit, boundary, flows, sinks);
  for (let z = 0; z < n; z++) {
    let sum = supply[z]!;
    for (let k = 0; k < n; k++) sum -= matrix[z * n + k]! * pit.oxygen[k]!;
    out[z] = sum / zoneGasKg(pit, z);
  }
}
