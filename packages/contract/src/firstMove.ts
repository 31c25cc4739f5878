/** The first move when a pit settles off its target: one class for each kind. */
import 'reflect-metadata';
import { IsBoolean, IsString, MaxLength } from 'class-validator';
import { InRange, KindOf, Known, OrNull } from './rules';

const MOVE_KINDS = [
  'set-vents',
  'nothing-left',
  'other-splits',
  'look-at-fan',
  'as-written',
] as const;

export class FirstMoveDto {
  @Known(MOVE_KINDS) do!: (typeof MOVE_KINDS)[number];
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

const MOVE_TYPES = [
  { name: 'set-vents', value: SetVentsMoveDto },
  { name: 'nothing-left', value: WhenHighMoveDto },
  { name: 'look-at-fan', value: WhenHighMoveDto },
  { name: 'other-splits', value: OtherSplitsMoveDto },
  { name: 'as-written', value: WrittenMoveDto },
];

/** A field that holds a first move. */
export const FirstMoveOf = (): PropertyDecorator => KindOf(() => FirstMoveDto, 'do', MOVE_TYPES);
