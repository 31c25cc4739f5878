/** The plan document, as a cook keeps it and an import brings it back. */
import 'reflect-metadata';
import {
  ARRANGEMENTS,
  CAUTION_IDS,
  CHARCOALS,
  PLACES,
  type CautionId,
  type FuelId,
  type Place,
} from '@ostrin/core/catalogue';
import type { JobFacts } from '@ostrin/core';
import {
  Equals,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { ACTIONS, type ActionDto } from './actions';
import {
  PlannedHoldDto,
  PreparationDto,
  ProblemDto,
  RiskDto,
  SHOPPING,
  type ShoppingDto,
} from './planCards';
import { Letters } from './names';
import { JobFactsOf, MovesDto } from './planFacts';
import { PlannedRuleDto } from './handRule';
import { ControlPolicyDto } from './policy';
import { RequestDto } from './request';
import {
  InRange,
  KindList,
  Known,
  LocalTime,
  Nested,
  NestedList,
  Optional,
  OrNull,
  Series,
  ShortTexts,
} from './rules';
import { ChunkDto, ScenarioDto } from './scenario';

const MOST_ROWS = 3000;

class ReadyDto {
  @IsString() @Length(1, 40) id!: string;
  @LocalTime() p10!: string;
  @LocalTime() p50!: string;
  @LocalTime() p90!: string;
  @Optional() @ShortTexts(16) wanted?: [string, string];
  @Optional() @InRange(0, 1) chanceLateFraction?: number;
  @Optional() @InRange(0, 1) chanceEarlyFraction?: number;
  @OrNull() @Series(1000) likelyMin?: (number | null)[];
}

export class FeedingDto {
  @Known([...Object.keys(CHARCOALS), 'splits']) what!: FuelId;
  @InRange(0, 30) massKg!: number;
  @InRange(0, 4320) everyMin!: number;
  @InRange(0, 4320) fromMin!: number;
  @InRange(0, 4320) toMin!: number;
  @InRange(0, 1000) count!: number;
}

export class PlannedFireDto {
  @IsString() @Length(1, 60) pit!: string;
  @Optional() @LocalTime() lightAt?: string;
  @Known(ARRANGEMENTS) arrangement!: string;
  @Known(Object.keys(CHARCOALS)) fuel!: keyof typeof CHARCOALS;
  @Optional() @IsInt() @Min(1) @Max(3) side?: number;
  @Optional() @IsInt() @Min(1) @Max(2) layers?: number;
  @Optional() @InRange(1, 350) arcDegrees?: number;
  @InRange(1, 1000) pieces!: number;
  @InRange(0.01, 30) massKg!: number;
  @Optional() @InRange(0, 30) fromLastKg?: number;
  @InRange(0, 400) litPieces!: number;
  @Optional() @InRange(0, 200) litKg?: number;
  @NestedList(() => ChunkDto, 40) woodChunks!: ChunkDto[];
  @Optional() @InRange(0, 10) moreChunks?: number;
  @InRange(0, 1000) lengthenPieces!: number;
  @InRange(0, 4320) lastsMin!: number;
  // Left out by documents from before other fires were planned.
  @Optional() @NestedList(() => FeedingDto, 10) feeding: FeedingDto[] = [];
  @Optional() @InRange(0, 1) inBandFraction?: number;
  @Optional() @InRange(0, 200) reserveKg: number = 0;
  @Optional() @InRange(0, 200) neededKg: number = 0;
  @Optional() @InRange(0, 200) leftKg: number = 0;
  @OrNull() @InRange(0, 1000) hourPieces!: number | null;
  @Optional() @ShortTexts(400) asWritten?: string[];
}

export class PlanVentsDto {
  @LocalTime() at!: string;
  @IsString() pit!: string;
  @InRange(0, 1) intakeFraction!: number;
  @InRange(0, 1) exhaustFraction!: number;
  @InRange(-50, 600) settlesC!: number;
  @OrNull() @InRange(40, 300) fanTargetC!: number | null;
  @IsBoolean() first!: boolean;
  @OrNull() @Nested(() => MovesDto) moves!: MovesDto | null;
}

export class PlanJobDto {
  @IsString() @Length(1, 140) id!: string;
  @LocalTime() at!: string;
  @InRange(-20160, 4320) atMin!: number;
  @IsString() @MaxLength(40) do!: string;
  @JobFactsOf() facts!: JobFacts;
  @KindList(ACTIONS, 10) logs!: ActionDto[];
  @Optional() @Series(2) spanMin?: [number, number];
  @Optional() @IsString() @MaxLength(60) pit?: string;
  @Optional() @Letters(40) by?: string;
}

class ShiftDto {
  @Letters(40) name!: string;
  @LocalTime() from!: string;
  @LocalTime() to!: string;
  @InRange(0, 1000) visits!: number;
}

class AmountDto {
  @IsString() @MaxLength(40) meat!: string;
  @InRange(0, 1000) pieces!: number;
  @Series(2) cookedKg!: [number, number];
  @InRange(0, 5000) trimmedKg!: number;
  @Series(2) rawKg!: [number, number];
  @InRange(0, 100000) feeds!: number;
}

class PlacedPieceDto {
  @IsString() @MaxLength(40) meat!: string;
  @InRange(-3, 3) x!: number;
  @InRange(-3, 3) y!: number;
  @InRange(0, 3) lengthM!: number;
  @InRange(0, 3) widthM!: number;
  @Known(PLACES) at!: Place;
  @Optional() @IsInt() @Min(0) @Max(20) round?: number;
}

class GratePlanDto {
  @IsString() @MaxLength(60) pit!: string;
  @NestedList(() => PlacedPieceDto, 400) laid!: PlacedPieceDto[];
}

class WatchDto {
  @InRange(0, 1000) visits!: number;
  @InRange(0, 4320) longestFreeMin!: number;
  @Optional() @NestedList(() => ShiftDto, 12) shifts: ShiftDto[] = [];
}

class PlateDto {
  @InRange(0, 1000000) meat!: number;
  @OrNull() @InRange(0, 1000000) fuel!: number | null;
  @InRange(0, 1000000) each!: number;
  @Optional() @ShortTexts(40) unpriced?: string[];
}

class OutcomeDto {
  @OrNull() @InRange(0, 100) bark!: number | null;
  @OrNull() @InRange(0, 100) tenderness!: number | null;
}

class OtherCoreDto {
  @Series(MOST_ROWS) coreC!: (number | null)[];
  @Series(MOST_ROWS) coreLowC!: (number | null)[];
  @Series(MOST_ROWS) coreHighC!: (number | null)[];
}

class ExpectedDto {
  @InRange(1, 60) everyMin!: number;
  @Series(MOST_ROWS) pitC!: number[];
  @Series(MOST_ROWS) pitLowC!: number[];
  @Series(MOST_ROWS) pitHighC!: number[];
  @Series(MOST_ROWS) coreC!: (number | null)[];
  @Series(MOST_ROWS) coreLowC!: (number | null)[];
  @Series(MOST_ROWS) coreHighC!: (number | null)[];
  @Optional() @NestedList(() => OtherCoreDto, 12) others?: OtherCoreDto[];
}

/** `plan/1` as figures: sentences are made when it is shown, printed or exported (`liftPlan` reads past them). */
export class PlanDto {
  @Equals('plan/1', { message: 'must be "plan/1"' }) ostrin!: 'plan/1';
  @Nested(() => RequestDto) request!: RequestDto;
  @LocalTime() serveAt!: string;
  @LocalTime() lightAt!: string;
  @ShortTexts(16) meatOnAt!: string[];
  @NestedList(() => ReadyDto, 20) ready!: ReadyDto[];
  @Series(2) restAvailableMin!: [number, number];
  @InRange(0, 1) chanceLateFraction!: number;
  @InRange(1, 2400) pieces!: number;
  @Series(2) cookedKg!: [number, number];
  @NestedList(() => PlannedFireDto, 5) fires!: PlannedFireDto[];
  @NestedList(() => PlanVentsDto, 200) vents!: PlanVentsDto[];
  @NestedList(() => PreparationDto, 12) preparation!: PreparationDto[];
  @NestedList(() => PlannedHoldDto, 12) holds!: PlannedHoldDto[];
  @NestedList(() => PlanJobDto, 600) jobs!: PlanJobDto[];
  // Left out by documents from before they were kept, as those marked optional further down.
  @Optional() @NestedList(() => AmountDto, 12) amounts: AmountDto[] = [];
  @Optional() @NestedList(() => GratePlanDto, 5) grates: GratePlanDto[] = [];
  @Optional() @NestedList(() => ControlPolicyDto, 5) guides: ControlPolicyDto[] = [];
  @Optional() @NestedList(() => PlannedRuleDto, 5) rules?: PlannedRuleDto[];
  @Nested(() => WatchDto) watch!: WatchDto;
  @KindList(SHOPPING, 50) shopping!: ShoppingDto[];
  @Optional() @Nested(() => PlateDto) plate?: PlateDto;
  @NestedList(() => RiskDto, 20) risks!: RiskDto[];
  @Optional() @Nested(() => OutcomeDto) outcome?: OutcomeDto;
  @NestedList(() => ProblemDto, 20) problems!: ProblemDto[];
  @ShortTexts(40) @IsIn(CAUTION_IDS, { each: true }) cautionIds!: CautionId[];
  @Optional() @ShortTexts(400) writtenCautions?: string[];
  @OrNull() @InRange(0, 10000000) cost: number | null = null;
  @Nested(() => ExpectedDto) expected!: ExpectedDto;
  @Optional() @NestedList(() => ExpectedDto, 5) expectedOf?: ExpectedDto[];
  @NestedList(() => ScenarioDto, 5) scenarios!: ScenarioDto[];
  @InRange(1, 1000) members!: number;
}
