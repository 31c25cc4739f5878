/** What a plan says of its jobs and vents, as codes and figures: one class for each kind. */
import 'reflect-metadata';
import {
  CHARCOALS,
  CUTS,
  SPRAY_SCHOOLS,
  WOODS,
  WRAPS,
  type CharcoalId,
  type SpraySchool,
  type WoodId,
  type WrapId,
} from '@ostrin/core/catalogue';
import { GAUGES, type Gauge, type JobFacts, type KitId } from '@ostrin/core';
import { IsBoolean, IsIn, IsInt, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import {
  ExactlyOne,
  InRange,
  KindList,
  KindOf,
  kindsOf,
  Known,
  Nested,
  Optional,
  OrNull,
  ShortTexts,
} from './rules';
import { VentPairDto } from './policy';
import { DoneDto, FireDto, PaceWhenDto, RestDto, WhenDto, WRAP_WHENS } from './scenario';
import { FirstMoveOf, type FirstMoveDto } from './firstMove';
import { HOLD_ENDS, NamedPieceDto, SHOPPING, type ShoppingDto, type HoldEnd } from './planCards';

/** What to try first when a pit settles high and when it settles low. */
export class MovesDto {
  @FirstMoveOf() high!: FirstMoveDto;
  @FirstMoveOf() low!: FirstMoveDto;
}

class OpeningsDto {
  @InRange(0, 1) intake!: number;
  @InRange(0, 1) exhaust!: number;
}
class GaugeDto {
  @Known(GAUGES) by!: Gauge;
  @InRange(-100, 200) lidOverK!: number;
}
class SplitDto {
  @InRange(0, 30) kg!: number;
  @Optional() @Known(Object.keys(WOODS)) species?: WoodId;
}
class CharcoalDto {
  @Known(Object.keys(CHARCOALS)) fuel!: CharcoalId;
  @InRange(0, 30) kg!: number;
}
class ChecklistDto {
  @IsString() @MaxLength(80) heading!: string;
  @ShortTexts(400) items!: string[];
}
class JobWordsDto {
  @IsString() @Length(1, 200) inWords!: string;
  @IsString() @MaxLength(600) detail!: string;
  @Optional() @Nested(() => ChecklistDto) checklist?: ChecklistDto;
}

/** What a job is about. */
class JobFactsDto {
  kind!: JobFacts['kind'];
}
class PieceFactsDto extends JobFactsDto {
  @Known(Object.keys(CUTS)) cut!: string;
  @IsInt() @Min(1) @Max(1000) pieces!: number;
  @Optional() @IsInt() @Min(1) @Max(100) number?: number;
}
class WrittenJobDto extends JobFactsDto {
  @Nested(() => JobWordsDto) words!: JobWordsDto;
}
class LayFireDto extends JobFactsDto {
  @Nested(() => FireDto) fire!: FireDto;
  @InRange(0, 200) loadKg!: number;
  @ShortTexts(40) kit!: KitId[];
}
class LightDto extends JobFactsDto {
  @Nested(() => FireDto) fire!: FireDto;
}
class BringUpDto extends JobFactsDto {
  @IsBoolean() onSnake!: boolean;
  @IsBoolean() underFan!: boolean;
  @InRange(40, 300) targetC!: number;
  @InRange(0, 1) intake!: number;
  @InRange(0, 1) exhaust!: number;
}
class HoldJobDto extends JobFactsDto {
  @InRange(0, 1) intake!: number;
  @InRange(0, 1) exhaust!: number;
  @InRange(-100, 400) closeAtC!: number;
  @InRange(40, 300) targetC!: number;
  @OrNull() @Nested(() => GaugeDto) gauge!: GaugeDto | null;
  @InRange(-30, 30) probeOffsetK!: number;
}
class LookDto extends JobFactsDto {
  @InRange(40, 300) targetC!: number;
  @InRange(-100, 300) overK!: number;
  @InRange(0, 300) underK!: number;
  @InRange(-300, 300) readsOverK!: number;
  @OrNull() @Nested(() => VentPairDto) tighter?: VentPairDto | null;
  @OrNull() @Nested(() => VentPairDto) wider?: VentPairDto | null;
}
class TrimDto extends JobFactsDto {
  @InRange(0, 1) intake!: number;
  @InRange(0, 1) exhaust!: number;
  @InRange(40, 300) targetC!: number;
  @InRange(1, 40) bandC!: number;
  @Nested(() => MovesDto) moves!: MovesDto;
}
class SecondPaceJobDto extends JobFactsDto {
  @InRange(40, 300) fromC!: number;
  @InRange(40, 300) targetC!: number;
  @Nested(() => PaceWhenDto) @ExactlyOne('coreC', 'barkFirm') when!: PaceWhenDto;
  @IsBoolean() underFan!: boolean;
  @IsBoolean() onSplits!: boolean;
  @OrNull() @Nested(() => OpeningsDto) vents!: OpeningsDto | null;
}
class FeedDto extends JobFactsDto {
  @OrNull() @Nested(() => SplitDto) split!: SplitDto | null;
  @OrNull() @Nested(() => CharcoalDto) charcoal!: CharcoalDto | null;
  @IsBoolean() onSnake!: boolean;
  @IsBoolean() handFed!: boolean;
  @IsBoolean() ifSlow!: boolean;
}
class ShutDownDto extends JobFactsDto {
  @IsBoolean() underFan!: boolean;
  @InRange(0, 200) leftKg!: number;
}
class ShopDto extends JobFactsDto {
  @KindList(SHOPPING, 50) fetch!: ShoppingDto[];
}
class MeatOnDto extends PieceFactsDto {
  @OrNull() @InRange(0, 4320) barkMin!: number | null;
}
class SprayJobDto extends PieceFactsDto {
  @IsBoolean() first!: boolean;
  @Known(Object.keys(SPRAY_SCHOOLS)) school!: SpraySchool;
  @OrNull() @InRange(0, 600) costMin!: number | null;
}
class BareDto extends PieceFactsDto {
  @Known(Object.keys(WRAPS)) with!: WrapId;
  @InRange(0, 600) minutes!: number;
}
class SmokeAgainDto extends JobFactsDto {
  @Known(Object.keys(WOODS)) species!: WoodId;
  @InRange(1, 3000) massG!: number;
  @IsIn(['ash-pan', 'edge', 'coals']) onto!: 'ash-pan' | 'edge' | 'coals';
}
class SwapPiecesDto extends JobFactsDto {
  @Nested(() => NamedPieceDto) quickest!: NamedPieceDto;
  @Nested(() => NamedPieceDto) slowest!: NamedPieceDto;
}
class SwapEndsDto extends JobFactsDto {
  @InRange(0, 300) hotterK!: number;
  @OrNull() @Nested(() => NamedPieceDto) slowest!: NamedPieceDto | null;
}
class WrapJobDto extends PieceFactsDto {
  @Known(Object.keys(WRAPS)) with!: WrapId;
  @Nested(() => WhenDto) @ExactlyOne(...WRAP_WHENS) when!: WhenDto;
  @OrNull() @InRange(0, 3) liquidKg!: number | null;
}
class CheckJobDto extends PieceFactsDto {
  @Nested(() => DoneDto) @ExactlyOne('coreC', 'tender') done!: DoneDto;
  @OrNull() @InRange(20, 110) plateC!: number | null;
}
class MeatOffJobDto extends PieceFactsDto {
  @Known(Object.keys(WRAPS)) wrap!: WrapId;
  @Nested(() => RestDto) rest!: RestDto;
  @InRange(0, 4320) holdsMin!: number;
  @OrNull() @Known(HOLD_ENDS) ends!: HoldEnd | null;
}
class FoodOffDto extends PieceFactsDto {
  @Nested(() => DoneDto) @ExactlyOne('coreC', 'tender') done!: DoneDto;
}
class CourseDto extends JobFactsDto {
  @ShortTexts(40) cuts!: string[];
  @InRange(0, 5000) rawKg!: number;
}
class ServeDto extends CourseDto {
  @InRange(1, 300) people!: number;
}
class SeasonDto extends PieceFactsDto {
  @IsBoolean() thick!: boolean;
}
class SaltDto extends PieceFactsDto {
  @IsBoolean() brine!: boolean;
  @InRange(0, 400) hours!: number;
}
class ThawDto extends PieceFactsDto {
  @InRange(0, 400) hours!: number;
}

/** The class of each kind: none is left out. */
const JOB_CLASSES: Readonly<Record<JobFacts['kind'], new () => JobFactsDto>> = {
  'as-written': WrittenJobDto,
  'lay-fire': LayFireDto,
  light: LightDto,
  'bring-up': BringUpDto,
  hold: HoldJobDto,
  look: LookDto,
  trim: TrimDto,
  'second-pace': SecondPaceJobDto,
  feed: FeedDto,
  'shut-down': ShutDownDto,
  shop: ShopDto,
  'meat-on': MeatOnDto,
  spray: SprayJobDto,
  bare: BareDto,
  sauce: PieceFactsDto,
  'turn-grate': JobFactsDto,
  'smoke-again': SmokeAgainDto,
  'swap-pieces': SwapPiecesDto,
  'swap-ends': SwapEndsDto,
  wrap: WrapJobDto,
  check: CheckJobDto,
  'meat-off': MeatOffJobDto,
  'food-off': FoodOffDto,
  serve: ServeDto,
  'serve-course': CourseDto,
  season: SeasonDto,
  salt: SaltDto,
  thaw: ThawDto,
};

const JOBS = kindsOf(JobFactsDto, 'kind', JOB_CLASSES);

/** A field that holds what a job is about. */
export const JobFactsOf = (): PropertyDecorator => KindOf(JOBS);
