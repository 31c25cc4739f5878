/** What somebody does: one class for each `do`, told apart by that field. */
import 'reflect-metadata';
import type { Action, PlanLog } from '@ostrin/core';
import {
  CHARCOALS,
  type CharcoalId,
  PLACES,
  type Place,
  USUAL_SPLIT_KG,
  USUAL_SPLIT_WOOD,
  WOODS,
  WRAPS,
  type WoodId,
  type WrapId,
} from '@ostrin/core/catalogue';
import { IsBoolean, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { InRange, type Kinds, kindsOf, Known, Optional } from './rules';

/** The part of an action that says what, without when. */
export class ActionDto {
  do!: PlanLog['do'];

  /** As the log keeps it: plain, defaults filled in. */
  toLog(): PlanLog {
    const { atMin: _atMin, ...rest } = { atMin: 0, ...this } as { atMin?: number } & object;
    return rest as PlanLog;
  }

  /** Written out as it is kept, so that every document holds what the engine reads. */
  toJSON(): object {
    return this.toLog();
  }
}

class SetVentsDto extends ActionDto {
  @InRange(0, 1) intakeFraction!: number;
  @InRange(0, 1) exhaustFraction!: number;
}
class LidOpenDto extends ActionDto {
  @InRange(1, 3600) seconds!: number;
}
class DoorDto extends ActionDto {
  @InRange(0, 1) openFraction!: number;
  @Optional() @InRange(1, 86400) seconds?: number;
}

/** Splits may be named as such, or by their wood: `splits`, `split`, `oak`, `oak-splits`. */
const SPLIT_NAMES: readonly string[] = [
  'splits',
  'split',
  ...Object.keys(WOODS).flatMap((w) => [w, `${w}-split`, `${w}-splits`]),
];

class AddFuelDto extends ActionDto {
  @Known([...Object.keys(CHARCOALS), ...SPLIT_NAMES]) fuel!: string;
  @Optional() @IsInt() @Min(1) @Max(300) pieces?: number;
  @Optional() @InRange(0.01, 30) massKg?: number;
  @Optional() @InRange(0, 0.6) moistureFraction?: number;
  @Optional() @Known(Object.keys(WOODS)) species?: WoodId;
  @Optional() @IsBoolean() lit: boolean = false;
  @Optional() @IsBoolean() preheated?: boolean;

  override toLog(): PlanLog {
    const { fuel } = this;
    if (fuel in CHARCOALS) {
      const charcoal = fuel as CharcoalId;
      const pieces = this.pieces ?? (this.massKg ?? 0) / CHARCOALS[charcoal].pieceKg;
      // A mass given beside a count is the mass: pieces differ.
      const massKg = this.pieces !== undefined ? this.massKg : undefined;
      return { do: 'add-fuel', fuel: charcoal, pieces, ...(massKg && { massKg }), lit: this.lit };
    }
    const named = fuel.replace(/-splits?$/, '');
    return {
      do: 'add-fuel',
      fuel: 'splits',
      species: this.species ?? (named in WOODS ? (named as WoodId) : USUAL_SPLIT_WOOD),
      pieces: this.pieces ?? Math.max(1, Math.round((this.massKg ?? 0) / USUAL_SPLIT_KG)),
      massKg: this.massKg ?? (this.pieces ?? 0) * USUAL_SPLIT_KG,
      ...(this.moistureFraction !== undefined && { moistureFraction: this.moistureFraction }),
      lit: this.lit,
      preheated: this.preheated ?? false,
    };
  }
}
class AddWoodDto extends ActionDto {
  @Known(Object.keys(WOODS)) species!: WoodId;
  @InRange(5, 3000) massG!: number;
  @Optional() @InRange(0, 0.6) moistureFraction?: number;
}
class RakeDto extends ActionDto {}
class FillWaterDto extends ActionDto {
  @InRange(0.05, 20) massKg!: number;
}
class SetTargetDto extends ActionDto {
  @InRange(40, 300) targetC!: number;
}
class FanDto extends ActionDto {
  @IsBoolean() on!: boolean;
}
class MeatActionDto extends ActionDto {
  @IsString() @Length(1, 40) meat!: string;
}
class WrapActionDto extends MeatActionDto {
  @Known(Object.keys(WRAPS)) with!: WrapId;
  /** Poured into a boat or pan. */
  @Optional() @InRange(0, 3) liquidKg?: number;
}
class MoveDto extends MeatActionDto {
  @Known(PLACES) to!: Place;
}
class OvenFinishDto extends MeatActionDto {
  @InRange(60, 200) atC!: number;
}

type ActionClass = new () => ActionDto;

/** The class of each deed: none is left out. */
const ACTION_CLASSES: Readonly<Record<PlanLog['do'], ActionClass>> = {
  'set-vents': SetVentsDto,
  'lid-open': LidOpenDto,
  door: DoorDto,
  'add-fuel': AddFuelDto,
  'add-wood': AddWoodDto,
  rake: RakeDto,
  'fill-water': FillWaterDto,
  'meat-on': MeatActionDto,
  'meat-off': MeatActionDto,
  turn: MeatActionDto,
  spritz: MeatActionDto,
  sauce: MeatActionDto,
  move: MoveDto,
  'oven-finish': OvenFinishDto,
  wrap: WrapActionDto,
  unwrap: MeatActionDto,
  'set-target': SetTargetDto,
  fan: FanDto,
};

export const ACTIONS = kindsOf(ActionDto, 'do', ACTION_CLASSES);

/** The same actions with their minute, as a scenario lists them. */
function withMinute(base: ActionClass): ActionClass {
  class Timed extends base {
    atMin!: number;
    toAction(): Action {
      return { ...this.toLog(), atMin: this.atMin };
    }
    override toJSON(): object {
      return this.toAction();
    }
  }
  InRange(0, 2880)(Timed.prototype, 'atMin');
  return Timed;
}

export class TimedActionDto extends ActionDto {
  @InRange(0, 2880) atMin!: number;
  toAction(): Action {
    return { ...this.toLog(), atMin: this.atMin };
  }
  override toJSON(): object {
    return this.toAction();
  }
}

export const TIMED_ACTIONS: Kinds = {
  base: TimedActionDto,
  property: 'do',
  subTypes: Object.entries(ACTION_CLASSES).map(([name, value]) => ({
    name,
    value: withMinute(value),
  })),
};
