/**
 * A piece of wood on the coals, a chunk or a split: a thin skin that dries, chars and breathes out
 * volatiles over a cold wet core that feeds it. The volatiles burn with a flame where there is a
 * pilot, enough of them and oxygen; else they are smoke. Rates are per piece; parcels may stand for
 * several alike pieces through `count`.
 */
import { WOODS, type WoodId } from '../fuel/catalogue';
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
  coalWPerM2K: 70,
  faceFractionOnCoals: 0.36,
  gasWPerM2K: 12,
  /** How long a flame takes to light the rest of the face, s (20-120). */
  faceSpreadS: 60,
  /** How much its own char holds heat off as it burns down: 1 / (1 + shield x share gone) (2-12). */
  charShield: 10,
  /** Heat from its own flame back to the skin, W/m2 net of what its char skin holds off (2-15 kW/m2). */
  flameWPerM2: 5000,
  /** Share of a flame's heat that shines on walls, coals and grates instead of warming its gas (0.3-0.4). */
  flameRadiantFraction: 0.35,
  /** Share of that which falls back on the coals (0.1-0.4). */
  flameOnCoalsFraction: 0.2,
  /** Heat that pyrolysis takes, J/kg (2e5 to 6e5). */
  pyrolysisJPerKg: 4e5,
  conductivity: 0.25,
  specificHeat: 1700,
  /** How deep the drying front lies under the skin, share of the half thickness: at first, and when the core is dry. */
  frontStart: 0.3,
  frontEnd: 0.55,
  /** A flame needs this much of volatiles, kg/m2s (0.8-4 g/m2s), a pilot this hot, K, and this long, s. */
  criticalFlux: 0.8e-3,
  /** How much more volatiles a flame needs for each kg of steam among them, kg/kg (0.2-1). */
  steamThins: 0.32,
  pilotK: 773,
  flameLagS: 20,
  /** Share of volatiles burnt in flame, and while smouldering over hot coals in full air. */
  burntFractionInFlame: 0.985,
  burntFractionSmouldering: 0.965,
  splitBurntFractionSmouldering: 0.15,
  /** Skin temperature from which smouldering volatiles burn among the coals instead of rising cold, K. */
  clearsK: 575,
  /**
   * Length over thickness, and a split's face over that of a squared billet: 1.25 kg is 40 cm long and 65 mm thick,
   * and a wedge (from memory).
   */
  splitSlenderness: 6.3,
  splitFaceFactor: 1.1,
  chunkSlenderness: 1.4,
  /** How briskly skin water boils off, W/K per kg of it. */
  boilWPerKgK: 4000,
};

/** One piece or several alike. It lies cold until the fire reaches it. */
export interface WoodParcel {
  /** A wood of the catalogue. */
  species: WoodId;
  /** Where it lies. */
  place: WoodPlace;
  /** How many alike it stands for. */
  count: number;
  /** Split or chunk: a split lies across the bed and counts as heat. */
  split: boolean;
  /** Area, m2. */
  areaM2: number;
  /** Half its thickness, m. */
  radiusM: number;
  /** Dry mass at the start, kg. */
  initialDryKg: number;
  /** Dry mass left, kg. */
  dryKg: number;
  /** Water in the skin, kg. */
  skinWaterKg: number;
  /** Water in the core, kg. */
  coreWaterKg: number;
  /** Water in the core at the start, kg: how far it has dried from the outside in. */
  initialCoreWaterKg: number;
  /** Temperature of the skin, K. */
  skinK: number;
  /** Temperature of the core, K. */
  coreK: number;
  /** Whether it has caught fire. */
  caught: boolean;
  /** 0 smouldering to 1 in flame. */
  flame: number;
  /** Share of its face that takes part: at first what lies on the coals. */
  burningFraction: number;
  /** Whether it burns on evenly, so that longer steps do. */
  settled: boolean;
}

/** How a parcel is made. */
interface ParcelSpec {
  /** A wood of the catalogue. */
  species: WoodId;
  /** Mass, kg. */
  massKg: number;
  /** Moisture, share of the wet mass. */
  moistureFraction: number;
  /** How many alike it stands for. */
  count?: number;
  /** Whether it is a split; else a chunk. */
  split?: boolean;
  /** Where it lies. */
  place?: WoodPlace;
  /** Temperature it is brought at, K; pre-warmed splits lie on the firebox. */
  startK: number;
}

/** A parcel of `massKg` a piece as weighed, wet. */
export function createParcel(spec: ParcelSpec): WoodParcel {
  const split = spec.split ?? false;
  const dry = spec.massKg * (1 - spec.moistureFraction);
  const volume = dry / (WOODS[spec.species].specificGravity * 1000);
  const slender = split ? WOOD.splitSlenderness : WOOD.chunkSlenderness;
  const faceFactor = split ? WOOD.splitFaceFactor : 1;
  const a = Math.cbrt(volume / slender);
  const areaM2 = faceFactor * a * a * (4 * slender + 2);
  const burningFraction = split ? WOOD.faceFractionOnCoals : 1;
  const skinShare = Math.min((burningFraction * areaM2 * WOOD.skinM) / volume, 0.8);
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
    initialCoreWaterKg: water * (1 - skinShare),
    skinK: spec.startK,
    coreK: spec.startK,
    caught: false,
    flame: 0,
    // A chunk lies among the coals, a split across them.
    burningFraction,
    settled: false,
  };
}

/** Smallest share of a parcel's dry mass that still counts; below it the rest is char. */
const SPENT_FRACTION = 0.0005;
export const isSpent = (parcel: WoodParcel): boolean =>
  parcel.dryKg <= SPENT_FRACTION * parcel.initialDryKg;
