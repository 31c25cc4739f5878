/** What the app and its workers say to each other. */
import type {
  Advice,
  AdviseQuestion,
  ChangeOption,
  ChangeQuestion,
  CookToExplain,
  FoodOutcome,
  FoodWish,
  Forecasts,
  FuelUse,
  Log,
  ForecastInput,
  ReadingRow,
  LikelyPitJob,
  LikelyPitRun,
  MinutesByCause,
  NotTold,
  VariantSources,
  Outlook,
  SteadyCase,
  PitPlan,
  Plan,
  Request,
  VentCard,
  WhyLate,
} from '@ostrin/core';
import type { KeptPit, LearnedPit, LoggedCook, PitBefore } from '@ostrin/core/learning';

import { type PlanVariant } from '@ostrin/wording';

export type ToWorker =
  | { id: number; kind: 'plan'; request: Request; nowMs: number; members: number }
  | {
      id: number;
      kind: 'variants';
      request: Request;
      others: VariantSources;
      nowMs: number;
      members: number;
    }
  | { id: number; kind: 'card'; of: SteadyCase }
  // One likely pit of somebody's plan, and what came of the jobs that were handed on.
  | { id: number; kind: 'pit'; job: LikelyPitJob }
  | { id: number; kind: 'ran'; at: number; run: LikelyPitRun };

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
  kind: 'progress' | 'rough' | 'row' | 'jobs' | 'done' | 'failed';
  share?: number;
  jobs?: LikelyPitJob[];
  result?:
    | Plan
    | Forecasts
    | Outlook
    | VentCard
    | PlanVariant
    | FuelUse
    | LikelyPitRun
    | Advice
    | ChangeOption[]
    | FoodOutcome
    | LearnAnswer
    | WhyLate
    | (MinutesByCause | NotTold)[]
    | null;
  message?: string;
}
