/** The plan document as plain types; names as in the open format (docs/formats.md). */
import type { PolicyDocument } from '../../control/policyDocument';
import type { CharcoalId, FuelId, WoodId } from '../../fuel/catalogue';
import type { Place } from '../../pit/layout';
import type { Action } from '../../scenario/actions';
import type { ArrangementId } from '../../fire/fireSpec';
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import type { Amount, Request } from '../request/types';

/** A job with its minute after lighting of its pit (negative: before). */
export interface PlanJob {
  /** Its id; jobs of several meats or pits carry their names. */
  id: string;
  /** When, local time. */
  at: string;
  /** Minutes after lighting. */
  atMin: number;
  /** What kind of job it is. */
  do: Action['do'] | 'lay-fire' | 'light' | 'check' | 'serve' | 'shut-down' | 'prepare' | 'shop';
  /** The sentence. */
  inWords: string;
  /** How it is done, in a sentence or two. */
  detail: string;
  /** What to go through at it: what to have at hand, what to look for, in which order. */
  checklist?: { heading: string; items: string[] };
  /** What "done" writes into the log; several lines when one job is several moves. */
  logs: PlanLog[];
  /** For jobs that depend on the cook: the 8-in-10 span, minutes after lighting. */
  spanMin?: [number, number];
  /** The pit it is done at; the first when left out. */
  pit?: string;
  /** Who has the watch then; left out where one keeps it alone. */
  by?: string;
  /** Food that was added during the cook and comes off with this job, whose words are made when it is shown. */
  food?: MeatSpec;
}

/** An action as the log keeps it: what was done, without its time. */
export type PlanLog = DistributiveOmit<Action, 'atMin'>;
type DistributiveOmit<T, K extends keyof never> = T extends unknown ? Omit<T, K> : never;

export interface Ready {
  /** The meat, by its id. */
  id: string;
  /** Ready by then in 1 of 10 likely cooks, local time. */
  p10: string;
  /** Ready by then in 5 of 10 likely cooks, local time. */
  p50: string;
  /** Ready by then in 9 of 10 likely cooks, local time. */
  p90: string;
  /** Ready inside this span is in time and can be held well until it is served. */
  wanted?: [from: string, to: string];
  /** Chance of being late, 0 to 1. */
  chanceLateFraction?: number;
  /** Chance of being too early, 0 to 1. */
  chanceEarlyFraction?: number;
  /** When each of the likely cooks is ready, min after its pit was lit; null: not in the longest cook planned. */
  likelyMin?: (number | null)[];
}

/** Expected course of the cook every five minutes after lighting, with its 8-in-10 fan. */
export interface Expected {
  /** Minutes from one value to the next. */
  everyMin: number;
  /** Pit in the middle of the likely cooks, C. */
  pitC: number[];
  /** Low end of the pit, 1 in 10, C. */
  pitLowC: number[];
  /** High end of the pit, 9 in 10, C. */
  pitHighC: number[];
  /** Middle of the first meat, C; null while it is not on. */
  coreC: (number | null)[];
  /** Low end of the middle, 1 in 10, C. */
  coreLowC: (number | null)[];
  /** High end of the middle, 9 in 10, C. */
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
  /** What is put on. */
  what: FuelId;
  /** Mass each time, kg. */
  massKg: number;
  /** Minutes from one to the next. */
  everyMin: number;
  /** First time, min after lighting. */
  fromMin: number;
  /** Last time, min after lighting. */
  toMin: number;
  /** How many times. */
  count: number;
  /** The sentence. */
  inWords: string;
}

export interface PlannedFire {
  /** The pit it is about, by its id. */
  pit: string;
  /** When it is lit; left out by documents from before several fires were planned. */
  lightAt?: string;
  /** How the fire lies. */
  arrangement: ArrangementId;
  /** The charcoal. */
  fuel: CharcoalId;
  /** Rows of a snake, and how far round it goes. */
  side?: number;
  /** Rows on top of each other. */
  layers?: number;
  /** How far it goes round the rim, degrees. */
  arcDegrees?: number;
  /** Pieces of charcoal as usually sized, the lit ones included. */
  pieces: number;
  /** Charcoal laid, kg as bought. */
  massKg: number;
  /** Of it, what is in the pit from last time, kg; left out where nothing is. */
  fromLastKg?: number;
  /** Pieces of it that are lit first. */
  litPieces: number;
  /** Its lit part, kg as bought; left out by older documents. */
  litKg?: number;
  /** Smoke wood. */
  woodChunks: { species: WoodId; massG: number; atArcDegrees?: number; depthFraction?: number }[];
  /** Chunks like those that may go on later, while the fire burns; none at night. Left out where none may. */
  moreChunks?: number;
  /** Pieces put on during the cook, when one load is not enough. */
  lengthenPieces: number;
  /** How long it lasts, min. */
  lastsMin: number;
  /** How it is fed. */
  feeding: Feeding[];
  /** Share of the time in which the likely pits stand in their band once settled; left out by older documents. */
  inBandFraction?: number;
  /** Kept at hand for wind and cold, kg. */
  reserveKg: number;
  /** Expected to be burnt by the middle end of the window, splits as fed, and to be left over, kg as bought. */
  neededKg: number;
  /** Expected to be left over, kg as bought. */
  leftKg: number;
  /** How it is built, step by step. */
  inWords: string[];
}

export interface PlanVents {
  /** From when on, local time. */
  at: string;
  /** The pit it is about, by its id. */
  pit: string;
  /** Intake, 0 shut to 1 fully open. */
  intakeFraction: number;
  /** Exhaust, 0 shut to 1 fully open. */
  exhaustFraction: number;
  /** Where the pit settles at it, C. */
  settlesC: number;
  /** The sentence. */
  inWords: string;
  /** What to try first when it settles high, and when it settles low. */
  ifHigh?: string;
  /** What to try first when it settles low. */
  ifLow?: string;
}

export interface Problem {
  /** The field of the request that it is about. */
  field: string;
  /** What is wrong. */
  message: string;
  /** What would make it possible. */
  instead: string;
}

/** Where the pieces lie, m from the middle of the grate; the fire is to the left of a long one. */
export interface GratePlan {
  /** The pit. */
  pit: string;
  /** Each piece with its size, m, and its place. */
  laid: { meat: string; x: number; y: number; lengthM: number; widthM: number; at: Place }[];
}

export interface Shift {
  /** Who has it. */
  name: string;
  /** From when, local time. */
  from: string;
  /** Until when, local time. */
  to: string;
  /** Visits in it. */
  visits: number;
}

export interface Shopping {
  /** What it is. */
  item: string;
  /** How much the plan takes. */
  amount: string;
  /** What of it is on the shelf, and what is to be bought, with its cost; left out where it is not known. */
  onShelf?: string;
  /** How much to buy. */
  buy?: string;
  /** What that costs, in the user's own money. */
  cost?: number;
}

export interface Risk {
  /** What is seen first. */
  sign: string;
  /** What to do then. */
  move: string;
  /** How likely, 0 to 1, and the figures behind it. */
  chanceFraction?: number;
  /** The figures behind it. */
  why?: string;
}

export interface Plan {
  /** Kind and version of the document. */
  ostrin: 'plan/1';
  /** The request it answers. */
  request: Request;
  /** When the meal is served, local time. */
  serveAt: string;
  /** When the first fire is lit, local time. */
  lightAt: string;
  /** When each meat goes on, local time. */
  meatOnAt: string[];
  /** When each meat is ready. */
  ready: Ready[];
  /** Rest there is time for, min: least and most. */
  restAvailableMin: [number, number];
  /** Chance of being late, 0 to 1. */
  chanceLateFraction: number;
  /** Pieces of meat in all. */
  pieces: number;
  /** Cooked meat in all, kg: low and high. */
  cookedKg: [number, number];
  /** How much of each meat. */
  amounts: Amount[];
  /** The fires, one for each pit. */
  fires: PlannedFire[];
  /** Vent settings in order of time. */
  vents: PlanVents[];
  /** Where the pieces lie. */
  grates: GratePlan[];
  /** How each fire is held, for whoever tends it: its settings, what a move is worth, how it is fed. */
  guides: (PolicyDocument & { pit: string })[];
  /** What is done to each meat before it goes on; left out by older documents. */
  preparation?: { meat: string; heading: string; lines: string[] }[];
  /** How each meat waits after it came off, by the hour; left out where it is not known. */
  holds?: { meat: string; heading: string; lines: string[] }[];
  /** The jobs. */
  jobs: PlanJob[];
  /** When somebody has to be there. */
  watch: { visits: number; longestFreeMin: number; shifts: Shift[] };
  /** What to have and to buy. */
  shopping: Shopping[];
  /** All fuel to be bought, at the prices given; null without prices. */
  cost: number | null;
  /** The likeliest troubles. */
  risks: Risk[];
  /** Ways out, in the order to try. */
  planB: string[];
  /** The first piece when it is done, in the middle of the likely cooks: bark (1: set) and tenderness (1: probe tender). */
  outcome?: { bark: number | null; tenderness: number | null };
  /** What stands in the way; empty where nothing does. */
  problems: Problem[];
  /** What is not safe about eating it as planned; each once. */
  cautions: string[];
  /** What a plate costs, in the user's own money; left out where no meat has a price. */
  plate?: { meat: number; fuel: number | null; each: number };
  /** The course of the cook that is lit first. */
  expected: Expected;
  /** Of every pit where there are several, in the order of the request. */
  expectedOf?: Expected[];
  /** The scenario of each pit with everything its operator does. */
  scenarios: Scenario[];
  /** Members of the ensemble behind the windows; 1 for a first rough answer. */
  members: number;
}
