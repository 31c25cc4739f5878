/** The plan document as plain types; names as in the open format (docs/formats.md). */
import type { PolicyDocument } from '../../control/policyDocument';
import type { CharcoalId, FuelId, WoodId } from '../../fuel/catalogue';
import type { Place } from '../../pit/layout';
import type { Action } from '../../scenario/actions';
import type { ArrangementId } from '../../fire/fireSpec';
import type { Scenario } from '../../scenario/scenario';
import type { Amount, Request } from '../request/types';

/** A job with its minute after lighting of its pit (negative: before). */
export interface PlanJob {
  id: string;
  at: string;
  atMin: number;
  do: Action['do'] | 'lay-fire' | 'light' | 'check' | 'serve' | 'shut-down' | 'prepare' | 'shop';
  inWords: string;
  detail: string;
  /** What "done" writes into the log; several lines when one job is several moves. */
  logs: PlanLog[];
  /** For jobs that depend on the cook: the 8-in-10 span, minutes after lighting. */
  spanMin?: [number, number];
  /** The pit it is done at; the first when left out. */
  pit?: string;
}

/** An action as the log keeps it: what was done, without its time. */
export type PlanLog = DistributiveOmit<Action, 'atMin'>;
type DistributiveOmit<T, K extends keyof never> = T extends unknown ? Omit<T, K> : never;

export interface Ready {
  id: string;
  p10: string;
  p50: string;
  p90: string;
  /** Ready inside this span is in time and can be held well until it is served. */
  wanted?: [from: string, to: string];
  chanceLateFraction?: number;
  chanceEarlyFraction?: number;
  /** When each of the likely cooks is ready, min after its pit was lit; null: not in the longest cook planned. */
  likelyMin?: (number | null)[];
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
  /** The middles of the other pieces on this pit, in the order of its meats from the second on. */
  others?: {
    coreC: (number | null)[];
    coreLowC: (number | null)[];
    coreHighC: (number | null)[];
  }[];
}

/** How a fire is fed while it burns. */
export interface Feeding {
  what: FuelId;
  massKg: number;
  everyMin: number;
  fromMin: number;
  toMin: number;
  count: number;
  inWords: string;
}

export interface PlannedFire {
  pit: string;
  /** When it is lit; left out by documents from before several fires were planned. */
  lightAt?: string;
  arrangement: ArrangementId;
  fuel: CharcoalId;
  /** Rows of a snake, and how far round it goes. */
  side?: number;
  layers?: number;
  arcDegrees?: number;
  /** Pieces of charcoal as usually sized, the lit ones included. */
  pieces: number;
  massKg: number;
  litPieces: number;
  /** Its lit part, kg as bought; left out by older documents. */
  litKg?: number;
  woodChunks: { species: WoodId; massG: number; atArcDegrees?: number; depthFraction?: number }[];
  /** Pieces put on during the cook, when one load is not enough. */
  lengthenPieces: number;
  lastsMin: number;
  feeding: Feeding[];
  /** Share of the time in which the likely pits stand in their band once settled; left out by older documents. */
  inBandFraction?: number;
  /** Kept at hand for wind and cold, kg. */
  reserveKg: number;
  /** Expected to be burnt by the middle end of the window, splits as fed, and to be left over, kg as bought. */
  neededKg: number;
  leftKg: number;
  /** How it is built, step by step. */
  inWords: string[];
}

export interface PlanVents {
  at: string;
  pit: string;
  intakeFraction: number;
  exhaustFraction: number;
  settlesC: number;
  inWords: string;
  /** What to try first when it settles high, and when it settles low. */
  ifHigh?: string;
  ifLow?: string;
}

export interface Problem {
  field: string;
  message: string;
  /** What would make it possible. */
  instead: string;
}

/** Where the pieces lie, m from the middle of the grate; the fire is to the left of a long one. */
export interface GratePlan {
  pit: string;
  laid: { meat: string; x: number; y: number; lengthM: number; widthM: number; at: Place }[];
}

export interface Shift {
  name: string;
  from: string;
  to: string;
  visits: number;
}

export interface Shopping {
  item: string;
  amount: string;
  /** What of it is on the shelf, and what is to be bought, with its cost; left out where it is not known. */
  onShelf?: string;
  buy?: string;
  cost?: number;
}

export interface Risk {
  sign: string;
  move: string;
  /** How likely, 0 to 1, and the figures behind it. */
  chanceFraction?: number;
  why?: string;
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
  amounts: Amount[];
  fires: PlannedFire[];
  vents: PlanVents[];
  grates: GratePlan[];
  /** How each fire is held, for whoever tends it: its settings, what a move is worth, how it is fed. */
  guides: (PolicyDocument & { pit: string })[];
  jobs: PlanJob[];
  watch: { visits: number; longestFreeMin: number; shifts: Shift[] };
  shopping: Shopping[];
  /** All fuel to be bought, at the prices given; null without prices. */
  cost: number | null;
  risks: Risk[];
  planB: string[];
  /** The first piece when it is done, in the middle of the likely cooks: bark (1: set) and tenderness (1: probe tender). */
  outcome?: { bark: number | null; tenderness: number | null };
  problems: Problem[];
  /** What is not safe about eating it as planned; each once. */
  cautions: string[];
  expected: Expected;
  /** Of every pit where there are several, in the order of the request. */
  expectedOf?: Expected[];
  scenarios: Scenario[];
  /** Members of the ensemble behind the windows; 1 for a first rough answer. */
  members: number;
}
