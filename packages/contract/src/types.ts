/** What travels between app and server, as plain types; nothing here needs a library. */
import type {
  Entry,
  CookerParameters,
  Plan,
  Price,
  Request,
  Stock,
  VentNotation,
} from '@ostrin/core';

/** One pair of readings; null where the thermometer said nothing. `at` is the cook's clock. */
export interface Reading {
  at: number;
  pitC: number | null;
  coreC: number | null;
}

/** The same as plain data, as the app and the exports hold it. */
export interface CookDoc {
  ostrin: 'cook/1';
  id: string;
  name: string;
  pitName: string;
  startMs: number;
  plan: Plan;
  entries: Entry[];
  readings: Reading[];
}

/** A pit of the yard: its preset with the owner's figures laid over it, and how its vents are told. */
export interface PitRecord {
  id: string;
  name: string;
  preset: string;
  overrides: Partial<CookerParameters>;
  ventWay: VentNotation;
}

/** A wish that is kept under a name, to be planned again. */
export interface SavedPlan {
  id: string;
  name: string;
  favourite: boolean;
  request: Request;
  /** When it was last kept, epoch ms. */
  changedAt: number;
}

/** Fuel on the shelf and what it costs; a fuel that is not listed is not known. */
export interface Shelf {
  fuelOnHand: Stock[];
  prices: Price[];
}

/** One row of the list of cooks. */
export interface CookSummary {
  id: string;
  name: string;
  pitName: string;
  startMs: number;
  finishedAt: number | null;
  people: number;
  cut: string;
  pieces: number;
}

/** Where a cook's clock stands: `cookMs` at the server's `realMs`, going `speed` times as fast. */
export interface ClockState {
  cookMs: number;
  realMs: number;
  speed: number;
  running: boolean;
}

/** What the event stream sends. */
export type LiveEvent =
  | { type: 'hello'; clock: ClockState }
  | { type: 'clock'; clock: ClockState }
  | { type: 'readings'; readings: Reading[]; clock: ClockState }
  | { type: 'entries'; entries: Entry[] };

/** Paths of the API, in one place for both sides. */
export const ROUTES = {
  health: '/api/health',
  pits: '/api/pits',
  pit: (id: string): string => `/api/pits/${id}`,
  plans: '/api/plans',
  plan: (id: string): string => `/api/plans/${id}`,
  shelf: '/api/shelf',
  cooks: '/api/cooks',
  cook: (id: string): string => `/api/cooks/${id}`,
  entries: (id: string): string => `/api/cooks/${id}/entries`,
  clock: (id: string): string => `/api/cooks/${id}/clock`,
  events: (id: string): string => `/api/cooks/${id}/events`,
  json: (id: string): string => `/api/cooks/${id}/cook.json`,
  readingsCsv: (id: string): string => `/api/cooks/${id}/readings.csv`,
  actionsCsv: (id: string): string => `/api/cooks/${id}/actions.csv`,
  imports: '/api/imports',
} as const;

/** RFC 9457 problem details, with a field for every problem. */
export interface ProblemDetails {
  type: string;
  title: string;
  status: number;
  detail?: string;
  errors?: { field: string; message: string }[];
}
