/**
 * One step of a burning pit: air, wood, oxygen, coals, then one implicit heat balance. Coefficients are
 * frozen at the step's start (linearly implicit Euler), so a step costs the same whatever happens.
 */
import { CP_GAS, OXYGEN_IN_AIR, WATER_SPECIFIC_HEAT } from '../air/moistAir';
import type { Weather } from '../air/weather';
import { CHAR } from '../fire/char';
import { stepParcel, type ParcelSurroundings } from '../fire/burnParcel';
import { addToPool, WOOD_CHAR } from '../fire/fuelPool';
import { OXYGEN_HEAT, VOLATILES_HEAT, WOODS } from '../fuel/catalogue';
import { kelvin } from '../quantity/units';
import { solveBalance } from './heatBalance';
import { burnRatesOf, burnReadiness } from './burnRates';
import { updateReadings } from './readings';
import { solveInternalFlows, stepOxygen, zoneGasKg } from './internalFlows';
import { solveAirflow } from './airflow';
import { assembleHeatBalance, type FoodLoad } from './assembleHeat';
import { updateOpenings } from './openings';
import { coalHeatCapacity } from './heatStores';
import { caughtFraction, removeSpentParcels } from './state';
import type { PitState } from './pitState';
import type { BoundaryFlows, BurnRates, BurnReadiness } from './workspace';

/** Below this much glowing fuel wood does not catch any more, kg dry ash-free. */
const PILOT_KG = 0.005;
/** With this much glowing fuel half of a piece's underside touches it, kg dry ash-free. */
const CONTACT_KG = 0.02;
const WOOD_STEP = { liveS: 1, calmS: 2.5, calmKPerS: 0.1, calmFlamePerS: 0.0005 };

/** Air that wood on the coals lies in now, in the pit's workspace. */
export function woodSurroundings(pit: PitState): ParcelSurroundings {
  const { parcelAir } = pit.workspace;
  parcelAir.coalK = pit.tempK[pit.coals]!;
  parcelAir.gasK = pit.tempK[0]!;
  parcelAir.oxygen = pit.oxygen[0]!;
  parcelAir.contact = pit.lit.kg / (pit.lit.kg + CONTACT_KG);
  parcelAir.open = pit.lidOpen || pit.doorFraction > 0.2;
  return parcelAir;
}

/** Lets the fire reach wood that lies in its way. */
export function igniteReachedWood(pit: PitState): void {
  if (pit.lit.kg < PILOT_KG) return;
  const caught = caughtFraction(pit);
  for (const p of pit.parcels) {
    if (!p.caught && caught >= pit.arrangement.caughtFractionToReach(p.place)) p.caught = true;
  }
}

/**
 * Advances the pit by `dt` seconds. Returns the largest change of any temperature in K, from which
 * the caller chooses its next step.
 */
export function stepPit(pit: PitState, weather: Weather, food: FoodLoad, dtS: number): number {
  const airK = kelvin(weather.airC);
  const { wood, sinks, change } = pit.workspace;
  updateOpenings(pit);
  const gas = solveAirflow(pit, airK, weather.windMps);
  const ready = burnReadiness(pit, gas);
  const flows = solveInternalFlows(pit, gas, charcoalHeatW(pit, ready));
  burnWood(pit, dtS);
  sinks.charPerShare = (ready.unitKgPerS * ready.oxygenPerKg) / OXYGEN_IN_AIR;
  sinks.wood = wood.heatW / OXYGEN_HEAT.wood;
  stepOxygen(pit, gas, flows, sinks, dtS);
  const burn = burnRatesOf(pit, ready);
  limitToAvailable(pit, burn, dtS);

  const oldBed = coalHeatCapacity(pit.lit);
  const panWas = pit.tempK[pit.pan]!;
  const terms = assembleHeatBalance(pit, weather, airK, gas, flows, burn, wood, food);
  const moistureKgPerS = burn.litKgPerS * pit.unlit.moisturePerKg;
  const ashKg = burn.burntKgPerS * pit.lit.ashPerKg * dtS;
  updateFuelPools(pit, burn, dtS);
  pit.layerExcessK +=
    (burn.layerTargetK - pit.layerExcessK) * (1 - Math.exp(-dtS / CHAR.layerLagS));
  const wallsW = solveBalance(pit, oldBed, coalHeatCapacity(pit.lit), dtS);
  const panW = Math.max(terms.panW + terms.panSlope * (pit.tempK[pit.pan]! - panWas), 0);
  const panKg = Math.min((panW * dtS) / terms.latentJPerKg, pit.waterKg);
  // Steam takes the warmth of its water with it.
  const panJ = panW * dtS + panKg * WATER_SPECIFIC_HEAT * (pit.tempK[pit.pan]! - pit.referenceK);
  pit.waterKg -= panKg;

  const { ledger } = pit;
  const smokeW = (wood.volatilesKgPerS - wood.burntKgPerS) * VOLATILES_HEAT;
  ledger.releasedJ += (burn.heatW + wood.heatW) * dtS;
  ledger.wallsJ += wallsW * dtS;
  ledger.exhaustJ += exhaustW(pit, gas, airK) * dtS;
  ledger.latentJ += (terms.dryingW + woodHeatTakenW(pit)) * dtS + panJ;
  for (const w of food.fromGasW) ledger.foodJ += w * dtS;
  for (const w of food.fromWallsW) ledger.foodJ += w * dtS;
  ledger.burnedKg += burn.burntKgPerS * dtS;
  ledger.ashKg += ashKg;
  ledger.charFromWoodKg += wood.charKgPerS * dtS;
  ledger.volatilesKg += wood.volatilesKgPerS * dtS;
  ledger.oxygenUsedKg +=
    (burn.burntKgPerS * ready.oxygenPerKg + wood.heatW / OXYGEN_HEAT.wood) * dtS;
  ledger.panSteamKg += panKg;
  ventUnburnt(pit, gas, burn.unburntW + smokeW, dtS);
  const steam = moistureKgPerS + wood.steamKgPerS + panKg / dtS + food.vapourKgPerS;
  updateReadings(pit, weather, gas, burn.burntKgPerS, steam, dtS);
  // Wood counts too: a skin may move four times as far as the pit, a flame by a tenth.
  return Math.max(change.nodeK, 0.25 * change.skinK, 30 * change.flame);
}

/** Heat that wood drew from coals and gas, W, after the balance is solved. */
const woodHeatTakenW = (pit: PitState): number => {
  const { wood } = pit.workspace;
  return (
    wood.fromCoalsW +
    wood.coalWPerK * (pit.tempK[pit.coals]! - wood.coalK) +
    wood.fromGasW +
    wood.gasWPerK * (pit.tempK[0]! - wood.gasK)
  );
};

/** Heat that the charcoal gives now, W; nothing before the first step has been made. */
export const charcoalHeatW = (pit: PitState, readiness: BurnReadiness): number =>
  readiness.unitKgPerS * (pit.oxygen[0]! / OXYGEN_IN_AIR) * readiness.heatJPerKg;

/**
 * Air round the wood half-way through the coming step, carried on from the last one: the wood and the
 * pit about it feed each other, and a view from the step's start alone would always be late.
 */
function surroundingsMidStep(pit: PitState, dtS: number): ParcelSurroundings {
  const air = woodSurroundings(pit);
  const { previousStep: before } = pit;
  const { coalK, gasK, oxygen } = air;
  if (before.dtS > 0) {
    const ahead = Math.min((0.5 * dtS) / before.dtS, 1);
    air.coalK += ahead * (coalK - before.coalK);
    air.gasK += ahead * (gasK - before.gasK);
    air.oxygen = Math.min(Math.max(oxygen + ahead * (oxygen - before.oxygen), 0), OXYGEN_IN_AIR);
  }
  before.coalK = coalK;
  before.gasK = gasK;
  before.oxygen = oxygen;
  before.dtS = dtS;
  return air;
}

/** Burns all wood that has caught for `dt` seconds and leaves the mean rates in the workspace. */
function burnWood(pit: PitState, dtS: number): void {
  const { wood, woodYield: gave, parcelRates, change } = pit.workspace;
  igniteReachedWood(pit);
  const air = surroundingsMidStep(pit, dtS);
  gave.volatilesKg = gave.burntVolatilesKg = gave.charKg = gave.steamKg = 0;
  gave.coalJPerK = gave.gasJPerK = 0;
  gave.fromCoalsJ = gave.fromGasJ = gave.coversM2S = gave.flame = 0;
  change.skinK = change.flame = 0;
  let strength = 0;
  for (const p of pit.parcels) {
    if (!p.caught) continue;
    const before = gave.volatilesKg - gave.burntVolatilesKg;
    const { skinK, flame } = p;
    // Wood is livelier than the pit about it: it takes several small steps within one of the pit's.
    const parts = Math.min(Math.ceil(dtS / (p.settled ? WOOD_STEP.calmS : WOOD_STEP.liveS)), 16);
    for (let i = 0; i < parts; i++) stepParcel(p, air, dtS / parts, gave, parcelRates);
    const movedK = Math.abs(p.skinK - skinK);
    const flared = Math.abs(p.flame - flame);
    p.settled = movedK < WOOD_STEP.calmKPerS * dtS && flared < WOOD_STEP.calmFlamePerS * dtS;
    change.skinK = Math.max(change.skinK, movedK);
    change.flame = Math.max(change.flame, flared);
    const smoke = gave.volatilesKg - gave.burntVolatilesKg - before;
    strength += smoke * WOODS[p.species].smokeStrength;
  }
  removeSpentParcels(pit);
  wood.volatilesKgPerS = gave.volatilesKg / dtS;
  wood.burntKgPerS = gave.burntVolatilesKg / dtS;
  wood.charKgPerS = gave.charKg / dtS;
  wood.steamKgPerS = gave.steamKg / dtS;
  wood.heatW = (gave.burntVolatilesKg * VOLATILES_HEAT) / dtS;
  wood.fromCoalsW = gave.fromCoalsJ / dtS;
  wood.fromGasW = gave.fromGasJ / dtS;
  wood.coalWPerK = gave.coalJPerK / dtS;
  wood.gasWPerK = gave.gasJPerK / dtS;
  wood.coalK = air.coalK;
  wood.gasK = air.gasK;
  wood.coveredCoalsM2 = gave.coversM2S / dtS;
  pit.flaming = gave.flame;
  pit.woodBurns = pit.parcels.some((p) => p.caught);
  const smoke = gave.volatilesKg - gave.burntVolatilesKg;
  pit.smokeStrength = smoke > 1e-12 ? strength / smoke : 1;
}

/** No step may take more than is there; only very long steps on very little fuel come near. */
function limitToAvailable(pit: PitState, burn: BurnRates, dtS: number): void {
  const most = (0.5 * pit.lit.kg) / dtS;
  if (burn.burntKgPerS > most) {
    const cut = most / burn.burntKgPerS;
    burn.burntKgPerS *= cut;
    burn.heatW *= cut;
    burn.unburntW *= cut;
  }
  burn.litKgPerS = Math.min(burn.litKgPerS, (0.5 * pit.unlit.kg) / dtS);
  burn.wentOutKgPerS = Math.min(burn.wentOutKgPerS, (0.4 * pit.lit.kg) / dtS);
}

/** Charcoal burns, catches, goes out; wood adds its char. */
function updateFuelPools(pit: PitState, burn: BurnRates, dtS: number): void {
  const { lit, unlit } = pit;
  const { wood } = pit.workspace;
  pit.bedAshKg += burn.burntKgPerS * lit.ashPerKg * dtS;
  lit.kg = Math.max(lit.kg - burn.burntKgPerS * dtS, 0);
  const out = Math.min(burn.wentOutKgPerS * dtS, lit.kg);
  const caught = burn.litKgPerS * dtS;
  lit.kg -= out;
  unlit.kg -= caught;
  addToPool(lit, unlit, caught);
  addToPool(unlit, lit, out);
  addToPool(lit, WOOD_CHAR, wood.charKgPerS * dtS);
}

/** Sensible heat leaving with gas, less what fresh air brings, W, after the balance is solved. */
function exhaustW(pit: PitState, boundary: BoundaryFlows, airK: number): number {
  const { rhs } = pit.workspace.balance;
  let watts = 0;
  for (let z = 0; z < pit.layout.zones.length; z++) {
    watts +=
      CP_GAS * (boundary.outflow[z]! * rhs[z]! - boundary.inflow[z]! * (airK - pit.referenceK));
  }
  return watts;
}

/** Unburnt gas fills the pit and leaves with the draught: what stands there is what can flare. */
function ventUnburnt(pit: PitState, boundary: BoundaryFlows, watts: number, dtS: number): void {
  let holds = 0;
  for (let z = 0; z < pit.layout.zones.length; z++) holds += zoneGasKg(pit, z);
  const before = pit.unburntGasJ;
  const rate = boundary.inflowTotal / holds;
  const stays = Math.exp(-rate * dtS);
  const now =
    rate * dtS > 1e-9 ? before * stays + (watts / rate) * (1 - stays) : before + watts * dtS;
  pit.unburntGasJ = now;
  pit.ledger.unburntJ += before + watts * dtS - now;
}
