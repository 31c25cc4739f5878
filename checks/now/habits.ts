/** The habits of somebody who tends a fire. */
import type { Random } from '@ostrin/core/internals';

/** What somebody who tends does besides what is asked. */
export interface Habits {
  /** Reads by hand, every so many minutes; null: a connected thermometer reads each minute. */
  byHandMin: number | null;
  /** Does what is due so many minutes late at most. */
  lateMin: number;
  /** Leaves a job out with this chance. */
  skips: number;
  /** Types a wrong reading at this minute; null: never. */
  wrongAtMin: number | null;
  /** The thermometer is silent from this minute on, for two hours; null: never. */
  silentFromMin: number | null;
  /** Takes all of it off at this minute, done or not; null: when it is done. */
  offAtMin: number | null;
}

/** Does each order when it is due, and watches a connected thermometer. */
const EXACT: Habits = {
  byHandMin: null,
  lateMin: 0,
  skips: 0,
  wrongAtMin: null,
  silentFromMin: null,
  offAtMin: null,
};

/** Whether somebody does exactly what is asked: their pits are held by the orders alone. */
export const tendsExactly = (habits: Habits): boolean => habits === EXACT;

/** Habits by chance: half have none, and of the others half are never late and half leave nothing out. */
export function habitsOf(random: Random): Habits {
  if (random.next() < 0.5) return EXACT;
  const at = (chance: number): number | null =>
    random.next() < chance ? 120 + Math.floor(300 * random.next()) : null;
  return {
    byHandMin: random.next() < 0.4 ? 10 + 5 * Math.floor(5 * random.next()) : null,
    lateMin: random.next() < 0.5 ? 0 : 15 * random.next(),
    skips: random.next() < 0.5 ? 0 : 0.15,
    wrongAtMin: at(0.2),
    silentFromMin: at(0.2),
    offAtMin: at(0.15),
  };
}
