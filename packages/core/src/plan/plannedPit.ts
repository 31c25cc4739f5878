/** A pit of a plan with what lies on it, and the clock of a plan. */
import type { RequestMeat } from './request/types';
import type { PitSchedule } from './schedule/pitSchedule';

export interface PlannedPit {
  /** What was worked out for it. */
  cook: PitSchedule;
  /** The meats on it. */
  meats: RequestMeat[];
  /** Pieces of each meat. */
  pieces: number[];
  /** Where the meats stand in the request. */
  index: number[];
}

export interface PlanClock {
  /** When each pit is lit, epoch ms. */
  litMs: number[];
  /** When the first of them is lit: minute 0 of the plan, epoch ms. */
  zeroMs: number;
  /** When the meal is served, epoch ms. */
  serveMs: number;
  /** Time zone of the request. */
  zone: string;
}
