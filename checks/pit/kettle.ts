/** Trade practice: kettles with a snake or a side basket. */
import {
  advance,
  createCook,
  simulate,
  type Action,
  type CookerParameters,
  type Scenario,
  type SnakeFire,
} from '@ostrin/core/internals';
import { COMMON, row, type Row } from '../types';
import { between, charcoalPerHour, heapOf, lasts, onTheDay, settled, vents } from './help';

/** The snake of T1: two wide, two high, 290 degrees. */
const snake = (part: Partial<SnakeFire> = {}): SnakeFire => ({
  arrangement: 'snake',
  fuel: 'briquette',
  side: 2,
  layers: 2,
  arcDegrees: 290,
  litPieces: 12,
  litAtMin: 0,
  woodChunks: [],
  ...part,
});

const HELD = [vents(0, 1, 1), vents(20, 0.25, 0.5)];

const kettle57 = (
  actions: Action[] = HELD,
  fire: Partial<SnakeFire> = {},
  overrides: Partial<CookerParameters> = {},
  part: Partial<Scenario> = {},
): Scenario =>
  onTheDay('kettle-57', snake(fire), actions, {
    cooker: { preset: 'kettle-57', overrides },
    ...part,
  });

/** Hours that a pit spends within a band. */
const hoursWithin = (c: readonly (number | null)[], low: number, high: number): number =>
  c.filter((v) => v !== null && v >= low && v <= high).length / 60;

/** Rows T1 to T4, T10, T13, the kettle's part of T14, and smoke chunks. */
export function kettleRows(): Row[] {
  const rows: Row[] = [];
  for (const [id, litPieces] of [
    ['T1', 12],
    ['T1-lit-10', 10],
    ['T1-lit-15', 15],
  ] as const) {
    const run = simulate(kettle57(HELD, { litPieces }));
    rows.push(
      row(id, `57 cm kettle, 2x2 snake over 290 degrees, ${litPieces} lit, 1/4 and 1/2`, COMMON, [
        { what: 'settles C', value: settled(run), low: 109, high: 133 },
        { what: 'burns h', value: lasts(run), low: 7, high: 9.5, digits: 2 },
      ]),
    );
    if (id === 'T1') {
      rows.push(
        row('T13', 'kettle: dome against grate', COMMON, [
          {
            what: 'dome hotter by C',
            value: between(run.domeC, 120, 301) - settled(run),
            low: 8,
            high: 25,
          },
        ]),
      );
    }
  }
  const leaky = simulate(kettle57([vents(0, 1, 1), vents(20, 0.08, 0.08)], {}, { leakCm2: 20 }));
  rows.push(
    row('T2', 'leaky lid (leak doubled), both vents nearly closed (0.08)', COMMON, [
      { what: 'settles C', value: settled(leaky), low: 106, high: 136 },
    ]),
  );
  rows.push(...waterRows());
  const basket = simulate(
    onTheDay('kettle-57', heapOf('kettle-57', { arrangement: 'side-basket' }), [
      vents(0, 1, 1),
      vents(25, 0.5, 0.5),
    ]),
  );
  rows.push(
    row('T4', '57 cm kettle, side basket, 12 lit, both vents 1/2', COMMON, [
      { what: 'settles C', value: settled(basket), low: 122, high: 148 },
      { what: 'h within', value: hoursWithin(basket.pitC, 122, 148), low: 3.5, high: 6 },
    ]),
  );
  rows.push(...lidRows());
  rows.push(
    row('T14-kettle', 'kettle at 121 °C, briquettes an hour, hours 2 to 5', COMMON, [
      { what: 'kg/h', value: charcoalPerHour(kettle57()), low: 0.22, high: 0.45, digits: 3 },
    ]),
  );
  rows.push(...chunkRows());
  return rows;
}

/** T3: a side basket with and without water in the trough. */
function waterRows(): Row[] {
  const rows: Row[] = [];
  for (const waterKg of [0, 2]) {
    const run = simulate(
      onTheDay(
        'kettle-66',
        heapOf('kettle-66', { arrangement: 'side-basket' }),
        [vents(0, 1, 1), vents(25, 0.25, 1 / 3)],
        { cooker: { preset: 'kettle-66', overrides: { waterKg } } },
      ),
    );
    rows.push(
      row(
        waterKg > 0 ? 'T3' : 'T3-no-water',
        `66 cm kettle, side basket, ${waterKg} kg in the trough, 1/4 and 1/3`,
        COMMON,
        [
          { what: 'settles C', value: settled(run), low: 109, high: 133 },
          { what: 'h within', value: hoursWithin(run.pitC, 109, 133), low: 5, high: Infinity },
        ],
      ),
    );
  }
  return rows;
}

/** How long a chunk on the snake smokes white. */
function chunkRows(): Row[] {
  const rows: Row[] = [];
  for (const massG of [60, 100]) {
    const run = simulate(
      kettle57(HELD, { woodChunks: [{ species: 'cherry', massG, atArcDegrees: 60 }] }),
    );
    rows.push(
      row(`chunk-${massG}`, `a ${massG} g chunk on a kettle's snake smokes white`, COMMON, [
        { what: 'min', value: run.smoke.filter((s) => s === 'white').length, low: 1, high: 20 },
      ]),
    );
  }
  return rows;
}

/** T10: the lid off for 90 s, bare and with a shoulder on; and a chunk's flame while it is off. */
function lidRows(): Row[] {
  const rows: Row[] = [];
  const open: Action = { atMin: 240, do: 'lid-open', seconds: 90 };
  for (const laden of [false, true]) {
    const on: Action[] = laden ? [{ atMin: 45, do: 'meat-on', meat: 'a' }] : [];
    const run = simulate(
      kettle57(
        [...HELD, ...on, open],
        {},
        {},
        {
          meats: laden ? [{ id: 'a', cut: 'pork-shoulder', massKg: 3.8, startC: 4 }] : [],
          untilMin: 300,
        },
      ),
    );
    const before = run.pitC[239]!;
    const fell = Math.min(...run.pitC.slice(240, 250).map((c) => c!));
    const back = run.pitC.findIndex((c, i) => i > 242 && Math.abs(c! - before) <= 5);
    rows.push(
      row(
        laden ? 'T10-meat' : 'T10',
        `kettle at 121 °C, lid off 90 s${laden ? ', a shoulder on the grate' : ''}`,
        COMMON,
        [
          { what: 'grate falls to C', value: fell, low: -Infinity, high: 75 },
          {
            what: 'back within 5 °C after min',
            value: back < 0 ? null : back - 241.5,
            low: 8,
            high: 25,
          },
        ],
      ),
    );
  }
  const cook = createCook(
    kettle57(HELD.concat({ atMin: 80, do: 'lid-open', seconds: 240 }), {
      woodChunks: [{ species: 'cherry', massG: 100, atArcDegrees: 60 }],
    }),
  );
  const flameAt = (min: number): number => advance(cook, min).pit!.flaming;
  rows.push(
    row('T10-flame', 'wood on the coals flames with the lid off, goes out under it', COMMON, [
      { what: 'flame before', value: flameAt(79.9), low: 0, high: 0.2, digits: 2 },
      { what: 'in the open', value: flameAt(83.9), low: 0.5, high: 1, digits: 2 },
      { what: 'five minutes under the lid', value: flameAt(89), low: 0, high: 0.2, digits: 2 },
    ]),
  );
  return rows;
}
