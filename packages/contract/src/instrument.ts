/** Instruments that tell their readings by wire, and what they tell. */
import 'reflect-metadata';
import { toC } from '@ostrin/core/quantity';
import { WIRE_SPOTS, type CheckedAgainst, type WireSpot } from '@ostrin/core/log';
import { CHECKED_AGAINST } from '@ostrin/core/tending';
import { Allow, IsIn, IsInt, IsISO8601, IsString, Length, Matches } from 'class-validator';
import Papa from 'papaparse';
import { Instant } from './cook';
import type { FieldProblem } from './problems';
import { Letters, Name } from './names';
import { InRange, NestedList, Numbers, Optional, OrNull } from './rules';
import { isObject, plainOf } from './plain';
import {
  INSTRUMENT_KINDS,
  MOST_CHANNELS,
  MOST_CHECKS,
  type InstrumentKind,
  type InstrumentRecord,
} from './types';
import { invalid, validate, type Checked } from './validate';

/** Letters of the name of a channel at most. */
const KEY_LENGTH = 40;
/** Packets in one request at most. */
const MOST_PACKETS = 2_000;

class CheckDto {
  @Instant() at!: number;
  @IsIn(CHECKED_AGAINST) against!: CheckedAgainst;
  @InRange(-60, 400) readsC!: number;
  @InRange(-60, 400) trueC!: number;
}

class ChannelDto {
  @IsString() @Length(1, KEY_LENGTH) key!: string;
  @IsIn(WIRE_SPOTS) spot!: WireSpot;
  /** The piece it is in, counted from 1. */
  @Optional() @IsInt() @InRange(1, 40) piece?: number;
  @InRange(-60, 60) offsetK!: number;
  @OrNull() @Instant() checkedAt!: number | null;
  /** The MQTT topic that tells it. */
  @Optional()
  @IsString()
  @Length(1, 200)
  @Matches(/^[^+#\0]+$/, { message: 'must be one topic, without + and #' })
  topic?: string;
  @Optional() @NestedList(() => CheckDto, MOST_CHECKS) checks?: CheckDto[];
}

/** The body that makes or changes an instrument; its id stands in the path. */
export class InstrumentDto {
  @Name(40) name!: string;
  @Letters(60) pitName!: string;
  @NestedList(() => ChannelDto, MOST_CHANNELS) channels!: ChannelDto[];
  @Optional() @IsIn(INSTRUMENT_KINDS) kind?: InstrumentKind;
  @Optional() @IsInt() @InRange(1, 3650) dueDays?: number;
  @Optional() @Instant() batteryChangedAt?: number;
}

/** An instrument to make or change. */
export function readInstrument(plain: unknown): Checked<Omit<InstrumentRecord, 'id'>> {
  const checked = validate(InstrumentDto, plain);
  if (!checked.ok) return checked;
  const { name, pitName, channels, kind, dueDays, batteryChangedAt } = checked.value;
  const problems = channels.flatMap(({ key, spot, piece }, i): FieldProblem[] => [
    ...(channels.findIndex((c) => c.key === key) === i
      ? []
      : [{ field: `channels[${i}].key`, message: `${key} is there twice` }]),
    ...((spot === 'meat') === (piece !== undefined)
      ? []
      : [
          {
            field: `channels[${i}].piece`,
            message: 'belongs to a channel in a piece, and only there',
          },
        ]),
  ]);
  if (problems.length > 0) return invalid(problems);
  return {
    ok: true,
    value: plainOf<Omit<InstrumentRecord, 'id'>>({
      name: name.trim(),
      pitName,
      channels,
      kind,
      dueDays,
      batteryChangedAt,
    }),
  };
}

/** What an instrument tells at one moment. */
export interface Packet {
  /** When it was measured, epoch ms. */
  at: number;
  /** What each channel read: C, m/s, mm/h, or 0 to 1. */
  values: Record<string, number>;
  /** Charge of its battery, 0 to 1; null where it does not tell. */
  battery: number | null;
}

/** One packet of the body of a request. */
export class PacketDto {
  /** Epoch ms or ISO 8601; now when left out. */
  @Optional() @Allow() at?: number | string;
  /** By channel; null for one that reads nothing. */
  @Numbers(-1000, 3000, KEY_LENGTH, { orNull: true, most: MOST_CHANNELS }) values!: Record<
    string,
    number | null
  >;
  /** Of the temperatures among the values; C when left out. */
  @Optional() @IsIn(['C', 'F']) unit?: 'C' | 'F';
  /** Charge of its battery, 0 to 1. */
  @Optional() @InRange(0, 1) battery?: number;
}

/** Packets sent in one go. */
export class PacketsDto {
  @NestedList(() => PacketDto, MOST_PACKETS) packets!: PacketDto[];
}

class IsoDto {
  @IsISO8601({ strict: true }) at!: string;
}

/** A clock may go ahead of the server's by so much, ms. */
const MOST_AHEAD_MS = 120_000;
/** What is told later than this after it was measured is not taken, ms. */
const MOST_LATE_MS = 31 * 86_400_000;

/** The moment of a packet, epoch ms, or what is wrong with it. */
function instantOf(at: number | string | undefined, nowMs: number): number | string {
  if (at === undefined) return nowMs;
  const ms =
    typeof at === 'number' ? at : validate(IsoDto, { at }).ok ? Date.parse(at) : Number.NaN;
  if (!Number.isFinite(ms))
    return 'must be epoch milliseconds or a time as in 2027-05-15T07:40:00Z';
  if (ms > nowMs + MOST_AHEAD_MS)
    return 'lies ahead of the clock of the server: set the clock, or leave it out';
  if (ms < nowMs - MOST_LATE_MS) return 'lies more than 31 days back';
  return Math.round(ms);
}

/** The packets of a body: one packet, or a list under `packets`. `isTemperature` says which channels are in C or F. */
export function readPackets(
  plain: unknown,
  nowMs: number,
  isTemperature: (channel: string) => boolean,
): Checked<Packet[]> {
  const listed = isObject(plain) && 'packets' in plain;
  const checked = validate(PacketsDto, listed ? plain : { packets: [plain] });
  const fieldOf = (field: string): string =>
    listed ? field : field.replace(/^packets\[0\]\.?/, '');
  if (!checked.ok) {
    return invalid(checked.problems.map((p) => ({ ...p, field: fieldOf(p.field) })));
  }
  const problems: FieldProblem[] = [];
  const packets = checked.value.packets.map(({ at, values, unit, battery }, i): Packet => {
    const when = instantOf(at, nowMs);
    if (typeof when === 'string') {
      problems.push({ field: fieldOf(`packets[${i}].at`), message: when });
    }
    const read = Object.entries(values).flatMap(([key, value]): [string, number][] =>
      value === null ? [] : [[key, isTemperature(key) ? toC(value, unit ?? 'C') : value]],
    );
    return { at: Number(when), values: Object.fromEntries(read), battery: battery ?? null };
  });
  return problems.length > 0 ? invalid(problems) : { ok: true, value: packets };
}

/** Columns of packets as CSV lines; time, unit and battery may be left empty or out. */
type Column = 'at' | 'channel' | 'value' | 'unit' | 'battery';

/** Packets as CSV lines: a header, then one value a line. */
export function readPacketsCsv(
  text: string,
  nowMs: number,
  isTemperature: (channel: string) => boolean,
): Checked<Packet[]> {
  const parsed = Papa.parse<Partial<Record<Column, string>>>(text, {
    header: true,
    skipEmptyLines: true,
    transformHeader: (h) => h.trim(),
  });
  const problems = parsed.errors
    .filter((e) => e.code !== 'UndetectableDelimiter')
    .map((e): FieldProblem => ({ field: `line ${(e.row ?? 0) + 2}`, message: e.message }));
  for (const column of ['channel', 'value'] as const) {
    if (!parsed.meta.fields?.includes(column)) {
      problems.push({ field: 'line 1', message: `the column ${column} is missing` });
    }
  }
  if (problems.length > 0) return invalid(problems);
  const packets = parsed.data.map(({ at, channel, value, unit, battery }, i) => {
    if (!value?.trim() || !Number.isFinite(Number(value))) {
      problems.push({ field: `line ${i + 2} value`, message: 'is not a number' });
    }
    return {
      ...(at ? { at: /^\d+$/.test(at) ? Number(at) : at } : {}),
      values: { [channel ?? '']: Number(value) },
      ...(unit ? { unit } : {}),
      ...(battery ? { battery: Number(battery) } : {}),
    };
  });
  if (problems.length > 0) return invalid(problems);
  const read = readPackets({ packets }, nowMs, isTemperature);
  if (read.ok) return read;
  return invalid(
    read.problems.map(({ field, message }) => ({
      message,
      field: field.replace(/^packets\[(\d+)\]\.?/, (_, i) => `line ${Number(i) + 2} `).trim(),
    })),
  );
}
