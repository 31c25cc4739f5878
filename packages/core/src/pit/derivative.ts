/**
 * The pit as a plain system of differential equations, put together by the same functions as the
 * stepper: for holding the stepper against a solver of high accuracy. Not used while cooking.
 */
import { BOILING_HEAT, OXYGEN_IN_AIR, WATER_HEAT } from '../air/moist';
import type { Weather } from '../air/weather';
import { CHAR } from '../fire/char';
import {
  coreCapacity,
  parcelRates,
  rateParcel,
  skinCapacity,
  WOOD,
  type Parcel,
} from '../fire/parcel';
import { woodChar } from '../fire/pool';
import type { Pool } from '../fire/types';
import { OXYGEN_HEAT, VOLATILES_HEAT, WOOD_CHAR_YIELD } from '../fuel/catalogue';
import { clamp, kelvin } from '../quantity/units';
import { heatRates } from './balance';
import { burnOf, readiness } from './burn';
import { LAG } from './closures';
import { flowsOf, oxygenRates, type OxygenSinks } from './flows';
import { drawAir } from './gas';
import { assembleHeat, noFood, noWood } from './heat';
import { applyVents, bedCapacity, type PitState } from './state';
import { charcoalW, HUMID_KG, outdoorHumidity, readsK, vapourKgPerS, woodAir } from './step';

const NO_FOOD = noFood(0);
/** Extensive quantities of a pool: mass, heat, ash, moisture, pace. */
const POOL_SIZE = 5;
const PARCEL_SIZE = 6;

/** Length of the state vector of this pit as it is now. */
export const vectorLength = (s: PitState): number =>
  s.nodes + s.layout.zones.length + 2 * POOL_SIZE + 5 + PARCEL_SIZE * s.parcels.length;

/** The pit's state as a vector: temperatures, oxygen, pools, bed, humidity, water, probe, wood. */
export function packPit(s: PitState): number[] {
  const pool = (p: Pool): number[] => [
    p.kg,
    p.kg * p.heatJPerKg,
    p.kg * p.ashPerKg,
    p.kg * p.moisturePerKg,
    p.kg * p.paceFactor,
  ];
  return [
    ...s.tempK,
    ...s.oxygen,
    ...pool(s.lit),
    ...pool(s.unlit),
    s.bedAshKg,
    s.layerExcessK,
    s.humidity,
    s.waterKg,
    s.probeK,
    ...s.parcels.flatMap((p) => [p.dryKg, p.skinWaterKg, p.coreWaterKg, p.skinK, p.coreK, p.flame]),
  ];
}

/** Puts a vector back into the pit. */
export function unpackPit(s: PitState, y: readonly number[]): void {
  let at = 0;
  const next = (): number => y[at++]!;
  // A solver may try states that cannot be; they must give numbers for it to turn back.
  for (let i = 0; i < s.nodes; i++) s.tempK[i] = clamp(next(), 150, 2500);
  for (let i = 0; i < s.layout.zones.length; i++)
    s.oxygen[i] = Math.min(Math.max(next(), 0), OXYGEN_IN_AIR);
  for (const p of [s.lit, s.unlit]) {
    const kg = Math.max(next(), 1e-9);
    p.kg = kg;
    p.heatJPerKg = next() / kg;
    p.ashPerKg = Math.max(next() / kg, 0);
    p.moisturePerKg = next() / kg;
    p.paceFactor = next() / kg;
  }
  s.bedAshKg = next();
  s.layerExcessK = next();
  s.humidity = Math.max(next(), 1e-5);
  s.waterKg = Math.max(next(), 0);
  s.probeK = next();
  for (const p of s.parcels) {
    p.dryKg = Math.max(next(), 1e-9);
    p.skinWaterKg = Math.max(next(), 0);
    p.coreWaterKg = Math.max(next(), 0);
    p.skinK = next();
    p.coreK = next();
    p.flame = next();
  }
}

const rates = parcelRates();
const wood = noWood();
const sinks: OxygenSinks = { charPerShare: 0, wood: 0 };
const scratch = new Float64Array(32);

/** How fast the vector changes, per second. Leaves the pit's state as it found it in `y`. */
export function pitDerivative(s: PitState, w: Weather, y: readonly number[]): number[] {
  unpackPit(s, y);
  const airK = kelvin(w.airC);
  applyVents(s);
  const gas = drawAir(s, airK, w.windMps);
  const ready = readiness(s, gas);
  const flows = flowsOf(s, gas, charcoalW(s, ready));
  const parcels = s.parcels.map((p) => parcelDerivative(s, p));
  sumWood(s);
  sinks.charPerShare = (ready.unitKgPerS * ready.oxygenPerKg) / OXYGEN_IN_AIR;
  sinks.wood = wood.heatW / OXYGEN_HEAT.wood;
  const out: number[] = [];
  const burn = burnOf(s, ready);
  const terms = assembleHeat(s, w, airK, gas, flows, burn, wood, NO_FOOD);
  const { lit, unlit } = s;
  const dLit = burn.litKgPerS + wood.charKgPerS - burn.burntKgPerS - burn.wentOutKgPerS;
  const dAsh =
    burn.litKgPerS * unlit.ashPerKg +
    wood.charKgPerS * woodChar.ashPerKg -
    (burn.burntKgPerS + burn.wentOutKgPerS) * lit.ashPerKg;
  const perKg = bedCapacity({ ...lit, kg: 1, ashPerKg: 0 }) - bedCapacity({ ...lit, kg: 0 });
  heatRates(s, perKg * (dLit + dAsh), scratch);
  for (let i = 0; i < s.nodes; i++) out.push(scratch[i]!);
  oxygenRates(s, gas, flows, sinks, scratch);
  for (let i = 0; i < s.layout.zones.length; i++) out.push(scratch[i]!);
  const pool = (of: (p: Pool) => number): [number, number] => {
    const between = burn.litKgPerS * of(unlit) - burn.wentOutKgPerS * of(lit);
    return [between + wood.charKgPerS * of(woodChar) - burn.burntKgPerS * of(lit), -between];
  };
  const parts = [
    pool(() => 1),
    pool((p) => p.heatJPerKg),
    pool((p) => p.ashPerKg),
    pool((p) => p.moisturePerKg),
    pool((p) => p.paceFactor),
  ];
  for (const p of parts) out.push(p[0]);
  for (const p of parts) out.push(p[1]);
  out.push(burn.burntKgPerS * lit.ashPerKg);
  out.push((burn.layerWantK - s.layerExcessK) / CHAR.layerLagS);
  const panKgPerS = terms.panW / terms.latentJPerKg;
  const steam = burn.litKgPerS * unlit.moisturePerKg + wood.steamKgPerS + panKgPerS;
  const draught = Math.max(gas.inTotal, 1e-5);
  const vapour = vapourKgPerS(burn.burntKgPerS, wood.burntKgPerS, steam);
  out.push(((outdoorHumidity(s, w) - s.humidity) * draught + vapour) / HUMID_KG);
  out.push(-panKgPerS);
  out.push((readsK(s, s.layout.positions[s.layout.probe]!, airK) - s.probeK) / LAG.probeS);
  for (const p of parcels) out.push(...p);
  return out;
}

/** Rates of one parcel, as its six entries; adds what it gives to the sums. */
function parcelDerivative(s: PitState, p: Parcel): number[] {
  if (!p.caught) return Array<number>(PARCEL_SIZE).fill(0);
  const air = woodAir(s);
  rateParcel(p, air, rates);
  const r = rates;
  const n = p.count;
  const fromCoals = r.coalWPerK * (air.coalK - p.skinK);
  const fromGas = r.gasWPerK * (air.gasK - p.skinK) + r.flameW;
  const volatiles = (1 - WOOD_CHAR_YIELD) * r.goneKgPerS;
  sum.volatiles += n * volatiles;
  sum.burnt += n * volatiles * r.burntShare;
  sum.char += n * WOOD_CHAR_YIELD * r.goneKgPerS;
  sum.steam += n * (r.skinSteamKgPerS + r.coreSteamKgPerS);
  sum.coals += n * fromCoals;
  sum.gas += n * fromGas;
  sum.covers += n * WOOD.faceOnCoals * r.areaM2;
  const feed = r.goneKgPerS * WOOD.specificHeat + r.waterFeedKgPerS * WATER_HEAT;
  const skinW =
    fromCoals +
    fromGas -
    r.intoCoreW -
    r.skinSteamKgPerS * BOILING_HEAT -
    feed * (p.skinK - p.coreK) -
    r.goneKgPerS * WOOD.pyrolysisJPerKg;
  const coreW = r.intoCoreW - r.coreSteamKgPerS * BOILING_HEAT;
  return [
    -r.goneKgPerS,
    r.waterFeedKgPerS - r.skinSteamKgPerS,
    -r.waterFeedKgPerS - r.coreSteamKgPerS,
    skinW / skinCapacity(p, r.skinDryKg),
    coreW / coreCapacity(p, r.skinDryKg),
    (r.wantsFlame - p.flame) / WOOD.lagS,
  ];
}

const sum = { volatiles: 0, burnt: 0, char: 0, steam: 0, coals: 0, gas: 0, covers: 0 };

/** Moves the sums of all parcels into the wood record and clears them. */
function sumWood(s: PitState): void {
  wood.volatilesKgPerS = sum.volatiles;
  wood.burntKgPerS = sum.burnt;
  wood.charKgPerS = sum.char;
  wood.steamKgPerS = sum.steam;
  wood.heatW = sum.burnt * VOLATILES_HEAT;
  wood.fromCoalsW = sum.coals;
  wood.fromGasW = sum.gas;
  wood.coversM2 = sum.covers;
  s.flaming = s.parcels.reduce((most, p) => Math.max(most, p.caught ? p.flame : 0), 0);
  sum.volatiles = sum.burnt = sum.char = sum.steam = sum.coals = sum.gas = sum.covers = 0;
}
