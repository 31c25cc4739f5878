/** What travels of cooks that are over beside the cooks themselves. */
import type { NextTimeNote } from '@ostrin/core/afterwards';

/** A note for next time with the cook that it comes from. */
export interface NextTime extends NextTimeNote {
  cookId: string;
  /** What that cook is called. */
  cookName: string;
  /** Its pit in the yard; null where the yard has none of that name. */
  pitId: string | null;
  /** The pit it was cooked on, as its owner calls it. */
  pitName: string;
  /** When it was lit by its plan, epoch ms. */
  startMs: number;
}

/** Photographs that a cook keeps at most. */
export const MOST_PHOTOGRAPHS = 10;

/** A photograph of a cook. */
export interface PhotographRecord {
  /** Its id. */
  id: string;
  /** The cook that it shows. */
  cookId: string;
  /** When it was added, epoch ms. */
  addedAt: number;
  /** Pixels. */
  width: number;
  height: number;
  /** Size of its file. */
  bytes: number;
}
