/** What the app and its worker say to each other. */
import type {
  Forecast,
  ForecastInput,
  VariantSources,
  Outlook,
  SteadyCase,
  Plan,
  Request,
  VentCard,
  PlanVariant,
} from '@ostrin/core';

export type ToWorker =
  | { id: number; kind: 'plan'; request: Request; nowMs: number; members: number }
  | {
      id: number;
      kind: 'ways';
      request: Request;
      others: VariantSources;
      nowMs: number;
      members: number;
    }
  | { id: number; kind: 'forecast'; input: ForecastInput }
  | { id: number; kind: 'meat'; input: ForecastInput }
  | { id: number; kind: 'card'; of: SteadyCase };

export interface FromWorker {
  id: number;
  kind: 'progress' | 'rough' | 'row' | 'done' | 'failed';
  share?: number;
  result?: Plan | Forecast | Outlook | VentCard | PlanVariant;
  message?: string;
}
