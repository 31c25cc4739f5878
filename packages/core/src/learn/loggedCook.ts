/** A finished cook as a pit is learned from: what was planned, what was logged, what was read. */
import { withWindTimes } from '../air/weather';
import { advance, createCook } from '../cook/cook';
import { celsius } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import type { CookerParameters } from '../pit/parameters';
import { byLogOnly } from '../forecast/remainingScenario';

/** Minutes after lighting; temperatures in C. */
export interface LoggedCook {
  /** Its id. */
  id: string;
  /** The fire, the day and the meat as planned. Of the pit's figures only those that were this cook's alone: its water. */
  scenario: Scenario;
  /** What was logged, in order. */
  done: Action[];
  /** What the pit's thermometer at the grate and the dial in the lid read; null where nobody looked. */
  readings: { atMin: number; pitC: number | null; domeC?: number | null }[];
}

/** What a reading that counts was, and what was done before it. */
export interface UsedReading {
  atMin: number;
  pitC: number;
}

/** A pit that comes up says little of how it holds, min. */
const UP_MIN = 40;
/** A pit under this is not held: a fire that goes out says nothing of how it holds, C. */
const HELD_FROM_C = 80;
/** A lid or a door that was open disturbs the thermometer for so long, min. */
const DISTURBED_MIN = 12;
/** Readings nearer to each other than this say the same, min. */
const APART_MIN = 20;
/** Whatever opens a pit. */
const OPENS: ReadonlySet<Action['do']> = new Set([
  'lid-open',
  'meat-on',
  'wrap',
  'unwrap',
  'spritz',
  'turn',
  'meat-off',
]);

/** The readings of a cook that say how its pit holds, in order; none after its last meat came off. */
export function usedReadings({ done, readings, scenario }: LoggedCook): UsedReading[] {
  const opened = done.filter((a) => OPENS.has(a.do)).map((a) => a.atMin);
  const offs = done.filter((a) => a.do === 'meat-off');
  const endMin =
    scenario.meats.length > 0 && offs.length >= scenario.meats.length
      ? Math.max(...offs.map((a) => a.atMin))
      : Infinity;
  const used: UsedReading[] = [];
  for (const { atMin, pitC } of readings) {
    if (pitC === null || pitC < HELD_FROM_C || atMin < UP_MIN || atMin > endMin) continue;
    if (opened.some((at) => atMin >= at && atMin < at + DISTURBED_MIN)) continue;
    const last = used.at(-1);
    if (!last || atMin - last.atMin >= APART_MIN) used.push({ atMin, pitC });
  }
  return used;
}

/** The figures that a pit is tried with, and how much of the wind of the day reaches it. */
export interface TriedPit {
  overrides: Partial<CookerParameters>;
  windTimes: number;
}

/** Meat takes heat from a pit as a coarse piece does: its own middle is not asked about. */
const MEAT_CELLS = 8;

/** What the pit of a cook reads at the grate at each of those minutes when what was logged is done in the tried pit, C. */
export function replayedPitC(
  { scenario, done }: LoggedCook,
  { overrides, windTimes }: TriedPit,
  minutes: readonly number[],
): number[] {
  const cook = createCook(
    {
      ...scenario,
      cooker: { ...scenario.cooker, overrides: { ...overrides, ...scenario.cooker.overrides } },
      weather: withWindTimes(scenario.weather, windTimes),
      control: byLogOnly(scenario.control),
      actions: done,
      meats: scenario.meats.map((m) => ({
        ...m,
        done: undefined,
        wrap: undefined,
        spray: undefined,
        sauce: undefined,
      })),
      untilMin: Math.ceil(minutes.at(-1) ?? 0) + 1,
      everyMin: 1e6,
    },
    { pieceOverrides: { cells: MEAT_CELLS } },
  );
  return minutes.map((atMin) => {
    advance(cook, atMin);
    return celsius(cook.pit!.probeK);
  });
}
