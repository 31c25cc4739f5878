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
  /** Cook's clock, epoch ms. */
  at: number;
  /** Pit, C; null where the probe was silent. */
  pitC: number | null;
  /** Middle of the meat, C; null where the probe was silent or not in. */
  coreC: number | null;
}

/** What burns in a cook: a real fire by the real clock, or a simulated one by a clock of its own. */
export type CookFire = 'real' | 'practice';

/** The same as plain data, as the app and the exports hold it. */
export interface CookDoc {
  /** Kind and version of the document. */
  ostrin: 'cook/1';
  /** Its id. */
  id: string;
  /** What the cook is called. */
  name: string;
  /** The pit it is cooked on, as its owner calls it. */
  pitName: string;
  /** When it was planned to be lit, epoch ms. */
  startMs: number;
  /** What burns; a practice fire when left out. */
  fire?: CookFire;
  /** The plan of its pit. */
  plan: Plan;
  /** The log, in the order in which it was written. */
  entries: Entry[];
  /** Readings, in order of time. */
  readings: Reading[];
}

/** A pit of the yard: its preset with the owner's figures laid over it, and how its vents are told. */
export interface PitRecord {
  /** Its id. */
  id: string;
  /** What its owner calls it. */
  name: string;
  /** A preset of the catalogue. */
  preset: string;
  /** Parameters that differ from the preset. */
  overrides: Partial<CookerParameters>;
  /** Notation in which its vents are told. */
  ventWay: VentNotation;
}

/** A wish that is kept under a name, to be planned again. */
export interface SavedPlan {
  /** Its id. */
  id: string;
  /** What it is called. */
  name: string;
  /** Whether it is starred. */
  favourite: boolean;
  /** The request it answers. */
  request: Request;
  /** When it was last kept, epoch ms. */
  changedAt: number;
}

/** Fuel on the shelf and what it costs; a fuel that is not listed is not known. */
export interface Shelf {
  /** Fuel on the shelf. */
  fuelOnHand: Stock[];
  /** What fuel costs. */
  prices: Price[];
}

/** One row of the list of cooks. */
export interface CookSummary {
  /** Its id. */
  id: string;
  /** What it is called. */
  name: string;
  /** The pit it is cooked on, as its owner calls it. */
  pitName: string;
  /** When it is lit by its plan, epoch ms. */
  startMs: number;
  /** What burns. */
  fire: CookFire;
  /** When it was finished, cook's clock, epoch ms; null while it goes on. */
  finishedAt: number | null;
  /** People at the table. */
  people: number;
  /** The cut of its first meat. */
  cut: string;
  /** Number of pieces. */
  pieces: number;
}

/** Where a cook's clock stands: `cookMs` at the server's `realMs`, going `speed` times as fast. */
export interface ClockState {
  /** Cook's clock at `realMs`, epoch ms. */
  cookMs: number;
  /** The server's clock, epoch ms. */
  realMs: number;
  /** How many times as fast as life it goes, 1 to 240. */
  speed: number;
  /** Whether it goes on; a finished cook's stands still. */
  running: boolean;
}

/** What a device may do: everything, log but not delete or plan, or read. */
export type Role = 'cook' | 'helper' | 'looker';

/** A device that is signed in. */
export interface Device {
  /** Its id. */
  id: string;
  /** What it is called. */
  device: string;
  /** Who uses it. */
  name: string;
  /** What it may do. */
  role: Role;
  /** When it signed in, epoch ms. */
  createdAt: number;
  /** When it was seen last, epoch ms; to the minute. */
  seenAt: number;
}

/** How the server is open, and who asks. */
export interface Access {
  /** Whether the home network reaches it. */
  home: boolean;
  /** Whether what passes is encrypted. */
  secure: boolean;
  /** Addresses at which other devices find it. */
  addresses: string[];
  /** The device that asks; null on a server for its own machine alone. */
  me: Device | null;
}

/** What a list of the server holds that others may change. */
export type SharedList = 'cooks' | 'pits' | 'plans' | 'shelf';

/** What the event stream sends. Events of a cook name it. */
export type LiveEvent =
  /** The stream is open: what was read before may be old. */
  | { type: 'hello' }
  /** Nothing happened for a while; the line is up. */
  | { type: 'alive' }
  /** A list was changed: read it again. */
  | { type: 'changed'; what: SharedList }
  | { type: 'clock'; cookId: string; clock: ClockState }
  | { type: 'readings'; cookId: string; readings: Reading[]; clock: ClockState }
  | { type: 'entries'; cookId: string; entries: Entry[] }
  /** Much has come to this cook at once: read it again. */
  | { type: 'refresh'; cookId: string };

/** A record with the number of its version, which every change raises by one. */
export type Versioned<T> = T & { version: number };

/**
 * What app and server agree on beyond the shape of single documents. It is raised with every change that a page of
 * before would get wrong: such a page is then told to load itself again, and mixes nothing.
 */
export const API_LEVEL = 3;
/** The header in which the app tells its level; event streams tell it as `?level=`. */
export const LEVEL_HEADER = 'Ostrin-Level';

/** Paths of the API, in one place for both sides. */
export const ROUTES = {
  health: '/api/health',
  pits: '/api/pits',
  pit: (id: string): string => `/api/pits/${id}`,
  plans: '/api/plans',
  plan: (id: string): string => `/api/plans/${id}`,
  shelf: '/api/shelf',
  events: '/api/events',
  cooks: '/api/cooks',
  cook: (id: string): string => `/api/cooks/${id}`,
  entries: (id: string): string => `/api/cooks/${id}/entries`,
  clock: (id: string): string => `/api/cooks/${id}/clock`,
  cookEvents: (id: string): string => `/api/cooks/${id}/events`,
  json: (id: string): string => `/api/cooks/${id}/cook.json`,
  readingsCsv: (id: string): string => `/api/cooks/${id}/readings.csv`,
  actionsCsv: (id: string): string => `/api/cooks/${id}/actions.csv`,
  imports: '/api/imports',
  record: '/api/record',
  access: '/api/access',
  signIn: '/api/access/sign-in',
  signOut: '/api/access/sign-out',
  devices: '/api/access/devices',
  device: (id: string): string => `/api/access/devices/${id}`,
  invites: '/api/access/invites',
} as const;

/** RFC 9457 problem details, with a field for every problem. */
export interface ProblemDetails {
  /** A URI for the kind of problem. */
  type: string;
  /** What went wrong, in short. */
  title: string;
  /** The HTTP status. */
  status: number;
  /** More about this occurrence. */
  detail?: string;
  /** Each field that is wrong, and how. */
  errors?: { field: string; message: string }[];
  /** The record as it now stands, where it was changed since it was read. */
  current?: unknown;
  /** What another device logged of the same thing. */
  already?: Entry;
  /** Whether it is stored when its writer confirms it. */
  confirmable?: boolean;
  /** When to try again, s. */
  retryAfterS?: number;
}
