/** The request and plan documents as plain types; names as in the open format (docs/formats.md). */
import type { Weather } from '../air/weather';
import type { Action, Scenario } from '../cook/scenario';
import type { RestWhere } from '../meat/rest';
import type { CharcoalId, WoodId } from '../fuel/catalogue';
import type { WrapId } from '../meat/wraps';
import type { Pit } from '../pit/types';
import type { Units } from '../quantity/words';

export interface RequestPit {
  id: string;
  cooker: { preset: string; overrides: Partial<Pit> };
  fire: { fuel: CharcoalId; arrangement?: 'snake'; species?: WoodId };
  pace: { pitC: number; bandC: number };
}

export interface RequestMeat {
  id: string;
  cut: string;
  /** Mass of one piece, kg. */
  massKg: number;
  /** Pieces wanted; from people and appetite when left out. */
  pieces?: number;
  thicknessMm?: number;
  pit?: string;
  wrap: { with: WrapId; when?: { coreC: number } | { barkSet: true } | { stalled: true } };
  done: { coreC: number } | { tender: true };
  rest: { where: RestWhere; minutes: number };
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
  weather: Weather;
  chanceOnTimeFraction: number;
  /** Units for what is said in words; C and kg when left out. Numbers stay in C and kg. */
  units?: Units;
}

/** A job with its minute after lighting (negative: before). */
export interface PlanJob {
  id: string;
  at: string;
  atMin: number;
  do: Action['do'] | 'lay-fire' | 'light' | 'check' | 'serve' | 'shut-down';
  inWords: string;
  detail: string;
  /** What "done" writes into the log; several lines when one job is several moves. */
  logs: PlanLog[];
  /** For jobs that depend on the cook: the 8-in-10 span, minutes after lighting. */
  spanMin?: [number, number];
}

/** An action as the log keeps it: what was done, without its time. */
export type PlanLog = DistributiveOmit<Action, 'atMin'>;
type DistributiveOmit<T, K extends keyof never> = T extends unknown ? Omit<T, K> : never;

export interface Ready {
  id: string;
  p10: string;
  p50: string;
  p90: string;
}

/** Expected course of the cook every five minutes after lighting, with its 8-in-10 fan. */
export interface Expected {
  everyMin: number;
  pitC: number[];
  pitLowC: number[];
  pitHighC: number[];
  coreC: (number | null)[];
  coreLowC: (number | null)[];
  coreHighC: (number | null)[];
}

export interface PlannedFire {
  pit: string;
  arrangement: 'snake';
  fuel: CharcoalId;
  side: number;
  layers: number;
  arcDegrees: number;
  pieces: number;
  massKg: number;
  litPieces: number;
  woodChunks: { species: WoodId; massG: number; atArcDegrees: number }[];
  /** Pieces laid at the tail during the cook, when one round is not enough. */
  lengthenPieces: number;
  lastsMin: number;
}

export interface PlanVents {
  at: string;
  pit: string;
  intakeFraction: number;
  exhaustFraction: number;
  settlesC: number;
  inWords: string;
}

export interface Problem {
  field: string;
  message: string;
  /** What would make it possible. */
  instead: string;
}

export interface Plan {
  ostrin: 'plan/1';
  request: Request;
  serveAt: string;
  lightAt: string;
  meatOnAt: string[];
  ready: Ready[];
  restAvailableMin: [number, number];
  chanceLateFraction: number;
  pieces: number;
  cookedKg: [number, number];
  fires: PlannedFire[];
  vents: PlanVents[];
  jobs: PlanJob[];
  watch: { visits: number; longestFreeMin: number; shifts: [] };
  shopping: { item: string; amount: string }[];
  risks: { sign: string; move: string }[];
  problems: Problem[];
  /** What is not safe about eating it as planned; each once. */
  cautions: string[];
  expected: Expected;
  scenarios: Scenario[];
  /** Members of the ensemble behind the windows; 1 for a first rough answer. */
  members: number;
}
