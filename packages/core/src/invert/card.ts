/** A pit's vent card: settings against temperature on four kinds of day. */
import { simulate } from '../cook/cook';
import { presetOf } from '../pit/catalogue';
import type { Preset } from '../pit/types';
import { smallFirebox } from '../pit/usual';
import { caseScenario, SETTLED_UNTIL, settledC, type Feed, type PitCase } from './case';
import { onDay, OTHER_DAYS, settlesAt } from './vents';

/** One setting and where it settles, day by day in the order of `days`. */
export interface CardRow {
  /** The fan's set point where a fan drives the fire; its vents are then left alone. */
  targetC: number | null;
  intakeFraction: number;
  exhaustFraction: number;
  settlesC: number[];
}

export interface VentCard {
  days: { name: string; airC: number; windMps: number }[];
  rows: CardRow[];
  /** The feed that an offset was kept on. */
  feed: Feed | null;
}

/** Settings that a card shows, tight to wide: what hands really set on each family. */
const SETTINGS: Readonly<Record<Preset['family'], readonly (readonly [number, number])[]>> = {
  kettle: [
    [0.125, 0.25],
    [0.25, 0.25],
    [0.25, 0.5],
    [0.5, 0.5],
    [0.5, 1],
    [0.75, 1],
    [1, 1],
  ],
  bullet: [
    [0.1, 1],
    [0.15, 1],
    [0.25, 1],
    [0.35, 1],
    [0.5, 1],
    [0.75, 1],
    [1, 1],
  ],
  kamado: [
    [0.04, 0.15],
    [0.067, 0.2],
    [0.1, 0.25],
    [0.133, 0.3],
    [0.2, 0.4],
    [0.267, 0.5],
    [0.4, 0.6],
  ],
  offset: [
    [0.25, 1],
    [0.5, 0.5],
    [0.5, 1],
    [1, 0.25],
    [1, 0.5],
    [1, 0.75],
    [1, 1],
  ],
  hopper: [
    [0.05, 1],
    [0.1, 1],
    [0.15, 1],
    [0.2, 1],
    [0.3, 1],
    [0.5, 1],
    [1, 1],
  ],
};

/** Feeds that offsets are commonly kept on (common practice). */
const USUAL_FEED: Readonly<Record<'light' | 'heavy', Feed>> = {
  light: { massKg: 0.45, intervalMin: 30 },
  heavy: { massKg: 1.3, intervalMin: 50 },
};

/** Computes a card; yields the share done, so that a worker can report it. */
export function* ventCard(c: PitCase): Generator<number, VentCard> {
  const preset = presetOf(c.preset);
  const feed =
    preset.family === 'offset' ? USUAL_FEED[smallFirebox(preset) ? 'light' : 'heavy'] : null;
  const days = OTHER_DAYS.map((d) => ({ name: d.name, pit: onDay(c, d.change) }));
  const rows: CardRow[] = [];
  if (preset.hasFan) {
    for (const [i, targetC] of SET_POINTS.entries()) {
      const settlesC = days.map((d) => fanSettles(d.pit, targetC));
      rows.push({
        targetC,
        intakeFraction: 0,
        exhaustFraction: preset.fanExhaustFraction,
        settlesC,
      });
      yield (i + 1) / SET_POINTS.length;
    }
    return { days: daysOf(days), rows, feed: null };
  }
  const settings = SETTINGS[preset.family];
  for (const [i, [intakeFraction, exhaustFraction]] of settings.entries()) {
    const settlesC: number[] = [];
    for (const [k, d] of days.entries()) {
      settlesC.push(settlesAt(d.pit, intakeFraction, exhaustFraction, feed ?? undefined));
      yield (i + (k + 1) / days.length) / settings.length;
    }
    rows.push({ targetC: null, intakeFraction, exhaustFraction, settlesC });
  }
  return { days: daysOf(days), rows, feed };
}

const daysOf = (days: readonly { name: string; pit: PitCase }[]): VentCard['days'] =>
  days.map(({ name, pit: { weather } }) => ({
    name,
    airC: weather.airC,
    windMps: weather.windMps,
  }));

/** Set points that a fan's card shows, C. */
const SET_POINTS = [95, 107, 121, 135, 150, 175, 200];

/** Where a fan really holds a set point, C. */
function fanSettles(c: PitCase, targetC: number): number {
  const scenario = caseScenario(c, 0, 1, SETTLED_UNTIL);
  const run = simulate({ ...scenario, control: { mode: 'fan', targetC }, actions: [] });
  return settledC(run.pitC, scenario.everyMin);
}
