/** The first move when a pit settles off its target: one class for each kind. */
import 'reflect-metadata';
import type { FirstMove } from '@ostrin/core';
import { IsBoolean, IsString, MaxLength } from 'class-validator';
import { InRange, KindOf, kindsOf, OrNull } from './rules';

export class FirstMoveDto {
  do!: FirstMove['do'];
}
class SetVentsMoveDto extends FirstMoveDto {
  @InRange(0, 1) intake!: number;
  @InRange(0, 1) exhaust!: number;
}
class WhenHighMoveDto extends FirstMoveDto {
  @IsBoolean() whenHigh!: boolean;
}
class OtherSplitsMoveDto extends FirstMoveDto {
  @IsBoolean() lighter!: boolean;
  @OrNull() @InRange(0, 1) exhaust!: number | null;
}
class WrittenMoveDto extends FirstMoveDto {
  @IsString() @MaxLength(200) inWords!: string;
}

const MOVES = kindsOf(FirstMoveDto, 'do', {
  'set-vents': SetVentsMoveDto,
  'nothing-left': WhenHighMoveDto,
  'other-splits': OtherSplitsMoveDto,
  'look-at-fan': WhenHighMoveDto,
  'as-written': WrittenMoveDto,
});

/** A field that holds a first move. */
export const FirstMoveOf = (): PropertyDecorator => KindOf(MOVES);
