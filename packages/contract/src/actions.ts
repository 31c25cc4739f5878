/** What somebody does: one class for each `do`, told apart by that field. */
import 'reflect-metadata';
import { CHARCOALS, WOODS, type Action, type PlanLog } from '@ostrin/core';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { InRange, Known } from './rules';

const DOES = [
  'set-vents',
  'lid-open',
  'add-fuel',
  'add-wood',
  'meat-on',
  'meat-off',
  'wrap',
  'unwrap',
] as const;
const NOT_YET = ['door', 'rake', 'fill-water', 'turn', 'spritz', 'set-target', 'fan'];

/** The part of an action that says what, without when. */
export class DeedDto {
  @Known(DOES, NOT_YET) do!: (typeof DOES)[number];

  /** As the log keeps it: plain, defaults filled in. */
  toLog(): PlanLog {
    const { atMin: _atMin, ...rest } = { atMin: 0, ...this } as { atMin?: number } & object;
    return rest as PlanLog;
  }
}

export class SetVentsDeed extends DeedDto {
  @InRange(0, 1) intakeFraction!: number;
  @InRange(0, 1) exhaustFraction!: number;
}
export class LidOpenDeed extends DeedDto {
  @InRange(1, 3600) seconds!: number;
}
export class AddFuelDeed extends DeedDto {
  @Known(Object.keys(CHARCOALS), ['lump', 'splits']) fuel!: keyof typeof CHARCOALS;
  @IsOptional() @IsInt() @Min(1) @Max(300) pieces?: number;
  @IsOptional() @InRange(0.01, 10) massKg?: number;
  @IsOptional() @IsBoolean() lit: boolean = false;

  override toLog(): PlanLog {
    const pieces = this.pieces ?? (this.massKg ?? 0) / CHARCOALS[this.fuel].pieceKg;
    return { do: 'add-fuel', fuel: this.fuel, pieces, lit: this.lit };
  }
}
export class AddWoodDeed extends DeedDto {
  @Known(Object.keys(WOODS)) species!: keyof typeof WOODS;
  @InRange(5, 1000) massG!: number;
}
export class MeatDeed extends DeedDto {
  @IsString() @Length(1, 40) meat!: string;
}
export class WrapDeed extends MeatDeed {
  @IsIn(['paper', 'foil', 'none']) with!: 'paper' | 'foil' | 'none';
}

/** Deeds by name, for class-transformer. */
export const DEEDS = [
  { name: 'set-vents', value: SetVentsDeed },
  { name: 'lid-open', value: LidOpenDeed },
  { name: 'add-fuel', value: AddFuelDeed },
  { name: 'add-wood', value: AddWoodDeed },
  { name: 'meat-on', value: MeatDeed },
  { name: 'meat-off', value: MeatDeed },
  { name: 'unwrap', value: MeatDeed },
  { name: 'wrap', value: WrapDeed },
];

type DeedClass = new () => DeedDto;

/** The same deeds with their minute, as a scenario lists them. */
function timed(base: DeedClass): DeedClass {
  class Timed extends base {
    atMin!: number;
    toAction(): Action {
      return { ...this.toLog(), atMin: this.atMin } as Action;
    }
  }
  InRange(0, 2880)(Timed.prototype, 'atMin');
  return Timed;
}

export class ActionDto extends DeedDto {
  @InRange(0, 2880) atMin!: number;
  toAction(): Action {
    return { ...this.toLog(), atMin: this.atMin } as Action;
  }
}

export const ACTIONS = DEEDS.map((d) => ({ name: d.name, value: timed(d.value) }));
