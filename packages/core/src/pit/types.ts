/** What a cooker is: the figures a person may change, and the layout the engine computes on. */

import type { ArrangementId } from '../scenario/fireSpec';
import type { VentNotation } from './ventNotation';

export type Family = 'kettle' | 'bullet' | 'offset' | 'kamado' | 'hopper';

/** A cooker's figures. Every one may be overridden by name; a family ignores those it has no use for. */
export interface CookerParameters {
  diameterM: number;
  /** Length of the cooking chamber, m; 0 for round cookers. */
  lengthM: number;
  /** Free area of the intake and the exhaust with the handle fully open, cm2. */
  intakeCm2: number;
  exhaustCm2: number;
  /** Fire door or fuel door fully open, cm2. */
  doorCm2: number;
  /** Free area of the fire grate with clean coals on it, in series with the intake, cm2. */
  bedCm2: number;
  /** Gaps round lid, doors, legs and handles, cm2. Varies most from pit to pit. */
  leakCm2: number;
  /** Multiplies all heat lost through the skin; 1 is the preset. */
  wallLossFactor: number;
  /** Multiplies how fast fire walks into unlit fuel. */
  spreadFactor: number;
  /** Water in the pan or trough at the start, kg. */
  waterKg: number;
  /** Skin round the fire and round the food, m2. */
  fireWallM2: number;
  chamberWallM2: number;
  wallMm: number;
  /** Heat passed by insulation between two skins, W/m2K; 0 for a single skin. */
  insulationWPerM2K: number;
  exhaustHeightM: number;
  /** Height of the seam between lid and bowl, and of the cooking grate, above the intake, m. */
  seamHeightM: number;
  grateHeightM: number;
  /** Heat store of grates, deflector and loose metal, J/K. */
  metalJPerK: number;
  volumeM3: number;
  /** Pressure of the thermostat fan at full speed, Pa, and its opening, cm2. */
  fanPa: number;
  fanCm2: number;
}

/** One hole in the skin. */
export interface OpeningSpec {
  kind: 'intake' | 'exhaust' | 'leak' | 'lid' | 'door' | 'fan';
  zone: number;
  areaM2: number;
  heightM: number;
  windPressureCoefficient: number;
  /** Length of gas column in each zone between the datum and this hole, m. */
  gasColumnM: readonly number[];
  /** Gone while the lid is in the hand. */
  liftedWithLid?: boolean;
}

/** A film between a surface and a gas zone: area, m2, and coefficient, W/m2K. */
export interface Film {
  zone: number;
  m2: number;
  wPerM2K: number;
}

/** A wall as nodes from inside to outside, joined by conductances. */
export interface Wall {
  name: string;
  /** Heat stores from the inside out, J/K, and the conductances between them, W/K. */
  heatStoresJPerK: readonly number[];
  conductancesWPerK: readonly number[];
  films: readonly Film[];
  outsideM2: number;
  /** Length that sets natural convection outside, m. */
  lengthM: number;
  /** Comes off with the lid: no inside films then, both sides in the open. */
  lid?: boolean;
  /** Area that rain falls on, m2. */
  rainM2: number;
}

/** Grey exchange between two surfaces, m2 of area times emissivity; `lid`: sees the sky when it is off. */
export interface RadiationLink {
  a: Surface;
  b: Surface;
  m2: number;
}

/** A surface by name: a wall's index, or one of the bodies. */
export type Surface = number | 'coals' | 'metal' | 'pan';

/** Places on the grate. Every pit has some of them, `middle` always. */
export const PLACES = ['near', 'middle', 'far', 'over-fire', 'away'] as const;
export type Place = (typeof PLACES)[number];
/** A place as it is said. */
export const PLACE_WORDS: Readonly<Record<Place, string>> = {
  near: 'near the fire',
  middle: 'the middle of the grate',
  far: 'the far end',
  'over-fire': 'over the fire',
  away: 'away from the fire',
};

/** A place where a probe or a piece of meat may sit: shares of gas zones and of surfaces, each summing to one. */
export interface GratePosition {
  at: Place;
  gasShares: readonly (readonly [zone: number, share: number])[];
  viewShares: readonly (readonly [Surface, number])[];
}

/** A cooker laid out for computing: zones of gas along the smoke's way, surfaces, holes. */
export interface Layout {
  zones: readonly { name: string; volumeM3: number }[];
  openings: readonly OpeningSpec[];
  walls: readonly Wall[];
  metal: { jPerK: number; films: readonly Film[] };
  pan: { jPerK: number; m2: number; films: readonly Film[] };
  radiationLinks: readonly RadiationLink[];
  /** Where the coals shine; shares sum to one. */
  coalViewFractions: readonly (readonly [Surface, number])[];
  /** Gas falling back to the fire: from which zone, plume height, and what share of it passes the coals. */
  recirculation: { from: number; heightM: number; throughCoals: number } | null;
  /** Two-way exchange between zones: as a share of the draught, and at rest, kg/s. */
  mixing: readonly { a: number; b: number; share: number; kgPerS: number }[];
  /** Share of the wood's flame that burns in the fire's zone; the rest in the next. */
  flameFractionInFireZone: number;
  /** Share of the coals' spent ash heat goes to this wall. */
  ashWallIndex: number;
  /** Free section for air about the coals, m2, and by how much passing air beats air going by. */
  coalFlowAreaM2: number;
  coalFlowFactor: number;
  /** Free area under the coals, m2 (0: not in series), and the ash that halves it, kg. */
  grateFreeAreaM2: number;
  ashHalvingKg: number;
  /** Share of a shut vent that still leaks, and the power from handle to free area. */
  closedVentFraction: number;
  exhaustExponent: number;
  positions: readonly GratePosition[];
  /** Zone of the lid's dial, and the position of the pit probe, where the meat lies too. */
  domeZone: number;
  probePosition: number;
  /** Area laid open when the lid is off, for two-way exchange, m2, and the zones it reaches. */
  lidOpeningM2: number;
  lidZones: readonly number[];
}

/** What a line in the catalogue says about a cooker besides its physics. */
export interface Preset {
  id: string;
  name: string;
  family: Family;
  parameters: CookerParameters;
  layout: (pit: CookerParameters) => Layout;
  /** Plausible range of each setting a person may change: [low, high]. */
  plausibleRanges: Partial<Record<keyof CookerParameters, readonly [number, number]>>;
  /** What a handle's full travel is, in words and in mm, and how this cooker's vents are usually told. */
  ventTravel: { intake: string; exhaust: string };
  travelMm: { intake: number; exhaust: number };
  ventNotation: VentNotation;
  /** Full fuel load in kg as bought, and what holds it. */
  fullLoadKg: number;
  fuelHolder: string;
  /** Usual fire in it. */
  fire: { arrangement: ArrangementId; fuel: 'briquette' | 'lump' };
  arrangements: readonly ArrangementId[];
  /** Vents as they usually stand while it is brought up and when a fan drives it. */
  fanExhaustFraction: number;
  hasFan: boolean;
  /** Usable diameter of the cooking grate, m (for a long grate: of the circle of equal area). */
  grateDiameterM: number;
}
