/** What the app and its worker say to each other. */
import type {
  Forecast,
  FuelUse,
  Log,
  ForecastInput,
  LikelyPitJob,
  LikelyPitRun,
  VariantSources,
  Outlook,
  SteadyCase,
  Plan,
  Request,
  VentCard,
} from '@ostrin/core';
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
  | { id: number; kind: 'forecast'; input: ForecastInput }
  | { id: number; kind: 'meat'; input: ForecastInput }
  | { id: number; kind: 'fuel-use'; plan: Pick<Plan, 'scenarios'>; log: Log; nowMs: number }
  | { id: number; kind: 'card'; of: SteadyCase }
  // One likely pit of somebody's plan, and what came of the jobs that were handed on.
  | { id: number; kind: 'pit'; job: LikelyPitJob }
  | { id: number; kind: 'ran'; at: number; run: LikelyPitRun };

export interface FromWorker {
  id: number;
  kind: 'progress' | 'rough' | 'row' | 'jobs' | 'done' | 'failed';
  share?: number;
  jobs?: LikelyPitJob[];
  result?: Plan | Forecast | Outlook | VentCard | PlanVariant | FuelUse | LikelyPitRun | null;
  message?: string;
}
