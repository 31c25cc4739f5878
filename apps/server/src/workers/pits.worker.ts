/**
 * The worker that simulates the pits of all cooks under way. What it holds it can be told again at any time: the
 * log and the plan of a cook are enough.
 */
import type { Reading } from '@ostrin/contract';
import type { Entry } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { SimulatedThermometer } from '../instruments/simulatedThermometer';

/** What is asked of the pit of one cook. */
export interface PitAsk {
  /** Names the cook among all that use this worker. */
  key: string;
  cookId: string;
  /** The cook as it is known now; left out where nothing changed since the last time. */
  known?: { plan: PitPlan; entries: readonly Entry[]; lastMs: number };
  /** Up to when to read, cook's clock, epoch ms. */
  untilMs: number;
  /** Readings at most, so that no ask keeps others waiting long. */
  most: number;
}

/** What came of an ask. */
export type PitAnswer =
  | { key: string; readings: Reading[]; behind: boolean }
  /** The worker does not hold this cook: ask again with what is known of it. */
  | { key: string; forgotten: true }
  | { key: string; fault: string };

const pits = new Map<string, SimulatedThermometer>();

function answer(ask: PitAsk): PitAnswer {
  const { key, known } = ask;
  let pit = pits.get(key);
  if (known) {
    if (!pit || pit.lastReadMs !== known.lastMs) {
      pit = new SimulatedThermometer(ask.cookId, known.plan, known.lastMs);
      pits.set(key, pit);
    }
    pit.follow(known.entries);
  }
  if (!pit) return { key, forgotten: true };
  try {
    const readings = pit.readUntil(ask.untilMs, ask.most);
    return { key, readings, behind: readings.length === ask.most };
  } catch (error) {
    // Half a step may have been taken: the next ask begins again from the log.
    pits.delete(key);
    return { key, fault: (error as Error).message };
  }
}

/** Reads all pits that are asked for; a pit that cannot be computed does not stop the others. */
export const read = (asks: readonly PitAsk[]): PitAnswer[] => asks.map(answer);

/** Lets go of a cook. */
export function release(key: string): void {
  pits.delete(key);
}
