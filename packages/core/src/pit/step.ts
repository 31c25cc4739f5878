/**
 * One step of a burning pit: air, wood, oxygen, coals, then one implicit heat balance. Coefficients are
 * frozen at the step's start (linearly implicit Euler), so a step costs the same whatever happens.
 */
import {
  CP_GAS,
  gasDensity,
  humidityRatio,
  OXYGEN_IN_AIR,
  saturationPressure,
  WATER_HEAT,
} from '../air/moist';
import type { Weather } from '../air/weather';
import { CHAR } from '../fire/char';
import { nothingYet, stepParcel, type ParcelAir } from '../fire/parcel';
import { mixIn, woodChar } from '../fire/pool';
import { OXYGEN_HEAT, VOLATILES_HEAT, WOODS } from '../fuel/catalogue';
import { kelvin } from '../quantity/units';
import { rhs, solveBalance } from './balance';
import { burnOf, readiness, type Burn, type Readiness } from './burn';
import { INSIDE, LAG, PROBE_GAS } from './closures';
import { flowsOf, stepOxygen, zoneGasKg, type OxygenSinks } from './flows';
import { drawAir, type Gas } from './gas';
import { assembleHeat, noWood, type FoodLoad } from './heat';
import { applyVents, bedCapacity, caughtShare, dropSpent, nodeOf, type PitState } from './state';
import type { Position, Surface } from './types';

const change = { k: 0 };
const parcelAir: ParcelAir = { coalK: 0, gasK: 0, oxygen: 0, open: false, contact: 1 };
const sinks: OxygenSinks = { charPerShare: 0, wood: 0 };
const gave = nothingYet();
/** Largest change of a skin's temperature, K, and of a flame in a step: for choosing the next. */
const lively = { skinK: 0, flame: 0 };
const wood = noWood();
/** Below this much glowing fuel wood does not catch any more, kg dry ash-free. */
const PILOT_KG = 0.005;
/** With this much glowing fuel half of a piece's underside touches it, kg dry ash-free. */
const CONTACT_KG = 0.02;
const WOOD_STEP = { liveS: 0.75, calmS: 2, calmKPerS: 0.1, calmFlamePerS: 0.0005 };

/** Air that wood on the coals lies in now. The record is reused. */
export function woodAir(s: PitState): ParcelAir {
  parcelAir.coalK = s.tempK[s.coals]!;
  parcelAir.gasK = s.tempK[0]!;
  parcelAir.oxygen = s.oxygen[0]!;
  parcelAir.contact = s.lit.kg / (s.lit.kg + CONTACT_KG);
  parcelAir.open = s.lidOpen || s.doorFraction > 0.2;
  return parcelAir;
}

/** Lets the fire reach wood that lies in its way. */
export function reachWood(s: PitState): void {
  if (s.lit.kg < PILOT_KG) return;
  const caught = caughtShare(s);
  for (const p of s.parcels) {
    if (!p.caught && caught >= s.arrangement.reachedAt(p.place)) p.caught = true;
  }
}

/**
 * Advances the pit by `dt` seconds. Returns the largest change of any temperature in K, from which
 * the caller chooses its next step.
 */
export function stepPit(s: PitState, w: Weather, food: FoodLoad, dt: number): number {
  const airK = kelvin(w.airC);
  applyVents(s);
  const gas = drawAir(s, airK, w.windMps);
  const ready = readiness(s, gas);
  const flows = flowsOf(s, gas, charcoalW(s, ready));
  burnWood(s, dt);
  sinks.charPerShare = (ready.unitKgPerS * ready.oxygenPerKg) / OXYGEN_IN_AIR;
  sinks.wood = wood.heatW / OXYGEN_HEAT.wood;
  stepOxygen(s, gas, flows, sinks, dt);
  const burn = burnOf(s, ready);
  withinMeans(s, burn, dt);

  const oldBed = bedCapacity(s.lit);
  const panWas = s.tempK[s.pan]!;
  const terms = assembleHeat(s, w, airK, gas, flows, burn, wood, food);
  const moistureKgPerS = burn.litKgPerS * s.unlit.moisturePerKg;
  const ashKg = burn.burntKgPerS * s.lit.ashPerKg * dt;
  movePools(s, burn, dt);
  s.layerExcessK += (burn.layerWantK - s.layerExcessK) * (1 - Math.exp(-dt / CHAR.layerLagS));
  const wallsW = solveBalance(s, oldBed, bedCapacity(s.lit), dt, change);
  const panW = Math.max(terms.panW + terms.panSlope * (s.tempK[s.pan]! - panWas), 0);
  const panKg = Math.min((panW * dt) / terms.latentJPerKg, s.waterKg);
  // Steam takes the warmth of its water with it.
  const panJ = panW * dt + panKg * WATER_HEAT * (s.tempK[s.pan]! - s.referenceK);
  s.waterKg -= panKg;

  const { ledger } = s;
  const smokeW = (wood.volatilesKgPerS - wood.burntKgPerS) * VOLATILES_HEAT;
  ledger.releasedJ += (burn.heatW + wood.heatW) * dt;
  ledger.wallsJ += wallsW * dt;
  ledger.exhaustJ += exhaustW(s, gas, airK) * dt;
  ledger.latentJ += (terms.dryingW + woodTookW(s)) * dt + panJ;
  for (const w of food.fromGasW) ledger.foodJ += w * dt;
  for (const w of food.fromWallsW) ledger.foodJ += w * dt;
  ledger.burnedKg += burn.burntKgPerS * dt;
  ledger.ashKg += ashKg;
  ledger.charFromWoodKg += wood.charKgPerS * dt;
  ledger.volatilesKg += wood.volatilesKgPerS * dt;
  ledger.oxygenUsedKg +=
    (burn.burntKgPerS * ready.oxygenPerKg + wood.heatW / OXYGEN_HEAT.wood) * dt;
  ledger.panSteamKg += panKg;
  ventUnburnt(s, gas, burn.unburntW + smokeW, dt);
  const steam = moistureKgPerS + wood.steamKgPerS + panKg / dt + food.vapourKgPerS;
  sense(s, w, gas, burn.burntKgPerS, steam, dt);
  // Wood counts too: a skin may move four times as far as the pit, a flame by a tenth.
  return Math.max(change.k, 0.25 * lively.skinK, 30 * lively.flame);
}

/** Heat that wood drew from coals and gas, W, after the balance is solved. */
const woodTookW = (s: PitState): number =>
  wood.fromCoalsW +
  wood.coalWPerK * (s.tempK[s.coals]! - wood.coalK) +
  wood.fromGasW +
  wood.gasWPerK * (s.tempK[0]! - wood.gasK);

/** Heat that the charcoal gives now, W; nothing before the first step has been made. */
export const charcoalW = (s: PitState, r: Readiness): number =>
  r.unitKgPerS * (s.oxygen[0]! / OXYGEN_IN_AIR) * r.heatJPerKg;

/**
 * Air round the wood half-way through the coming step, carried on from the last one: the wood and the
 * pit about it feed each other, and a view from the step's start alone would always be late.
 */
function midway(s: PitState, dt: number): ParcelAir {
  const air = woodAir(s);
  const { before } = s;
  const { coalK, gasK, oxygen } = air;
  if (before.dtS > 0) {
    const ahead = Math.min((0.5 * dt) / before.dtS, 1);
    air.coalK += ahead * (coalK - before.coalK);
    air.gasK += ahead * (gasK - before.gasK);
    air.oxygen = Math.min(Math.max(oxygen + ahead * (oxygen - before.oxygen), 0), OXYGEN_IN_AIR);
  }
  before.coalK = coalK;
  before.gasK = gasK;
  before.oxygen = oxygen;
  before.dtS = dt;
  return air;
}

/** Burns all wood that has caught for `dt` seconds and leaves the mean rates in `wood`. */
function burnWood(s: PitState, dt: number): void {
  reachWood(s);
  const air = midway(s, dt);
  gave.volatilesKg = gave.burntVolatilesKg = gave.charKg = gave.steamKg = 0;
  gave.coalJPerK = gave.gasJPerK = 0;
  gave.fromCoalsJ = gave.fromGasJ = gave.coversM2S = gave.flame = 0;
  lively.skinK = lively.flame = 0;
  let strength = 0;
  for (const p of s.parcels) {
    if (!p.caught) continue;
    const before = gave.volatilesKg - gave.burntVolatilesKg;
    const { skinK, flame } = p;
    // Wood is livelier than the pit about it: it takes several small steps within one of the pit's.
    const parts = Math.min(Math.ceil(dt / (p.settled ? WOOD_STEP.calmS : WOOD_STEP.liveS)), 16);
    for (let i = 0; i < parts; i++) stepParcel(p, air, dt / parts, gave);
    const movedK = Math.abs(p.skinK - skinK);
    const flared = Math.abs(p.flame - flame);
    p.settled = movedK < WOOD_STEP.calmKPerS * dt && flared < WOOD_STEP.calmFlamePerS * dt;
    lively.skinK = Math.max(lively.skinK, movedK);
    lively.flame = Math.max(lively.flame, flared);
    const smoke = gave.volatilesKg - gave.burntVolatilesKg - before;
    strength += smoke * WOODS[p.species].smokeStrength;
  }
  dropSpent(s);
  wood.volatilesKgPerS = gave.volatilesKg / dt;
  wood.burntKgPerS = gave.burntVolatilesKg / dt;
  wood.charKgPerS = gave.charKg / dt;
  wood.steamKgPerS = gave.steamKg / dt;
  wood.heatW = (gave.burntVolatilesKg * VOLATILES_HEAT) / dt;
  wood.fromCoalsW = gave.fromCoalsJ / dt;
  wood.fromGasW = gave.fromGasJ / dt;
  wood.coalWPerK = gave.coalJPerK / dt;
  wood.gasWPerK = gave.gasJPerK / dt;
  wood.coalK = air.coalK;
  wood.gasK = air.gasK;
  wood.coversM2 = gave.coversM2S / dt;
  s.flaming = gave.flame;
  s.woodBurns = s.parcels.some((p) => p.caught);
  const smoke = gave.volatilesKg - gave.burntVolatilesKg;
  s.smokeStrength = smoke > 1e-12 ? strength / smoke : 1;
}

/** No step may take more than is there; only very long steps on very little fuel come near. */
function withinMeans(s: PitState, b: Burn, dt: number): void {
  const most = (0.5 * s.lit.kg) / dt;
  if (b.burntKgPerS > most) {
    const cut = most / b.burntKgPerS;
    b.burntKgPerS *= cut;
    b.heatW *= cut;
    b.unburntW *= cut;
  }
  b.litKgPerS = Math.min(b.litKgPerS, (0.5 * s.unlit.kg) / dt);
  b.wentOutKgPerS = Math.min(b.wentOutKgPerS, (0.4 * s.lit.kg) / dt);
}

/** Charcoal burns, catches, goes out; wood adds its char. */
function movePools(s: PitState, b: Burn, dt: number): void {
  const { lit, unlit } = s;
  s.bedAshKg += b.burntKgPerS * lit.ashPerKg * dt;
  lit.kg = Math.max(lit.kg - b.burntKgPerS * dt, 0);
  const out = Math.min(b.wentOutKgPerS * dt, lit.kg);
  const caught = b.litKgPerS * dt;
  lit.kg -= out;
  unlit.kg -= caught;
  mixIn(lit, unlit, caught);
  mixIn(unlit, lit, out);
  mixIn(lit, woodChar, wood.charKgPerS * dt);
}

/** Sensible heat leaving with gas, less what fresh air brings, W, after the balance is solved. */
function exhaustW(s: PitState, gas: Gas, airK: number): number {
  let watts = 0;
  for (let z = 0; z < s.layout.zones.length; z++) {
    watts += CP_GAS * (gas.out[z]! * rhs[z]! - gas.into[z]! * (airK - s.referenceK));
  }
  return watts;
}

/** Unburnt gas fills the pit and leaves with the draught: what stands there is what can flare. */
function ventUnburnt(s: PitState, gas: Gas, watts: number, dt: number): void {
  let holds = 0;
  for (let z = 0; z < s.layout.zones.length; z++) holds += zoneGasKg(s, z);
  const before = s.unburntGasJ;
  const rate = gas.inTotal / holds;
  const stays = Math.exp(-rate * dt);
  const now =
    rate * dt > 1e-9 ? before * stays + (watts / rate) * (1 - stays) : before + watts * dt;
  s.unburntGasJ = now;
  s.ledger.unburntJ += before + watts * dt - now;
}

/** What is breathed, smelt and read after a step: humidity, smoke, the probe and the dial. */
function sense(
  s: PitState,
  w: Weather,
  gas: Gas,
  burntKgPerS: number,
  steamKgPerS: number,
  dt: number,
): void {
  const { tempK: t, layout } = s;
  s.draughtKgPerS = Math.max(gas.inTotal, 1e-5);
  const want =
    outdoorHumidity(s, w) +
    vapourKgPerS(burntKgPerS, wood.burntKgPerS, steamKgPerS) / s.draughtKgPerS;
  s.humidity += (want - s.humidity) * (1 - Math.exp((-dt * s.draughtKgPerS) / HUMID_KG));
  s.smokeGPerM3 += (smokeNow(s, gas) - s.smokeGPerM3) * (1 - Math.exp(-dt / LAG.smokeS));
  s.smokeDose += (s.smokeGPerM3 * s.smokeStrength * dt) / 60;
  const place = layout.positions[layout.probe]!;
  s.probeK += (readsK(s, place, kelvin(w.airC)) - s.probeK) * (1 - Math.exp(-dt / LAG.probeS));
  s.dialK += (t[layout.domeZone]! - s.dialK) * (1 - Math.exp(-dt / LAG.dialS));
}

/** Gas whose moisture the humidity stands for, kg. */
export const HUMID_KG = 0.03;

/** Vapour given off, kg/s: by burning charcoal and volatiles, and as steam. */
export const vapourKgPerS = (charcoal: number, volatiles: number, steam: number): number =>
  INSIDE.waterPerChar * charcoal + INSIDE.waterPerVolatiles * volatiles + steam;

/** Humidity ratio of the air outside. */
export const outdoorHumidity = (s: PitState, w: Weather): number =>
  humidityRatio(w.relativeHumidityFraction * saturationPressure(w.airC), s.pressurePa);

/** Unburnt volatiles in the exhaust, g/m3. */
function smokeNow(s: PitState, gas: Gas): number {
  const m3PerS =
    Math.max(gas.inTotal, 2e-4) / gasDensity(s.tempK[s.layout.domeZone]!, s.pressurePa);
  return (1000 * (wood.volatilesKgPerS - wood.burntKgPerS)) / m3PerS;
}

/** What a surface shows: its temperature, or the sky's where the lid is off. */
const seenK = (s: PitState, surface: Surface, airK: number): number =>
  s.lidOpen && typeof surface === 'number' && s.layout.walls[surface]!.lid
    ? airK
    : s.tempK[nodeOf(s, surface)]!;

/** Mean temperature of what a place sees, K. */
export function seenFromK(s: PitState, place: Position, airK: number): number {
  let sum = 0;
  for (const [surface, share] of place.seen) sum += share * seenK(s, surface, airK);
  return sum;
}

/** Temperature of the gas at a place, K. */
export function gasAtK(s: PitState, place: Position): number {
  let sum = 0;
  for (const [zone, share] of place.gas) sum += share * s.tempK[zone]!;
  return sum;
}

/** What a probe at a place would read once it has settled, K: partly gas, partly what it sees. */
export const readsK = (s: PitState, place: Position, airK: number): number =>
  PROBE_GAS * gasAtK(s, place) + (1 - PROBE_GAS) * seenFromK(s, place, airK);
