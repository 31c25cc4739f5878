/** The plan document, as a cook keeps it and an import brings it back. */
import 'reflect-metadata';
import { CHARCOALS } from '@ostrin/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { DEEDS, DeedDto } from './actions';
import { RequestDto } from './request';
import { InRange, Known, LocalTime, Nested, NestedList, Series } from './rules';
import { ChunkDto, ScenarioDto } from './scenario';

const MOST_ROWS = 3000;

class ReadyDto {
  @IsString() @Length(1, 40) id!: string;
  @LocalTime() p10!: string;
  @LocalTime() p50!: string;
  @LocalTime() p90!: string;
}

class PlannedFireDto {
  @IsString() @Length(1, 60) pit!: string;
  @Known(['snake']) arrangement!: string;
  @Known(Object.keys(CHARCOALS)) fuel!: keyof typeof CHARCOALS;
  @IsInt() @Min(1) @Max(3) side!: number;
  @IsInt() @Min(1) @Max(2) layers!: number;
  @InRange(1, 350) arcDegrees!: number;
  @InRange(1, 1000) pieces!: number;
  @InRange(0.01, 30) massKg!: number;
  @InRange(0, 400) litPieces!: number;
  @NestedList(() => ChunkDto, 40) woodChunks!: ChunkDto[];
  @InRange(0, 1000) lengthenPieces!: number;
  @InRange(0, 4320) lastsMin!: number;
}

class PlanVentsDto {
  @LocalTime() at!: string;
  @IsString() pit!: string;
  @InRange(0, 1) intakeFraction!: number;
  @InRange(0, 1) exhaustFraction!: number;
  @InRange(-50, 600) settlesC!: number;
  @IsString() @MaxLength(200) inWords!: string;
}

class PlanJobDto {
  @IsString() @Length(1, 40) id!: string;
  @LocalTime() at!: string;
  @InRange(-1440, 4320) atMin!: number;
  @IsString() @MaxLength(40) do!: string;
  @IsString() @MaxLength(200) inWords!: string;
  @IsString() @MaxLength(600) detail!: string;
  @IsArray()
  @ArrayMaxSize(10)
  @ValidateNested({ each: true })
  @Type(() => DeedDto, {
    discriminator: { property: 'do', subTypes: [...DEEDS] },
    keepDiscriminatorProperty: true,
  })
  logs!: DeedDto[];
  @IsOptional() @Series(2) spanMin?: [number, number];
}

class WatchDto {
  @InRange(0, 1000) visits!: number;
  @InRange(0, 4320) longestFreeMin!: number;
  @IsArray() @ArrayMaxSize(0) shifts!: [];
}

class ShoppingDto {
  @IsString() @MaxLength(200) item!: string;
  @IsString() @MaxLength(200) amount!: string;
}

class RiskDto {
  @IsString() @MaxLength(400) sign!: string;
  @IsString() @MaxLength(400) move!: string;
}

class ProblemDto {
  @IsString() @MaxLength(200) field!: string;
  @IsString() @MaxLength(400) message!: string;
  @IsString() @MaxLength(400) instead!: string;
}

class ExpectedDto {
  @InRange(1, 60) everyMin!: number;
  @Series(MOST_ROWS) pitC!: number[];
  @Series(MOST_ROWS) pitLowC!: number[];
  @Series(MOST_ROWS) pitHighC!: number[];
  @Series(MOST_ROWS) coreC!: (number | null)[];
  @Series(MOST_ROWS) coreLowC!: (number | null)[];
  @Series(MOST_ROWS) coreHighC!: (number | null)[];
}

/** `plan/1`. */
export class PlanDto {
  @Equals('plan/1', { message: 'must be "plan/1"' }) ostrin!: 'plan/1';
  @Nested(() => RequestDto) request!: RequestDto;
  @LocalTime() serveAt!: string;
  @LocalTime() lightAt!: string;
  @ShortTexts(16) meatOnAt!: string[];
  @NestedList(() => ReadyDto, 20) ready!: ReadyDto[];
  @Series(2) restAvailableMin!: [number, number];
  @InRange(0, 1) chanceLateFraction!: number;
  @InRange(1, 200) pieces!: number;
  @Series(2) cookedKg!: [number, number];
  @NestedList(() => PlannedFireDto, 5) fires!: PlannedFireDto[];
  @NestedList(() => PlanVentsDto, 50) vents!: PlanVentsDto[];
  @NestedList(() => PlanJobDto, 200) jobs!: PlanJobDto[];
  @Nested(() => WatchDto) watch!: WatchDto;
  @NestedList(() => ShoppingDto, 50) shopping!: ShoppingDto[];
  @NestedList(() => RiskDto, 20) risks!: RiskDto[];
  @NestedList(() => ProblemDto, 20) problems!: ProblemDto[];
  /** Left out by documents from before they were kept. */
  @IsOptional() @ShortTexts(400) cautions: string[] = [];
  @Nested(() => ExpectedDto) expected!: ExpectedDto;
  @NestedList(() => ScenarioDto, 5) scenarios!: ScenarioDto[];
  @InRange(1, 1000) members!: number;
}

/** A list of short texts. */
function ShortTexts(most: number): PropertyDecorator {
  return (target, property) => {
    IsArray({ message: 'must be a list' })(target, property as string);
    IsString({ each: true })(target, property as string);
    MaxLength(most, { each: true })(target, property as string);
  };
}
