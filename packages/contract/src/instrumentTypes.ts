/** What travels of instruments between app and server, as plain types. */
import type { InstrumentCheck, WireSpot } from '@ostrin/core/log';

/** One channel of an instrument: where it measures, and how wrong it is. */
export interface Channel {
  /** The name under which the instrument tells it. */
  key: string;
  /** What it measures; `none` until somebody says. */
  spot: WireSpot;
  /** The piece it is in, counted from 1 as the cook has them; left out elsewhere. */
  piece?: number;
  /** What it reads too much, K. */
  offsetK: number;
  /** When that was found out, epoch ms; null where it never was. */
  checkedAt: number | null;
  /** How it was checked, the oldest first; left out where it never was. */
  checks?: InstrumentCheck[];
  /** The MQTT topic that tells it; left out where none does. */
  topic?: string;
}

/** Kinds of instruments; those that tell by wire, and those that somebody reads. */
export const INSTRUMENT_KINDS = ['wire', 'leave-in', 'instant-read', 'dial'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** Checks of one channel that are kept. */
export const MOST_CHECKS = 40;

/** Channels that one instrument has at most. */
export const MOST_CHANNELS = 32;

/** An instrument: one that tells its readings by wire, or one that is read by hand. */
export interface InstrumentRecord {
  /** Its id. */
  id: string;
  /** What its owner calls it. */
  name: string;
  /** The pit it is at, as its owner calls that. */
  pitName: string;
  /** Its channels. */
  channels: Channel[];
  /** What kind it is; one that tells by wire when left out. */
  kind?: InstrumentKind;
  /** It is checked again after so many days; as is usual when left out. */
  dueDays?: number;
  /** When its battery was changed, epoch ms; left out where nobody said. */
  batteryChangedAt?: number;
}

/** What was heard of an instrument last. */
export interface InstrumentSeen {
  /** Its id. */
  id: string;
  /** When it was heard last, server's clock, epoch ms; null where it never was. */
  heardAt: number | null;
  /** Charge of its battery, 0 to 1; null where it does not tell. */
  battery: number | null;
  /** Its last values as it reported them, by channel. */
  values: Record<string, { at: number; value: number }>;
  /** The last value of each channel that cannot be true and was not used, until one comes that can. */
  impossible?: Record<string, { at: number; value: number }>;
}

/** Where a probe of a cook is, and since when. */
export interface ProbeMove {
  /** The instrument, and its channel. */
  instrument: string;
  channel: string;
  /** The piece that it is in; null where it is in none. */
  meat: string | null;
  /** Since when, epoch ms: what it read before stays where it was. */
  from: number;
}

/** An instrument with what was heard of it. */
export type Instrument = InstrumentRecord &
  InstrumentSeen & {
    /** Its pit in the yard; null where the yard has none of that name. */
    pitId: string | null;
  };
