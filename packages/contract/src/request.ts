/** The request document: what somebody wants, as it comes in from outside. */
import 'reflect-metadata';
import {
  ARRANGEMENTS,
  CHARCOALS,
  CUTS,
  PLACES,
  SPRAY_SCHOOLS,
  VENT_NOTATIONS,
  WOODS,
  type ArrangementId,
  type FuelId,
  type Place,
  type SpraySchool,
  type VentNotation,
} from '@ostrin/core/catalogue';
import { GAUGES, PREPARATIONS, type Gauge, type Request } from '@ostrin/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import {
  ExactlyOne,
  InRange,
  Known,
  LocalTime,
  Nested,
  NestedList,
  ObjectOrList,
  Optional,
  Zone,
} from './rules';
import { Letters } from './names';
import { VentScalesDto } from './pit';
import {
  CookerDto,
  DoneDto,
  KnownPitDto,
  PaceWhenDto,
  RestDto,
  WeatherDto,
  WrapDto,
} from './scenario';

const FUELS = [...Object.keys(CHARCOALS), 'splits'];
/** What is bought and kept for fires. */
export const FUEL_KINDS: readonly string[] = [...FUELS, 'chunks'];
/** As many as a yard and its tables hold. */
const MOST = { pits: 5, meats: 12, crew: 12, fuels: 20, cuts: 60 };

export class RequestFireDto {
  @Known(FUELS) fuel!: FuelId;
  @Optional() @Known(ARRANGEMENTS) arrangement?: ArrangementId;
  @Optional() @Known(Object.keys(WOODS)) species?: keyof typeof WOODS;
  @Optional() @InRange(10, 120) everyMin?: number;
  @Optional() @InRange(0, 30) leftKg?: number;
}

class ThenDto {
  @InRange(80, 230) pitC!: number;
  @Nested(() => PaceWhenDto) @ExactlyOne('coreC', 'barkFirm') when!: PaceWhenDto;
}

export class PaceDto {
  @InRange(80, 200) pitC!: number;
  @Optional() @InRange(1, 40) bandC: number = 8;
  @Optional() @Nested(() => ThenDto) then?: ThenDto;
}

export class RequestPitDto {
  @IsString() @Length(1, 60) id!: string;
  @Optional() @Letters(60) name?: string;
  @Optional() @Known(VENT_NOTATIONS) ventWay?: VentNotation;
  @Optional() @Nested(() => VentScalesDto) ventScales?: VentScalesDto;
  @Nested(() => CookerDto) cooker!: CookerDto;
  @Nested(() => RequestFireDto) fire!: RequestFireDto;
  @Optional() @IsBoolean() fan?: boolean;
  @Optional() @Known(GAUGES) gauge?: Gauge;
  @Optional() @Nested(() => KnownPitDto) known?: KnownPitDto;
  @Optional() @InRange(-30, 30) probeOffsetK?: number;
  @Optional() @InRange(0.05, 20) windTimes?: number;
  @Optional() @InRange(-60, 150) domeOverGrateK?: number;
  @Nested(() => PaceDto) pace!: PaceDto;
}

class PiecePlacementDto {
  @InRange(-3, 3) x!: number;
  @InRange(-3, 3) y!: number;
  @Optional() @IsBoolean() turned?: boolean;
}

/** When a meat of a meal is done: as a scenario says it, or by its middle on the plate after the rest. */
class MealDoneDto extends DoneDto {
  @Optional() @InRange(40, 99) plateC?: number;
}

class SprayTimesDto {
  @Optional() @InRange(0, 1440) firstMin?: number;
  @Optional() @InRange(10, 240) everyMin?: number;
}

export class RequestMeatDto {
  @IsString() @Length(1, 40) id!: string;
  @Known(Object.keys(CUTS)) cut!: string;
  @Optional() @InRange(0.05, 12) massKg?: number;
  @Optional() @IsInt() @Min(1) @Max(200) pieces?: number;
  @Optional() @InRange(15, 300) thicknessMm?: number;
  @Optional() @IsString() @Length(1, 60) pit?: string;
  @Optional() @Known(PLACES) at?: Place;
  @Optional() @NestedList(() => PiecePlacementDto, 200) lie?: PiecePlacementDto[];
  @Optional() @LocalTime() serveAt?: string;
  @Optional() @LocalTime() notBefore?: string;
  @Nested(() => WrapDto) wrap!: WrapDto;
  @Nested(() => MealDoneDto) @ExactlyOne('coreC', 'tender', 'plateC') done!: MealDoneDto;
  @Nested(() => RestDto) rest!: RestDto;
  @Optional() @IsBoolean() frozen?: boolean;
  @Optional() @IsBoolean() injected?: boolean;
  @Optional() @Known(Object.keys(SPRAY_SCHOOLS)) spray?: SpraySchool;
  @Optional() @Nested(() => SprayTimesDto) sprayTimes?: SprayTimesDto;
  @Optional() @IsBoolean() sauce?: boolean;
  @Optional() @InRange(5, 90) sauceLastMin?: number;
  @Optional() @Known(PREPARATIONS) prepare?: (typeof PREPARATIONS)[number];
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

class MeatPriceDto {
  @Known(Object.keys(CUTS)) cut!: string;
  @InRange(0, 10000) perKg!: number;
}

class UnitsDto {
  @IsIn(['C', 'F']) temperature!: 'C' | 'F';
  @IsIn(['kg', 'lb']) mass!: 'kg' | 'lb';
}

/** Weather of a request: all day the same, or from an hour on (`at`), which each entry of a list has. */
export class DayWeatherDto extends WeatherDto {
  @Optional() @LocalTime() at?: string;
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
  @Optional() @InRange(50, 1000) appetiteG: number = 220;
  @NestedList(() => RequestPitDto, MOST.pits) pits!: RequestPitDto[];
  @NestedList(() => RequestMeatDto, MOST.meats) meats!: RequestMeatDto[];
  @ObjectOrList() @ValidateNested({ each: true }) @Type(() => DayWeatherDto) weather!:
    | DayWeatherDto
    | DayWeatherDto[];
  @Optional() @InRange(0.5, 0.98) chanceOnTimeFraction: number = 0.9;
  @Optional() @NestedList(() => StockDto, MOST.fuels) fuelOnHand?: StockDto[];
  @Optional() @NestedList(() => PriceDto, MOST.fuels) prices?: PriceDto[];
  @Optional() @NestedList(() => MeatPriceDto, MOST.cuts) meatPrices?: MeatPriceDto[];
  @Optional()
  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(MOST.crew)
  @Letters(40, { each: true })
  crew?: string[];
  @Optional() @Nested(() => UnitsDto) units?: UnitsDto;
}

/** A checked document as the planner takes it: plain, without class instances. */
export const toRequest = (dto: RequestDto): Request => JSON.parse(JSON.stringify(dto)) as Request;
