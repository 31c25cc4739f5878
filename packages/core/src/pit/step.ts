/**
 * One step of a burning kettle: air, fire, then one implicit heat balance. Coefficients are frozen at
 * the step's start (linearly implicit Euler), so a step costs the same whatever happens.
 */
import { CP_GAS, gasDensity, humidityRatio, saturationPressure } from '../air/moist';
import type { Weather } from '../cook/scenario';
import { CHAR, radiatingArea } from '../fire/char';
import { kelvin } from '../quantity/units';
import {
  beginBalance,
  breathe,
  carry,
  couple,
  lose,
  outsideFilm,
  radiative,
  rhs,
  solveBalance,
} from './balance';
import { burnFuel, relax, type Burn } from './burn';
import { INSIDE, SHELTER } from './closures';
import { drawAir, type Gas } from './gas';
import {
  ashPerDaf,
  bedCapacity,
  BOWL,
  COALS,
  DOME,
  FIRE,
  GRATE,
  LID,
  METAL,
  type PitState,
} from './state';

/** What the food does to the pit during a step: heat taken from grate gas and from walls, W; vapour, kg/s. */
export interface FoodLoad {
  fromGasW: number;
  fromWallsW: number;
  vapourKgPerS: number;
}

/** Heat of drying and warming the moisture in fuel, J/kg. */
const DRYING_J = 2.6e6;
/** What goes out is this much colder than the mean of the bed, K. */
const OUT_COLDER_K = 150;
const change = { k: 0 };

/**
 * Advances the pit by `dt` seconds. Returns the largest change of any temperature in K, from which
 * the caller chooses its next step.
 */
export function stepPit(s: PitState, w: Weather, food: FoodLoad, dt: number): number {
  const airK = kelvin(w.airC);
  const airRel = airK - s.referenceK;
  const windMps = SHELTER * w.windMps;
  const gas = drawAir(s, airK, windMps);
  const burn = burnFuel(s, gas, dt);
  const moistureKg =
    burn.litKg *
    (s.charcoal.moistureFraction / (1 - s.charcoal.ashFraction - s.charcoal.moistureFraction));

  bookFuel(s, burn, food, moistureKg, dt);
  moveGas(gas, burn, airRel);
  joinCoals(s, burn.rising, airK, airRel);
  joinWalls(s, airK, airRel);
  loseToYard(s, w, airK, airRel, windMps);
  const wallsW = solveBalance(s, airRel, change);

  const { ledger } = s;
  ledger.releasedJ += burn.heatJ + burn.woodHeatJ;
  ledger.unburntJ += burn.unburntJ;
  ledger.wallsJ += wallsW * dt;
  ledger.exhaustJ +=
    dt *
    CP_GAS *
    (gas.outFire * rhs[FIRE]! +
      gas.outGrate * rhs[GRATE]! +
      gas.outDome * rhs[DOME]! -
      gas.inTotal * airRel);
  ledger.latentJ += moistureKg * DRYING_J + burn.wood.fromCoalsJ + burn.wood.fromGasJ;
  ledger.foodJ += (food.fromGasW + food.fromWallsW) * dt;
  ledger.dafBurnedKg += burn.burntKg;
  ledger.charFromWoodKg += burn.wood.charKg;
  ledger.volatilesKg += burn.wood.volatilesKg;
  ledger.volatilesBurntKg += burn.wood.burntVolatilesKg;
  ledger.woodSteamKg += burn.wood.steamKg;
  ledger.moistureKg += moistureKg;
  ledger.oxygenUsedKg += burn.oxygenKg;
  senseStep(s, w, gas, burn, moistureKg, food.vapourKgPerS, airK, dt);
  return change.k;
}

/** Fuel into the balance: the bed's new size, its heat, what leaves it, drying, and the food's share. */
function bookFuel(s: PitState, burn: Burn, food: FoodLoad, moistureKg: number, dt: number): void {
  const { wood } = burn;
  const ash = ashPerDaf(s.charcoal);
  const oldBed = bedCapacity(s.charcoal, s.litKg);
  s.litKg = Math.max(s.litKg + burn.litKg + wood.charKg - burn.burntKg - burn.wentOutKg, 0);
  beginBalance(s, oldBed, bedCapacity(s.charcoal, s.litKg), dt);
  const bedExcess = s.tempK[COALS]! - s.referenceK;
  const charGone = (burn.burntKg * CHAR.specificHeat * bedExcess) / dt;
  const ashGone = (burn.burntKg * ash * CHAR.specificHeat * bedExcess) / dt;
  const coldOut = Math.max(bedExcess - OUT_COLDER_K, 0);
  const outGone = (burn.wentOutKg * CHAR.specificHeat * (1 + ash) * coldOut) / dt;
  rhs[COALS]! +=
    (CHAR.bedShare * burn.heatJ - wood.fromCoalsJ - moistureKg * DRYING_J) / dt -
    charGone -
    ashGone -
    outGone;
  rhs[FIRE]! +=
    ((1 - CHAR.bedShare) * burn.heatJ + 0.5 * burn.woodHeatJ - wood.fromGasJ) / dt + charGone;
  rhs[DOME]! += (0.5 * burn.woodHeatJ) / dt;
  rhs[BOWL]! += ashGone + outGone - 0.5 * food.fromWallsW;
  rhs[GRATE]! -= food.fromGasW;
  rhs[LID]! -= 0.5 * food.fromWallsW;
}

/** Gas: in from the yard, up, across and back, and out again. */
function moveGas(gas: Gas, burn: Burn, airRel: number): void {
  breathe(FIRE, gas.inFire, gas.outFire, airRel);
  breathe(GRATE, gas.inGrate, gas.outGrate, airRel);
  breathe(DOME, gas.inDome, gas.outDome, airRel);
  carry(FIRE, DOME, Math.max(burn.rising, 0));
  if (burn.across >= 0) carry(DOME, GRATE, burn.across);
  else carry(GRATE, DOME, -burn.across);
  carry(GRATE, FIRE, burn.around);
}

/** Coals shine on bowl, metal and lid, and warm the gas that passes: never more than it can carry. */
function joinCoals(s: PitState, rising: number, airK: number, airRel: number): void {
  const { tempK: t } = s;
  const shine = CHAR.emissivity * radiatingArea(s.litKg, t[COALS]!);
  couple(COALS, BOWL, shine * INSIDE.viewBowl * radiative(t[COALS]!, t[BOWL]!));
  couple(COALS, METAL, shine * INSIDE.viewMetal * radiative(t[COALS]!, t[METAL]!));
  const lidView = shine * INSIDE.viewLid;
  if (s.lidOpen) lose(COALS, lidView * radiative(t[COALS]!, airK), airRel);
  else couple(COALS, LID, lidView * radiative(t[COALS]!, t[LID]!));
  const film = INSIDE.coalFilm * radiatingArea(s.litKg, 1000);
  couple(COALS, FIRE, Math.min(film, 0.8 * Math.max(rising, 1e-4) * CP_GAS));
}

/** Walls and loose metal inside; an open lid takes no part and lets the metal see the sky. */
function joinWalls(s: PitState, airK: number, airRel: number): void {
  const { tempK: t, pit } = s;
  couple(FIRE, BOWL, INSIDE.wallFilm * 0.7 * pit.bowlAreaM2);
  couple(GRATE, BOWL, INSIDE.wallFilm * 0.3 * pit.bowlAreaM2);
  couple(GRATE, METAL, INSIDE.metalFilm * INSIDE.metalAreaM2);
  const seen = INSIDE.wallEmissivity * INSIDE.grateViewM2;
  couple(METAL, BOWL, seen * radiative(t[METAL]!, t[BOWL]!));
  if (s.lidOpen) {
    lose(METAL, seen * radiative(t[METAL]!, airK), airRel);
    lose(BOWL, 0.1 * radiative(t[BOWL]!, airK), airRel);
    return;
  }
  couple(DOME, LID, INSIDE.wallFilm * 0.6 * pit.lidAreaM2);
  couple(GRATE, LID, INSIDE.wallFilm * 0.4 * pit.lidAreaM2);
  couple(METAL, LID, seen * radiative(t[METAL]!, t[LID]!));
  couple(BOWL, LID, INSIDE.wallEmissivity * 0.1 * radiative(t[BOWL]!, t[LID]!));
}

/** Heat to the yard through the skin; a lid in the hand loses on both sides, rain cools it. */
function loseToYard(s: PitState, w: Weather, airK: number, airRel: number, windMps: number): void {
  const { tempK: t, pit } = s;
  const skin = (k: number): number =>
    pit.wallLossFactor * outsideFilm(k, airK, windMps, pit.diameterM);
  lose(BOWL, pit.bowlAreaM2 * skin(t[BOWL]!), airRel);
  const sides = s.lidOpen ? 2 : 1;
  lose(LID, pit.lidAreaM2 * skin(t[LID]!) * sides + rainLoss(w, pit.diameterM), airRel);
}

/** Rain on the lid, W/K: warmed and partly boiled off, 9 kJ/kg per K of excess in all (from memory). */
const rainLoss = (w: Weather, diameterM: number): number =>
  (w.rainMmPerH / 3600) * 0.785 * diameterM * diameterM * 9000;

/** What is breathed, smelt and read after a step: humidity, smoke, the probe and the dial. */
function senseStep(
  s: PitState,
  w: Weather,
  gas: Gas,
  burn: Burn,
  moistureKg: number,
  foodVapour: number,
  airK: number,
  dt: number,
): void {
  const { tempK: t } = s;
  const { wood } = burn;
  const outdoorPa = w.relativeHumidityFraction * saturationPressure(w.airC);
  const waterPerS =
    (burn.burntKg * INSIDE.waterPerChar + moistureKg + wood.steamKg + 0.55 * wood.volatilesKg) /
      dt +
    foodVapour;
  const wantHumidity = humidityRatio(outdoorPa, s.pressurePa) + waterPerS / s.draughtKgPerS;
  s.humidity += (wantHumidity - s.humidity) * relax(dt, s.draughtKgPerS);
  const exhaustM3PerS = Math.max(gas.inTotal, 2e-4) / gasDensity(t[DOME]!, s.pressurePa);
  const smoke = (1000 * (wood.volatilesKg - wood.burntVolatilesKg)) / dt / exhaustM3PerS;
  s.smokeGPerM3 += (smoke - s.smokeGPerM3) * (1 - Math.exp(-dt / 40));
  const radiant = 0.4 * t[BOWL]! + 0.4 * (s.lidOpen ? airK : t[LID]!) + 0.2 * t[METAL]!;
  const seenByProbe = 0.65 * t[GRATE]! + 0.35 * radiant;
  s.probeK += (seenByProbe - s.probeK) * (1 - Math.exp(-dt / 45));
  s.dialK += (t[DOME]! - s.dialK) * (1 - Math.exp(-dt / 90));
}

/** Mean temperature of what the food sees, C. */
export const radiantC = (s: PitState, airC: number): number =>
  0.45 * (s.tempK[BOWL]! - 273.15) +
  0.45 * (s.lidOpen ? airC : s.tempK[LID]! - 273.15) +
  0.1 * (s.tempK[METAL]! - 273.15);
