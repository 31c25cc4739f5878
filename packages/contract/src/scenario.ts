/** The scenario document as it comes in from outside. */
import 'reflect-metadata';
import {
  ARRANGEMENTS,
  CHARCOALS,
  CUTS,
  PLACES,
  presetOf,
  PRESETS,
  usualFire,
  WOODS,
  type ArrangementId,
  type FireSpec,
  type Place,
  type RestWhere,
  type WrapId,
  WRAPS,
} from '@ostrin/core/catalogue';
import type { Control, Scenario, Weather } from '@ostrin/core';
import { Type } from 'class-transformer';
import {
  Equals,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { TIMED_ACTIONS, type TimedActionDto } from './actions';
import {
  ExactlyOne,
  InRange,
  KindList,
  Known,
  Nested,
  NestedList,
  ObjectOrList,
  OneBeside,
  Optional,
} from './rules';

const REST_PLACES = ['open', 'tented', 'counter', 'cool-box', 'warmer', 'oven'];
const MOST_MINUTES = 2880;

export class OverridesDto {
  @Optional() @InRange(0.3, 1.2) diameterM?: number;
  @Optional() @InRange(0, 3) lengthM?: number;
  @Optional() @InRange(0, 400) intakeCm2?: number;
  @Optional() @InRange(1, 400) exhaustCm2?: number;
  @Optional() @InRange(0, 1000) doorCm2?: number;
  @Optional() @InRange(0, 1000) bedCm2?: number;
  @Optional() @InRange(0.1, 150) leakCm2?: number;
  @Optional() @InRange(0.2, 4) wallLossFactor?: number;
  @Optional() @InRange(0.2, 4) spreadFactor?: number;
  @Optional() @InRange(0, 20) waterKg?: number;
  @Optional() @InRange(0.1, 4) fireWallM2?: number;
  @Optional() @InRange(0.1, 8) chamberWallM2?: number;
  @Optional() @InRange(0.3, 60) wallMm?: number;
  @Optional() @InRange(0, 40) insulationWPerM2K?: number;
  @Optional() @InRange(0.2, 3) exhaustHeightM?: number;
  @Optional() @InRange(0.1, 2) seamHeightM?: number;
  @Optional() @InRange(0.1, 2) grateHeightM?: number;
  @Optional() @InRange(300, 100000) metalJPerK?: number;
  @Optional() @InRange(0.01, 2) volumeM3?: number;
  @Optional() @InRange(5, 500) fanPa?: number;
  @Optional() @InRange(1, 100) fanCm2?: number;
}

export class CookerDto {
  @Known(Object.keys(PRESETS)) preset!: string;
  @Optional() @Nested(() => OverridesDto) overrides: OverridesDto = new OverridesDto();
}

export class ChunkDto {
  @Known(Object.keys(WOODS)) species!: keyof typeof WOODS;
  @InRange(5, 3000) massG!: number;
  @Optional() @InRange(0, 360) atArcDegrees?: number;
  @Optional() @InRange(0, 1) depthFraction?: number;
  @Optional() @InRange(0, 0.6) moistureFraction?: number;
}

/** A fire. A snake says how it lies; others are weighed or counted; what is left out is as usual. */
export class FireDto {
  @Known(ARRANGEMENTS) arrangement!: ArrangementId;
  @Known(Object.keys(CHARCOALS)) fuel!: keyof typeof CHARCOALS;
  @Optional() @IsInt() @Min(1) @Max(3) side?: number;
  @Optional() @IsInt() @Min(1) @Max(2) layers?: number;
  @Optional() @InRange(10, 350) arcDegrees?: number;
  @Optional() @InRange(1, 1000) pieces?: number;
  @Optional() @InRange(0.05, 30) massKg?: number;
  @Optional() @InRange(0, 400) litPieces?: number;
  @Optional() @InRange(0, 10) litMassKg?: number;
  @Optional() @IsIn(['top', 'middle']) litPlace?: 'top' | 'middle';
  @Optional() @Equals(0, { message: 'must be 0: time counts from lighting' }) litAtMin: number = 0;
  @Optional() @NestedList(() => ChunkDto, 40) woodChunks: ChunkDto[] = [];
}

export class WeatherDto {
  @Optional() @InRange(0, MOST_MINUTES) atMin?: number;
  @InRange(-40, 55) airC!: number;
  @InRange(0, 30) windMps!: number;
  @InRange(0, 1) relativeHumidityFraction!: number;
  @Optional() @InRange(-400, 5000) altitudeM: number = 0;
  @Optional() @InRange(0, 100) rainMmPerH: number = 0;
}

class HeldPointDto {
  @InRange(0, MOST_MINUTES) atMin!: number;
  @InRange(20, 300) pitC!: number;
}

class HumidityDto {
  @InRange(-20, 95) dewPointC!: number;
}

export class PaceWhenDto {
  @Optional() @InRange(20, 99) coreC?: number;
  @Optional() @Equals(true) barkFirm?: true;
}

class SecondPaceDto {
  @InRange(40, 300) targetC!: number;
  @Nested(() => PaceWhenDto) @ExactlyOne('coreC', 'barkFirm') when!: PaceWhenDto;
}

class ControlDto {
  @Known(['vents', 'fan', 'tended', 'held']) mode!: Control['mode'];
  @Optional() @InRange(40, 300) targetC?: number;
  @Optional() @Nested(() => SecondPaceDto) then?: SecondPaceDto;
  @Optional() @NestedList(() => HeldPointDto, 200) schedule?: HeldPointDto[];
  @Optional() @Nested(() => HumidityDto) pitHumidity?: HumidityDto;
  @Optional() @InRange(0, 5) airSpeedMps?: number;
}

/** What a time of wrapping is said by. */
export const WRAP_WHENS = ['coreC', 'atMin', 'onForMin', 'stalled', 'barkSet'] as const;

export class WhenDto {
  @Optional() @InRange(0, 99) coreC?: number;
  @Optional() @InRange(0, MOST_MINUTES) atMin?: number;
  @Optional() @InRange(5, MOST_MINUTES) onForMin?: number;
  @Optional() @Equals(true) stalled?: true;
  @Optional() @Equals(true) barkSet?: true;
}

export class WrapDto {
  @Known(Object.keys(WRAPS)) with!: WrapId;
  @Optional()
  @Nested(() => WhenDto)
  @ExactlyOne(...WRAP_WHENS)
  when?: WhenDto;
  /** Poured into a boat or pan, kg. */
  @Optional() @InRange(0, 3) liquidKg?: number;
  /** Bared again about so long before it is done, min. */
  @Optional() @InRange(5, 90) bareLastMin?: number;
}

class SprayDto {
  @InRange(10, 240) everyMin!: number;
  @Optional() @InRange(0, MOST_MINUTES) firstMin?: number;
  @Optional() @IsInt() @Min(1) @Max(40) most?: number;
}

class SauceDto {
  @InRange(1, 90) lastMin!: number;
}

export class DoneDto {
  @Optional() @InRange(40, 99) coreC?: number;
  @Optional() @Equals(true) tender?: true;
}

/** How well a pit is known: one sd of the logarithm of each figure. */
export class KnownPitDto {
  @InRange(0, 2) leakCm2!: number;
  @InRange(0, 2) wallLossFactor!: number;
  @InRange(0, 2) spreadFactor!: number;
}

class RestFirstDto {
  @Known(['open', 'counter']) where!: 'open' | 'counter';
  @Optional() @InRange(50, 90) untilCoreC?: number;
  @Optional() @InRange(1, 180) minutes?: number;
}

export class RestDto {
  @Known(REST_PLACES) where!: RestWhere;
  @InRange(0, 1440) minutes!: number;
  /** Of a warmer or an oven. */
  @Optional() @InRange(40, 160) atC?: number;
  /** Where it stands before it is shut in. */
  @Optional() @Nested(() => RestFirstDto) @OneBeside('minutes', 'untilCoreC') first?: RestFirstDto;
}

export class MeatDto {
  @IsString() @Length(1, 40) id!: string;
  @Known(Object.keys(CUTS)) cut!: string;
  @Optional() @IsInt() @Min(1) @Max(200) count?: number;
  @InRange(0.05, 12) massKg!: number;
  @Optional() @InRange(15, 300) thicknessMm?: number;
  @Optional() @InRange(-2, 40) startC: number = 4;
  @Optional() @Known(PLACES) at?: Place;
  /** Injected, pinned or blade-tenderised. */
  @Optional() @IsBoolean() injected?: boolean;
  @Optional() @IsBoolean() probedEarly?: boolean;
  @Optional() @Nested(() => WrapDto) wrap?: WrapDto;
  @Optional() @Nested(() => SprayDto) spray?: SprayDto;
  @Optional() @Nested(() => SauceDto) sauce?: SauceDto;
  @Optional() @Nested(() => DoneDto) @ExactlyOne('coreC', 'tender') done?: DoneDto;
  @Optional() @Nested(() => RestDto) rest?: RestDto;
}

/** `scenario/1`. Use `readScenario`, which also checks what spans several fields. */
export class ScenarioDto {
  @Equals('scenario/1', { message: 'must be "scenario/1"' }) ostrin!: 'scenario/1';
  @Nested(() => CookerDto) cooker!: CookerDto;
  @Optional() @Nested(() => FireDto) fire?: FireDto;
  @ObjectOrList() @ValidateNested({ each: true }) @Type(() => WeatherDto) weather!:
    | WeatherDto
    | WeatherDto[];
  @Nested(() => ControlDto) control!: ControlDto;
  @Optional()
  @KindList(TIMED_ACTIONS, 2000)
  actions: TimedActionDto[] = [];
  @Optional() @NestedList(() => MeatDto, 20) meats: MeatDto[] = [];
  @InRange(1, MOST_MINUTES) untilMin!: number;
  @Optional() @IsInt() @IsIn([1, 2, 3, 5, 10, 15, 30, 60]) everyMin: number = 1;
}

/** A fire with its usual measures filled in and pieces turned into kilograms. */
function toFire(fire: FireDto, preset: string): FireSpec {
  const usual = usualFire(presetOf(preset), fire.arrangement);
  const piece = CHARCOALS[fire.fuel].pieceKg;
  const common = {
    fuel: fire.fuel,
    litAtMin: 0,
    woodChunks: fire.woodChunks.map((c) => ({ ...c })),
  };
  if (usual.arrangement === 'snake') {
    return {
      ...usual,
      ...common,
      side: fire.side ?? usual.side,
      layers: fire.layers ?? usual.layers,
      arcDegrees: fire.arcDegrees ?? usual.arcDegrees,
      litPieces:
        fire.litPieces ?? (fire.litMassKg === undefined ? usual.litPieces : fire.litMassKg / piece),
    };
  }
  const massKg = fire.massKg ?? (fire.pieces === undefined ? usual.massKg : fire.pieces * piece);
  const lit = fire.litMassKg ?? (fire.litPieces === undefined ? undefined : fire.litPieces * piece);
  return {
    ...usual,
    ...common,
    massKg,
    // A coal bed is poured in lit unless it says otherwise.
    litMassKg:
      lit ?? (fire.arrangement === 'coal-bed' ? massKg : Math.min(usual.litMassKg, massKg)),
    litPlace: fire.litPlace ?? 'top',
  };
}

/** A checked document as the engine takes it: defaults filled in, kilograms turned into pieces. */
export function toScenario(dto: ScenarioDto): Scenario {
  return {
    ostrin: 'scenario/1',
    cooker: { preset: dto.cooker.preset, overrides: { ...dto.cooker.overrides } },
    fire: dto.fire && toFire(dto.fire, dto.cooker.preset),
    weather: Array.isArray(dto.weather)
      ? dto.weather.map((w): Weather => ({ ...w }))
      : { ...dto.weather },
    control: { ...dto.control } as Control,
    actions: dto.actions.map((a) => a.toAction()),
    meats: dto.meats.map((m) => ({ ...m }) as Scenario['meats'][number]),
    untilMin: dto.untilMin,
    everyMin: dto.everyMin,
  };
}
