/** How a fire is held, as a plan keeps it. */
import 'reflect-metadata';
import { WOODS } from '@ostrin/core/catalogue';
import { IsString, MaxLength } from 'class-validator';
import { InRange, Known, Nested, Optional, OrNull } from './rules';

export class VentPairDto {
  @InRange(0, 1) intake!: number;
  @InRange(0, 1) exhaust!: number;
}

class FinestStepDto {
  @InRange(0, 1) small!: number;
  @InRange(0, 1) wide!: number;
  @Optional() @InRange(0, 1) move?: number;
}

class SoakDto {
  @InRange(1, 10) times!: number;
  @InRange(0, 9999) forMin!: number;
}

class TopUpDto {
  @InRange(0, 9999) belowMin!: number;
  @InRange(0, 9999) forMin!: number;
}

class TopUpChunksDto {
  @Known(Object.keys(WOODS)) species!: keyof typeof WOODS;
  @InRange(5, 3000) massG!: number;
  @InRange(0, 20) count!: number;
}

class SplitFeedPolicyDto {
  @Optional() @Known(Object.keys(WOODS)) species?: keyof typeof WOODS;
  @InRange(0, 10) kg!: number;
  @InRange(0, 10) lightestKg!: number;
  @InRange(0, 10) heaviestKg!: number;
  @InRange(0, 9999) leastMin!: number;
  @InRange(0, 9999) mostMin!: number;
  @InRange(0, 10) bedKg!: number;
  @InRange(0, 10) lumpKg!: number;
  @InRange(0, 9999) firstMin!: number;
  @InRange(0, 9999) skipOverK!: number;
  @InRange(0, 1) learnPerK!: number;
  @InRange(0, 1) nowPerK!: number;
  @InRange(0, 9999) learnFromMin!: number;
  @InRange(0, 9999) dampOverK!: number;
}

/** How a fire is held: see `PolicyDocument` of the engine. */
export class ControlPolicyDto {
  @IsString() @MaxLength(60) pit!: string;
  @Nested(() => VentPairDto) up!: VentPairDto;
  @InRange(-100, 200) closeBelowK!: number;
  @Nested(() => VentPairDto) hold!: VentPairDto;
  @Optional() @Nested(() => SoakDto) soak?: SoakDto;
  @OrNull() @InRange(0, 50) exhaustPerIntake!: number | null;
  @InRange(0, 9999) perFoldK!: number;
  @InRange(0, 9999) waitMin!: number;
  @InRange(0, 9999) leaveK!: number;
  @Nested(() => FinestStepDto) finest!: FinestStepDto;
  @OrNull() @Nested(() => SplitFeedPolicyDto) feed!: SplitFeedPolicyDto | null;
  @OrNull() @Nested(() => TopUpDto) topUp!: TopUpDto | null;
  @InRange(0, 9999) untilMin!: number;
  @OrNull() @Nested(() => TopUpChunksDto) chunks!: TopUpChunksDto | null;
  @InRange(0, 5) gain!: number;
}
