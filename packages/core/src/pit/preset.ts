/** What the catalogue says about a cooker: its figures, its layout, and how people use it. */
import type { CharcoalId, FuelId } from '../fuel/catalogue';
import type { ArrangementId } from '../fire/fireSpec';
import type { Layout } from './layout';
import type { CookerParameters } from './parameters';
import type { VentNotation } from './ventNotation';

/** Families of cookers. A family decides the layout and the drawing; everything else is told by traits. */
export type Family = 'kettle' | 'bullet' | 'offset' | 'kamado' | 'hopper';

/** What a cooker's two vents are called; the words are in the wording package. */
export type VentName =
  | 'bowl-vent'
  | 'lid-vent'
  | 'bottom-vents'
  | 'top-vent'
  | 'bottom-slot'
  | 'firebox-damper'
  | 'stack-damper'
  | 'damper'
  | 'slots';

/** Where meat is put on this cooker's grate. */
export type MeatPlacement =
  | 'away-from-fire'
  | 'over-pan'
  | 'over-deflector'
  | 'thick-end-to-firebox'
  | 'either-way-round'
  | 'middle';

/** A fire that is commonly built in a cooker; the first of a list is the usual one. */
export interface FireChoice {
  /** Its name in saved drafts and in the wording package. */
  id: string;
  /** What it burns. */
  fuel: FuelId;
  /** How it lies; as is usual for the cooker when left out. */
  arrangement?: ArrangementId;
}

/** How a cooker's vents are commonly first set to hold a temperature (common practice). */
interface HoldingHabit {
  /** Intake that holds `atC`, share of the handle's travel. */
  intake: number;
  /** The temperature that `intake` holds, C. */
  atC: number;
  /** What opening the intake by a factor e is worth, K. */
  kelvinPerEFold: number;
  /** Exhaust while holding, share of the handle's travel. */
  exhaust: number;
  /** The exhaust is opened this many times as far as the intake; left alone when left out. */
  exhaustPerIntake?: number;
  /** The vents are closed down so far below the target on the way up, K. */
  closeBelowK: number;
  /** Least time between two moves of a vent, min. */
  waitMin: number;
}

/** Traits that decide what is done at a cooker. */
export interface CookerTraits {
  /** The grate is a rectangle with the fire at one end. */
  longGrate: boolean;
  /** The fire burns in a box beside the chamber, behind a door of its own; it may burn splits. */
  sideFirebox: boolean;
  /** The smoke passes under a plate to the far end and comes back over the meat. */
  reverseFlow: boolean;
  /** Charcoal falls to the fire by its own weight from a hopper above it. */
  gravityFed: boolean;
  /** Fuel can be put on during the cook; not under a hot deflector. */
  canTopUp: boolean;
  /** Thick walls give their heat back over hours: an overshoot lasts. */
  slowToCool: boolean;
  /** Most people's first cooker: proposed where nobody chose one. */
  commonFirstCooker: boolean;
  /** Where meat is put. */
  meatPlacement: MeatPlacement;
}

/** A line of the catalogue. */
export interface Preset {
  /** Its name in documents. */
  id: string;
  /** What it is called. */
  name: string;
  /** Its family: layout and drawing. */
  family: Family;
  /** Its parameters. */
  parameters: CookerParameters;
  /** Makes the layout from parameters. */
  layout: (parameters: CookerParameters) => Layout;
  /** Traits that decide what is done at it. */
  traits: CookerTraits;
  /** Plausible range of each figure that an owner may change: [low, high]. */
  plausibleRanges: Partial<Record<keyof CookerParameters, readonly [number, number]>>;
  /** What the vents are called. */
  ventNames: { intake: VentName; exhaust: VentName };
  /** What the full travel of each handle is, in words. */
  ventTravel: { intake: string; exhaust: string };
  /** Full travel of each handle, mm. */
  travelMm: { intake: number; exhaust: number };
  /** How this cooker's vent settings are usually told. */
  ventNotation: VentNotation;
  /** Full fuel load, kg as bought. */
  fullLoadKg: number;
  /** What holds the fuel where the fire itself does not say it. */
  fuelHolder: string;
  /** The usual fire. */
  fire: { arrangement: ArrangementId; fuel: Extract<CharcoalId, 'briquette' | 'lump'> };
  /** Arrangements that fit this cooker. */
  arrangements: readonly ArrangementId[];
  /** Fires that are commonly built in it, the usual one first. */
  fireChoices: readonly FireChoice[];
  /** Vents while it is brought up, shares of the travel, and for how long, min (common practice). */
  bringUp: { intake: number; exhaust: number; minutes: number };
  /** How its vents are commonly first set. */
  holding: HoldingHabit;
  /** Settings that its vent card shows, tight to wide: [intake, exhaust], shares of the travel. */
  cardSettings: readonly (readonly [number, number])[];
  /** Exhaust while a thermostat fan drives the fire, share of the travel. */
  fanExhaustFraction: number;
  /** Whether a thermostat fan is built in. */
  hasFan: boolean;
  /** Usable diameter of the cooking grate, m (for a long grate: of the circle of equal area). */
  grateDiameterM: number;
}
