/** Trade practice: the kettle with a snake. */
import { settledC, simulate, type Action, type Pit, type Scenario } from '@ostrin/core';
import { row, type Row } from './types';

const COMMON = 'common practice';

const vents = (atMin: number, intakeFraction: number, exhaustFraction: number): Action => ({
  atMin,
  do: 'set-vents',
  intakeFraction,
  exhaustFraction,
});

/** The kettle of T1: two wide, two high, 290 degrees, 12 lit. */
export function snakeScenario(part: {
  overrides?: Partial<Pit>;
  actions?: Action[];
  airC?: number;
  chunkAt?: number;
  litPieces?: number;
  meats?: Scenario['meats'];
  untilMin?: number;
}): Scenario {
  return {
    ostrin: 'scenario/1',
    cooker: { preset: 'kettle-57', overrides: part.overrides ?? {} },
    fire: {
      arrangement: 'snake',
      fuel: 'briquette',
      side: 2,
      layers: 2,
      arcDegrees: 290,
      litPieces: part.litPieces ?? 12,
      litAtMin: 0,
      woodChunks:
        part.chunkAt === undefined
          ? []
          : [{ species: 'cherry', massG: 60, atArcDegrees: part.chunkAt }],
    },
    weather: {
      airC: part.airC ?? 10,
      windMps: 1,
      relativeHumidityFraction: 0.6,
      altitudeM: 0,
      rainMmPerH: 0,
    },
    control: { mode: 'vents', targetC: 121 },
    actions: part.actions ?? [vents(0, 1, 1), vents(20, 0.25, 0.5)],
    meats: part.meats ?? [],
    untilMin: part.untilMin ?? 780,
    everyMin: 1,
  };
}

/** Hours from lighting until the pit has fallen 15 C under where it settled, for good. */
function lastsHours(pitC: readonly (number | null)[], settled: number): number {
  let last = 0;
  pitC.forEach((c, i) => {
    if (c !== null && c > settled - 15) last = i;
  });
  return last / 60;
}

/** Rows T1, T2, T10, T13 and the kettle's part of T14. */
export function pitRows(): Row[] {
  const rows: Row[] = [];
  const base = simulate(snakeScenario({}));
  const settled = settledC(base.pitC, 1);
  rows.push(
    row('T1', 'kettle, 2x2 snake over 290 degrees, bowl 1/4, lid 1/2, air 10 C', COMMON, [
      { what: 'settles C', value: settled, low: 109, high: 133 },
      { what: 'burns h', value: lastsHours(base.pitC, settled), low: 7, high: 9.5, digits: 2 },
    ]),
  );
  for (const lit of [10, 15]) {
    const run = simulate(snakeScenario({ litPieces: lit }));
    const c = settledC(run.pitC, 1);
    rows.push(
      row(`T1-lit-${lit}`, `the same with ${lit} lit`, COMMON, [
        { what: 'settles C', value: c, low: 109, high: 133 },
        { what: 'burns h', value: lastsHours(run.pitC, c), low: 7, high: 9.5, digits: 2 },
      ]),
    );
  }
  const leaky = simulate(
    snakeScenario({ overrides: { leakCm2: 20 }, actions: [vents(0, 1, 1), vents(20, 0.08, 0.08)] }),
  );
  rows.push(
    row('T2', 'leaky lid (leak doubled), both vents nearly closed (0.08)', COMMON, [
      { what: 'settles C', value: settledC(leaky.pitC, 1), low: 106, high: 136 },
    ]),
  );
  const lid = simulate(
    snakeScenario({
      actions: [vents(0, 1, 1), vents(20, 0.25, 0.5), { atMin: 240, do: 'lid-open', seconds: 90 }],
    }),
  );
  const before = lid.pitC[239]!;
  const fell = Math.min(...lid.pitC.slice(240, 250).map((c) => c!));
  const back = lid.pitC.findIndex((c, i) => i > 242 && Math.abs(c! - before) <= 5);
  rows.push(
    row('T10', 'kettle at 121 C, lid off 90 s', COMMON, [
      { what: 'grate falls to C', value: fell, low: -Infinity, high: 75 },
      {
        what: 'back within 5 C after min',
        value: back < 0 ? null : back - 241.5,
        low: 8,
        high: 25,
      },
    ]),
  );
  rows.push(
    row('T13', 'dome against grate', COMMON, [
      { what: 'dome hotter by C', value: settledC(base.domeC, 1) - settled, low: 8, high: 25 },
    ]),
  );
  const five = simulate(snakeScenario({ untilMin: 300 })).fuel.burnedKg;
  const two = simulate(snakeScenario({ untilMin: 120 })).fuel.burnedKg;
  rows.push(
    row('T14-kettle', 'kettle at 121 C, briquettes an hour, hours 2 to 5', COMMON, [
      { what: 'kg/h', value: (five - two) / 3, low: 0.22, high: 0.45, digits: 3 },
    ]),
  );
  return rows;
}
