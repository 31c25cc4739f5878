/** What the pit's checks share. Temperatures at the grate, C. */
import {
  type Action,
  burnHours,
  feedActions,
  type FireSpec,
  type HeapFire,
  mean,
  presetOf,
  type Result,
  roundSwingK,
  type Scenario,
  settledC,
  simulate,
  usualFire,
} from '@ostrin/core/internals';

export const vents = (atMin: number, intakeFraction: number, exhaustFraction: number): Action => ({
  atMin,
  do: 'set-vents',
  intakeFraction,
  exhaustFraction,
});

/** A scenario on the day that the kettle's rows name: 10 C, light air. */
export function onTheDay(
  preset: string,
  fire: FireSpec,
  actions: Action[],
  part: Partial<Scenario> = {},
): Scenario {
  return {
    ostrin: 'scenario/1',
    cooker: { preset, overrides: {} },
    fire,
    weather: { airC: 10, windMps: 1, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
    control: { mode: 'vents' },
    actions,
    meats: [],
    untilMin: 780,
    everyMin: 1,
    ...part,
  };
}

/** The usual heap of a preset with another load or arrangement. */
export function heapOf(
  presetId: string,
  part: Partial<HeapFire> & Pick<HeapFire, 'arrangement'>,
): HeapFire {
  const fire = usualFire(presetOf(presetId), part.arrangement);
  if (fire.arrangement === 'snake') throw new RangeError('a snake is not a heap');
  return { ...fire, ...part };
}

export const settled = (r: Result): number => settledC(r.pitC, 1);
export const lasts = (r: Result): number => burnHours(r.pitC, 1);

/** Mean of a series between two minutes. */
export const between = (c: readonly (number | null)[], from: number, to: number): number =>
  mean(c.slice(from, to).map((v) => v ?? NaN));

/** Highest reading between two minutes. */
export const highest = (c: readonly (number | null)[], from = 0, to = c.length): number =>
  Math.max(...c.slice(from, to).map((v) => v ?? -Infinity));

/** Charcoal burnt an hour over hours 2 to 5 of a scenario, kg as bought. */
export function charcoalPerHour(scenario: Scenario): number {
  const burned = (untilMin: number): number => simulate({ ...scenario, untilMin }).fuel.burnedKg;
  return (burned(300) - burned(120)) / 3;
}

/** Charcoal that an offset is lit with, kg: what people use (common practice). */
export const OFFSET_BED_KG = { 'offset-heavy': 2, 'offset-heavy-reverse': 2, 'offset-light': 1 };
type Offset = keyof typeof OFFSET_BED_KG;

/** An offset with its bed of charcoal lit, vents wide open, then what is done to it. */
export function offsetScenario(
  preset: Offset,
  actions: Action[],
  part: Partial<Scenario> = {},
): Scenario {
  const bedKg = OFFSET_BED_KG[preset];
  const fire = heapOf(preset, { arrangement: 'coal-bed', massKg: bedKg, litMassKg: bedKg });
  return onTheDay(preset, fire, [vents(0, 1, 1), ...actions], part);
}

/** First split, min after lighting, where the bed of charcoal is small. */
export const FIRST_SPLIT_MIN = 20;
/** Minute from which an offset is judged: its charcoal is through by then. */
export const SETTLED_MIN = 300;

/** An offset on a steady feed: mean, near against far end, over whole rounds once its charcoal is through. */
export function fed(
  preset: Offset,
  massKg: number,
  intervalMin: number,
  extra: Action[] = [],
): { result: Result; meanC: number; nearMinusFar: number; swingK: number } {
  const from = SETTLED_MIN;
  const to = from + 4 * intervalMin;
  const result = simulate(
    offsetScenario(preset, [...feedActions({ massKg, intervalMin }, to), ...extra], {
      untilMin: to,
    }),
  );
  const at = (name: string): number =>
    between(result.grate.find((g) => g.at === name)!.C, from, to);
  return {
    result,
    meanC: between(result.pitC, from, to),
    nearMinusFar: at('near') - at('far'),
    swingK: roundSwingK(result.pitC.slice(from, to) as number[], intervalMin),
  };
}
