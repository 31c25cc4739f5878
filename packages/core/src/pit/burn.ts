/**
 * The fire of one step: oxygen, burning, wood, and the front's walk. Temperatures are those at the
 * step's start; what comes out is heat and mass for the balance.
 */
import { OXYGEN_IN_AIR } from '../air/moist';
import {
  burnPerS,
  CHAR,
  goingOutPerS,
  ignitionReadiness,
  radiatingArea,
  sherwood,
  unburntShare,
} from '../fire/char';
import { stepChunk, type ChunkYield } from '../fire/chunk';
import { OXYGEN_HEAT, volatilesHeat } from '../fuel/catalogue';
import { INSIDE } from './closures';
import type { Gas } from './gas';
import { COALS, DOME, FIRE, GRATE, type PitState } from './state';

/** Oxygen held by the gas about the fire, kg of gas: gives the oxygen balance its inertia. */
const FIRE_GAS_KG = 0.03;

/** What the fire did in a step; reused. Masses kg dry ash-free, heats J, flows kg/s. */
export interface Burn {
  heatJ: number;
  woodHeatJ: number;
  unburntJ: number;
  burntKg: number;
  litKg: number;
  wentOutKg: number;
  oxygenKg: number;
  /** Gas rising from the fire to the dome, on across to the grate, and back round to the fire. */
  rising: number;
  across: number;
  around: number;
  wood: ChunkYield;
}

const wood: ChunkYield = {
  volatilesKg: 0,
  burntVolatilesKg: 0,
  charKg: 0,
  steamKg: 0,
  fromCoalsJ: 0,
  fromGasJ: 0,
};

const burn: Burn = {
  heatJ: 0,
  woodHeatJ: 0,
  unburntJ: 0,
  burntKg: 0,
  litKg: 0,
  wentOutKg: 0,
  oxygenKg: 0,
  rising: 0,
  across: 0,
  around: 0,
  wood,
};

/** Share of the way a well-mixed zone goes to its new make-up in `dt` at that flow through it. */
export const relax = (dt: number, flow: number): number => 1 - Math.exp((-dt * flow) / FIRE_GAS_KG);

/** Burns for `dt` seconds in that air. Moves the snake's front, the chunks and the oxygen. */
export function burnFuel(s: PitState, gas: Gas, dt: number): Burn {
  const { tempK: t, pit, ledger } = s;
  const layerK = t[COALS]! + s.layerExcessK;
  const fullArea = radiatingArea(s.litKg, 1000);
  const re = (gas.inFire * 0.05) / (0.02 * 4.2e-5);
  const unitRate = s.litKg * burnPerS(layerK, sherwood(re), OXYGEN_IN_AIR);
  const unburnt = unburntShare(s.oxygen[FIRE]!);
  const netHeat = s.charcoal.heatJPerKg * (1 - unburnt);
  const oxygenPerKg = netHeat / OXYGEN_HEAT.charcoal;
  const firePower =
    ledger.releasedJ > 0 ? unitRate * (s.oxygen[FIRE]! / OXYGEN_IN_AIR) * netHeat : 0;
  const plume =
    INSIDE.plumeConstant *
    Math.cbrt(Math.max((INSIDE.convectiveShare * firePower) / 1000, 0.02)) *
    Math.pow(INSIDE.plumeHeightM, 5 / 3);
  const around = Math.max(plume, gas.outGrate - gas.inGrate, gas.outFire - gas.inFire, 0);
  const rising = gas.inFire - gas.outFire + around;
  const across = rising + gas.inDome - gas.outDome;
  const back = INSIDE.returnShare * around;
  const volatileHeat = volatilesHeat(s.charcoal.heatJPerKg);

  wood.volatilesKg = wood.burntVolatilesKg = wood.charKg = wood.steamKg = 0;
  wood.fromCoalsJ = wood.fromGasJ = 0;
  const front = s.snake.frontDegrees();
  let flame = 0;
  for (const c of s.chunks) {
    if (!c.caught && front >= c.atDegrees) c.caught = true;
    if (c.caught && c.dryKg > 0 && s.litKg > 0.005) {
      stepChunk(c, t[COALS]!, t[FIRE]!, s.oxygen[FIRE]!, s.lidOpen, dt, wood);
      if (c.dryKg > 0) flame = Math.max(flame, c.flame);
    }
  }
  s.flaming = flame;
  const woodHeatJ = wood.burntVolatilesKg * volatileHeat;
  const woodOxygen = woodHeatJ / OXYGEN_HEAT.wood / dt;

  // Wood flames above the coals and takes its air from what passes them by as well.
  const through = gas.inFire + back;
  const yNew =
    ((FIRE_GAS_KG / dt) * s.oxygen[FIRE]! +
      gas.inFire * OXYGEN_IN_AIR +
      back * s.oxygen[GRATE]! -
      0.5 * woodOxygen) /
    (FIRE_GAS_KG / dt + through + (unitRate * oxygenPerKg) / OXYGEN_IN_AIR);
  const yFire = Math.min(Math.max(yNew, 0), OXYGEN_IN_AIR);
  const burnt = Math.min(unitRate * (yFire / OXYGEN_IN_AIR) * dt, 0.5 * s.litKg);
  const risen = rising + gas.inDome;
  const yDome =
    risen > 0
      ? Math.max(
          (through * yFire +
            Math.max(rising - through, 0) * s.oxygen[GRATE]! +
            gas.inDome * OXYGEN_IN_AIR -
            0.5 * woodOxygen) /
            (Math.max(rising, through) + gas.inDome),
          0,
        )
      : s.oxygen[DOME]!;
  const acrossIn = Math.max(across, 0) + gas.inGrate;
  const yGrate =
    acrossIn > 0
      ? (Math.max(across, 0) * yDome + gas.inGrate * OXYGEN_IN_AIR) / acrossIn
      : s.oxygen[GRATE]!;
  s.oxygen[FIRE] = yFire;
  s.oxygen[DOME]! += (yDome - s.oxygen[DOME]!) * relax(dt, risen);
  s.oxygen[GRATE]! += (yGrate - s.oxygen[GRATE]!) * relax(dt, acrossIn);

  const heatJ = burnt * netHeat;
  const resistance = CHAR.ashResistance * Math.sqrt(s.charcoal.ashFraction / 0.2);
  const wantExcess = Math.min(
    ((CHAR.bedShare * heatJ) / dt / Math.max(fullArea, 1e-4)) * resistance,
    CHAR.maxLayerK,
  );
  s.layerExcessK += (wantExcess - s.layerExcessK) * (1 - Math.exp(-dt / CHAR.layerLagS));

  const strength = Math.min(1, Math.pow(s.litKg / s.snake.strongFrontKg, 2 / 3));
  const walk =
    CHAR.frontMps *
    pit.spreadFactor *
    ignitionReadiness(layerK) *
    Math.sqrt(yFire / OXYGEN_IN_AIR) *
    strength;
  const unlit = s.snake.unlitKg();
  const lit = s.snake.advance(Math.min(walk * dt * s.snake.kgPerM, unlit));
  const wentOut = Math.min(s.litKg * goingOutPerS(layerK) * dt, 0.5 * s.litKg);
  s.snake.extend(wentOut - Math.max(-s.snake.advance(-wentOut), 0));
  burn.heatJ = heatJ;
  burn.woodHeatJ = woodHeatJ;
  burn.unburntJ = burnt * s.charcoal.heatJPerKg * unburnt;
  burn.burntKg = burnt;
  burn.litKg = lit;
  burn.wentOutKg = wentOut;
  burn.oxygenKg = burnt * oxygenPerKg + woodOxygen * dt;
  burn.rising = rising;
  burn.across = across;
  burn.around = around;
  return burn;
}
