/** A cook while it goes on: its pit, its pieces, its clock, and what has happened so far. */
import type { RestState } from '../meat/rest';
import type { Surroundings } from '../meat/surface';
import type { Piece } from '../meat/pieceState';
import type { FoodLoad } from '../pit/assembleHeat';
import type { PitState } from '../pit/pitState';
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
  /** What the scenario says of it. */
  spec: MeatSpec;
  /** The state of the piece. */
  piece: Piece;
  /** Where it is on its way. */
  stage: 'waiting' | 'on' | 'oven' | 'resting' | 'off';
  /** How long it has been on, min. */
  onForMin: number;
  /** Where on the grate; the middle when not said. */
  gratePlace: Place | undefined;
  /** Its resting place; null before it rests. */
  rest: RestState | null;
  /** When its rest ends, min after lighting. */
  restUntilMin: number;
  /** What has been recorded. */
  result: MeatResult;
  /** Whether it has stalled. */
  stalled: boolean;
  /** What its probe read in the last minutes, C. */
  coreHistory: { atMin: number; c: number }[];
  /** How far it was a minute ago, in what it is called done by: middle, C, or tenderness; null before that. */
  progress: number | null;
  /** Smoke taken up, gram-minutes per m3 weighed by the wood's strength and by how well it sticks. */
  smokeUptake: number;
  /** Water evaporated at which the sauce brushed on has set, kg; null without sauce. */
  sauceSetAtKg: number | null;
}

/** Air at the grate at a minute, for a cook whose pit is known and not computed. */
export type AirTrace = (atMin: number) => Surroundings;

export interface Cook {
  /** Whether its second pace has begun. */
  secondPace: boolean;
  /** The scenario that is simulated. */
  scenario: Scenario;
  /** Known air that stands in for a pit. */
  airTrace: AirTrace | null;
  /** The pit; null where the air is given. */
  pit: PitState | null;
  /** The thermostat fan; null where there is none. */
  fan: ThermostatFan | null;
  /** Who tends it; null where nobody does. */
  operator: Operator | null;
  /** The pieces of meat. */
  pieces: CookingPiece[];
  /** What the pieces take from the pit in this step. */
  foodLoad: FoodLoad;
  /** Time since lighting, s. */
  timeS: number;
  /** The next whole minute to be closed. */
  nextMin: number;
  /** Length of the next step, s. */
  stepS: number;
  /** Time that the meat has not been stepped yet, s. */
  pendingMeatS: number;
  /** When the lid goes back on, s after lighting. */
  lidUntilS: number;
  /** When the fire door is shut, s after lighting. */
  doorUntilS: number;
  /** Whether the pan has boiled dry. */
  panDry: boolean;
  /** Actions still to come, in order of time. */
  pending: Action[];
  /** What has happened so far. */
  happened: Happening[];
  /** Fuel put in so far. */
  fuel: CookFuel;
  /** What has been recorded. */
  result: ResultSeries;
}
