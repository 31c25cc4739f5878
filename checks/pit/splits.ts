/** Trade practice: how a fire on splits swings, its bed of coals, and its smoke, from the fifth hour on. */
import {
  type Action,
  advance,
  celsius,
  createCook,
  feedActions,
  mean,
  roundSwingK,
  simulate,
  WHITE_G_PER_M3,
} from '@ostrin/core/internals';
import { COMMON, MEMORY, part, row, type Row } from '../types';
import { FIRST_SPLIT_MIN, offsetScenario, OFFSET_BED_KG, SETTLED_MIN } from './help';

/** The last minute that is judged. */
const UNTIL_MIN = 600;

/** Splits at steady times; `massKg` is all that goes on at once. */
const feeds = (massKg: number, intervalMin: number, pieces = 1): Action[] =>
  feedActions({ massKg, intervalMin }, UNTIL_MIN + 1, FIRST_SPLIT_MIN).map((a) => ({
    ...a,
    pieces,
  }));

/** Mean, half a round's swing, drift from first to last round, and least and most glowing char, kg. */
function steady(
  preset: keyof typeof OFFSET_BED_KG,
  massKg: number,
  intervalMin: number,
  pieces = 1,
) {
  const cook = createCook(
    offsetScenario(preset, feeds(massKg, intervalMin, pieces), { untilMin: UNTIL_MIN }),
  );
  const pitC: number[] = [];
  const bedKg: number[] = [];
  for (let min = SETTLED_MIN; min < UNTIL_MIN; min++) {
    const { probeK, lit } = advance(cook, min).pit!;
    pitC.push(celsius(probeK));
    bedKg.push(lit.kg);
  }
  const rounds = Math.floor(pitC.length / intervalMin);
  const round = (series: number[], i: number): number =>
    mean(series.slice(i * intervalMin, (i + 1) * intervalMin));
  return {
    meanC: mean(pitC),
    swingK: roundSwingK(pitC.slice(0, rounds * intervalMin), intervalMin),
    driftK: round(pitC, rounds - 1) - round(pitC, 0),
    leastBedKg: Math.min(...bedKg),
    mostBedKg: Math.max(...bedKg),
    bedDriftKg: round(bedKg, rounds - 1) - round(bedKg, 0),
  };
}

/** White minutes of the round's 50 and how far the pit falls in it where one split of a steady fire is `moist`. */
function oneSplit(moist: number, preheated: boolean): { white: number; fallK: number } {
  const at = FIRST_SPLIT_MIN + 300;
  const actions = feeds(1.25, 50).map((a) =>
    a.atMin === at ? { ...a, moistureFraction: moist, preheated } : a,
  );
  const cook = createCook(offsetScenario('offset-heavy', actions, { untilMin: at + 50 }));
  const before = advance(cook, at).pit!.probeK;
  let white = 0;
  let lowest = before;
  for (let min = 0.25; min < 50; min += 0.25) {
    const { smokeGPerM3, probeK } = advance(cook, at + min).pit!;
    if (smokeGPerM3 >= WHITE_G_PER_M3) white += 0.25;
    lowest = Math.min(lowest, probeK);
  }
  return { white, fallK: before - lowest };
}

/** A cold load of two briskets into a steady heavy offset, lid open for a minute: how far it drops, K. */
function coldLoadK(): number {
  const run = (loaded: boolean): number[] =>
    simulate(
      offsetScenario(
        'offset-heavy',
        [
          ...feeds(1.25, 50),
          ...(loaded
            ? [
                { atMin: 240, do: 'lid-open' as const, seconds: 60 },
                { atMin: 240, do: 'meat-on' as const, meat: 'a' },
              ]
            : []),
        ],
        { untilMin: 360, meats: [{ id: 'a', cut: 'brisket', massKg: 6, count: 2, startC: 4 }] },
      ),
    ).pitC as number[];
  const empty = run(false);
  const full = run(true);
  // The lid's own fall is mostly over after twelve minutes.
  return Math.max(...empty.map((c, i) => (i > 252 && i < 330 ? c - full[i]! : 0)));
}

/** Rows T8-swing, T16 to T19, and what cold days and cold loads do. */
export function splitRows(): Row[] {
  const whole = steady('offset-heavy', 1.25, 50);
  const halves = steady('offset-heavy', 1.25, 50, 2);
  const inTurn = steady('offset-heavy', 0.625, 25);
  const rare = [1.7, 2].map((kg) => steady('offset-heavy', kg, 80));
  const light = steady('offset-light', 0.45, 30);
  const seasoned = [0.15, 0.2].map((m) => oneSplit(m, true));
  const wet = oneSplit(0.4, false);
  const frost = simulate(
    offsetScenario('offset-light', feeds(0.45, 30), {
      untilMin: UNTIL_MIN,
      weather: {
        airC: -10,
        windMps: 1,
        relativeHumidityFraction: 0.6,
        altitudeM: 0,
        rainMmPerH: 0,
      },
    }),
  ).pitC.slice(SETTLED_MIN) as number[];
  return [
    row('T8-swing', 'heavy offset, 1.25 kg each 50 min: half the swing of a round', COMMON, [
      part('+- C', whole.swingK, 0, 12),
    ]),
    row(
      'T8-halves',
      'the same mass in two halves, at once and in turn, against one whole',
      COMMON,
      [
        part('at once less by C', whole.swingK - halves.swingK, 0, Infinity),
        part('in turn less by C', whole.swingK - inTurn.swingK, 0, Infinity),
      ],
    ),
    row('T16', 'glowing char of a heavy offset between splits', MEMORY, [
      part('least kg', whole.leastBedKg, 0.4, 1.8, 2),
      part('most kg', whole.mostBedKg, 0.4, 1.8, 2),
      part('changes in 5 h by kg', Math.abs(whole.bedDriftKg), 0, 0.3, 2),
    ]),
    row('T17', 'heavy offset, 1.7 and 2 kg each 80 min', COMMON, [
      part('coldest mean C', Math.min(...rare.map((r) => r.meanC)), 100, Infinity),
      part('+- C', Math.max(...rare.map((r) => r.swingK)), 0, 18),
    ]),
    row('T18', 'light offset, 0.45 kg each 30 min, hours 5 to 10', COMMON, [
      part('+- C', light.swingK, 0, 15),
      part('drifts by C', Math.abs(light.driftK), 0, 8),
    ]),
    row('T19', 'white smoke after a split on a good bed: seasoned and warmed; 40 % wet', MEMORY, [
      part('white min, seasoned', Math.max(...seasoned.map((s) => s.white)), 0, 5),
      part('white min of 50, wet', wet.white, 25, 50),
      part('pit falls by C, wet', wet.fallK, 15, Infinity),
    ]),
    row('D-frost', 'light offset at -10 °C, 0.45 kg each 30 min, hours 5 to 10', MEMORY, [
      part('+- C', (Math.max(...frost) - Math.min(...frost)) / 2, 0, 15),
    ]),
    row('D-load', 'two cold briskets of 6 kg into a heavy offset', MEMORY, [
      part('drops by C', coldLoadK(), 15, 25),
    ]),
  ];
}
