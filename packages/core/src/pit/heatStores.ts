/** What the parts of a pit store, J/K. */
import { CP_GAS, gasDensity, WATER_SPECIFIC_HEAT } from '../air/moistAir';
import { CHAR } from '../fire/char';
import type { FuelPool } from '../fire/arrangement';
import type { Layout } from './layout';
import type { PitState } from './pitState';

/** Heat capacity of a node, J/K. Coals and pan change their size; the rest is fixed with the layout. */
export const heatCapacityOf = (pit: PitState, node: number): number =>
  node === pit.coals
    ? coalHeatCapacity(pit.lit)
    : node === pit.pan
      ? pit.fixedJPerK[node]! + pit.waterKg * WATER_SPECIFIC_HEAT
      : pit.fixedJPerK[node]!;

/** Heat stores that do not change, by node, J/K; gas zones count their air at 400 K. */
export function fixedHeatCapacities(
  layout: Layout,
  nodes: number,
  pressurePa: number,
): Float64Array {
  const zones = layout.zones.length;
  const out = new Float64Array(nodes);
  layout.zones.forEach((z, i) => (out[i] = gasDensity(400, pressurePa) * z.volumeM3 * CP_GAS));
  out[zones + 1] = layout.metal.jPerK;
  out[zones + 2] = layout.pan.jPerK;
  let at = zones + 3;
  for (const w of layout.walls) for (const store of w.heatStoresJPerK) out[at++] = store;
  return out;
}

/** Heat capacity of the lit coals with the ash among them, J/K. */
export const coalHeatCapacity = (lit: FuelPool): number =>
  (lit.kg * (1 + lit.ashPerKg) + 0.004) * CHAR.specificHeat;

/** Heat held in all nodes above the reference, J. */
export function storedHeatJ(pit: PitState): number {
  let sum = 0;
  for (let i = 0; i < pit.nodes; i++)
    sum += heatCapacityOf(pit, i) * (pit.tempK[i]! - pit.referenceK);
  return sum;
}
