/** A pit as its owner keeps it. */
import 'reflect-metadata';
import { PRESETS, VENT_NOTATIONS, type VentNotation } from '@ostrin/core';
import { IsIn, IsString, Length, Matches } from 'class-validator';
import { Known, Nested, Optional } from './rules';
import { OverridesDto } from './scenario';

/** The body that makes or changes a pit; its id stands in the path. */
export class PitDto {
  @IsString()
  @Length(1, 40)
  @Matches(/\S/, { message: 'must not be blank' })
  name!: string;
  @Known(Object.keys(PRESETS)) preset!: string;
  @Optional() @Nested(() => OverridesDto) overrides: OverridesDto = new OverridesDto();
  @Optional() @IsIn(VENT_NOTATIONS) ventWay?: VentNotation;
}
