/** A cook while it goes on: its pit, its guests, its clock, and what has been told of it so far. */
import type { Surroundings } from '../meat/surface';
import type { PitState } from '../pit/state';
import type { Fan } from './fan';
import type { Guest } from './guest';
import type { Action, Happening, Result, Scenario } from './scenario';
import type { Tender } from './tender';

/** The rows of a result that grow while a cook goes on. */
export type Series = Pick<
  Result,
  | 'minutes'
  | 'pitC'
  | 'domeC'
  | 'fireC'
  | 'grate'
  | 'smoke'
  | 'smokeUnburntGPerM3'
  | 'oxygenFraction'
  | 'draughtGPerS'
  | 'frontDegrees'
  | 'tailDegrees'
>;

/** Fuel in the units of the shelf, kg as bought. */
interface Fuel {
  startedKg: number;
  addedKg: number;
  outAtMin: number | null;
}

/** Air at the grate at a minute, for a cook whose pit is known and not computed. */
export type AirTrace = (atMin: number) => Surroundings;

export interface Cook {
  scenario: Scenario;
  /** Known air that stands in for a pit. */
  air: AirTrace | null;
  pit: PitState | null;
  fan: Fan | null;
  tender: Tender | null;
  guests: Guest[];
  atS: number;
  nextMin: number;
  stepS: number;
  /** Time that the meat has not been stepped yet, s. */
  meatS: number;
  lidUntilS: number;
  doorUntilS: number;
  panDry: boolean;
  pending: Action[];
  happened: Happening[];
  fuel: Fuel;
  result: Series;
}
