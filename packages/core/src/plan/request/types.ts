/** The request document as plain types; names as in the open format (docs/formats.md). */
import type { Weather, WeatherFromHour } from '../../air/weather';
import type { ArrangementId } from '../../fire/fireSpec';
import type { RestWhere } from '../../meat/rest';
import type { FuelId, WoodId } from '../../fuel/catalogue';
import type { WrapId } from '../../meat/wraps';
import type { CookerParameters } from '../../pit/parameters';
import type { Place } from '../../pit/layout';
import type { VentNotation } from '../../pit/ventNotation';
import type { Units } from '../../quantity/units';

export interface RequestPit {
  id: string;
  /** As its owner calls it; its id when left out. */
  name?: string;
  /** How its vents are told; the preset's notation when left out. */
  ventWay?: VentNotation;
  cooker: { preset: string; overrides: Partial<CookerParameters> };
  fire: {
    fuel: FuelId;
    arrangement?: ArrangementId;
    species?: WoodId;
    /** How often splits are fed, min; as holds the pit best when left out. */
    everyMin?: number;
  };
  pace: { pitC: number; bandC: number };
}

/** A place on the grate, the piece lengthwise or turned by a quarter. */
export interface PiecePlacement {
  x: number;
  y: number;
  turned?: boolean;
}

export interface RequestMeat {
  id: string;
  cut: string;
  /** Mass of one piece, trimmed, kg; as usually bought when left out. */
  massKg?: number;
  /** Pieces wanted; from people and appetite when left out. */
  pieces?: number;
  thicknessMm?: number;
  /** The pit it lies on; the first when left out. */
  pit?: string;
  /** Where on the grate. */
  at?: Place;
  /** Where its pieces are laid, m from the middle of the grate; those not told are laid where there is room. */
  lie?: PiecePlacement[];
  /** When this course is eaten; with everything else when left out. */
  serveAt?: string;
  wrap: {
    with: WrapId;
    when?: { coreC: number } | { barkSet: true } | { stalled: true } | { atMin: number };
    liquidKg?: number;
  };
  /** The middle when it is taken off, probe tender, or the middle on the plate after its rest, C. */
  done: { coreC: number } | { tender: true } | { plateC: number };
  rest: { where: RestWhere; minutes: number; atC?: number };
  /** It is not there before: bought, brought or thawed late. */
  notBefore?: string;
  frozen?: boolean;
  injected?: boolean;
  /** Salted or brined ahead, or seasoned just before. */
  prepare?: 'dry-brine' | 'brine' | 'season';
}

/** Fuel on the shelf, and what it costs where it is bought. */
export interface Stock {
  fuel: FuelId | 'chunks';
  massKg: number;
}
export interface Price {
  fuel: FuelId | 'chunks';
  /** What a bag (or a bundle) holds, kg, and costs, in the user's own money. */
  bagKg: number;
  each: number;
}

export interface Request {
  ostrin: 'request/1';
  serveAt: string;
  timeZone: string;
  people: number;
  /** Cooked, edible meat a head, g. */
  appetiteG: number;
  pits: RequestPit[];
  meats: RequestMeat[];
  /** The same all along, or from hours on: a cold night, a windy afternoon. */
  weather: Weather | WeatherFromHour[];
  chanceOnTimeFraction: number;
  fuelOnHand?: Stock[];
  prices?: Price[];
  /** Who shares the watch. */
  crew?: string[];
  /** Units for what is said in words; C and kg when left out. Numbers stay in C and kg. */
  units?: Units;
}

/** How much of one cut: from the plate back to the shop. */
export interface Amount {
  meat: string;
  pieces: number;
  /** Cooked and off the bone, trimmed and raw as bought, kg: low and high. */
  cookedKg: [number, number];
  trimmedKg: number;
  rawKg: [number, number];
  feeds: number;
}
