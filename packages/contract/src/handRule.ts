/** How a fire is held by hand, as a plan keeps it. */
import 'reflect-metadata';
import type { PlannedRule } from '@ostrin/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { VentPairDto } from './policy';
import { InRange, KindOf, kindsOf, Nested, NestedList, OrNull, PlaceIn } from './rules';

/** Settings or splits of one rule. */
const MOST_NOTCHES = 40;

class NotchesDto {
  by!: PlannedRule['notches']['by'];
}
class VentNotchesDto extends NotchesDto {
  @ArrayMinSize(1) @NestedList(() => VentPairDto, MOST_NOTCHES) settings!: VentPairDto[];
}
class SplitNotchesDto extends NotchesDto {
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_NOTCHES)
  @IsNumber({}, { each: true })
  @Min(0.01, { each: true })
  @Max(10, { each: true })
  splitsKg!: number[];
  @InRange(0, 300) waitOverK!: number;
}

const NOTCHES = kindsOf(NotchesDto, 'by', { vents: VentNotchesDto, splits: SplitNotchesDto });

/** The list of the notches, whatever they are; undefined where there is none. */
const listOf = (notches: Partial<VentNotchesDto & SplitNotchesDto> | undefined): unknown =>
  notches?.settings ?? notches?.splitsKg;

class TopUpPiecesDto {
  @InRange(0, 9999) belowPieces!: number;
  @InRange(0, 9999) addPieces!: number;
}

class LooksDto {
  @InRange(-9999, 9999) fromMin!: number;
  @InRange(-9999, 9999) toMin!: number;
  @InRange(0, 9999) count!: number;
}

/** See `PlannedRule` of the engine. */
export class PlannedRuleDto {
  @IsString() @MaxLength(60) pit!: string;
  @InRange(1, 600) everyMin!: number;
  @InRange(-100, 300) overK!: number;
  @InRange(0, 300) underK!: number;
  @OrNull() @InRange(0, 300) twoFromK!: number | null;
  @InRange(0, 300) backK!: number;
  @InRange(0, 300) notchK!: number;
  @PlaceIn<PlannedRuleDto>((of) => listOf(of.notches)) start!: number;
  @KindOf(NOTCHES) notches!: VentNotchesDto | SplitNotchesDto;
  @InRange(-300, 300) readsOverK!: number;
  @OrNull() @InRange(0, 1) inBandFraction!: number | null;
  @OrNull() @InRange(0, 6000) aloneMin?: number | null;
  @OrNull() @Nested(() => TopUpPiecesDto) topUp!: TopUpPiecesDto | null;
  @Nested(() => LooksDto) looks!: LooksDto;
}
