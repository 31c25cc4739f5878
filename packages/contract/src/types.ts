/** What travels between app and server, as plain types; nothing here needs a library. */
import type { Alarm } from '@ostrin/core/tending';
import type { Entry, ReadingRow } from '@ostrin/core/log';
import type { Glance } from '@ostrin/core/afterwards';
import type { CookerParameters, VentNotation, VentScales } from '@ostrin/core/catalogue';
import type { PitPlan, Price, Request, Stock } from '@ostrin/core';
import type { KeptPit } from '@ostrin/core/learning';

import type { InstrumentSeen } from './instrumentTypes';

export * from './instrumentTypes';
export * from './logTypes';
export { packetsTopic, ROUTES } from './paths';

/** What thermometers and other instruments reported at a moment of the cook's clock. */
export type Reading = ReadingRow;

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
  plan: PitPlan;
  /** The log, in the order in which it was written. */
  entries: Entry[];
  /** Readings, in order of time. */
  readings: Reading[];
}

/** A pit of the yard: its preset with the owner's figures laid over it, and how its vents are given. */
export interface PitRecord {
  /** Its id. */
  id: string;
  /** What its owner calls it. */
  name: string;
  /** A preset of the catalogue. */
  preset: string;
  /** Parameters that differ from the preset. */
  overrides: Partial<CookerParameters>;
  /** Notation in which its vents are given. */
  ventWay: VentNotation;
  /** What was learned of it from its cooks, the newest last; the last one is in force. */
  learned?: PitVersion[];
  /** A scale for each vent, where they are given in two ways or by a dial of the owner's. */
  ventScales?: VentScales;
  /** What its owner calls its kind, where the catalogue does not have it: `preset` is then the nearest kind. */
  kind?: string;
  /** When it was put away, epoch ms: it is offered for no plan; left out while it is in use. */
  putAwayAt?: number;
}

/** Versions of a pit that are kept. */
export const MOST_VERSIONS = 20;

/** A pit as it was learned at some time. */
export interface PitVersion extends KeptPit {
  /** When that was accepted, epoch ms. */
  at: number;
  /** Its figures before that. */
  before: Partial<CookerParameters>;
}

/** What the server's estimate says of a cook. */
export interface CookState {
  /** Cook's clock, epoch ms. */
  at: number;
  /** The pit at the grate, C; null where it was not read of late. */
  pitC: number | null;
  /** Share of all charcoal that is left, 0 to 1; null where that is not known. */
  fuelLeftFraction: number | null;
  /** Hours until the fuel is too little to hold the pit, p10, p50, p90; null where it is not in sight. */
  fuelHours: [number, number, number] | null;
  /** When each piece is done, epoch ms: p10, p50, p90, at the latest where the look ahead ends; null before one was made. */
  ready: Record<string, [number, number, number] | null>;
  /** What may be wrong, the likeliest first: cause code and how sure, 0 to 1. */
  causes: { code: string; sure: number }[];
  /** The one thing to do: what it is, as the card on a phone has it, and when it is due, epoch ms. */
  order: { id: string; at: number };
}

/** A wish that is kept under a name, to be planned again. */
export interface SavedPlan {
  /** Its id. */
  id: string;
  /** Name. */
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
  /** Name. */
  name: string;
  /** Its pit in the yard; null where the yard has none of that name. */
  pitId: string | null;
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
  /** What came of it at a glance; null while it goes on, or until that is worked out. */
  glance: Glance | null;
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
  /** Name. */
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
export type SharedList = 'cooks' | 'pits' | 'plans' | 'shelf' | 'instruments';

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
  /** An archive is being written or brought in: cooks done of `all`. */
  | { type: 'archive'; way: 'out' | 'in'; done: number; all: number }
  /** What the server makes of a cook. */
  | { type: 'state'; cookId: string; state: CookState }
  /** The alarms of a cook that are up. */
  | { type: 'alarms'; cookId: string; alarms: Alarm[] }
  /** A cook came to its end: what the server made of it holds no longer. */
  | { type: 'over'; cookId: string }
  /** An instrument was heard. */
  | { type: 'heard'; seen: InstrumentSeen }
  /** Much has come to this cook at once: read it again. */
  | { type: 'refresh'; cookId: string };

/** What of the demo data was removed. */
export interface DemoRemoved {
  cooks: number;
  pits: number;
  plans: number;
}

/** A record with the number of its version, which every change raises by one. */
export type Versioned<T> = T & { version: number };

/**
 * What app and server agree on beyond the shape of single documents. It is raised with every change that a page of
 * before would get wrong: such a page is then told to load itself again, and mixes nothing.
 */
export const API_LEVEL = 6;
/** The header in which the app tells its level; event streams tell it as `?level=`. */
export const LEVEL_HEADER = 'Ostrin-Level';

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
