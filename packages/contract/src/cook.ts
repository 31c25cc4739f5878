/** A cook, its log and its readings: what app and server say to each other, and what is exported. */
import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  Equals,
  IsArray,
  ArrayMaxSize,
  IsIn,
  IsInt,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { ACTION_TYPES, ActionDto } from './actions';
import { PlanDto } from './plan';
import { InRange, Nested, NestedList, Optional, OrNull } from './rules';

/** Epoch milliseconds between the years 2000 and 2200. */
const Instant = (): PropertyDecorator => (target, property) => {
  IsInt({ message: 'must be a time in whole milliseconds' })(target, property);
  Min(946684800000)(target, property);
  Max(7258118400000)(target, property);
};

export const ENTRY_KINDS = ['act', 'note', 'job', 'undo', 'retime', 'finish'] as const;

/** Any entry of the log; the kinds add what they say. */
export class EntryDto {
  @IsUUID() id!: string;
  @Instant() at!: number;
  @Optional() @IsString() @Length(1, 140) jobId?: string;
  @IsIn(ENTRY_KINDS) kind!: (typeof ENTRY_KINDS)[number];
}

class ActEntryDto extends EntryDto {
  @ValidateNested()
  @Type(() => ActionDto, {
    discriminator: { property: 'do', subTypes: [...ACTION_TYPES] },
    keepDiscriminatorProperty: true,
  })
  @Nested(() => ActionDto)
  action!: ActionDto;
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

/** Speed of the simulated thermometer's clock. */
export class ClockDto {
  @InRange(1, 240) speed!: number;
}

export class ReadingDto {
  @Instant() at!: number;
  @OrNull() @InRange(-60, 1500) pitC!: number | null;
  @OrNull() @InRange(-60, 300) coreC!: number | null;
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
