/** A cook, its log and its readings: what app and server say to each other, and what is exported. */
import 'reflect-metadata';
import type { Entry, Plan } from '@ostrin/core';
import { Type } from 'class-transformer';
import {
  Equals,
  IsArray,
  ArrayMaxSize,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { DEEDS, DeedDto } from './actions';
import { PlanDto } from './plan';
import { InRange, Nested, NestedList } from './rules';

/** Epoch milliseconds between the years 2000 and 2200. */
const Instant = (): PropertyDecorator => (target, property) => {
  IsInt({ message: 'must be a time in whole milliseconds' })(target, property as string);
  Min(946684800000)(target, property as string);
  Max(7258118400000)(target, property as string);
};

export const ENTRY_KINDS = ['act', 'note', 'job', 'undo', 'retime', 'finish'] as const;

/** Any entry of the log; the kinds add what they say. */
export class EntryDto {
  @IsUUID() id!: string;
  @Instant() at!: number;
  @IsOptional() @IsString() @Length(1, 40) jobId?: string;
  @IsIn(ENTRY_KINDS) kind!: (typeof ENTRY_KINDS)[number];
}

class ActEntryDto extends EntryDto {
  @ValidateNested()
  @Type(() => DeedDto, {
    discriminator: { property: 'do', subTypes: [...DEEDS] },
    keepDiscriminatorProperty: true,
  })
  @Nested(() => DeedDto)
  action!: DeedDto;
}
class NoteEntryDto extends EntryDto {
  @IsString()
  @Length(1, 2000, { message: 'must have 1 to 2000 characters' })
  text!: string;
}
class UndoEntryDto extends EntryDto {
  @IsUUID() target!: string;
}
class RetimeEntryDto extends UndoEntryDto {
  @Instant() to!: number;
}

const KINDS = [
  { name: 'act', value: ActEntryDto },
  { name: 'note', value: NoteEntryDto },
  { name: 'job', value: EntryDto },
  { name: 'finish', value: EntryDto },
  { name: 'undo', value: UndoEntryDto },
  { name: 'retime', value: RetimeEntryDto },
];

/** Entries sent in one go; all are stored or none. */
export class EntriesDto {
  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => EntryDto, {
    discriminator: { property: 'kind', subTypes: [...KINDS] },
    keepDiscriminatorProperty: true,
  })
  entries!: EntryDto[];
}

/** A cook to be begun. `startMs` is the minute 0 of its plan on the cook's own clock. */
export class NewCookDto {
  @IsString() @Length(1, 120) name!: string;
  @IsString() @Length(1, 60) pitName!: string;
  @Nested(() => PlanDto) plan!: PlanDto;
}

/** Speed of the stand-in thermometer's clock. */
export class ClockDto {
  @InRange(1, 240) speed!: number;
}

export class ReadingDto {
  @Instant() at!: number;
  @IsOptional() @InRange(-60, 1500) pitC!: number | null;
  @IsOptional() @InRange(-60, 300) coreC!: number | null;
}

/** `cook/1`: a whole cook as one document. */
export class CookDocDto {
  @Equals('cook/1', { message: 'must be "cook/1"' }) ostrin!: 'cook/1';
  @IsUUID() id!: string;
  @IsString() @Length(1, 120) name!: string;
  @IsString() @Length(1, 60) pitName!: string;
  @Instant() startMs!: number;
  @Nested(() => PlanDto) plan!: PlanDto;
  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(20000)
  @ValidateNested({ each: true })
  @Type(() => EntryDto, {
    discriminator: { property: 'kind', subTypes: [...KINDS] },
    keepDiscriminatorProperty: true,
  })
  entries!: EntryDto[];
  @NestedList(() => ReadingDto, 50000) readings!: ReadingDto[];
}

/** The two CSV files of an export, for importing. */
export class CsvPairDto {
  @IsString() @MaxLength(8_000_000) actionsCsv!: string;
  @IsString() @MaxLength(8_000_000) readingsCsv!: string;
}

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
