/**
 * The pit as a plain system of differential equations, put together by the same functions as the
 * stepper: for holding the stepper against a solver of high accuracy. Not used while cooking.
 */
import {
  assembleHeatBalance,
  burnRatesOf,
  burnReadiness,
  CHAR,
  charcoalHeatW,
  clamp,
  coalHeatCapacity,
  coreHeatCapacity,
  emptyFoodLoad,
  emptyParcelRates,
  emptyWoodRates,
  type FuelPool,
  HUMID_GAS_KG,
  kelvin,
  LATENT_HEAT_AT_BOILING,
  outdoorHumidity,
  OXYGEN_HEAT,
  OXYGEN_IN_AIR,
  oxygenRates,
  type PitState,
  probeEquilibriumK,
  SENSOR_LAG,
  skinHeatCapacity,
  solveAirflow,
  solveInternalFlows,
  temperatureRates,
  updateOpenings,
  updateParcelRates,
  vapourKgPerS,
  VOLATILES_HEAT,
  WATER_SPECIFIC_HEAT,
  type Weather,
  WOOD,
  WOOD_CHAR,
  WOOD_CHAR_YIELD,
  type WoodParcel,
  woodSurroundings,
} from '@ostrin/core/internals';

const NO_FOOD = emptyFoodLoad(0);
/** Extensive quantities of a pool: mass, heat, ash, moisture, pace, openness. */
const POOL_SIZE = 6;
const PARCEL_SIZE = 7;

/** Length of the state vector of this pit as it is now. */
export const vectorLength = (pit: PitState): number =>
  pit.nodes + pit.layout.zones.length + 2 * POOL_SIZE + 5 + PARCEL_SIZE * pit.parcels.length;

/** The pit's state as a vector: temperatures, oxygen, pools, bed, humidity, water, probe, wood. */
export function packPit(pit: PitState): number[] {
  const pool = (p: FuelPool): number[] => [
    p.kg,
    p.kg * p.heatJPerKg,
    p.kg * p.ashPerKg,
    p.kg * p.moisturePerKg,
    p.kg * p.paceFactor,
    p.kg * p.openness,
  ];
  return [
    ...pit.tempK,
    ...pit.oxygen,
    ...pool(pit.lit),
    ...pool(pit.unlit),
    pit.bedAshKg,
    pit.layerExcessK,
    pit.humidity,
    pit.waterKg,
    pit.probeK,
    ...pit.parcels.flatMap((p) => [
      p.dryKg,
      p.skinWaterKg,
      p.coreWaterKg,
      p.skinK,
      p.coreK,
      p.flame,
      p.burningFraction,
    ]),
  ];
}

/** Puts a vector back into the pit. */
export function unpackPit(pit: PitState, y: readonly number[]): void {
  let at = 0;
  const next = (): number => y[at++]!;
  // A solver may try states that cannot be; they must give numbers for it to turn back.
  for (let i = 0; i < pit.nodes; i++) pit.tempK[i] = clamp(next(), 150, 2500);
  for (let i = 0; i < pit.layout.zones.length; i++)
    pit.oxygen[i] = Math.min(Math.max(next(), 0), OXYGEN_IN_AIR);
  for (const p of [pit.lit, pit.unlit]) {
    const kg = Math.max(next(), 1e-9);
    p.kg = kg;
    p.heatJPerKg = next() / kg;
    p.ashPerKg = Math.max(next() / kg, 0);
    p.moisturePerKg = next() / kg;
    p.paceFactor = next() / kg;
    p.openness = Math.max(next() / kg, 0);
  }
  pit.bedAshKg = next();
  pit.layerExcessK = next();
  pit.humidity = Math.max(next(), 1e-5);
  pit.waterKg = Math.max(next(), 0);
  pit.probeK = next();
  for (const p of pit.parcels) {
    p.dryKg = Math.max(next(), 1e-9);
    p.skinWaterKg = Math.max(next(), 0);
    p.coreWaterKg = Math.max(next(), 0);
    p.skinK = next();
    p.coreK = next();
    p.flame = next();
    p.burningFraction = clamp(next(), WOOD.faceFractionOnCoals, 1);
  }
}

const rates = emptyParcelRates();
const wood = emptyWoodRates();
const sinks = { charPerShare: 0, wood: 0 };
const scratch = new Float64Array(32);

/** How fast the vector changes, per second. Leaves the pit's state as it found it in `y`. */
export function pitDerivative(pit: PitState, weather: Weather, y: readonly number[]): number[] {
  unpackPit(pit, y);
  const airK = kelvin(weather.airC);
  updateOpenings(pit);
  const gas = solveAirflow(pit, airK, weather.windMps);
  const ready = burnReadiness(pit, gas);
  const flows = solveInternalFlows(pit, gas, charcoalHeatW(pit, ready));
  const parcels = pit.parcels.map((p) => parcelDerivative(pit, p));
  sumWood(pit);
  sinks.charPerShare = (ready.unitKgPerS * ready.oxygenPerKg) / OXYGEN_IN_AIR;
  sinks.wood = wood.heatW / OXYGEN_HEAT.wood;
  const out: number[] = [];
  const burn = burnRatesOf(pit, ready);
  const terms = assembleHeatBalance(pit, weather, airK, gas, flows, burn, wood, NO_FOOD);
  const { lit, unlit } = pit;
  const dLit = burn.litKgPerS + wood.charKgPerS - burn.burntKgPerS - burn.wentOutKgPerS;
  const dAsh =
    burn.litKgPerS * unlit.ashPerKg +
    wood.charKgPerS * WOOD_CHAR.ashPerKg -
    (burn.burntKgPerS + burn.wentOutKgPerS) * lit.ashPerKg;
  const perKg =
    coalHeatCapacity({ ...lit, kg: 1, ashPerKg: 0 }) - coalHeatCapacity({ ...lit, kg: 0 });
  temperatureRates(pit, perKg * (dLit + dAsh), scratch);
  for (let i = 0; i < pit.nodes; i++) out.push(scratch[i]!);
  oxygenRates(pit, gas, flows, sinks, scratch);
  for (let i = 0; i < pit.layout.zones.length; i++) out.push(scratch[i]!);
  const pool = (of: (p: FuelPool) => number): [number, number] => {
    const between = burn.litKgPerS * of(unlit) - burn.wentOutKgPerS * of(lit);
    return [between + wood.charKgPerS * of(WOOD_CHAR) - burn.burntKgPerS * of(lit), -between];
  };
  const parts = [
    pool(() => 1),
    pool((p) => p.heatJPerKg),
    pool((p) => p.ashPerKg),
    pool((p) => p.moisturePerKg),
    pool((p) => p.paceFactor),
    pool((p) => p.openness),
  ];
  for (const p of parts) out.push(p[0]);
  for (const p of parts) out.push(p[1]);
  out.push(burn.burntKgPerS * lit.ashPerKg);
  out.push((burn.layerTargetK - pit.layerExcessK) / CHAR.layerLagS);
  const panKgPerS = terms.panW / terms.latentJPerKg;
  const steam = burn.litKgPerS * unlit.moisturePerKg + wood.steamKgPerS + panKgPerS;
  const draught = Math.max(gas.inflowTotal, 1e-5);
  const vapour = vapourKgPerS(burn.burntKgPerS, wood.burntKgPerS, steam);
  out.push(((outdoorHumidity(pit, weather) - pit.humidity) * draught + vapour) / HUMID_GAS_KG);
  out.push(-panKgPerS);
  out.push(
    (probeEquilibriumK(pit, pit.layout.positions[pit.layout.probePosition]!, airK) - pit.probeK) /
      SENSOR_LAG.probeS,
  );
  for (const p of parcels) out.push(...p);
  return out;
}

/** Rates of one parcel, as its seven entries; adds what it gives to the sums. */
function parcelDerivative(pit: PitState, parcel: WoodParcel): number[] {
  if (!parcel.caught) return Array<number>(PARCEL_SIZE).fill(0);
  const air = woodSurroundings(pit);
  updateParcelRates(parcel, air, rates);
  const r = rates;
  const n = parcel.count;
  const fromCoals = r.coalWPerK * (air.coalK - parcel.skinK);
  const fromGas = r.gasWPerK * (air.gasK - parcel.skinK) + r.flameW;
  const volatiles = (1 - WOOD_CHAR_YIELD) * r.pyrolysedKgPerS;
  sum.volatiles += n * volatiles;
  sum.burnt += n * volatiles * r.burntFraction;
  sum.char += n * WOOD_CHAR_YIELD * r.pyrolysedKgPerS;
  sum.steam += n * (r.skinSteamKgPerS + r.coreSteamKgPerS);
  sum.coals += n * fromCoals;
  sum.gas += n * fromGas;
  sum.covers += (n * WOOD.faceFractionOnCoals * r.areaM2) / parcel.burningFraction;
  const feed = r.joinsKgPerS * WOOD.specificHeat + r.waterFeedKgPerS * WATER_SPECIFIC_HEAT;
  const skinW =
    fromCoals +
    fromGas -
    r.intoCoreW -
    r.skinSteamKgPerS * LATENT_HEAT_AT_BOILING -
    feed * (parcel.skinK - parcel.coreK) -
    r.pyrolysedKgPerS * WOOD.pyrolysisJPerKg;
  const coreW = r.intoCoreW - r.coreSteamKgPerS * LATENT_HEAT_AT_BOILING;
  return [
    -r.pyrolysedKgPerS,
    r.waterFeedKgPerS - r.skinSteamKgPerS,
    -r.waterFeedKgPerS - r.coreSteamKgPerS,
    skinW / skinHeatCapacity(parcel, r.skinDryKg),
    coreW / coreHeatCapacity(parcel, r.skinDryKg),
    (r.flameTarget - parcel.flame) / WOOD.flameLagS,
    r.spreadPerS,
  ];
}

const sum = { volatiles: 0, burnt: 0, char: 0, steam: 0, coals: 0, gas: 0, covers: 0 };

/** Moves the sums of all parcels into the wood record and clears them. */
function sumWood(pit: PitState): void {
  wood.volatilesKgPerS = sum.volatiles;
  wood.burntKgPerS = sum.burnt;
  wood.charKgPerS = sum.char;
  wood.steamKgPerS = sum.steam;
  wood.heatW = sum.burnt * VOLATILES_HEAT;
  wood.fromCoalsW = sum.coals;
  wood.fromGasW = sum.gas;
  wood.coveredCoalsM2 = sum.covers;
  pit.flaming = pit.parcels.reduce((most, p) => Math.max(most, p.caught ? p.flame : 0), 0);
  sum.volatiles = sum.burnt = sum.char = sum.steam = sum.coals = sum.gas = sum.covers = 0;
}
