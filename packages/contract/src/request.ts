/** The request document: what somebody wants, as it comes in from outside. */
import 'reflect-metadata';
import { ARRANGEMENTS, CUTS, PRESETS, WOODS, type CHARCOALS, type Request } from '@ostrin/core';
import { Equals, IsIn, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { InRange, Known, LocalTime, Nested, NestedList, Zone } from './rules';
import { DoneDto, OverridesDto, RestDto, WeatherDto, WrapDto } from './scenario';

/** Cookers and fires that the planner can plan for; the engine computes more. */
const PLANNED = Object.keys(PRESETS).filter((id) => PRESETS[id]!.family === 'kettle');
const NOT_PLANNED = Object.keys(PRESETS).filter((id) => !PLANNED.includes(id));

export class PlannedCookerDto {
  @Known(PLANNED, NOT_PLANNED) preset!: string;
  @IsOptional() @Nested(() => OverridesDto) overrides: OverridesDto = new OverridesDto();
}

export class RequestFireDto {
  @Known(['briquette', 'briquette-ashy'], ['lump', 'splits']) fuel!: keyof typeof CHARCOALS;
  @IsOptional() @Known(['snake'], ARRANGEMENTS) arrangement?: 'snake';
  @IsOptional() @Known(Object.keys(WOODS)) species?: keyof typeof WOODS;
}

export class PaceDto {
  @InRange(80, 200) pitC!: number;
  @IsOptional() @InRange(1, 40) bandC: number = 8;
}

export class RequestPitDto {
  @IsString() @Length(1, 60) id!: string;
  @Nested(() => PlannedCookerDto) cooker!: PlannedCookerDto;
  @Nested(() => RequestFireDto) fire!: RequestFireDto;
  @Nested(() => PaceDto) pace!: PaceDto;
}

export class RequestMeatDto {
  @IsString() @Length(1, 40) id!: string;
  @Known(Object.keys(CUTS)) cut!: string;
  @InRange(0.05, 12) massKg!: number;
  @IsOptional() @IsInt() @Min(1) @Max(200) pieces?: number;
  @IsOptional() @InRange(15, 300) thicknessMm?: number;
  @IsOptional() @IsString() pit?: string;
  @Nested(() => WrapDto) wrap!: WrapDto;
  @Nested(() => DoneDto) done!: DoneDto;
  @Nested(() => RestDto) rest!: RestDto;
}

export class UnitsDto {
  @IsIn(['C', 'F']) temperature!: 'C' | 'F';
  @IsIn(['kg', 'lb']) mass!: 'kg' | 'lb';
}

/** `request/1`. This version plans one pit and one cut; more are refused by name. */
export class RequestDto {
  @Equals('request/1', { message: 'must be "request/1"' }) ostrin!: 'request/1';
  @LocalTime() serveAt!: string;
  @Zone() timeZone!: string;
  @IsInt({ message: 'must be a whole number of people' })
  @Min(1, { message: 'must be at least 1' })
  @Max(300, { message: 'must be at most 300' })
  people!: number;
  @IsOptional() @InRange(50, 1000) appetiteG: number = 220;
  @NestedList(() => RequestPitDto, 1) pits!: RequestPitDto[];
  @NestedList(() => RequestMeatDto, 1) meats!: RequestMeatDto[];
  @Nested(() => WeatherDto) weather!: WeatherDto;
  @IsOptional() @InRange(0.5, 0.98) chanceOnTimeFraction: number = 0.9;
  @IsOptional() @Nested(() => UnitsDto) units?: UnitsDto;
}

/** A checked document as the planner takes it: plain, without class instances. */
export const toRequest = (dto: RequestDto): Request => JSON.parse(JSON.stringify(dto)) as Request;
