/** A pit as its owner keeps it. */
import 'reflect-metadata';
import { PRESETS, VENT_NOTATIONS, type VentNotation, type VentScale } from '@ostrin/core/catalogue';
import { IsIn } from 'class-validator';
import { Name } from './names';
import { DialFits, InRange, Known, Nested, NestedList, Optional, ShortTexts } from './rules';
import { KnownPitDto, OverridesDto } from './scenario';
import { MOST_VERSIONS } from './types';

class VentDialDto {
  @InRange(-1000, 1000) shut!: number;
  @InRange(-1000, 1000) open!: number;
  @InRange(0.05, 100) step!: number;
}

class VentScaleDto {
  @Known([...VENT_NOTATIONS, 'dial']) way!: VentScale['way'];
  @Optional() @Nested(() => VentDialDto) dial?: VentDialDto;
}

/** How each of the two vents is given. */
export class VentScalesDto {
  @Nested(() => VentScaleDto) @DialFits() intake!: VentScaleDto;
  @Nested(() => VentScaleDto) @DialFits() exhaust!: VentScaleDto;
}

class PitVersionDto {
  @InRange(0, 1e14) at!: number;
  @ShortTexts(100) cooks!: string[];
  @Nested(() => OverridesDto) values!: OverridesDto;
  @Nested(() => OverridesDto) before!: OverridesDto;
  @Nested(() => KnownPitDto) known!: KnownPitDto;
  @InRange(-60, 60) probeBiasK!: number;
  @InRange(0, 60) probeBiasSdK!: number;
  @Optional() @InRange(0.05, 20) windTimes?: number;
  @Optional() @InRange(-60, 150) domeOverGrateK?: number;
}

/** The body that makes or changes a pit; its id stands in the path. */
export class PitDto {
  @Name(40) name!: string;
  @Known(Object.keys(PRESETS)) preset!: string;
  @Optional() @Nested(() => OverridesDto) overrides: OverridesDto = new OverridesDto();
  @Optional() @IsIn(VENT_NOTATIONS) ventWay?: VentNotation;
  @Optional() @Nested(() => VentScalesDto) ventScales?: VentScalesDto;
  @Optional() @Name(40) kind?: string;
  @Optional() @InRange(0, 1e14) putAwayAt?: number;
  @Optional() @NestedList(() => PitVersionDto, MOST_VERSIONS) learned?: PitVersionDto[];
}
