/**
 * A piece of wood on the coals, a chunk or a split: a thin skin that dries, chars and breathes out
 * volatiles over a cold wet core that feeds it. The volatiles burn with a flame where there is a
 * pilot, enough of them and oxygen; else they are smoke. Rates are per piece; parcels may stand for
 * several alike pieces through `count`.
 */
import { LATENT_HEAT_AT_BOILING, WATER_SPECIFIC_HEAT } from '../air/moistAir';
import { WOODS, WOOD_CHAR_YIELD, type WoodId } from '../fuel/catalogue';
import { clamp } from '../quantity/units';
import type { WoodPlace } from './arrangement';

/** Closures of burning wood; each within its plausible range. */
export const WOOD = {
  /** Thickness of the skin that takes part, m (2-5 mm). */
  skinM: 0.003,
  /** Pyrolysis: rate at 623 K, 1/s, and activation temperature, K (about 350 C; 1e-3 to 8e-3). */
  ratePerS: 1 / 260,
  rateK: 623,
  activationK: 12000,
  /** From coals: radiation and contact over the share of the face that lies on them, W/m2K (30-120). */
  coalWPerM2K: 45,
  faceFractionOnCoals: 0.36,
  gasWPerM2K: 12,
  /** How much its own char holds heat off as it burns down: 1 / (1 + shield x share gone) (1-4). */
  charShield: 2.2,
  /** Heat from its own flame back to the skin, W/m2 net of what its char skin holds off (2-15 kW/m2). */
  flameWPerM2: 5500,
  /** Heat that pyrolysis takes, J/kg (2e5 to 6e5). */
  pyrolysisJPerKg: 4e5,
  conductivity: 0.25,
  specificHeat: 1700,
  /** A flame needs this much of volatiles, kg/m2s (1-4 g/m2s), a pilot this hot, K, and this long, s. */
  criticalFlux: 0.9e-3,
  pilotK: 773,
  flameLagS: 40,
  /** Share of volatiles burnt in flame, and while smouldering over hot coals in full air. */
  burntFractionInFlame: 0.985,
  burntFractionSmouldering: 0.965,
  splitBurntFractionSmouldering: 0.6,
  /** Skin temperature from which smouldering volatiles burn among the coals instead of rising cold, K. */
  clearsK: 575,
  /** How briskly skin water boils off, W/K per kg of it. */
  boilWPerKgK: 4000,
};

const BOIL_K = 373.15;

/** One piece or several alike. It lies cold until the fire reaches it. */
export interface WoodParcel {
  species: WoodId;
  place: WoodPlace;
  count: number;
  /** Split or chunk: a split lies across the bed and counts as heat. */
  split: boolean;
  areaM2: number;
  radiusM: number;
  initialDryKg: number;
  dryKg: number;
  skinWaterKg: number;
  coreWaterKg: number;
  skinK: number;
  coreK: number;
  caught: boolean;
  /** 0 smouldering to 1 in flame. */
  flame: number;
  /** Whether it burns on evenly, so that longer steps do. */
  settled: boolean;
}

/** How a parcel is made. */
export interface ParcelSpec {
  species: WoodId;
  massKg: number;
  moistureFraction: number;
  count?: number;
  split?: boolean;
  place?: WoodPlace;
  /** Temperature it is brought at, K; pre-warmed splits lie on the firebox. */
  startK: number;
}

/** Slenderness of a split (length over thickness) and of a chunk. */
const SLENDERNESS = { split: 4.5, chunk: 1.4 };

/** A parcel of `massKg` a piece as weighed, wet. */
export function createParcel(spec: ParcelSpec): WoodParcel {
  const split = spec.split ?? false;
  const dry = spec.massKg * (1 - spec.moistureFraction);
  const volume = dry / (WOODS[spec.species].specificGravity * 1000);
  // A squared billet: thickness a, length a x slenderness.
  const slender = split ? SLENDERNESS.split : SLENDERNESS.chunk;
  const a = Math.cbrt(volume / slender);
  const areaM2 = a * a * (4 * slender + 2);
  const skinShare = Math.min((areaM2 * WOOD.skinM) / volume, 0.8);
  const water = spec.massKg * spec.moistureFraction;
  return {
    species: spec.species,
    place: spec.place ?? {},
    count: spec.count ?? 1,
    split,
    areaM2,
    radiusM: a / 2,
    initialDryKg: dry,
    dryKg: dry,
    skinWaterKg: water * skinShare,
    coreWaterKg: water * (1 - skinShare),
    skinK: spec.startK,
    coreK: spec.startK,
    caught: false,
    flame: 0,
    settled: false,
  };
}

/** Smallest share of a parcel's dry mass that still counts; below it the rest is char. */
const SPENT_FRACTION = 0.0005;
export const isSpent = (parcel: WoodParcel): boolean =>
  parcel.dryKg <= SPENT_FRACTION * parcel.initialDryKg;

/** What surrounds a parcel. Temperatures K, oxygen kg/kg, `open`: the lid or door stands open. */
export interface ParcelSurroundings {
  coalK: number;
  gasK: number;
  oxygen: number;
  open: boolean;
  /** Share of the wood's underside that glowing fuel touches, 0 to 1: little fuel heats little wood. */
  contact: number;
}

/** Rates of one piece, per second: what both the stepper and the reference solution are made of. */
export interface ParcelRates {
  /** Face left, m2; skin's dry mass, kg. */
  areaM2: number;
  skinDryKg: number;
  /** Pyrolysis per kg of skin, 1/s, and of the piece, kg/s. */
  pyrolysisPerS: number;
  pyrolysedKgPerS: number;
  skinSteamKgPerS: number;
  coreSteamKgPerS: number;
  /** Core feeding the skin, as a share of the core's water per second. */
  waterFeedKgPerS: number;
  coalWPerK: number;
  gasWPerK: number;
  flameW: number;
  intoCoreW: number;
  flameTarget: number;
  burntFraction: number;
}

/** Boiling, kg/s, of `water` at `k`: rises smoothly from the boiling point. */
const boilRateKgPerS = (k: number, waterKg: number): number => {
  const x = k - BOIL_K;
  return (WOOD.boilWPerKgK * waterKg * 0.5 * (x + Math.sqrt(x * x + 4))) / LATENT_HEAT_AT_BOILING;
};

/** A rate record to be reused. */
export const emptyParcelRates = (): ParcelRates => ({
  areaM2: 0,
  skinDryKg: 0,
  pyrolysisPerS: 0,
  pyrolysedKgPerS: 0,
  skinSteamKgPerS: 0,
  coreSteamKgPerS: 0,
  waterFeedKgPerS: 0,
  coalWPerK: 0,
  gasWPerK: 0,
  flameW: 0,
  intoCoreW: 0,
  flameTarget: 0,
  burntFraction: 0,
});

/** Fills `r` with the rates of a caught parcel as it is now. */
export function updateParcelRates(
  parcel: WoodParcel,
  air: ParcelSurroundings,
  rates: ParcelRates,
): void {
  const left = Math.max(parcel.dryKg / parcel.initialDryKg, 1e-6);
  rates.areaM2 = parcel.areaM2 * Math.pow(left, 0.5);
  const density = WOODS[parcel.species].specificGravity * 1000;
  rates.skinDryKg = Math.min(rates.areaM2 * WOOD.skinM * density, parcel.dryKg);
  rates.pyrolysisPerS =
    WOOD.ratePerS *
    Math.exp(clamp(-WOOD.activationK * (1 / parcel.skinK - 1 / WOOD.rateK), -60, 5));
  rates.pyrolysedKgPerS = rates.pyrolysisPerS * rates.skinDryKg;
  const coreDry = Math.max(parcel.dryKg - rates.skinDryKg, 1e-9);
  rates.waterFeedKgPerS =
    (rates.pyrolysedKgPerS * parcel.coreWaterKg) / (coreDry + rates.skinDryKg * 0.1);
  rates.skinSteamKgPerS = boilRateKgPerS(parcel.skinK, parcel.skinWaterKg);
  rates.coreSteamKgPerS = boilRateKgPerS(parcel.coreK, parcel.coreWaterKg);
  const shield = 1 / (1 + WOOD.charShield * (1 - left));
  rates.coalWPerK =
    WOOD.coalWPerM2K * WOOD.faceFractionOnCoals * rates.areaM2 * shield * air.contact;
  rates.gasWPerK = WOOD.gasWPerM2K * rates.areaM2 * shield;
  rates.flameW =
    WOOD.flameWPerM2 *
    rates.areaM2 *
    shield *
    parcel.flame *
    clamp((1100 - parcel.skinK) / 400, 0, 1);
  rates.intoCoreW = coreConductance(parcel, rates.areaM2) * (parcel.skinK - parcel.coreK);
  const flux = ((1 - WOOD_CHAR_YIELD) * rates.pyrolysedKgPerS) / rates.areaM2;
  // Once it burns, a flame feeds on less.
  const critical = WOOD.criticalFlux * (1 - 0.6 * parcel.flame);
  const limit = air.open ? 0.1 : clamp(0.155 - 0.055 * ((air.gasK - 350) / 400), 0.1, 0.155);
  // Smooth steps: an honest fire does not switch, and the reference solution needs slopes.
  rates.flameTarget =
    smoothStep(air.coalK, WOOD.pilotK, 20) *
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

const coreConductance = (parcel: WoodParcel, areaM2: number): number =>
  (WOOD.conductivity * areaM2) / (0.4 * parcel.radiusM + WOOD.skinM);

/** Heat capacities of skin and core, J/K. */
export const skinHeatCapacity = (parcel: WoodParcel, skinDryKg: number): number =>
  skinDryKg * WOOD.specificHeat + parcel.skinWaterKg * WATER_SPECIFIC_HEAT + 0.5;
export const coreHeatCapacity = (parcel: WoodParcel, skinDryKg: number): number =>
  Math.max(parcel.dryKg - skinDryKg, 0) * WOOD.specificHeat +
  parcel.coreWaterKg * WATER_SPECIFIC_HEAT +
  0.5;

/** What a step of all parcels gave and took, over the step: kg and J, counts included. */
export interface WoodYield {
  volatilesKg: number;
  burntVolatilesKg: number;
  charKg: number;
  steamKg: number;
  fromCoalsJ: number;
  fromGasJ: number;
  /** The conductances behind them times time, J/K. */
  coalJPerK: number;
  gasJPerK: number;
  /** Face of wood lying over the coals times time, m2 s, and the liveliest flame. */
  coversM2S: number;
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

const scratch = emptyParcelRates();

/** Advances one caught parcel by `dt` seconds, linearly implicit, and adds what it did to `out`. */
export function stepParcel(
  parcel: WoodParcel,
  air: ParcelSurroundings,
  dtS: number,
  out: WoodYield,
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
  const r = scratch;
  updateParcelRates(parcel, air, r);
  const { coalWPerK: gCoal, gasWPerK: gGas } = r;
  const gCore = coreConductance(parcel, r.areaM2);
  const cSkin = skinHeatCapacity(parcel, r.skinDryKg);
  const cCore = coreHeatCapacity(parcel, r.skinDryKg);
  const skinBoil = boilRateSlope(parcel.skinK, parcel.skinWaterKg) * LATENT_HEAT_AT_BOILING;
  const coreBoil = boilRateSlope(parcel.coreK, parcel.coreWaterKg) * LATENT_HEAT_AT_BOILING;
  const feed = r.pyrolysedKgPerS * WOOD.specificHeat + r.waterFeedKgPerS * WATER_SPECIFIC_HEAT;
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
  parcel.coreWaterKg -= coreSteam + fedWater;
  out.steamKg += n * (skinSteam + coreSteam);
  const gone = parcel.dryKg * (1 - Math.exp((-r.pyrolysedKgPerS * dtS) / parcel.dryKg));
  parcel.dryKg -= gone;
  const volatiles = gone * (1 - WOOD_CHAR_YIELD);
  parcel.flame += (r.flameTarget - parcel.flame) * (1 - Math.exp(-dtS / WOOD.flameLagS));
  out.volatilesKg += n * volatiles;
  out.charKg += n * gone * WOOD_CHAR_YIELD;
  out.burntVolatilesKg += n * volatiles * r.burntFraction;
  out.coversM2S += n * WOOD.faceFractionOnCoals * r.areaM2 * dtS;
  out.flame = Math.max(out.flame, parcel.flame);
}

const boilRateSlope = (k: number, waterKg: number): number => {
  const x = k - BOIL_K;
  return (
    (WOOD.boilWPerKgK * waterKg * 0.5 * (1 + x / Math.sqrt(x * x + 4))) / LATENT_HEAT_AT_BOILING
  );
};
