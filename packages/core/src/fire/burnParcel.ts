/** How a piece of wood on the coals dries, chars and burns. Rates are per piece. */
import { LATENT_HEAT_AT_BOILING, WATER_SPECIFIC_HEAT } from '../air/moistAir';
import { WOODS, WOOD_CHAR_YIELD } from '../fuel/catalogue';
import { clamp } from '../quantity/units';
import { isSpent, WOOD, type WoodParcel } from './woodParcel';

const BOIL_K = 373.15;
/** A flame heats its wood in proportion to the oxygen over the least that it lives on (from memory), kg/kg. */
const FLAME_AIR = { least: 0.1, usual: 0.18 };

/** What surrounds a parcel. Temperatures K, oxygen kg/kg, `open`: the lid or door stands open. */
export interface ParcelSurroundings {
  /** Temperature of the coals, K. */
  coalK: number;
  /** Temperature of the gas over them, K. */
  gasK: number;
  /** Oxygen, kg for each kg of gas. */
  oxygen: number;
  /** Whether lid or door stands open. */
  open: boolean;
  /** Share of the wood's underside that glowing fuel touches, 0 to 1: little fuel heats little wood. */
  contact: number;
}

/** Rates of one piece, per second: what both the stepper and the reference solution are made of. */
export interface ParcelRates {
  /** Face that takes part, m2. */
  areaM2: number;
  /** Dry mass of the skin, kg. */
  skinDryKg: number;
  /** Pyrolysis per kg of skin, 1/s, and of the piece, kg/s. */
  pyrolysisPerS: number;
  /** Wood that chars, kg/s. */
  pyrolysedKgPerS: number;
  /** Steam from the skin, kg/s. */
  skinSteamKgPerS: number;
  /** Steam from the core, kg/s. */
  coreSteamKgPerS: number;
  /** Dry wood that joins the skin, as it chars inward and the fire spreads over the face, kg/s. */
  joinsKgPerS: number;
  /** Water that comes with it, kg/s. */
  waterFeedKgPerS: number;
  /** How fast the share of the face that takes part grows, 1/s. */
  spreadPerS: number;
  /** Conductance from the coals, W/K. */
  coalWPerK: number;
  /** Conductance from the gas, W/K. */
  gasWPerK: number;
  /** Heat from its own flame, W. */
  flameW: number;
  /** Heat from skin to core, W. */
  intoCoreW: number;
  /** Where the flame tends, 0 to 1. */
  flameTarget: number;
  /** Share of the volatiles that burns, 0 to 1. */
  burntFraction: number;
}

/** Boiling, kg/s, of `water` at `k`: rises smoothly from the boiling point. */
const boilRateKgPerS = (k: number, waterKg: number): number => {
  const x = k - BOIL_K;
  return (WOOD.boilWPerKgK * waterKg * 0.5 * (x + Math.sqrt(x * x + 4))) / LATENT_HEAT_AT_BOILING;
};

/** A record of rates, to be filled. */
export const emptyParcelRates = (): ParcelRates => ({
  areaM2: 0,
  skinDryKg: 0,
  pyrolysisPerS: 0,
  pyrolysedKgPerS: 0,
  skinSteamKgPerS: 0,
  coreSteamKgPerS: 0,
  joinsKgPerS: 0,
  waterFeedKgPerS: 0,
  spreadPerS: 0,
  coalWPerK: 0,
  gasWPerK: 0,
  flameW: 0,
  intoCoreW: 0,
  flameTarget: 0,
  burntFraction: 0,
});

/** Fills `rates` with the rates of a caught parcel as it is now. */
export function updateParcelRates(
  parcel: WoodParcel,
  air: ParcelSurroundings,
  rates: ParcelRates,
): void {
  const left = Math.max(parcel.dryKg / parcel.initialDryKg, 1e-6);
  const wholeM2 = parcel.areaM2 * Math.pow(left, 0.5);
  rates.areaM2 = wholeM2 * parcel.burningFraction;
  const density = WOODS[parcel.species].specificGravity * 1000;
  rates.skinDryKg = Math.min(rates.areaM2 * WOOD.skinM * density, parcel.dryKg);
  rates.pyrolysisPerS =
    WOOD.ratePerS *
    Math.exp(clamp(-WOOD.activationK * (1 / parcel.skinK - 1 / WOOD.rateK), -60, 5));
  rates.pyrolysedKgPerS = rates.pyrolysisPerS * rates.skinDryKg;
  const coreDry = Math.max(parcel.dryKg - rates.skinDryKg, 1e-9);
  // What lies on the coals burns first; its flame lights the rest of the face.
  const reaches = WOOD.faceFractionOnCoals + (1 - WOOD.faceFractionOnCoals) * parcel.flame;
  rates.spreadPerS = Math.max(reaches - parcel.burningFraction, 0) / WOOD.faceSpreadS;
  rates.joinsKgPerS =
    rates.pyrolysedKgPerS + (rates.skinDryKg * rates.spreadPerS) / parcel.burningFraction;
  rates.waterFeedKgPerS =
    (rates.joinsKgPerS * parcel.coreWaterKg) / (coreDry + rates.skinDryKg * 0.1);
  rates.skinSteamKgPerS = boilRateKgPerS(parcel.skinK, parcel.skinWaterKg);
  rates.coreSteamKgPerS = boilRateKgPerS(parcel.coreK, parcel.coreWaterKg);
  const shield = 1 / (1 + WOOD.charShield * (1 - left));
  rates.coalWPerK = WOOD.coalWPerM2K * WOOD.faceFractionOnCoals * wholeM2 * shield * air.contact;
  // The underside lies against the coals; the rest of what burns stands in the gas.
  const inGas = parcel.burningFraction - WOOD.faceFractionOnCoals;
  rates.gasWPerK = WOOD.gasWPerM2K * wholeM2 * inGas * shield;
  rates.flameW =
    WOOD.flameWPerM2 *
    rates.areaM2 *
    shield *
    parcel.flame *
    clamp((air.oxygen - FLAME_AIR.least) / (FLAME_AIR.usual - FLAME_AIR.least), 0, 1.6) *
    clamp((1100 - parcel.skinK) / 400, 0, 1);
  rates.intoCoreW = coreConductance(parcel, rates.areaM2) * (parcel.skinK - parcel.coreK);
  const flux = ((1 - WOOD_CHAR_YIELD) * rates.pyrolysedKgPerS) / rates.areaM2;
  // Once it burns, a flame feeds on less; steam thins what it feeds on.
  const steam = (rates.skinSteamKgPerS + rates.coreSteamKgPerS) / rates.areaM2;
  const critical =
    (WOOD.criticalFlux + WOOD.steamThins * Math.max(steam, 0)) * (1 - 0.6 * parcel.flame);
  const limit = air.open ? 0.1 : clamp(0.155 - 0.055 * ((air.gasK - 350) / 400), 0.1, 0.155);
  // Hot coals light a flame; once there it keeps itself alight.
  const pilot = smoothStep(air.coalK, WOOD.pilotK, 20);
  // Smooth steps: an honest fire does not switch, and the reference solution needs slopes.
  rates.flameTarget =
    (pilot + (1 - pilot) * parcel.flame) *
    smoothStep(air.oxygen, limit, 0.012) *
    smoothStep(flux, critical, 0.35 * critical);
  const smoulder =
    (parcel.split ? WOOD.splitBurntFractionSmouldering : WOOD.burntFractionSmouldering) *
    clamp(air.oxygen / 0.12, 0, 1) *
    smoothStep(air.coalK, 720, 50) *
    (0.15 + 0.85 * smoothStep(parcel.skinK, WOOD.clearsK, 12));
  rates.burntFraction = smoulder + (WOOD.burntFractionInFlame - smoulder) * parcel.flame;
}

/** 0 below `at`, 1 above, over about `width` either side. */
const smoothStep = (x: number, at: number, width: number): number =>
  1 / (1 + Math.exp(clamp(-(x - at) / (0.4 * width), -40, 40)));

/**
 * Skin to core, W/K. A core dries from the outside in: while it is wet its cold, boiling front lies close under the
 * skin, and goes in as the water leaves.
 */
function coreConductance(parcel: WoodParcel, areaM2: number): number {
  const wet = parcel.coreWaterKg / Math.max(parcel.initialCoreWaterKg, 1e-9);
  const depth = WOOD.frontStart + (WOOD.frontEnd - WOOD.frontStart) * (1 - Math.sqrt(wet));
  return (WOOD.conductivity * areaM2) / (depth * parcel.radiusM + WOOD.skinM);
}

/** Heat capacities of skin and core, J/K. */
export const skinHeatCapacity = (parcel: WoodParcel, skinDryKg: number): number =>
  skinDryKg * WOOD.specificHeat + parcel.skinWaterKg * WATER_SPECIFIC_HEAT + 0.5;
export const coreHeatCapacity = (parcel: WoodParcel, skinDryKg: number): number =>
  Math.max(parcel.dryKg - skinDryKg, 0) * WOOD.specificHeat +
  parcel.coreWaterKg * WATER_SPECIFIC_HEAT +
  0.5;

/** What a step of all parcels gave and took, over the step: kg and J, counts included. */
export interface WoodYield {
  /** Volatiles given off, kg. */
  volatilesKg: number;
  /** Volatiles burnt, kg. */
  burntVolatilesKg: number;
  /** Char made, kg. */
  charKg: number;
  /** Steam given off, kg. */
  steamKg: number;
  /** Heat taken from the coals, J. */
  fromCoalsJ: number;
  /** Heat taken from the gas, J. */
  fromGasJ: number;
  /** The conductances behind them times time, J/K. */
  coalJPerK: number;
  /** The conductance from the gas times time, J/K. */
  gasJPerK: number;
  /** Face of wood lying over the coals times time, m2 s, and the liveliest flame. */
  coversM2S: number;
  /** The liveliest flame, 0 to 1. */
  flame: number;
}

/** A yield of nothing, to be added to. */
export const emptyWoodYield = (): WoodYield => ({
  volatilesKg: 0,
  burntVolatilesKg: 0,
  charKg: 0,
  steamKg: 0,
  fromCoalsJ: 0,
  fromGasJ: 0,
  coalJPerK: 0,
  gasJPerK: 0,
  coversM2S: 0,
  flame: 0,
});

/**
 * Advances one caught parcel by `dtS` seconds, linearly implicit, and adds what it did to `out`. `r` is a record
 * to work with.
 */
export function stepParcel(
  parcel: WoodParcel,
  air: ParcelSurroundings,
  dtS: number,
  out: WoodYield,
  r: ParcelRates,
): void {
  const n = parcel.count;
  if (isSpent(parcel)) {
    // The last crumb: char and breath in the usual shares, so that mass and energy close.
    out.charKg += n * parcel.dryKg * WOOD_CHAR_YIELD;
    out.volatilesKg += n * parcel.dryKg * (1 - WOOD_CHAR_YIELD);
    out.steamKg += n * (parcel.skinWaterKg + parcel.coreWaterKg);
    parcel.dryKg = parcel.skinWaterKg = parcel.coreWaterKg = 0;
    return;
  }
  updateParcelRates(parcel, air, r);
  const { coalWPerK: gCoal, gasWPerK: gGas } = r;
  const gCore = coreConductance(parcel, r.areaM2);
  const cSkin = skinHeatCapacity(parcel, r.skinDryKg);
  const cCore = coreHeatCapacity(parcel, r.skinDryKg);
  const skinBoil = boilRateSlope(parcel.skinK, parcel.skinWaterKg) * LATENT_HEAT_AT_BOILING;
  const coreBoil = boilRateSlope(parcel.coreK, parcel.coreWaterKg) * LATENT_HEAT_AT_BOILING;
  const feed = r.joinsKgPerS * WOOD.specificHeat + r.waterFeedKgPerS * WATER_SPECIFIC_HEAT;
  // Two unknowns, skin and core, coupled by conduction; boiling linearised at the step's start.
  const pyrolysisW = r.pyrolysedKgPerS * WOOD.pyrolysisJPerKg;
  const pyrolysisSlope = (pyrolysisW * WOOD.activationK) / (parcel.skinK * parcel.skinK);
  const a11 = cSkin / dtS + gCoal + gGas + gCore + skinBoil + feed + pyrolysisSlope;
  const b1 =
    (cSkin / dtS) * parcel.skinK +
    gCoal * air.coalK +
    gGas * air.gasK +
    r.flameW -
    r.skinSteamKgPerS * LATENT_HEAT_AT_BOILING +
    skinBoil * parcel.skinK -
    pyrolysisW +
    pyrolysisSlope * parcel.skinK;
  const a22 = cCore / dtS + gCore + coreBoil;
  const b2 =
    (cCore / dtS) * parcel.coreK -
    r.coreSteamKgPerS * LATENT_HEAT_AT_BOILING +
    coreBoil * parcel.coreK;
  const off = gCore + feed;
  const det = a11 * a22 - off * gCore;
  const skinK = clamp((b1 * a22 + off * b2) / det, 200, 1300);
  const coreK = clamp((a11 * b2 + gCore * b1) / det, 200, 1300);
  out.fromCoalsJ += n * dtS * gCoal * (air.coalK - skinK);
  out.fromGasJ += n * dtS * (gGas * (air.gasK - skinK) + r.flameW);
  out.coalJPerK += n * dtS * gCoal;
  out.gasJPerK += n * dtS * gGas;
  parcel.skinK = skinK;
  parcel.coreK = coreK;
  const skinSteam = Math.min(
    dtS * Math.max(boilRateKgPerS(skinK, parcel.skinWaterKg), 0),
    parcel.skinWaterKg,
  );
  const coreSteam = Math.min(
    dtS * Math.max(boilRateKgPerS(coreK, parcel.coreWaterKg), 0),
    parcel.coreWaterKg,
  );
  const fedWater = Math.min(dtS * r.waterFeedKgPerS, parcel.coreWaterKg - coreSteam);
  parcel.skinWaterKg += fedWater - skinSteam;
  // Rounding must not leave less than none: the front's place is a root of what is left.
  parcel.coreWaterKg = Math.max(parcel.coreWaterKg - coreSteam - fedWater, 0);
  out.steamKg += n * (skinSteam + coreSteam);
  const gone = parcel.dryKg * (1 - Math.exp((-r.pyrolysedKgPerS * dtS) / parcel.dryKg));
  parcel.dryKg -= gone;
  const volatiles = gone * (1 - WOOD_CHAR_YIELD);
  parcel.flame += (r.flameTarget - parcel.flame) * (1 - Math.exp(-dtS / WOOD.flameLagS));
  out.volatilesKg += n * volatiles;
  out.charKg += n * gone * WOOD_CHAR_YIELD;
  out.burntVolatilesKg += n * volatiles * r.burntFraction;
  parcel.burningFraction = Math.min(parcel.burningFraction + r.spreadPerS * dtS, 1);
  out.coversM2S += (n * WOOD.faceFractionOnCoals * r.areaM2 * dtS) / parcel.burningFraction;
  out.flame = Math.max(out.flame, parcel.flame);
}

const boilRateSlope = (k: number, waterKg: number): number => {
  const x = k - BOIL_K;
  return (
    (WOOD.boilWPerKgK * waterKg * 0.5 * (1 + x / Math.sqrt(x * x + 4))) / LATENT_HEAT_AT_BOILING
  );
};
