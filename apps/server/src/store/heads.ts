/** Rows of cooks, and a cook without its log and its readings. */
import type { CookFire } from '@ostrin/contract';
import { leadMeat, type PitPlan } from '@ostrin/core';
import { pitRefOf, type PitRef, type PitRow } from './pitOf';
import type { ReadCook } from './readings';

export interface CookHead extends PitRef {
  id: string;
  name: string;
  startMs: number;
  finishedAt: number | null;
  plan: PitPlan;
  /** What burns. */
  fire: CookFire;
  clockMs: number;
  speed: number;
}

/** A cook to be stored: its pit is known by the name that the yard has for it. */
export type NewHead = Omit<CookHead, 'pitId'>;

/** What the list shows of a cook. */
export interface ListRow extends PitRow {
  id: string;
  name: string;
  start_ms: number;
  finished_ms: number | null;
  fire: CookFire;
  people: number;
  cut: string;
  pieces: number;
  /** What the list shows of a finished one, JSON; null until it is worked out. */
  glance: string | null;
}

export interface CookRow extends ListRow {
  plan: string;
  clock_ms: number;
  speed: number;
}

export const headOf = (row: CookRow): CookHead => ({
  id: row.id,
  name: row.name,
  ...pitRefOf(row),
  startMs: row.start_ms,
  finishedAt: row.finished_ms,
  plan: JSON.parse(row.plan) as PitPlan,
  fire: row.fire,
  clockMs: row.clock_ms,
  speed: row.speed,
});

/** A cook as far as its readings go. */
export type Planned = Pick<CookHead, 'id' | 'plan'>;

export const readCook = ({ id, plan }: Planned): ReadCook => ({ id, firstMeat: leadMeat(plan).id });
