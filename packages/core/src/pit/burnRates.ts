/** The fire of one moment: what the coals burn, what catches, what goes out. Rates, per second. */
import { OXYGEN_IN_AIR } from '../air/moistAir';
import {
  bedHeatFraction,
  burnPerS,
  CHAR,
  extinctionPerS,
  ignitionReadiness,
  radiatingArea,
  sherwood,
  unburntFraction,
} from '../fire/char';
import { OXYGEN_HEAT } from '../fuel/catalogue';
import type { PitState } from './pitState';
import type { BoundaryFlows, BurnRates, BurnReadiness } from './workspace';

/** The coals as they are, in the air that passes them. The record is in the pit's workspace. */
export function burnReadiness(pit: PitState, boundary: BoundaryFlows): BurnReadiness {
  const { layout, lit } = pit;
  const { readiness: ready } = pit.workspace;
  ready.layerK = pit.tempK[pit.coals]! + pit.layerExcessK;
  const re =
    (layout.coalFlowFactor * boundary.throughBed * 0.05) / (layout.coalFlowAreaM2 * 4.2e-5);
  ready.unburntFraction = unburntFraction(pit.oxygen[0]!);
  ready.heatJPerKg = lit.heatJPerKg * (1 - ready.unburntFraction);
  ready.oxygenPerKg = ready.heatJPerKg / OXYGEN_HEAT.charcoal;
  const wanted = lit.kg * burnPerS(ready.layerK, sherwood(re), OXYGEN_IN_AIR);
  ready.unitKgPerS =
    wanted / (1 + usedAir(pit, boundary, (wanted * ready.oxygenPerKg) / OXYGEN_IN_AIR));
  return ready;
}

/**
 * How much slower a deep bed burns than its coals would one by one: coals under coals get used air. `wantsKgPerS`
 * is the gas whose oxygen they would take; only a share of the intake's air goes through an open bed.
 */
function usedAir({ layout, lit }: PitState, boundary: BoundaryFlows, wantsKgPerS: number): number {
  if (layout.bedAirFraction === 1) return 0;
  const drawnKgPerS = CHAR.openBedAir * lit.openness * Math.pow(lit.kg, 2 / 3);
  return wantsKgPerS / (boundary.amongCoals + drawnKgPerS + 1e-9);
}

/** Burning, catching and going out at the oxygen now in the fire's zone. The record is in the pit's workspace. */
export function burnRatesOf(s: PitState, readiness: BurnReadiness): BurnRates {
  const { lit, unlit, arrangement, parameters: pit } = s;
  const { burn } = s.workspace;
  const share = s.oxygen[0]! / OXYGEN_IN_AIR;
  burn.burntKgPerS = readiness.unitKgPerS * share;
  burn.heatW = burn.burntKgPerS * readiness.heatJPerKg;
  burn.unburntW = burn.burntKgPerS * lit.heatJPerKg * readiness.unburntFraction;
  burn.bedHeatFraction = bedHeatFraction(readiness.layerK);
  // Ash skin: as thick as the fuel is ashy (0.13 kg/kg daf is an ash share of 0.11).
  const resistance = CHAR.ashResistance * Math.sqrt(lit.ashPerKg / (1 + lit.ashPerKg) / 0.2);
  burn.layerTargetK = Math.min(
    ((burn.bedHeatFraction * burn.heatW) / Math.max(radiatingArea(lit.kg, 1000), 1e-4)) *
      resistance,
    CHAR.maxLayerK,
  );
  const strength = Math.min(1, Math.pow(Math.max(lit.kg, 0) / arrangement.fullSpeedFrontKg, 2 / 3));
  const room = Math.max(1 - lit.kg / arrangement.maxLitKg, 0);
  burn.litKgPerS =
    CHAR.frontMps *
    unlit.paceFactor *
    pit.spreadFactor *
    ignitionReadiness(readiness.layerK) *
    Math.sqrt(share) *
    strength *
    room *
    arrangement.frontKgPerM *
    (unlit.kg / (unlit.kg + arrangement.unreachableKg));
  burn.wentOutKgPerS = lit.kg * extinctionPerS(readiness.layerK);
  return burn;
}
