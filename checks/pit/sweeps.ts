/** Trade practice that sweeps over the cookers found wanting: shut vents, pans, open lids, wind. */
import {
  advance,
  celsius,
  createCook,
  dafFraction,
  feedActions,
  CHARCOALS,
  mean,
  presetOf,
  simulate,
  usualFire,
  type Action,
} from '@ostrin/core/internals';
import { MEMORY, part, row, type Row } from '../types';
import { between, FIRST_SPLIT_MIN, heapOf, highest, offsetScenario, onTheDay, vents } from './help';

const KETTLES = ['kettle-47', 'kettle-57', 'kettle-66'] as const;
/** A kettle that cooks steadily, and then what is done to it. */
const steadyKettle = (preset: string, actions: Action[], untilMin: number) =>
  onTheDay(
    preset,
    usualFire(presetOf(preset)),
    [vents(0, 1, 1), vents(40, 0.25, 0.5), ...actions],
    {
      untilMin,
    },
  );

/** A kettle shut down after five hours: what it reads three hours later, C, and the share of its fuel that is kept. */
function shutDown(preset: string): { afterC: number; keptFraction: number } {
  const cook = createCook(steadyKettle(preset, [vents(300, 0, 0)], 480));
  const fuel = (): number => cook.pit!.lit.kg + cook.pit!.unlit.kg;
  advance(cook, 300);
  const before = fuel();
  advance(cook, 480);
  return { afterC: celsius(cook.pit!.probeK), keptFraction: fuel() / before };
}

/** How far a kettle reads over what it read before its lid was off for 20 min, K. */
function overshootK(preset: string): number {
  const { pitC } = simulate(
    steadyKettle(preset, [{ atMin: 200, do: 'lid-open', seconds: 1200 }], 340),
  );
  return highest(pitC, 222, 340) - pitC[199]!;
}

/** A water smoker's pit, C, and its charcoal, kg as bought an hour, over the fourth hour. */
function smoker(intake: number, waterKg: number): { meanC: number; kgPerH: number } {
  const preset = 'bullet-47';
  const cook = createCook(
    onTheDay(
      preset,
      heapOf(preset, { arrangement: 'ring' }),
      [vents(0, 1, 1), vents(30, intake, 1)],
      { cooker: { preset, overrides: { waterKg } }, untilMin: 240 },
    ),
  );
  const burnt = (min: number): number => advance(cook, min).pit!.ledger.burnedKg;
  const before = burnt(180);
  const kgPerH = (burnt(240) - before) / dafFraction(CHARCOALS.briquette);
  return { meanC: between(cook.result.pitC, 180, 240), kgPerH };
}

/** Intakes tried for the water smoker at 102 C. */
const INTAKES = [0.12, 0.16, 0.2, 0.24, 0.28];

/** Charcoal an hour that keeps a full water pan's smoker at 102 C, between the two settings that straddle it. */
function smokerAt102(): number {
  const tried = INTAKES.map((intake) => smoker(intake, 6));
  const above = tried.findIndex((t) => t.meanC >= 102);
  if (above < 1) return NaN;
  const [a, b] = [tried[above - 1]!, tried[above]!];
  return a.kgPerH + ((102 - a.meanC) / (b.meanC - a.meanC)) * (b.kgPerH - a.kgPerH);
}

const WINDY_UNTIL_MIN = 420;
const onWindyDay = (windMps: number) => ({
  weather: { airC: 10, windMps, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
  untilMin: WINDY_UNTIL_MIN,
});

/** What 8 m/s of forecast wind does to a pit whose vents stay, K. */
function windK(run: (windMps: number) => (number | null)[]): number {
  const steady = (windMps: number): number => between(run(windMps), 240, 400);
  return steady(8) - steady(1);
}

/** The usual holding vents of a charcoal cooker, in that wind. */
function inWind(id: string, windMps: number): (number | null)[] {
  const { bringUp, holding } = presetOf(id);
  const along = holding.exhaustPerIntake;
  const exhaust = along ? Math.min(along * holding.intake, 1) : holding.exhaust;
  return simulate(
    onTheDay(
      id,
      usualFire(presetOf(id)),
      [vents(0, bringUp.intake, bringUp.exhaust), vents(30, holding.intake, exhaust)],
      onWindyDay(windMps),
    ),
  ).pitC;
}

function windRow(): Row {
  const kettles = KETTLES.map((id) => windK((w) => inWind(id, w)));
  const splits = (id: 'offset-heavy' | 'offset-light', kg: number, every: number): number =>
    windK(
      (w) =>
        simulate(
          offsetScenario(
            id,
            feedActions({ massKg: kg, intervalMin: every }, WINDY_UNTIL_MIN, FIRST_SPLIT_MIN),
            onWindyDay(w),
          ),
        ).pitC,
    );
  const offsets = [splits('offset-heavy', 1.25, 50), splits('offset-light', 0.45, 30)];
  const steel = windK((w) => inWind('kamado-steel-50', w));
  return row('D-wind', 'forecast wind from 1 to 8 m/s, vents left alone', MEMORY, [
    part('kettles move by C on average', Math.abs(mean(kettles)), 0, 15),
    part('and differ by C', Math.max(...kettles) - Math.min(...kettles), 0, 15),
    part('offsets fall by C', -mean(offsets), 0, 30),
    part('steel kamado rises by C', steel, -20, 25),
  ]);
}

/** Rows found by sweeps over whole families. */
export function sweepPitRows(): Row[] {
  const shut = KETTLES.map(shutDown);
  const wet = smoker(0.2, 6);
  const none = smoker(0.2, 0);
  const overshoots = KETTLES.slice(1).map(overshootK);
  return [
    row('D-shut', 'kettles with all vents shut after five hours', MEMORY, [
      part('hottest after 3 h C', Math.max(...shut.map((s) => s.afterC)), 10, 60),
      part('fuel kept %', 100 * Math.min(...shut.map((s) => s.keptFraction)), 60, 100, 0),
    ]),
    row('D-pan', 'water smoker: without a pan against over water', MEMORY, [
      part('hotter by C', none.meanC - wet.meanC, 15, 80),
      part('kg/h at 102 °C', smokerAt102(), 0.3, 0.45, 3),
    ]),
    row('D-lid', 'kettle, lid off for 20 min: over its reading before', MEMORY, [
      part('least C', Math.min(...overshoots), 5, 15),
      part('most C', Math.max(...overshoots), 5, 15),
    ]),
    windRow(),
  ];
}
