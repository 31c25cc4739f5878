/** A pit's vent card: settings against temperature on four kinds of day. */
import { simulate } from '../cook/cook';
import { presetOf } from '../pit/catalogue';
import { hasSmallFirebox } from '../pit/usualFire';
import {
  steadyScenario,
  SETTLED_UNTIL_MIN,
  settledC,
  type SplitFeed,
  type SteadyCase,
} from './steadyCase';
import { withWeather, REFERENCE_DAYS, settledAtC, type ReferenceDayId } from './ventsFor';

/** One setting and where it settles, day by day in the order of `days`. */
export interface CardRow {
  /** The fan's set point where a fan drives the fire; its vents are then left alone. */
  targetC: number | null;
  /** Intake, 0 shut to 1 fully open. */
  intakeFraction: number;
  /** Exhaust, 0 shut to 1 fully open. */
  exhaustFraction: number;
  /** Where it settles on each day, C. */
  settlesC: number[];
}

export interface VentCard {
  /** The days. */
  days: { id: ReferenceDayId; airC: number; windMps: number }[];
  /** Settings, tight to wide. */
  rows: CardRow[];
  /** The feed that an offset was kept on. */
  feed: SplitFeed | null;
}

/** Feeds that offsets are commonly kept on (common practice). */
const USUAL_SPLIT_FEED: Readonly<Record<'light' | 'heavy', SplitFeed>> = {
  light: { massKg: 0.45, intervalMin: 30 },
  heavy: { massKg: 1.3, intervalMin: 50 },
};

/** Computes a card; yields the share done, so that a worker can report it. */
export function* ventCard(steadyCase: SteadyCase): Generator<number, VentCard> {
  const preset = presetOf(steadyCase.preset);
  const feed = preset.traits.sideFirebox
    ? USUAL_SPLIT_FEED[hasSmallFirebox(preset) ? 'light' : 'heavy']
    : null;
  const days = REFERENCE_DAYS.map((d) => ({
    id: d.id,
    pit: withWeather(steadyCase, d.change),
  }));
  const rows: CardRow[] = [];
  if (preset.hasFan) {
    for (const [i, targetC] of FAN_SET_POINTS_C.entries()) {
      const settlesC = days.map((d) => fanSettledC(d.pit, targetC));
      rows.push({
        targetC,
        intakeFraction: 0,
        exhaustFraction: preset.fanExhaustFraction,
        settlesC,
      });
      yield (i + 1) / FAN_SET_POINTS_C.length;
    }
    return { days: cardDays(days), rows, feed: null };
  }
  const settings = preset.cardSettings;
  for (const [i, [intakeFraction, exhaustFraction]] of settings.entries()) {
    const settlesC: number[] = [];
    for (const [k, d] of days.entries()) {
      settlesC.push(settledAtC(d.pit, intakeFraction, exhaustFraction, feed ?? undefined));
      yield (i + (k + 1) / days.length) / settings.length;
    }
    rows.push({ targetC: null, intakeFraction, exhaustFraction, settlesC });
  }
  return { days: cardDays(days), rows, feed };
}

const cardDays = (days: readonly { id: ReferenceDayId; pit: SteadyCase }[]): VentCard['days'] =>
  days.map(({ id, pit: { weather } }) => ({
    id,
    airC: weather.airC,
    windMps: weather.windMps,
  }));

/** Set points that a fan's card shows, C. */
const FAN_SET_POINTS_C = [95, 107, 121, 135, 150, 175, 200];

/** Where a fan really holds a set point, C. */
function fanSettledC(steadyCase: SteadyCase, targetC: number): number {
  const scenario = steadyScenario(steadyCase, 0, 1, SETTLED_UNTIL_MIN);
  const run = simulate({ ...scenario, control: { mode: 'fan', targetC }, actions: [] });
  return settledC(run.pitC, scenario.everyMin);
}
