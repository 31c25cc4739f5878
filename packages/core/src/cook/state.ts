/** A cook while it goes on: its pit, its pieces, its clock, and what has happened so far. */
import type { RestState } from '../meat/rest';
import type { Surroundings } from '../meat/surface';
import type { Piece } from '../meat/pieceState';
import type { FoodLoad } from '../pit/assembleHeat';
import type { PitState } from '../pit/state';
import type { Place } from '../pit/layout';
import type { ThermostatFan } from '../control/thermostatFan';
import type { Action, Happening } from '../scenario/actions';
import type { MeatResult, Result } from '../scenario/result';
import type { MeatSpec, Scenario } from '../scenario/scenario';
import type { Operator } from '../control/operator';

/** The rows of a result that grow while a cook goes on. */
export type ResultSeries = Pick<
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
interface CookFuel {
  startedKg: number;
  addedKg: number;
  outAtMin: number | null;
}

/** A piece of meat in a cook. */
export interface CookingPiece {
  spec: MeatSpec;
  piece: Piece;
  stage: 'waiting' | 'on' | 'oven' | 'resting' | 'off';
  /** Where on the grate; the middle when not said. */
  gratePlace: Place | undefined;
  rest: RestState | null;
  restUntilMin: number;
  result: MeatResult;
  stalled: boolean;
  coreHistory: { atMin: number; c: number }[];
  /** Smoke taken up, gram-minutes per m3 weighed by the wood's strength and by how well it sticks. */
  smokeUptake: number;
  /** Water evaporated at which the sauce brushed on has set, kg; null without sauce. */
  sauceSetAtKg: number | null;
}

/** Air at the grate at a minute, for a cook whose pit is known and not computed. */
export type AirTrace = (atMin: number) => Surroundings;

export interface Cook {
  scenario: Scenario;
  /** Known air that stands in for a pit. */
  airTrace: AirTrace | null;
  pit: PitState | null;
  fan: ThermostatFan | null;
  operator: Operator | null;
  pieces: CookingPiece[];
  /** What the pieces take from the pit in this step. */
  foodLoad: FoodLoad;
  timeS: number;
  nextMin: number;
  stepS: number;
  /** Time that the meat has not been stepped yet, s. */
  pendingMeatS: number;
  lidUntilS: number;
  doorUntilS: number;
  panDry: boolean;
  pending: Action[];
  happened: Happening[];
  fuel: CookFuel;
  result: ResultSeries;
}
