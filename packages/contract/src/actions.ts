/** What somebody does: one class for each `do`, told apart by that field. */
import 'reflect-metadata';
import {
  CHARCOALS,
  PLACES,
  USUAL_SPLIT_KG,
  WOODS,
  WRAPS,
  type Action,
  type CharcoalId,
  type Place,
  type PlanLog,
  type WoodId,
  type WrapId,
} from '@ostrin/core';
import { IsBoolean, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { InRange, Known, Optional } from './rules';

const DOES = [
  'set-vents',
  'lid-open',
  'door',
  'add-fuel',
  'add-wood',
  'rake',
  'fill-water',
  'meat-on',
  'meat-off',
  'turn',
  'spritz',
  'sauce',
  'move',
  'oven-finish',
  'wrap',
  'unwrap',
  'set-target',
  'fan',
] as const;

/** The part of an action that says what, without when. */
export class DeedDto {
  @Known(DOES) do!: (typeof DOES)[number];

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
export class DoorDeed extends DeedDto {
  @InRange(0, 1) openFraction!: number;
  @Optional() @InRange(1, 86400) seconds?: number;
}

/** Splits may be named as such, or by their wood: `splits`, `split`, `oak`, `oak-splits`. */
const SPLIT_NAMES: readonly string[] = [
  'splits',
  'split',
  ...Object.keys(WOODS).flatMap((w) => [w, `${w}-split`, `${w}-splits`]),
];

export class AddFuelDeed extends DeedDto {
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
      species: this.species ?? (named in WOODS ? (named as WoodId) : 'oak'),
      pieces: this.pieces ?? Math.max(1, Math.round((this.massKg ?? 0) / USUAL_SPLIT_KG)),
      massKg: this.massKg ?? (this.pieces ?? 0) * USUAL_SPLIT_KG,
      ...(this.moistureFraction !== undefined && { moistureFraction: this.moistureFraction }),
      lit: this.lit,
      preheated: this.preheated ?? false,
    };
  }
}
export class AddWoodDeed extends DeedDto {
  @Known(Object.keys(WOODS)) species!: WoodId;
  @InRange(5, 3000) massG!: number;
  @Optional() @InRange(0, 0.6) moistureFraction?: number;
}
export class RakeDeed extends DeedDto {}
export class FillWaterDeed extends DeedDto {
  @InRange(0.05, 20) massKg!: number;
}
export class SetTargetDeed extends DeedDto {
  @InRange(40, 300) targetC!: number;
}
export class FanDeed extends DeedDto {
  @IsBoolean() on!: boolean;
}
export class MeatDeed extends DeedDto {
  @IsString() @Length(1, 40) meat!: string;
}
export class WrapDeed extends MeatDeed {
  @Known(Object.keys(WRAPS)) with!: WrapId;
  /** Poured into a boat or pan. */
  @Optional() @InRange(0, 3) liquidKg?: number;
}
export class MoveDeed extends MeatDeed {
  @Known(PLACES) to!: Place;
}
export class OvenFinishDeed extends MeatDeed {
  @InRange(60, 200) atC!: number;
}

/** Deeds by name, for class-transformer. */
export const DEEDS = [
  { name: 'set-vents', value: SetVentsDeed },
  { name: 'lid-open', value: LidOpenDeed },
  { name: 'door', value: DoorDeed },
  { name: 'add-fuel', value: AddFuelDeed },
  { name: 'add-wood', value: AddWoodDeed },
  { name: 'rake', value: RakeDeed },
  { name: 'fill-water', value: FillWaterDeed },
  { name: 'set-target', value: SetTargetDeed },
  { name: 'fan', value: FanDeed },
  { name: 'meat-on', value: MeatDeed },
  { name: 'meat-off', value: MeatDeed },
  { name: 'turn', value: MeatDeed },
  { name: 'spritz', value: MeatDeed },
  { name: 'unwrap', value: MeatDeed },
  { name: 'sauce', value: MeatDeed },
  { name: 'move', value: MoveDeed },
  { name: 'oven-finish', value: OvenFinishDeed },
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
