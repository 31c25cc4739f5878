/**
 * A piece of wood on the coals, a chunk or a split: a thin skin that dries, chars and breathes out
 * volatiles over a cold wet core that feeds it. The volatiles burn with a flame where there is a
 * pilot, enough of them and oxygen; else they are smoke. Rates are per piece; parcels may stand for
 * several alike pieces through `count`.
 */
import { BOILING_HEAT, WATER_HEAT } from '../air/moist';
import { WOODS, WOOD_CHAR_YIELD, type WoodId } from '../fuel/catalogue';
import { clamp } from '../quantity/units';
import type { WoodPlace } from './types';

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
  faceOnCoals: 0.36,
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
  lagS: 40,
  /** Share of volatiles burnt in flame, and while smouldering over hot coals in full air. */
  flameBurns: 0.985,
  smoulderBurns: 0.965,
  splitSmoulderBurns: 0.6,
  /** Skin temperature from which smouldering volatiles burn among the coals instead of rising cold, K. */
  clearsK: 575,
  /** How briskly skin water boils off, W/K per kg of it. */
  boilWPerKgK: 4000,
};

const BOIL_K = 373.15;

/** One piece or several alike. It lies cold until the fire reaches it. */
export interface Parcel {
  species: WoodId;
  place: WoodPlace;
  count: number;
  /** Split or chunk: a split lies across the bed and counts as heat. */
  split: boolean;
  areaM2: number;
  radiusM: number;
  dry0Kg: number;
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
const SLENDER = { split: 4.5, chunk: 1.4 };

/** A parcel of `massKg` a piece as weighed, wet. */
export function createParcel(spec: ParcelSpec): Parcel {
  const split = spec.split ?? false;
  const dry = spec.massKg * (1 - spec.moistureFraction);
  const volume = dry / (WOODS[spec.species].specificGravity * 1000);
  // A squared billet: thickness a, length a x slenderness.
  const slender = split ? SLENDER.split : SLENDER.chunk;
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
    dry0Kg: dry,
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
const CRUMB = 0.0005;
export const isSpent = (p: Parcel): boolean => p.dryKg <= CRUMB * p.dry0Kg;

/** What surrounds a parcel. Temperatures K, oxygen kg/kg, `open`: the lid or door stands open. */
export interface ParcelAir {
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
  perS: number;
  goneKgPerS: number;
  skinSteamKgPerS: number;
  coreSteamKgPerS: number;
  /** Core feeding the skin, as a share of the core's water per second. */
  waterFeedKgPerS: number;
  coalWPerK: number;
  gasWPerK: number;
  flameW: number;
  intoCoreW: number;
  wantsFlame: number;
  burntShare: number;
}

/** Boiling, kg/s, of `water` at `k`: rises smoothly from the boiling point. */
const boiling = (k: number, waterKg: number): number => {
  const x = k - BOIL_K;
  return (WOOD.boilWPerKgK * waterKg * 0.5 * (x + Math.sqrt(x * x + 4))) / BOILING_HEAT;
};

/** A rate record to be reused. */
export const parcelRates = (): ParcelRates => ({
  areaM2: 0,
  skinDryKg: 0,
  perS: 0,
  goneKgPerS: 0,
  skinSteamKgPerS: 0,
  coreSteamKgPerS: 0,
  waterFeedKgPerS: 0,
  coalWPerK: 0,
  gasWPerK: 0,
  flameW: 0,
  intoCoreW: 0,
  wantsFlame: 0,
  burntShare: 0,
});

/** Fills `r` with the rates of a caught parcel as it is now. */
export function rateParcel(p: Parcel, air: ParcelAir, r: ParcelRates): void {
  const left = Math.max(p.dryKg / p.dry0Kg, 1e-6);
  r.areaM2 = p.areaM2 * Math.pow(left, 0.5);
  const density = WOODS[p.species].specificGravity * 1000;
  r.skinDryKg = Math.min(r.areaM2 * WOOD.skinM * density, p.dryKg);
  r.perS =
    WOOD.ratePerS * Math.exp(clamp(-WOOD.activationK * (1 / p.skinK - 1 / WOOD.rateK), -60, 5));
  r.goneKgPerS = r.perS * r.skinDryKg;
  const coreDry = Math.max(p.dryKg - r.skinDryKg, 1e-9);
  r.waterFeedKgPerS = (r.goneKgPerS * p.coreWaterKg) / (coreDry + r.skinDryKg * 0.1);
  r.skinSteamKgPerS = boiling(p.skinK, p.skinWaterKg);
  r.coreSteamKgPerS = boiling(p.coreK, p.coreWaterKg);
  const shield = 1 / (1 + WOOD.charShield * (1 - left));
  r.coalWPerK = WOOD.coalWPerM2K * WOOD.faceOnCoals * r.areaM2 * shield * air.contact;
  r.gasWPerK = WOOD.gasWPerM2K * r.areaM2 * shield;
  r.flameW = WOOD.flameWPerM2 * r.areaM2 * shield * p.flame * clamp((1100 - p.skinK) / 400, 0, 1);
  r.intoCoreW = coreConductance(p, r.areaM2) * (p.skinK - p.coreK);
  const flux = ((1 - WOOD_CHAR_YIELD) * r.goneKgPerS) / r.areaM2;
  // Once it burns, a flame feeds on less.
  const critical = WOOD.criticalFlux * (1 - 0.6 * p.flame);
  const limit = air.open ? 0.1 : clamp(0.155 - 0.055 * ((air.gasK - 350) / 400), 0.1, 0.155);
  // Smooth steps: an honest fire does not switch, and the reference solution needs slopes.
  r.wantsFlame =
    rise(air.coalK, WOOD.pilotK, 20) *
    rise(air.oxygen, limit, 0.012) *
    rise(flux, critical, 0.35 * critical);
  const smoulder =
    (p.split ? WOOD.splitSmoulderBurns : WOOD.smoulderBurns) *
    clamp(air.oxygen / 0.12, 0, 1) *
    rise(air.coalK, 720, 50) *
    (0.15 + 0.85 * rise(p.skinK, WOOD.clearsK, 12));
  r.burntShare = smoulder + (WOOD.flameBurns - smoulder) * p.flame;
}

/** 0 below `at`, 1 above, over about `width` either side. */
const rise = (x: number, at: number, width: number): number =>
  1 / (1 + Math.exp(clamp(-(x - at) / (0.4 * width), -40, 40)));

const coreConductance = (p: Parcel, areaM2: number): number =>
  (WOOD.conductivity * areaM2) / (0.4 * p.radiusM + WOOD.skinM);

/** Heat capacities of skin and core, J/K. */
export const skinCapacity = (p: Parcel, skinDryKg: number): number =>
  skinDryKg * WOOD.specificHeat + p.skinWaterKg * WATER_HEAT + 0.5;
export const coreCapacity = (p: Parcel, skinDryKg: number): number =>
  Math.max(p.dryKg - skinDryKg, 0) * WOOD.specificHeat + p.coreWaterKg * WATER_HEAT + 0.5;

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
export const nothingYet = (): WoodYield => ({
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

const scratch = parcelRates();

/** Advances one caught parcel by `dt` seconds, linearly implicit, and adds what it did to `out`. */
export function stepParcel(p: Parcel, air: ParcelAir, dt: number, out: WoodYield): void {
  const n = p.count;
  if (isSpent(p)) {
    // The last crumb: char and breath in the usual shares, so that mass and energy close.
    out.charKg += n * p.dryKg * WOOD_CHAR_YIELD;
    out.volatilesKg += n * p.dryKg * (1 - WOOD_CHAR_YIELD);
    out.steamKg += n * (p.skinWaterKg + p.coreWaterKg);
    p.dryKg = p.skinWaterKg = p.coreWaterKg = 0;
    return;
  }
  const r = scratch;
  rateParcel(p, air, r);
  const { coalWPerK: gCoal, gasWPerK: gGas } = r;
  const gCore = coreConductance(p, r.areaM2);
  const cSkin = skinCapacity(p, r.skinDryKg);
  const cCore = coreCapacity(p, r.skinDryKg);
  const skinBoil = boilSlope(p.skinK, p.skinWaterKg) * BOILING_HEAT;
  const coreBoil = boilSlope(p.coreK, p.coreWaterKg) * BOILING_HEAT;
  const feed = r.goneKgPerS * WOOD.specificHeat + r.waterFeedKgPerS * WATER_HEAT;
  // Two unknowns, skin and core, coupled by conduction; boiling linearised at the step's start.
  const pyrolysisW = r.goneKgPerS * WOOD.pyrolysisJPerKg;
  const pyrolysisSlope = (pyrolysisW * WOOD.activationK) / (p.skinK * p.skinK);
  const a11 = cSkin / dt + gCoal + gGas + gCore + skinBoil + feed + pyrolysisSlope;
  const b1 =
    (cSkin / dt) * p.skinK +
    gCoal * air.coalK +
    gGas * air.gasK +
    r.flameW -
    r.skinSteamKgPerS * BOILING_HEAT +
    skinBoil * p.skinK -
    pyrolysisW +
    pyrolysisSlope * p.skinK;
  const a22 = cCore / dt + gCore + coreBoil;
  const b2 = (cCore / dt) * p.coreK - r.coreSteamKgPerS * BOILING_HEAT + coreBoil * p.coreK;
  const off = gCore + feed;
  const det = a11 * a22 - off * gCore;
  const skinK = clamp((b1 * a22 + off * b2) / det, 200, 1300);
  const coreK = clamp((a11 * b2 + gCore * b1) / det, 200, 1300);
  out.fromCoalsJ += n * dt * gCoal * (air.coalK - skinK);
  out.fromGasJ += n * dt * (gGas * (air.gasK - skinK) + r.flameW);
  out.coalJPerK += n * dt * gCoal;
  out.gasJPerK += n * dt * gGas;
  p.skinK = skinK;
  p.coreK = coreK;
  const skinSteam = Math.min(dt * Math.max(boiling(skinK, p.skinWaterKg), 0), p.skinWaterKg);
  const coreSteam = Math.min(dt * Math.max(boiling(coreK, p.coreWaterKg), 0), p.coreWaterKg);
  const fedWater = Math.min(dt * r.waterFeedKgPerS, p.coreWaterKg - coreSteam);
  p.skinWaterKg += fedWater - skinSteam;
  p.coreWaterKg -= coreSteam + fedWater;
  out.steamKg += n * (skinSteam + coreSteam);
  const gone = p.dryKg * (1 - Math.exp((-r.goneKgPerS * dt) / p.dryKg));
  p.dryKg -= gone;
  const volatiles = gone * (1 - WOOD_CHAR_YIELD);
  p.flame += (r.wantsFlame - p.flame) * (1 - Math.exp(-dt / WOOD.lagS));
  out.volatilesKg += n * volatiles;
  out.charKg += n * gone * WOOD_CHAR_YIELD;
  out.burntVolatilesKg += n * volatiles * r.burntShare;
  out.coversM2S += n * WOOD.faceOnCoals * r.areaM2 * dt;
  out.flame = Math.max(out.flame, p.flame);
}

const boilSlope = (k: number, waterKg: number): number => {
  const x = k - BOIL_K;
  return (WOOD.boilWPerKgK * waterKg * 0.5 * (1 + x / Math.sqrt(x * x + 4))) / BOILING_HEAT;
};
