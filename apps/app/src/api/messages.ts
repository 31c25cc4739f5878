/** What the app and its worker say to each other. */
import type { Forecast, ForecastInput, PitCase, Plan, Request, VentCard } from '@ostrin/core';

export type ToWorker =
  | { id: number; kind: 'plan'; request: Request; nowMs: number; members: number }
  | { id: number; kind: 'forecast'; input: ForecastInput }
  | { id: number; kind: 'card'; of: PitCase };

export interface FromWorker {
  id: number;
  kind: 'progress' | 'rough' | 'done' | 'failed';
  share?: number;
  result?: Plan | Forecast | VentCard;
  message?: string;
}
