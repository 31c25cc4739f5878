/** What the app and its workers say to each other. */
import type {
  Advice,
  AdviseQuestion,
  ChangeOption,
  ChangeQuestion,
  FoodOutcome,
  FoodWish,
  Forecasts,
  FuelUse,
  ForecastInput,
  Outlook,
} from '@ostrin/core/tending';
import type { CookToExplain, MinutesByCause, NotTold, WhyLate } from '@ostrin/core/afterwards';
import type { Log, ReadingRow } from '@ostrin/core/log';
import type { VariantSources, SteadyCase, VentCard } from '@ostrin/core/engine';
import type { PitPlan, Plan, Request } from '@ostrin/core';
import type { KeptPit, LearnedPit, LoggedCook, PitBefore } from '@ostrin/core/learning';

import { type PlanVariant } from '@ostrin/wording';

/** Questions to the worker that plans. */
export type PlanQuestion =
  | { id: number; kind: 'plan'; request: Request; nowMs: number; members: number }
  | {
      id: number;
      kind: 'variants';
      request: Request;
      others: VariantSources;
      nowMs: number;
      members: number;
    }
  | { id: number; kind: 'card'; of: SteadyCase };

export type ToWorker =
  | PlanQuestion
  /** A worker that runs likely pits for the one that plans: the port to it, at either end. */
  | { kind: 'helper' | 'help'; port: MessagePort };

/** Questions about a cook under way, each with one answer. */
export type ToTendWorker =
  | { id: number; kind: 'forecasts'; inputs: Record<string, ForecastInput> }
  | { id: number; kind: 'meat'; input: ForecastInput }
  | { id: number; kind: 'changes'; input: ForecastInput; question: ChangeQuestion }
  | { id: number; kind: 'food'; input: ForecastInput; wish: FoodWish }
  | { id: number; kind: 'advise'; question: AdviseQuestion }
  | { id: number; kind: 'fuel-use'; plan: Pick<PitPlan, 'scenarios'>; log: Log; nowMs: number }
  // Questions about cooks that are over.
  | { id: number; kind: 'why-late'; cook: CookToExplain; ready: WhyLateOf }
  | { id: number; kind: 'compare-times'; cooks: CookToExplain[] };

/** When a piece was planned to go on and to be ready, epoch ms. */
export interface WhyLateOf {
  plannedOn: number;
  plannedOff: number;
}

/** A finished cook as the worker that learns gets it. */
export interface CookToLearn {
  id: string;
  plan: Pick<PitPlan, 'scenarios' | 'request'>;
  log: Log;
  readings: ReadingRow[];
}

/** A pit to be learned from cooks. */
export interface ToLearnWorker {
  id: number;
  before: PitBefore;
  cooks: CookToLearn[];
  /** Test burns beside them. */
  burns: LoggedCook[];
}

/** What was learned, and what of it is kept. */
export interface LearnAnswer {
  learned: LearnedPit;
  kept: KeptPit;
}

export interface FromWorker {
  id: number;
  kind: 'progress' | 'rough' | 'row' | 'done' | 'failed';
  share?: number;
  result?:
    | Plan
    | Forecasts
    | Outlook
    | VentCard
    | PlanVariant
    | FuelUse
    | Advice
    | ChangeOption[]
    | FoodOutcome
    | LearnAnswer
    | WhyLate
    | (MinutesByCause | NotTold)[]
    | null;
  message?: string;
}
