/** Alarms, looks by eye and hand, readings by wire. */
import fc from 'fast-check';
import {
  alarmsOf,
  feltPieces,
  feltTender,
  foldLog,
  measuredWeather,
  mergedRows,
  smokeLooks,
  tenderVerdicts,
  cutOf,
  weightedP10p50p90,
  wireReadings,
  wrapByBarkMs,
  MILD_DAY,
  type AlarmInput,
  type Entry,
  type Forecast,
  type Verdict,
  type WireValue,
  lastPieceReading,
  withHandReadings,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;
const FIRST = request().meats[0].id;
const REST_MIN = request().meats[0].rest.minutes;
/** People sit down this long after lighting, min. */
const SERVED_MIN = 560 + REST_MIN;

const flat = (c: number): Forecast['pitC'] => Array<number>(20).fill(c);
const forecast = (part: Partial<Forecast> = {}): Forecast =>
  ({
    fromMin: 120,
    everyMin: 5,
    pitC: flat(121),
    pitLowC: flat(118),
    pitHighC: flat(124),
    readyMin: [500, 540, 600],
    wrapMin: null,
    fuelOutMin: null,
    ...part,
  }) as Forecast;
type Piece = AlarmInput['pieces'][number];
const piece = (part: Partial<Piece>): Piece => ({
  id: FIRST,
  readyMin: [100, 130, 160],
  onMs: T0,
  offMs: null,
  wrapped: false,
  probeOutMs: null,
  callAtC: null,
  read: null,
  ...part,
});
const input = (part: Partial<AlarmInput> = {}): AlarmInput => ({
  plan: { request: request() },
  state: { trend: 'steady', changeK: 0, place: 'in', cause: { code: 'on-target' } },
  forecast: forecast(),
  jobs: [],
  wire: [],
  pitReadMs: null,
  pieces: [piece({ readyMin: [500, 540, 600] })],
  held: [],
  nowMs: T0 + 120 * MIN,
  litMs: T0,
  serveMs: T0 + SERVED_MIN * MIN,
  ...part,
});
const ids = (part: Partial<AlarmInput>): string[] => alarmsOf(input(part)).map((a) => a.id);
const state = (place: 'in' | 'above' | 'below', code: string): AlarmInput['state'] =>
  ({ trend: 'steady', changeK: 0, place, cause: { code } }) as AlarmInput['state'];

describe('alarms', () => {
  it('are silent in a pit that is held', () => {
    expect(ids({})).toEqual([]);
  });

  it('call for a pit out of its band, but not for what comes back by itself', () => {
    expect(ids({ state: state('above', 'too-much-air') })).toEqual(['out-of-band/above']);
    for (const harmless of ['lid-was-open', 'cold-meat', 'vents-just-moved', 'coming-up']) {
      expect(ids({ state: state('below', harmless) })).toEqual([]);
    }
    expect(ids({ state: state('below', 'fire-out') })).toEqual(['fire-out']);
  });

  it('call before a pit leaves its band only where nearly all likely pits do', () => {
    const falls = (low: number, high: number): Partial<AlarmInput> => ({
      forecast: forecast({ pitC: flat(105), pitLowC: flat(low), pitHighC: flat(high) }),
    });
    expect(ids(falls(98, 112))).toEqual(['leaving-band/below']);
    expect(ids(falls(98, 125))).toEqual([]);
  });

  it('call for fuel that will not last, a wrap, a piece and a job, each once under its own id', () => {
    expect(ids({ forecast: forecast({ fuelOutMin: [140, 160, 200] }) })).toEqual(['fuel-out-soon']);
    // It lasts until the meat is done: nobody is called.
    const lasts = forecast({ fuelOutMin: [140, 160, 200], readyMin: [130, 150, 170] });
    expect(ids({ forecast: lasts, pieces: [] })).toEqual([]);
    expect(ids({ forecast: forecast({ wrapMin: 130 }) })).toEqual([`near-wrap/${FIRST}`]);
    expect(ids({ pieces: [piece({ id: 'b' })] })).toEqual(['near-done/b']);
    expect(ids({ pieces: [piece({ id: 'b', offMs: 1 })] })).toEqual([]);
    const job = { id: 'wrap' } as AlarmInput['jobs'][number]['job'];
    expect(ids({ jobs: [{ job, ms: T0 + 119 * MIN }] })).toEqual(['job-due/wrap']);
    expect(ids({ jobs: [{ job, ms: T0 + 121 * MIN }] })).toEqual([]);
  });

  it('miss a thermometer by wire that fell silent, and no other', () => {
    const wire = Array.from({ length: 60 }, (_, i) => ({
      at: T0 + (50 + i) * MIN,
      pitC: 121,
      coreC: null,
    }));
    expect(ids({ wire })).toEqual(['no-reading']);
    expect(ids({ wire, nowMs: T0 + 111 * MIN })).toEqual([]);
    expect(ids({ wire: wire.slice(0, 3) })).toEqual([]);
    // Somebody who reads the pit meanwhile knows it, for a while.
    const readAt = (min: number) => ids({ wire, pitReadMs: T0 + min * MIN });
    expect([readAt(109), readAt(112), readAt(119)]).toEqual([['no-reading'], [], []]);
    expect(ids({ wire, pitReadMs: T0 + 110 * MIN, nowMs: T0 + 141 * MIN })).toEqual(['no-reading']);
  });
});

it('alarms call for a piece that is late, or too early to be kept, and for none in time, off or not on', () => {
  const ready = (p50: number, part: Partial<Piece> = {}) => ({
    pieces: [piece({ readyMin: [p50 - 20, p50, p50 + 20], ...part })],
  });
  const inTime = SERVED_MIN - REST_MIN;
  expect(ids(ready(inTime + 20))).toEqual([]);
  expect(ids(ready(inTime + 50))).toEqual([`late/${FIRST}`]);
  expect(alarmsOf(input(ready(inTime + 50)))[0]!.byMin).toBeCloseTo(50, 6);
  expect(ids(ready(inTime - 230))).toEqual([]);
  expect(ids(ready(inTime - 300))).toEqual([`early/${FIRST}`]);
  expect(ids(ready(inTime + 50, { offMs: T0 + 100 * MIN }))).toEqual([]);
  expect(ids(ready(inTime + 50, { onMs: null }))).toEqual([]);
  // People sit down later.
  expect(ids({ ...ready(inTime + 50), serveMs: T0 + (SERVED_MIN + 60) * MIN })).toEqual([]);
});

describe('looks', () => {
  const look = (min: number, body: object): Entry =>
    ({ id: `l${min}`, at: T0 + min * MIN, kind: 'look', ...body }) as Entry;
  const log = foldLog([
    look(60, { what: 'smoke', verdict: 'white' }),
    look(200, { what: 'tender', verdict: 'tough', meat: 'a' }),
    look(210, { what: 'bark', verdict: 'wipes-off', meat: 'a' }),
    look(220, { what: 'tender', verdict: 'like-butter', meat: 'b', muscle: 'point' }),
  ]);

  it('are told in minutes after lighting, each of its own piece', () => {
    expect(smokeLooks(log, T0)).toEqual([{ atMin: 60, smoke: 'white' }]);
    expect(feltTender(log, 'a', T0)).toMatchObject([{ atMin: 200, low: 0 }]);
    expect(feltTender(log, 'b', T0)).toMatchObject([{ atMin: 220 }]);
    expect(feltTender(log, 'c', T0)).toEqual([]);
  });

  it('put a wrap off while the bark wipes off, and call for it as soon as it holds', () => {
    expect(wrapByBarkMs(log, 'a')).toBe(T0 + 240 * MIN);
    expect(wrapByBarkMs(log, 'b')).toBeNull();
    const holds = foldLog([look(230, { what: 'bark', verdict: 'sets', meat: 'a' })]);
    expect(wrapByBarkMs(holds, 'a')).toBe(T0 + 230 * MIN);
  });

  it('let the flat of a brisket decide over its point', () => {
    const both = foldLog([
      look(220, { what: 'tender', verdict: 'like-butter', meat: 'a', muscle: 'point' }),
      look(221, { what: 'tender', verdict: 'tough', meat: 'a', muscle: 'flat' }),
    ]);
    expect(feltTender(both, 'a', T0)).toMatchObject([{ atMin: 221 }]);
  });

  it('keep what was read in both muscles, and reckon with the flat', () => {
    const read = (min: number, c: number, muscle: 'flat' | 'point'): Entry => ({
      id: `r${min}`,
      at: T0 + min * MIN,
      kind: 'read',
      spot: 'meat',
      meat: 'a',
      c,
      muscle,
    });
    const point = read(222, 90, 'point');
    const both = foldLog([read(220, 84, 'flat'), point]);
    expect(withHandReadings([], both, 'a').map((r) => r.coreC)).toEqual([84]);
    expect(withHandReadings([], foldLog([point]), 'a').map((r) => r.coreC)).toEqual([90]);
    expect(lastPieceReading(both, 'a')).toMatchObject({ c: 90, muscle: 'point' });
    expect(lastPieceReading(both, 'a', 'flat')).toMatchObject({ c: 84 });
  });

  it('offer each cut its own verdicts', () => {
    expect(tenderVerdicts(cutOf('spare-ribs'))).toEqual([
      'stiff',
      'bends',
      'cracks',
    ] satisfies Verdict[]);
    expect(tenderVerdicts(cutOf('pork-shoulder'))).toEqual(['tough', 'some-tug', 'like-butter']);
    expect(tenderVerdicts(cutOf('whole-chicken'))).toEqual([]);
  });

  it('move when a piece is tender later where it felt tough, sooner where it felt tender (property)', () => {
    // A piece that grows tender steadily, 1 at minute 400.
    const tenderness = Array.from({ length: 900 }, (_, i) => i / 400);
    const middle = (verdict: readonly [number, number], atMin: number): number => {
      const felt = feltPieces(tenderness, 1, [{ atMin, low: verdict[0], high: verdict[1] }]);
      return weightedP10p50p90(
        felt.map(({ times, weight }) => ({ value: 400 * times, weight })),
      )[1];
    };
    fc.assert(
      fc.property(fc.integer({ min: 250, max: 420 }), (atMin) => {
        const [tough, tug, butter] = [
          middle([0, 0.65], atMin),
          middle([0.6, 1], atMin),
          middle([0.95, 3], atMin),
        ];
        expect(tough).toBeGreaterThanOrEqual(tug);
        expect(tug).toBeGreaterThanOrEqual(butter);
        // What feels like butter is tender by then, but for what a hand may err.
        expect(butter).toBeLessThanOrEqual(atMin * 1.2);
      }),
    );
  });
});

describe('readings by wire', () => {
  const value = (part: Partial<WireValue>): WireValue => ({
    at: T0,
    spot: 'grate',
    meat: null,
    value: 121,
    offsetK: 0,
    ...part,
  });

  it('are corrected where they are temperatures, and told by place', () => {
    const rows = wireReadings(
      [
        value({ offsetK: 3 }),
        value({ spot: 'fan', value: 0.4, offsetK: 3 }),
        value({ spot: 'meat', meat: 'a', value: 60 }),
        value({ spot: 'meat', meat: 'b', value: 62 }),
        value({ spot: 'wind', value: 4 }),
        value({ spot: 'none', value: 9 }),
      ],
      'a',
    );
    expect(rows).toEqual([
      { at: T0, pitC: 118, coreC: 60, fanDuty: 0.4, meatC: { b: 62 }, weather: { windMps: 4 } },
    ]);
  });

  it('of two instruments at one moment are one row, whatever comes first (property)', () => {
    const a = { at: T0, pitC: 121, coreC: null };
    const b = { at: T0, pitC: null, coreC: null, domeC: 140, weather: { windMps: 3 } };
    const later = { at: T0 + MIN, pitC: 122, coreC: null };
    fc.assert(
      fc.property(fc.shuffledSubarray([a, b, later], { minLength: 3 }), (rows) => {
        expect(mergedRows(rows)).toEqual([{ ...b, pitC: 121 }, later]);
      }),
    );
  });

  it('of a weather station stand over the forecast, for an hour', () => {
    const told = [{ atMin: 30, airC: null, windMps: 8, rainMmPerH: null }];
    const weather = measuredWeather(MILD_DAY, told, 40);
    const at = (min: number) => [...weather].reverse().find((w) => (w.atMin ?? 0) <= min)!.windMps;
    expect([at(10), at(45), at(100)]).toEqual([MILD_DAY.windMps, 8, MILD_DAY.windMps]);
    expect(measuredWeather(MILD_DAY, told, 20)).toEqual([MILD_DAY]);
  });
});

it('calls for held meat before it is too cool to be held, not for what was never hot', () => {
  const held = (inMin: number | null, why?: 'cool' | 'not-read'): AlarmInput['held'] => [
    {
      meat: FIRST,
      coldMs: inMin === null ? null : T0 + (120 + inMin) * MIN,
      notSafe:
        why === undefined
          ? null
          : why === 'cool'
            ? { why, coreC: 40, safeC: 63 }
            : { why, safeC: 63 },
    },
  ];
  const called = (of: AlarmInput['held']) =>
    alarmsOf(input({ held: of })).map(({ id, inMin }) => [id, inMin]);
  expect(called(held(15))).toEqual([[`going-cold/${FIRST}`, 15]]);
  expect(called(held(-5, 'not-read'))).toEqual([[`going-cold/${FIRST}`, 0]]);
  expect([held(30), held(null), held(5, 'cool')].map(called)).toEqual([[], [], []]);
});
