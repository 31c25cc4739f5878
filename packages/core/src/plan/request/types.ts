/** The request document as plain types; names as in the open format (docs/formats.md). */
import type { Weather, WeatherFromHour } from '../../air/weather';
import type { ArrangementId } from '../../fire/fireSpec';
import type { RestSpec } from '../../meat/rest';
import type { FuelId, WoodId } from '../../fuel/catalogue';
import type { SpraySchool } from '../../meat/usualTreatment';
import type { WrapId } from '../../meat/wraps';
import type { CookerParameters, KnownPit } from '../../pit/parameters';
import type { Place } from '../../pit/layout';
import type { PaceWhen, WrapWhen } from '../../scenario/scenario';
import type { VentsTold } from '../../pit/ventNotation';
import type { Units } from '../../quantity/units';

/** How a piece may be prepared. */
export const PREPARATIONS = ['dry-brine', 'brine', 'season', 'as-is'] as const;

/** What a pit is read by besides a probe at the grate. */
export const GAUGES = ['lid-dial', 'oven-thermometer'] as const;
export type Gauge = (typeof GAUGES)[number];

/** A pit of a request; its vents are given in its preset's notation where it says nothing of them. */
export interface RequestPit extends VentsTold {
  /** Its id in the request. */
  id: string;
  /** As its owner calls it; its id when left out. */
  name?: string;
  /** The cooker. */
  cooker: { preset: string; overrides: Partial<CookerParameters> };
  /** What it burns. */
  fire: {
    fuel: FuelId;
    arrangement?: ArrangementId;
    species?: WoodId;
    /** Charcoal left in it from last time, kg: it is stirred, its ash shaken out, and topped up. */
    leftKg?: number;
    /** How often splits are fed, min; as holds the pit best when left out. */
    everyMin?: number;
  };
  /** How well its figures are known from its cooks; as pits differ where left out. */
  known?: KnownPit;
  /** What its thermometer at the grate reads too much, K. */
  probeOffsetK?: number;
  /** So many times the wind of the day reaches it, by its cooks; 1 when left out. */
  windTimes?: number;
  /** What the dial in its lid reads more than the grate, by its cooks, K; as it is worked out when left out. */
  domeOverGrateK?: number;
  /** A thermostat fan is fitted to its intake; one that is built in need not be told. */
  fan?: boolean;
  /** What it is read by where there is no probe at the grate: a dial in the lid, or an oven thermometer on the grate. */
  gauge?: Gauge;
  /** The temperature it is held at, C, and how far it may stray, K; and another one later, from when the first piece is so far. */
  pace: { pitC: number; bandC: number; then?: { pitC: number; when: PaceWhen } };
}

/** A place on the grate, the piece lengthwise or turned by a quarter. */
export interface PiecePlacement {
  /** Along the grate from its middle, m. */
  x: number;
  /** Across the grate from its middle, m. */
  y: number;
  /** Whether it lies across the grate. */
  turned?: boolean;
}

export interface RequestMeat {
  /** Its id in the request. */
  id: string;
  /** A cut of the catalogue. */
  cut: string;
  /** Mass of one piece, trimmed, kg; as fits the guests when left out. */
  massKg?: number;
  /** Pieces wanted; from people and appetite when left out. */
  pieces?: number;
  /** Thickness through the thickest part, mm; the cut's usual one when left out. */
  thicknessMm?: number;
  /** The pit it lies on; the first when left out. */
  pit?: string;
  /** Where on the grate. */
  at?: Place;
  /** Where its pieces are laid, m from the middle of the grate; those not given are laid where there is room. */
  lie?: PiecePlacement[];
  /** When this course is eaten; with everything else when left out. */
  serveAt?: string;
  /** What it is wrapped in, and when. */
  wrap: {
    with: WrapId;
    when?: WrapWhen;
    liquidKg?: number;
    /** Bared again about so long before it is done, min: its bark firms up. */
    bareLastMin?: number;
  };
  /** Sprayed once its bark is firm: when dry spots show, or twice; never when left out. */
  spray?: SpraySchool;
  /** First so long after it went on, and so often, min; as that school does where left out. */
  sprayTimes?: { firstMin?: number; everyMin?: number };
  /** Brushed with sauce towards the end. */
  sauce?: boolean;
  /** So long before it is done, min; as is usual when left out. */
  sauceLastMin?: number;
  /** The middle when it is taken off, probe tender, or the middle on the plate after its rest, C. */
  done: { coreC: number } | { tender: true } | { plateC: number };
  /** Where it rests and for how long, min. */
  rest: RestSpec;
  /** It is not there before: bought, brought or thawed late. */
  notBefore?: string;
  /** Whether it is frozen now. */
  frozen?: boolean;
  /** Whether it is injected: not intact. */
  injected?: boolean;
  /** Salted or brined ahead, seasoned just before, or seasoned as it comes; left out: salted whenever it suits. */
  prepare?: (typeof PREPARATIONS)[number];
}

/** Fuel on the shelf, and what it costs where it is bought. */
export interface Stock {
  /** The fuel. */
  fuel: FuelId | 'chunks';
  /** How much there is, kg. */
  massKg: number;
}
interface MeatPrice {
  /** The cut. */
  cut: string;
  /** What a kilogram of it costs raw, in the user's own money. */
  perKg: number;
}
export interface Price {
  /** The fuel. */
  fuel: FuelId | 'chunks';
  /** What a bag (or a bundle) holds, kg, and costs, in the user's own money. */
  bagKg: number;
  /** What a bag costs, in the user's own money. */
  each: number;
}

export interface Request {
  /** Kind and version of the document. */
  ostrin: 'request/1';
  /** When the meal is served, local time. */
  serveAt: string;
  /** Time zone of all local times, an IANA name. */
  timeZone: string;
  /** People at the table. */
  people: number;
  /** Cooked, edible meat a head, g. */
  appetiteG: number;
  /** The pits; at least one. */
  pits: RequestPit[];
  /** The meats. */
  meats: RequestMeat[];
  /** The same all along, or from hours on: a cold night, a windy afternoon. */
  weather: Weather | WeatherFromHour[];
  /** Wanted chance of being on time, 0 to 1. */
  chanceOnTimeFraction: number;
  /** Fuel on the shelf. */
  fuelOnHand?: Stock[];
  /** What fuel costs. */
  prices?: Price[];
  /** What meat costs where it is bought. */
  meatPrices?: MeatPrice[];
  /** Who shares the watch. */
  crew?: string[];
  /** Units for what is said in words; C and kg when left out. Numbers stay in C and kg. */
  units?: Units;
}

/** How much of one cut: from the plate back to the shop. */
export interface Amount {
  /** The meat, by its id. */
  meat: string;
  /** Number of pieces. */
  pieces: number;
  /** Cooked and off the bone, trimmed and raw as bought, kg: low and high. */
  cookedKg: [number, number];
  /** Trimmed and raw, kg. */
  trimmedKg: number;
  /** As bought, kg: low and high. */
  rawKg: [number, number];
  /** People it feeds. */
  feeds: number;
}
