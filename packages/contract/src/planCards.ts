/** What a plan says besides its jobs, as codes and figures: cards, shopping, troubles, and what stands in the way. */
import 'reflect-metadata';
import { FAT_SIDES, type FatSide, type Risk, type Shopping } from '@ostrin/core';
import { CHARCOALS, CUTS, WOODS, type CautionId, type WoodId } from '@ostrin/core/catalogue';
import { IsBoolean, IsIn, IsInt, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import {
  InRange,
  KindOf,
  kindsOf,
  Known,
  LocalTime,
  Nested,
  NestedList,
  Optional,
  OrNull,
  Series,
  ShortTexts,
} from './rules';
import { FirstMoveOf, type FirstMoveDto } from './firstMove';
import { RestDto } from './scenario';

const CUT_IDS = Object.keys(CUTS);

/** Pieces of one cut. */
export class NamedPieceDto {
  @Known(CUT_IDS) cut!: string;
  @IsInt() @Min(1) @Max(1000) pieces!: number;
  @Optional() @IsInt() @Min(1) @Max(100) number?: number;
}

/** What ends a hold. */
export const HOLD_ENDS = ['cold', 'soft', 'dry', 'over'] as const;
export type HoldEnd = (typeof HOLD_ENDS)[number];

class CardWordsDto {
  @IsString() @MaxLength(200) heading!: string;
  @ShortTexts(400) lines!: string[];
}
class SaltedDto {
  @InRange(0, 100) gPerKg!: number;
  @InRange(0, 2000) g!: number;
  @IsIn(['overnight', 'hour', 'in-brine']) when!: 'overnight' | 'hour' | 'in-brine';
}
class InjectedDto {
  @InRange(0, 1000) mlPerKg!: number;
  @InRange(0, 20000) ml!: number;
}

/** The card of a meat, or that of a document from before plans were kept as figures (`words`). */
export class PreparationDto {
  @IsString() @Length(1, 40) meat!: string;
  @Optional() @IsIn(['as-written']) kind?: 'as-written';
  @Optional() @Nested(() => CardWordsDto) words?: CardWordsDto;
  @Optional() @Known(CUT_IDS) cut?: string;
  @Optional() @IsInt() @Min(1) @Max(1000) pieces?: number;
  @Optional() @InRange(0, 30) massKg?: number;
  @Optional() @Series(2) rawKg?: [number, number];
  @Optional() @Series(2) trimFraction?: [number, number];
  @OrNull() @InRange(0, 100) fatLeftMm?: number | null;
  @Optional() @ShortTexts(40) trim?: string[];
  @Optional() @IsIn(['none', 'stays', 'off', 'may-stay']) membrane?: string;
  @Optional() @IsBoolean() treat?: boolean;
  @Optional() @InRange(0, 3) lengthM?: number;
  @Optional() @InRange(0, 3) widthM?: number;
  @OrNull() @Nested(() => SaltedDto) salt?: SaltedDto | null;
  @OrNull() @Nested(() => InjectedDto) inject?: InjectedDto | null;
  @OrNull() @IsString() @MaxLength(40) sugar?: CautionId | null;
  @OrNull() @IsIn(FAT_SIDES) fatSide?: FatSide | null;
}

class HoldRowDto {
  @InRange(0, 4320) afterMin!: number;
  @InRange(-40, 120) coreC!: number;
  @InRange(0, 1000) tenderness!: number;
  @InRange(-1, 1) lostFraction!: number;
}

/** How a meat waits, or that of a document from before plans were kept as figures (`words`). */
export class PlannedHoldDto {
  @IsString() @Length(1, 40) meat!: string;
  @Optional() @IsIn(['as-written']) kind?: 'as-written';
  @Optional() @Nested(() => CardWordsDto) words?: CardWordsDto;
  @Optional() @Known(CUT_IDS) cut?: string;
  @Optional() @IsInt() @Min(1) @Max(1000) pieces?: number;
  @Optional() @IsInt() @Min(1) @Max(100) number?: number;
  @Optional() @NestedList(() => HoldRowDto, 100) rows?: HoldRowDto[];
  @Optional() @InRange(0, 4320) goodMin?: number;
  @OrNull() @Known(HOLD_ENDS) ends?: HoldEnd | null;
  @Optional() @Nested(() => RestDto) rest?: RestDto;
  @Optional() @LocalTime() offAt?: string;
  @Optional() @LocalTime() goodUntil?: string;
}

/** Something to have for a plan. */
export class ShoppingDto {
  kind!: Shopping['kind'];
}
class ShopMeatDto extends ShoppingDto {
  @Known(CUT_IDS) cut!: string;
  @IsInt() @Min(1) @Max(1000) pieces!: number;
  @Optional() @IsInt() @Min(1) @Max(100) number?: number;
  @InRange(0, 30) eachKg!: number;
  @Series(2) rawKg!: [number, number];
  @IsBoolean() frozen!: boolean;
}
class BagsDto {
  @InRange(0, 10000) count!: number;
  @InRange(0, 100) eachKg!: number;
  @InRange(0, 10000000) cost!: number;
}
class ShopFuelDto extends ShoppingDto {
  @Known([...Object.keys(CHARCOALS), 'splits', 'chunks']) fuel!: string;
  @Known(Object.keys(WOODS)) species!: WoodId;
  @InRange(0, 1000) kg!: number;
  @OrNull() @InRange(0, 1000) shelfKg!: number | null;
  @InRange(0, 1000) missingKg!: number;
  @OrNull() @Nested(() => BagsDto) bags!: BagsDto | null;
}
class ShoppingWordsDto {
  @IsString() @MaxLength(200) item!: string;
  @IsString() @MaxLength(200) amount!: string;
  @Optional() @IsString() @MaxLength(200) onShelf?: string;
  @Optional() @IsString() @MaxLength(200) buy?: string;
  @Optional() @InRange(0, 1000000) cost?: number;
}
class WrittenShoppingDto extends ShoppingDto {
  @Nested(() => ShoppingWordsDto) words!: ShoppingWordsDto;
}
export const SHOPPING = kindsOf(ShoppingDto, 'kind', {
  meat: ShopMeatDto,
  fuel: ShopFuelDto,
  'as-written': WrittenShoppingDto,
});

/** Figures of one kind, told apart by `kind`: numbers, or a few fields of their own. */
class RiskFactsDto {
  kind!: Risk['facts']['kind'];
}
class RiskWordsDto {
  @IsString() @MaxLength(400) sign!: string;
  @IsString() @MaxLength(400) move!: string;
  @Optional() @IsString() @MaxLength(400) why?: string;
}
class WrittenRiskDto extends RiskFactsDto {
  @Nested(() => RiskWordsDto) words!: RiskWordsDto;
}
class SettlesOffDto extends RiskFactsDto {
  @IsBoolean() high!: boolean;
  @InRange(0, 300) offK!: number;
  @InRange(40, 300) targetC!: number;
  @FirstMoveOf() first!: FirstMoveDto;
  @InRange(0, 9999) waitMin!: number;
}
class ShortOfFuelDto extends RiskFactsDto {
  @InRange(0, 9999) lastsMin!: number;
  @IsBoolean() canTopUp!: boolean;
  @InRange(0, 1) kgPerMin!: number;
}
class LateDto extends RiskFactsDto {
  @Known(CUT_IDS) cut!: string;
  @InRange(0, 9999) behindAfterMin!: number;
  @IsBoolean() stalls!: boolean;
  @IsBoolean() canWrap!: boolean;
  @InRange(0, 100) inHundred!: number;
  @InRange(0, 9999) spreadMin!: number;
}
class KeepDto {
  @IsIn(['cool-box', 'oven', 'warmer']) where!: string;
  @InRange(0, 100) inHundred!: number;
}
class EarlyDto extends RiskFactsDto {
  @Known(CUT_IDS) cut!: string;
  @InRange(0, 9999) holdMin!: number;
  @OrNull() @Nested(() => KeepDto) keep!: KeepDto | null;
  @InRange(0, 9999) spreadMin!: number;
}
class PanDryDto extends RiskFactsDto {
  @InRange(0, 9999) atMin!: number;
  @FirstMoveOf() first!: FirstMoveDto;
}
class RunsOverDto extends RiskFactsDto {
  @InRange(40, 400) overC!: number;
}
const RISKS = kindsOf(RiskFactsDto, 'kind', {
  'as-written': WrittenRiskDto,
  'settles-off': SettlesOffDto,
  'white-split': RiskFactsDto,
  'short-of-fuel': ShortOfFuelDto,
  late: LateDto,
  early: EarlyDto,
  'pan-dry': PanDryDto,
  'runs-over': RunsOverDto,
  'fan-or-hopper-fails': RiskFactsDto,
  'hopper-bridges': RiskFactsDto,
  'fan-fails': RiskFactsDto,
});

export class RiskDto {
  @Optional() @IsString() @MaxLength(60) pit?: string;
  @Optional() @InRange(0, 1) chanceFraction?: number;
  @KindOf(RISKS) facts!: RiskFactsDto;
}

class ProblemWordsDto {
  @IsString() @MaxLength(400) message!: string;
  @IsString() @MaxLength(400) instead!: string;
}
/** What stands in the way of a wish; which fields it has depends on its kind. */
class ProblemFactsDto {
  @IsString() @MaxLength(40) kind!: string;
  @Optional() @Nested(() => ProblemWordsDto) words?: ProblemWordsDto;
  @Optional() @Known(CUT_IDS) cut?: string;
  @Optional() @IsString() @MaxLength(60) pit?: string;
  @OrNull() @InRange(0, 10) roomM?: number | null;
  @Optional() @InRange(0, 10) lengthM?: number;
  @Optional() @InRange(0, 10) widthM?: number;
  @Optional() @InRange(0, 1000) wanted?: number;
  @Optional() @InRange(0, 1000) fits?: number;
  @Optional() @InRange(0, 10000) feeds?: number;
  @Optional() @InRange(-50, 600) settlesC?: number;
  @Optional() @InRange(0, 600) targetC?: number;
  @Optional() @InRange(0, 99999) longestMin?: number;
  @Optional() @InRange(0, 99999) lastsMin?: number;
  @Optional() @InRange(0, 99999) slowCookMin?: number;
  @Optional() @InRange(0, 8e12) lightMs?: number;
  @Optional() @InRange(0, 8e12) earliestMs?: number;
  @Optional() @InRange(0, 8e12) serveMs?: number;
  @Optional() @LocalTime() notBefore?: string;
  @Optional() @InRange(0, 100) inHundred?: number;
  @Optional() @InRange(0, 99999) soonerMin?: number;
  @Optional() @InRange(0, 9999) needH?: number;
  @Optional() @InRange(-99999, 9999) haveH?: number;
  @Optional() @InRange(0, 9999) laterH?: number;
  @Optional() @InRange(0, 99999) agoMin?: number;
}
export class ProblemDto {
  @IsString() @MaxLength(200) field!: string;
  @Nested(() => ProblemFactsDto) facts!: ProblemFactsDto;
}
