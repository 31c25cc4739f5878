/** What the app and its worker say to each other. */
import type { Forecast, ForecastInput, Plan, Request } from '@ostrin/core';

export type ToWorker =
  | { id: number; kind: 'plan'; request: Request; nowMs: number; members: number }
  | { id: number; kind: 'forecast'; input: ForecastInput };

export interface FromWorker {
  id: number;
  kind: 'progress' | 'rough' | 'done' | 'failed';
  share?: number;
  result?: Plan | Forecast;
  message?: string;
}
