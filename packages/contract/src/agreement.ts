/**
 * The documents' classes and the core's types name the same fields: a field that one of them lacks does not compile. The
 * classes say what is allowed, the types what the engine reads, where a class cannot say it (one of several keys).
 */
import type {
  Feeding,
  PitPlan,
  Plan,
  PlanJob,
  PlannedFire,
  PlanVents,
  Request,
  RequestMeat,
  RequestPit,
} from '@ostrin/core';
import type { FeedingDto, PlanDto, PlanJobDto, PlannedFireDto, PlanVentsDto } from './plan';
import type { PaceDto, RequestDto, RequestFireDto, RequestMeatDto, RequestPitDto } from './request';
import type { CookDocDto, ReadingDto } from './cook';
import type { CookDoc, Reading } from './types';

/** True where two types have the same fields, else the fields that only one of them has. */
type SameFields<A, B> = [Exclude<keyof A, keyof B> | Exclude<keyof B, keyof A>] extends [never]
  ? true
  : Exclude<keyof A, keyof B> | Exclude<keyof B, keyof A>;

type All<T extends true[]> = T;

/** Each pair of a class and its type. */
export type Agreement = All<
  [
    SameFields<RequestDto, Request>,
    SameFields<RequestPitDto, RequestPit>,
    SameFields<RequestFireDto, RequestPit['fire']>,
    SameFields<PaceDto, RequestPit['pace']>,
    SameFields<RequestMeatDto, RequestMeat>,
    SameFields<PlanDto, Plan>,
    SameFields<PlanDto, PitPlan>,
    SameFields<PlanJobDto, PlanJob>,
    SameFields<PlannedFireDto, PlannedFire>,
    SameFields<PlanVentsDto, PlanVents>,
    SameFields<FeedingDto, Feeding>,
    SameFields<CookDocDto, CookDoc>,
    SameFields<ReadingDto, Reading>,
  ]
>;
