/** What the app and its worker say to each other. */
import type {
  Forecast,
  FuelUse,
  Log,
  ForecastInput,
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
  | { id: number; kind: 'card'; of: SteadyCase };

export interface FromWorker {
  id: number;
  kind: 'progress' | 'rough' | 'row' | 'done' | 'failed';
  share?: number;
  result?: Plan | Forecast | Outlook | VentCard | PlanVariant | FuelUse | null;
  message?: string;
}
