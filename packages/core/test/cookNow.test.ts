/** What is known of a cook at any instant, from its record alone. */
import fc from 'fast-check';
import {
  wantsAdvice,
  planOnePit,
  cookNow,
  forecastInputs,
  forecastsOf,
  knownCook,
  leadInput,
  leadPiece,
  MINUTE_MS,
  type CookRecord,
  type Entry,
  type EntryBody,
  type ReadingRow,
} from '@ostrin/core/internals';
import { entriesFrom, request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const MEAT = request().meats[0];
const PLAN = planOnePit(request({ meats: [MEAT, { ...MEAT, id: 'second', massKg: 1.8 }] }), {
  nowMs: T0 - 86_400_000,
  members: 1,
});

const entry = entriesFrom(T0);
const light = entry(
  0,
  { kind: 'act', action: { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 } },
  'light',
);
const on = ['mutton', 'second'].map((meat, i) =>
  entry(40 + i, { kind: 'act', action: { do: 'meat-on', meat } }),
);
const wire: ReadingRow[] = Array.from({ length: 60 }, (_, i) => ({
  at: T0 + i * 2 * MINUTE_MS,
  pitC: Math.min(20 + 5 * i, 121),
  coreC: i < 20 ? null : 4 + i / 2,
}));
const record = (entries: readonly Entry[], readings = wire): CookRecord => ({
  id: 'cook',
  plan: PLAN,
  startMs: T0,
  entries,
  readings,
});
const at = (min: number): number => T0 + min * MINUTE_MS;

describe('a cook now', () => {
  it('has every piece by its id, with its own readings, hours and the one to read next', () => {
    const byHand = entry(90, { kind: 'read', spot: 'meat', c: 31, meat: 'second' });
    const off = entry(110, { kind: 'act', action: { do: 'meat-off', meat: 'mutton' } });
    const known = knownCook(record([light, ...on, byHand]));
    const { pieces } = cookNow(known, {}, at(125));
    expect(pieces.map((p) => [p.id, p.onMs, p.offMs, p.read?.c])).toEqual([
      ['mutton', at(40), null, 33.5],
      ['second', at(41), null, 31],
    ]);
    expect(pieces.map((p) => p.next)).toEqual([false, true]);
    const later = cookNow(knownCook(record([light, ...on, byHand, off])), {}, at(150));
    expect(later.pieces.map((p) => [p.offMs, p.next])).toEqual([
      [at(110), false],
      [null, true],
    ]);
  });

  it('asks for nothing before the fire is lit, and counts on lighting now', () => {
    const known = knownCook(record([]));
    expect(forecastInputs(known, at(5))).toEqual({});
    const cook = cookNow(known, {}, at(5));
    expect([cook.litMs, cook.zeroMs, cook.forecast, cook.alarms.map((a) => a.code)]).toEqual([
      null,
      at(5),
      null,
      expect.not.arrayContaining(['fire-out', 'out-of-band']),
    ]);
    expect(cook.state.cause.code).toBe('not-lit');
    expect(() => leadInput(cook)).toThrow(RangeError);
  });

  it('asks about each piece with its own readings, and takes each answer to its piece', () => {
    const known = knownCook(record([light, ...on]));
    const inputs = forecastInputs(known, at(118));
    expect(Object.keys(inputs)).toEqual(['mutton', 'second']);
    expect(inputs.mutton!.readings.some((r) => r.coreC !== null)).toBe(true);
    expect(inputs.second!.readings.every((r) => r.coreC === null)).toBe(true);
    const forecasts = forecastsOf(inputs);
    const cook = cookNow(known, forecasts, at(118));
    expect(cook.forecast).toBe(forecasts.mutton);
    expect(cook.pieces.map((p) => p.readyMin)).toEqual([
      forecasts.mutton!.readyMin,
      forecasts.second!.readyMin,
    ]);
    // A piece that was asked about alone is answered as among the others.
    expect(forecastsOf(forecastInputs(known, at(118), ['second']))).toEqual({
      second: forecasts.second,
    });
  });

  it('is the same whatever the order in which lines of other minutes arrived (property)', () => {
    const log = [
      light,
      ...on,
      entry(60, { kind: 'read', spot: 'dome', c: 130 }),
      entry(70, { kind: 'look', what: 'bark', meat: 'mutton', verdict: 'wipes-off' }),
      entry(80, { kind: 'serve-at', to: at(700) }),
      entry(85, { kind: 'note', text: 'windy' }),
    ];
    const sorted = cookNow(knownCook(record(log)), {}, at(100));
    fc.assert(
      fc.property(fc.shuffledSubarray(log, { minLength: log.length }), (shuffled) => {
        const { entries: _, ...cook } = cookNow(knownCook(record(shuffled)), {}, at(100));
        const { entries: __, ...expected } = sorted;
        expect(cook).toEqual(expected);
      }),
      { numRuns: 30 },
    );
  });
});

describe('what may be asked', () => {
  it('is nothing that its pieces are past', () => {
    const did = (min: number, action: object): Entry =>
      entry(min, { kind: 'act', action } as EntryBody);
    const felt = (min: number, verdict: 'like-butter' | 'tough'): Entry =>
      entry(min, { kind: 'look', what: 'tender', meat: 'mutton', verdict });
    const ids = (entries: readonly Entry[], min = 300): string[] =>
      cookNow(knownCook(record([light, ...on, ...entries])), {}, at(min)).jobs.map((j) => j.job.id);
    expect(ids([])).toEqual(
      expect.arrayContaining(['wrap', 'wrap-second', 'check', 'off', 'shut']),
    );
    // Put on by the pad and not by its job, wrapped without it, felt done.
    expect(ids([])).not.toContain('meat-on');
    const wrapped = ids([did(200, { do: 'wrap', meat: 'mutton', with: 'foil' })]);
    expect(wrapped).not.toContain('wrap');
    expect(wrapped).toContain('wrap-second');
    expect(ids([felt(290, 'tough')])).toContain('check');
    expect(ids([felt(290, 'like-butter')])).not.toContain('check');
    expect(ids([felt(290, 'like-butter')])).toContain('check-second');
    // Taken off: nothing of that piece, and with all of it off nothing of the fire but its end.
    const one = ids([did(280, { do: 'meat-off', meat: 'mutton' })]);
    expect(one.filter((id) => ['wrap', 'check', 'off'].includes(id))).toEqual([]);
    const all = ['mutton', 'second'].map((meat, i) => did(280 + i, { do: 'meat-off', meat }));
    const hot = ['mutton', 'second'].map((meat) =>
      entry(279, { kind: 'read', spot: 'meat', meat, c: 94 }),
    );
    expect(ids([...hot, ...all])).toEqual(['shut', 'serve']);
    // Meat that came off raw has to go back on first: its fire is not put out, and nobody is served.
    expect(ids(all)).toEqual([]);
  });

  it('is nothing of a fire over which nothing lies any more', () => {
    const off = ['mutton', 'second'].map((meat) =>
      entry(100, { kind: 'act', action: { do: 'meat-off', meat } }),
    );
    const cold = wire.map((r) => ({ ...r, at: r.at + 90 * MINUTE_MS, pitC: 20 }));
    const cook = (entries: readonly Entry[]) =>
      cookNow(knownCook(record([light, ...on, ...entries], cold)), {}, at(205));
    expect(cook([]).alarms.map((a) => a.code)).toContain('fire-out');
    expect(wantsAdvice(cook(off))).toBe(false);
    const codes = cook(off).alarms.map((a) => a.code);
    expect(codes.filter((c) => c !== 'job-due')).toEqual([]);
  });
});

it('looks for a move where the pit stays at the edge of its band, and for none nearer to its target', () => {
  const { pitC, bandC } = PLAN.request.pits[0].pace;
  const wants = (offK: number): boolean => {
    const steady = wire.map((r) => ({ ...r, at: r.at + 90 * MINUTE_MS, pitC: pitC + offK }));
    return wantsAdvice(cookNow(knownCook(record([light, ...on], steady)), {}, at(205)));
  };
  expect([wants(-0.8 * bandC), wants(0.8 * bandC)]).toEqual([true, true]);
  expect([wants(-0.4 * bandC), wants(0.4 * bandC)]).toEqual([false, false]);
});

it('refuses a plan without a piece', () => {
  expect(() => leadPiece({ pieces: [] })).toThrow(/one piece at least/);
});
