/** A pit with its usual fire on some day: what questions turned round are asked of. */
import { withWindTimes, type Weather } from '../air/weather';
import type { Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import type { FireSpec } from '../fire/fireSpec';
import { presetOf } from '../pit/catalogue';
import type { CookerParameters } from '../pit/parameters';
import { usualFire } from '../pit/usualFire';
import { mean } from '../quantity/statistics';

export interface SteadyCase {
  /** A preset of the catalogue. */
  preset: string;
  /** Parameters that differ from the preset. */
  overrides: Partial<CookerParameters>;
  /** The usual fire of the preset when left out. */
  fire?: FireSpec;
  /** The day. */
  weather: Weather;
  /** So many times its wind reaches the pit; 1 when left out. */
  windTimes?: number;
}

/** Splits of a steady feed: mass and interval. */
export interface SplitFeed {
  /** Mass of one split, kg. */
  massKg: number;
  /** Minutes from one to the next. */
  intervalMin: number;
}

/** When the first split goes on the coals, min (common practice: once the bed glows all over). */
const FIRST_SPLIT_MIN = 25;

/** Splits put on at an even pace from the first on, warmed on the firebox. */
export function feedActions(
  feed: SplitFeed,
  untilMin: number,
  fromMin = FIRST_SPLIT_MIN,
): Action[] {
  const actions: Action[] = [];
  for (let atMin = fromMin; atMin < untilMin; atMin += feed.intervalMin) {
    actions.push({
      atMin,
      do: 'add-fuel',
      fuel: 'splits',
      pieces: 1,
      massKg: feed.massKg,
      lit: false,
      preheated: true,
    });
  }
  return actions;
}

/** The scenario of a case with its vents set once it has come up. `feed` for fires that live on wood. */
export function steadyScenario(
  steadyCase: SteadyCase,
  intakeFraction: number,
  exhaustFraction: number,
  untilMin: number,
  feed?: SplitFeed,
): Scenario {
  const preset = presetOf(steadyCase.preset);
  const up = preset.bringUp;
  return {
    ostrin: 'scenario/1',
    cooker: { preset: steadyCase.preset, overrides: steadyCase.overrides },
    fire: steadyCase.fire ?? usualFire(preset),
    weather: withWindTimes(steadyCase.weather, steadyCase.windTimes ?? 1),
    control: { mode: 'vents' },
    actions: [
      { atMin: 0, do: 'set-vents', intakeFraction: up.intake, exhaustFraction: up.exhaust },
      { atMin: up.minutes, do: 'set-vents', intakeFraction, exhaustFraction },
      ...(feed ? feedActions(feed, untilMin) : []),
    ],
    meats: [],
    untilMin,
    everyMin: 5,
  };
}

/** Settled is the mean over hours 2 to 5 after lighting. */
const SETTLED_FROM = 120;
const SETTLED_TO = 300;

/** Mean over hours 2 to 5 of a scenario's pit. NaN if it does not run that long. */
export function settledC(pitC: readonly (number | null)[], everyMin: number): number {
  const part = pitC
    .slice(SETTLED_FROM / everyMin, SETTLED_TO / everyMin + 1)
    .filter((v): v is number => v !== null);
  return mean(part);
}

/** Length of a run that shows where a pit settles, min. */
export const SETTLED_UNTIL_MIN = SETTLED_TO;
