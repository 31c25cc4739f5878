/** The fire of one moment: what the coals burn, what catches, what goes out. Rates, per second. */
import { OXYGEN_IN_AIR } from '../air/moist';
import {
  bedShare,
  burnPerS,
  CHAR,
  goingOutPerS,
  ignitionReadiness,
  radiatingArea,
  sherwood,
  unburntShare,
} from '../fire/char';
import { OXYGEN_HEAT } from '../fuel/catalogue';
import type { Gas } from './gas';
import type { PitState } from './state';

/** How the coals stand to burn, before it is known how much oxygen they get. */
export interface Readiness {
  layerK: number;
  /** Burning at an oxygen share of that in air, kg/s dry ash-free. */
  unitKgPerS: number;
  unburnt: number;
  /** Heat set free per kg burnt, J, and oxygen used, kg. */
  heatJPerKg: number;
  oxygenPerKg: number;
}

const ready: Readiness = { layerK: 0, unitKgPerS: 0, unburnt: 0, heatJPerKg: 0, oxygenPerKg: 0 };

/** The coals as they are, in the air that passes them. The record is reused. */
export function readiness(s: PitState, gas: Gas): Readiness {
  const { layout, lit } = s;
  ready.layerK = s.tempK[s.coals]! + s.layerExcessK;
  const re = (layout.bedGain * gas.throughBed * 0.05) / (layout.bedFlowM2 * 4.2e-5);
  ready.unitKgPerS = lit.kg * burnPerS(ready.layerK, sherwood(re), OXYGEN_IN_AIR);
  ready.unburnt = unburntShare(s.oxygen[0]!);
  ready.heatJPerKg = lit.heatJPerKg * (1 - ready.unburnt);
  ready.oxygenPerKg = ready.heatJPerKg / OXYGEN_HEAT.charcoal;
  return ready;
}

/** What the charcoal does, kg/s and W. */
export interface Burn {
  burntKgPerS: number;
  heatW: number;
  unburntW: number;
  litKgPerS: number;
  wentOutKgPerS: number;
  /** Change of the layer's excess temperature, K/s, and where it tends, K. */
  layerWantK: number;
  /** Share of the heat that stays in the bed. */
  bedShare: number;
}

const burn: Burn = {
  burntKgPerS: 0,
  heatW: 0,
  unburntW: 0,
  litKgPerS: 0,
  wentOutKgPerS: 0,
  layerWantK: 0,
  bedShare: CHAR.bedShare,
};

/** Burning, catching and going out at the oxygen now in the fire's zone. The record is reused. */
export function burnOf(s: PitState, r: Readiness): Burn {
  const { lit, unlit, arrangement, pit } = s;
  const share = s.oxygen[0]! / OXYGEN_IN_AIR;
  burn.burntKgPerS = r.unitKgPerS * share;
  burn.heatW = burn.burntKgPerS * r.heatJPerKg;
  burn.unburntW = burn.burntKgPerS * lit.heatJPerKg * r.unburnt;
  burn.bedShare = bedShare(r.layerK);
  // Ash skin: as thick as the fuel is ashy (0.13 kg/kg daf is an ash share of 0.11).
  const resistance = CHAR.ashResistance * Math.sqrt(lit.ashPerKg / (1 + lit.ashPerKg) / 0.2);
  burn.layerWantK = Math.min(
    ((burn.bedShare * burn.heatW) / Math.max(radiatingArea(lit.kg, 1000), 1e-4)) * resistance,
    CHAR.maxLayerK,
  );
  const strength = Math.min(1, Math.pow(Math.max(lit.kg, 0) / arrangement.strongFrontKg, 2 / 3));
  const room = Math.max(1 - lit.kg / arrangement.mostLitKg, 0);
  burn.litKgPerS =
    CHAR.frontMps *
    unlit.paceFactor *
    pit.spreadFactor *
    ignitionReadiness(r.layerK) *
    Math.sqrt(share) *
    strength *
    room *
    arrangement.kgPerM *
    (unlit.kg / (unlit.kg + arrangement.remnantKg));
  burn.wentOutKgPerS = lit.kg * goingOutPerS(r.layerK);
  return burn;
}
