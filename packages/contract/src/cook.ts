/** A cook, its log and its readings: what app and server say to each other, and what is exported. */
import 'reflect-metadata';
import { CUTS } from '@ostrin/core/catalogue';
import {
  LOOKS,
  MUSCLES,
  type Entry,
  type LookAt,
  type Muscle,
  type NoteSubject,
  type PieceVerdict,
  type Verdict,
  type WeighedThing,
} from '@ostrin/core/log';
import { NOTE_SUBJECTS, PIECE_VERDICTS, WEIGHED_THINGS } from '@ostrin/core/afterwards';
import {
  Equals,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { Letters, Name } from './names';
import { ACTIONS, type ActionDto } from './actions';
import type { ProbeMove } from './instrumentTypes';
import { PlanDto } from './plan';
import { MeatDto } from './scenario';
import {
  InRange,
  KindList,
  KindOf,
  kindsOf,
  Known,
  Nested,
  NestedList,
  Numbers,
  Optional,
  OrNull,
} from './rules';

/** Epoch milliseconds in the years 2000 to 2199. */
export const Instant = (): PropertyDecorator => (target, property) => {
  IsInt({ message: 'must be a time in whole milliseconds' })(target, property);
  Min(946684800000)(target, property);
  Max(7258118399999)(target, property);
};

/** Any entry of the log; the kinds add what they say. */
class EntryDto {
  @IsUUID() id!: string;
  @Instant() at!: number;
  @Optional() @IsString() @Length(1, 140) jobId?: string;
  /** Who wrote it, and on which device. */
  @Optional() @Letters(40) by?: string;
  @Optional() @IsUUID() device?: string;
  kind!: Entry['kind'];
}

class ActEntryDto extends EntryDto {
  @KindOf(ACTIONS) action!: ActionDto;
}
class NoteEntryDto extends EntryDto {
  @IsString()
  @Length(1, 2000, { message: 'must have 1 to 2000 characters' })
  text!: string;
}
const READ_SPOTS = ['dome', 'grate', 'meat'] as const;

class ReadEntryDto extends EntryDto {
  @IsIn(READ_SPOTS) spot!: (typeof READ_SPOTS)[number];
  /** What it reads, C. */
  @InRange(-60, 700) c!: number;
  /** The piece that was read, where it was one. */
  @Optional() @IsString() @Length(1, 60) meat?: string;
  /** Which of a brisket's two muscles was read. */
  @Optional() @IsIn(MUSCLES) muscle?: Muscle;
}
/** Something seen or felt; which verdicts belong to what is checked with the cook. */
class LookEntryDto extends EntryDto {
  @IsIn(Object.keys(LOOKS)) what!: LookAt;
  @IsIn(Object.values(LOOKS).flat()) verdict!: Verdict;
  /** The piece that was looked at; left out where it was the pit. */
  @Optional() @IsString() @Length(1, 60) meat?: string;
  /** Which of a brisket's two muscles was felt. */
  @Optional() @IsIn(MUSCLES) muscle?: Muscle;
}
class UndoEntryDto extends EntryDto {
  @IsUUID() target!: string;
}
class ServeAtEntryDto extends EntryDto {
  @Instant() to!: number;
}
class AddFoodEntryDto extends EntryDto {
  @Nested(() => MeatDto) food!: MeatDto;
  @Instant() offAt!: number;
}
class RetimeEntryDto extends UndoEntryDto {
  @Instant() to!: number;
}
class CallAtEntryDto extends EntryDto {
  @IsString() @Length(1, 60) meat!: string;
  /** What its middle reads when it is called, C; null for no longer. */
  @OrNull() @InRange(0, 110) c!: number | null;
}

class HandOverEntryDto extends EntryDto {
  @Letters(40) to!: string;
  @IsString() @MaxLength(4000) sheet!: string;
}
class TakeWatchEntryDto extends EntryDto {
  /** Id of the offer that it accepts. */
  @Optional() @IsUUID() offer?: string;
}

/** How a piece was, once it was eaten. */
class VerdictEntryDto extends EntryDto {
  @IsString() @Length(1, 60) meat!: string;
  @IsIn(Object.values(PIECE_VERDICTS).flat()) verdict!: PieceVerdict;
}
class NextTimeEntryDto extends EntryDto {
  @IsIn(NOTE_SUBJECTS) about!: NoteSubject;
  /** The cut that it is about. */
  @Optional() @Known(Object.keys(CUTS)) cut?: string;
  @IsString()
  @Length(1, 500)
  @Matches(/\S/, { message: 'must not be blank' })
  text!: string;
}
class WeighedEntryDto extends EntryDto {
  @IsIn(WEIGHED_THINGS) what!: WeighedThing;
  @InRange(0, 60) kg!: number;
  /** The piece that was weighed; left out for fuel. */
  @Optional() @IsString() @Length(1, 60) meat?: string;
}

/** The class of each kind: none is left out. */
const ENTRY_CLASSES: Readonly<Record<Entry['kind'], new () => EntryDto>> = {
  act: ActEntryDto,
  note: NoteEntryDto,
  job: EntryDto,
  skip: EntryDto,
  read: ReadEntryDto,
  look: LookEntryDto,
  undo: UndoEntryDto,
  retime: RetimeEntryDto,
  finish: EntryDto,
  'serve-at': ServeAtEntryDto,
  'add-food': AddFoodEntryDto,
  'call-at': CallAtEntryDto,
  surprises: EntryDto,
  'hand-over': HandOverEntryDto,
  'take-watch': TakeWatchEntryDto,
  verdict: VerdictEntryDto,
  'next-time': NextTimeEntryDto,
  weighed: WeighedEntryDto,
};

const ENTRIES = kindsOf(EntryDto, 'kind', ENTRY_CLASSES, IsIn);

/** Entries sent in one go; all are stored or none. */
export class EntriesDto {
  @KindList(ENTRIES, 200) entries!: EntryDto[];
  /** Whoever wrote them was asked and wants them stored although the cook is finished, or the like was just logged. */
  @Optional() @IsBoolean() confirmed?: boolean;
}

/** What burns: a real fire by the real clock, or a simulated one by a clock of its own. */
const COOK_FIRES = ['real', 'practice'] as const;

/** A cook to be begun. `startMs` is the minute 0 of its plan on the cook's own clock. */
export class NewCookDto {
  @Letters(120) name!: string;
  @Letters(60) pitName!: string;
  @Nested(() => PlanDto) plan!: PlanDto;
  /** Practice when left out. */
  @Optional() @IsIn(COOK_FIRES) fire?: (typeof COOK_FIRES)[number];
}

/** One of several cooks to be begun together, under an id of the caller's. */
class NamedNewCookDto extends NewCookDto {
  @IsUUID() id!: string;
}

/** Cooks to be begun together: all or none. */
export class NewCooksDto {
  @NestedList(() => NamedNewCookDto, 5) cooks!: NamedNewCookDto[];
}

/** Another name for a cook. */
export class CookNameDto {
  @Name(60) name!: string;
}

/** A span of a cook, [from, to), epoch ms. */
export class SpanDto {
  @Instant() from!: number;
  @Instant() to!: number;
}

/** Speed of the simulated thermometer's clock, and the instant of the cook that it skips to. */
export class ClockDto {
  @InRange(1, 240) speed!: number;
  @Optional() @Instant() skipTo?: number;
}

/** Says in which piece of a cook a probe is, and since when. */
export class ProbeDto implements ProbeMove {
  @IsString() @Length(1, 60) instrument!: string;
  @IsString() @Length(1, 40) channel!: string;
  @OrNull() @IsString() @Length(1, 60) meat!: string | null;
  @Instant() from!: number;
}

/** What a weather station at the pit reported. */
class StationDto {
  @Optional() @InRange(-60, 60) airC?: number;
  @Optional() @InRange(0, 75) windMps?: number;
  @Optional() @InRange(0, 500) rainMmPerH?: number;
}

export class ReadingDto {
  @Instant() at!: number;
  @OrNull() @InRange(-60, 1500) pitC!: number | null;
  @OrNull() @InRange(-60, 300) coreC!: number | null;
  @OrNull() @InRange(-60, 1500) domeC?: number | null;
  /** In the middle of other pieces, by their ids, C. */
  @Optional() @Numbers(-60, 300, 60) meatC?: Record<string, number>;
  @Optional() @InRange(0, 1) fanDuty?: number;
  /** Air, C, wind, m/s, and rain, mm/h. */
  @Optional() @Nested(() => StationDto) weather?: StationDto;
}

/** Readings of one document: ten days at one a second. */
export const MOST_READINGS = 1_000_000;

/** `cook/1`: a whole cook as one document. */
export class CookDocDto {
  @Equals('cook/1', { message: 'must be "cook/1"' }) ostrin!: 'cook/1';
  @IsUUID() id!: string;
  @Letters(120) name!: string;
  @Letters(60) pitName!: string;
  @Instant() startMs!: number;
  /** Practice when left out. */
  @Optional() @IsIn(COOK_FIRES) fire?: (typeof COOK_FIRES)[number];
  @Nested(() => PlanDto) plan!: PlanDto;
  @KindList(ENTRIES, 20000) entries!: EntryDto[];
  @NestedList(() => ReadingDto, MOST_READINGS) readings!: ReadingDto[];
}

/** Readings by themselves: a long record is read a part at a time. */
export class ReadingsDto {
  @NestedList(() => ReadingDto, MOST_READINGS) readings!: ReadingDto[];
}

/** The two CSV files of an export, for importing. */
export class CsvPairDto {
  @IsString() @MaxLength(8_000_000) actionsCsv!: string;
  @IsString() @MaxLength(60_000_000) readingsCsv!: string;
}
