/**
 * The plan document as plain types: figures and codes, names as in the open format (docs/formats.md). Its
 * sentences are made when it is shown, printed or exported.
 */
import type { PolicyDocument } from '../../control/policyDocument';
import type { RestSpec } from '../../meat/rest';
import type { CautionId } from '../../safety/cautions';
import type { CharcoalId, FuelId, WoodId } from '../../fuel/catalogue';
import type { Action } from '../../scenario/actions';
import type { ArrangementId } from '../../fire/fireSpec';
import type { Scenario } from '../../scenario/scenario';
import type { Amount, Request } from '../request/types';
import type {
  AsWritten,
  CardWords,
  FirstMove,
  JobFacts,
  NamedPiece,
  PlateCost,
  ProblemFacts,
  RiskFacts,
  Shopping,
} from './facts';
import type { Hold } from './hold';
import type { Preparation } from './preparation';
import type { GratePlan } from './gratePlan';
import type { PlannedRule } from './rule';

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
  /** Its figures, by kind. */
  facts: JobFacts;
  /** What "done" writes into the log; several lines when one job is several moves. */
  logs: PlanLog[];
  /** For jobs that depend on the cook: the 8-in-10 span, minutes after lighting. */
  spanMin?: [number, number];
  /** The pit it is done at; the first when left out. */
  pit?: string;
  /** Who has the watch then; left out where one keeps it alone. */
  by?: string;
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
  /** Pieces that lengthen a snake by an hour; null for other fires. */
  hourPieces: number | null;
  /** How it is built, of a document from before plans were kept as figures. */
  asWritten?: string[];
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
  /** The fan's set point, C; null where nothing but the vents holds the pit. */
  fanTargetC: number | null;
  /** The setting that should hold the target; the later ones follow the weather. */
  first: boolean;
  /** What to try first when it settles high and when it settles low; of the first setting only. */
  moves: { high: FirstMove; low: FirstMove } | null;
}

export interface Problem {
  /** The field of the request that it is about. */
  field: string;
  /** Its figures, by kind. */
  facts: ProblemFacts;
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

export interface Risk {
  /** The pit it is about; left out by documents from before plans were kept as figures. */
  pit?: string;
  /** How likely, 0 to 1; left out by older documents. */
  chanceFraction?: number;
  /** Its figures, by kind. */
  facts: RiskFacts;
}

/** How a meat waits where it rests. */
export interface PlannedHold extends NamedPiece, Hold {
  /** The meat, by its id. */
  meat: string;
  /** Where it rests. */
  rest: RestSpec;
  /** When it comes off in the middle of the likely cooks, and the latest good hour after that: local times. */
  offAt: string;
  goodUntil: string;
}

/** The card of a meat in a document from before plans were kept as figures. */
export interface WrittenCard extends AsWritten<CardWords> {
  /** The meat, by its id. */
  meat: string;
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
  /** How each fire is held by hand; none for a pit with a fan, or in older documents. */
  rules?: PlannedRule[];
  /** What is done to each meat before it goes on; empty in older documents. */
  preparation: (Preparation | WrittenCard)[];
  /** How each meat waits after it came off, by the hour; empty for a rough answer and in older documents. */
  holds: (PlannedHold | WrittenCard)[];
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
  /** The first piece when it is done, in the middle of the likely cooks: bark (1: set) and tenderness (1: probe tender). */
  outcome?: { bark: number | null; tenderness: number | null };
  /** What stands in the way; empty where nothing does. */
  problems: Problem[];
  /** What is not safe about eating it as planned; each once. */
  cautionIds: CautionId[];
  /** The same in the sentences of a document from before plans were kept as figures. */
  writtenCautions?: string[];
  /** Left out where no meat has a price. */
  plate?: PlateCost;
  /** The course of the cook that is lit first. */
  expected: Expected;
  /** Of every pit where there are several, in the order of the request. */
  expectedOf?: Expected[];
  /** The scenario of each pit with everything its operator does. */
  scenarios: Scenario[];
  /** Members of the ensemble behind the windows; 1 for a first rough answer. */
  members: number;
}
