/** The request document: what somebody wants, as it comes in from outside. */
import 'reflect-metadata';
import {
  ARRANGEMENTS,
  CHARCOALS,
  CUTS,
  PLACES,
  VENT_WAYS,
  WOODS,
  type ArrangementId,
  type FuelId,
  type Place,
  type Request,
  type VentWay,
} from '@ostrin/core';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
} from 'class-validator';
import { ExactlyOne, InRange, Known, LocalTime, Nested, NestedList, Zone } from './rules';
import { CookerDto, DoneDto, RestDto, WeatherDto, WrapDto } from './scenario';

const FUELS = [...Object.keys(CHARCOALS), 'splits'];
/** What is bought and kept for fires. */
export const FUEL_KINDS: readonly string[] = [...FUELS, 'chunks'];
/** As many as a yard and its tables hold. */
const MOST = { pits: 5, meats: 12, crew: 12, fuels: 20 };

export class RequestFireDto {
  @Known(FUELS) fuel!: FuelId;
  @IsOptional() @Known(ARRANGEMENTS) arrangement?: ArrangementId;
  @IsOptional() @Known(Object.keys(WOODS)) species?: keyof typeof WOODS;
}

export class PaceDto {
  @InRange(80, 200) pitC!: number;
  @IsOptional() @InRange(1, 40) bandC: number = 8;
}

export class RequestPitDto {
  @IsString() @Length(1, 60) id!: string;
  @IsOptional() @IsString() @Length(1, 60) name?: string;
  @IsOptional() @Known(VENT_WAYS) ventWay?: VentWay;
  @Nested(() => CookerDto) cooker!: CookerDto;
  @Nested(() => RequestFireDto) fire!: RequestFireDto;
  @Nested(() => PaceDto) pace!: PaceDto;
}

export class LieDto {
  @InRange(-3, 3) x!: number;
  @InRange(-3, 3) y!: number;
  @IsOptional() @IsBoolean() turned?: boolean;
}

export class RequestMeatDto {
  @IsString() @Length(1, 40) id!: string;
  @Known(Object.keys(CUTS)) cut!: string;
  @IsOptional() @InRange(0.05, 12) massKg?: number;
  @IsOptional() @IsInt() @Min(1) @Max(200) pieces?: number;
  @IsOptional() @InRange(15, 300) thicknessMm?: number;
  @IsOptional() @IsString() @Length(1, 60) pit?: string;
  @IsOptional() @Known(PLACES) at?: Place;
  @IsOptional() @NestedList(() => LieDto, 200) lie?: LieDto[];
  @IsOptional() @LocalTime() serveAt?: string;
  @IsOptional() @LocalTime() notBefore?: string;
  @Nested(() => WrapDto) wrap!: WrapDto;
  @Nested(() => DoneDto) @ExactlyOne('coreC', 'tender') done!: DoneDto;
  @Nested(() => RestDto) rest!: RestDto;
  @IsOptional() @IsBoolean() frozen?: boolean;
  @IsOptional() @IsBoolean() injected?: boolean;
  @IsOptional() @IsIn(['dry-brine', 'brine', 'season']) prepare?: 'dry-brine' | 'brine' | 'season';
}

export class StockDto {
  @Known(FUEL_KINDS) fuel!: FuelId | 'chunks';
  @InRange(0, 1000) massKg!: number;
}

export class PriceDto {
  @Known(FUEL_KINDS) fuel!: FuelId | 'chunks';
  @InRange(0.1, 100) bagKg!: number;
  @InRange(0, 10000) each!: number;
}

export class UnitsDto {
  @IsIn(['C', 'F']) temperature!: 'C' | 'F';
  @IsIn(['kg', 'lb']) mass!: 'kg' | 'lb';
}

/** `request/1`. Use `readRequest`, which also checks what spans several fields. */
export class RequestDto {
  @Equals('request/1', { message: 'must be "request/1"' }) ostrin!: 'request/1';
  @LocalTime() serveAt!: string;
  @Zone() timeZone!: string;
  @IsInt({ message: 'must be a whole number of people' })
  @Min(1, { message: 'must be at least 1' })
  @Max(300, { message: 'must be at most 300' })
  people!: number;
  @IsOptional() @InRange(50, 1000) appetiteG: number = 220;
  @NestedList(() => RequestPitDto, MOST.pits) pits!: RequestPitDto[];
  @NestedList(() => RequestMeatDto, MOST.meats) meats!: RequestMeatDto[];
  @Nested(() => WeatherDto) weather!: WeatherDto;
  @IsOptional() @InRange(0.5, 0.98) chanceOnTimeFraction: number = 0.9;
  @IsOptional() @NestedList(() => StockDto, MOST.fuels) fuelOnHand?: StockDto[];
  @IsOptional() @NestedList(() => PriceDto, MOST.fuels) prices?: PriceDto[];
  @IsOptional()
  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(MOST.crew)
  @IsString({ each: true })
  @Length(1, 40, { each: true })
  crew?: string[];
  @IsOptional() @Nested(() => UnitsDto) units?: UnitsDto;
}

/** A checked document as the planner takes it: plain, without class instances. */
export const toRequest = (dto: RequestDto): Request => JSON.parse(JSON.stringify(dto)) as Request;
