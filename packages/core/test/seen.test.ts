/** What readings still show of now, fires that are out, and smoke that somebody saw. */
import { diagnose, type Entry, foldLog, planOnePit } from '@ostrin/core/internals';
import { fireLit, request } from '@ostrin/testing';
import fc from 'fast-check';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;
const at = T0 + 320 * MIN;
const made = planOnePit(request(), { nowMs: T0, members: 1 });
const LIT = fireLit(T0);
const held = Array.from({ length: 60 }, (_, i) => ({ at: at - (60 - i) * MIN, pitC: 121 }));

type Input = Parameters<typeof diagnose>[0];
const of = (
  readings: Input['readings'],
  looks: readonly Entry[] = [],
  named: Input['named'] = null,
) =>
  diagnose({
    plan: made,
    readings,
    lines: foldLog([LIT, ...looks]).lines,
    nowMs: at,
    litMs: T0,
    fuelLeftFraction: 0.5,
    named,
  });

/** Readings of a dial so many minutes before now, C. */
const dial = (...read: readonly (readonly [agoMin: number, pitC: number])[]) =>
  read.map(([ago, pitC]) => ({ at: at - ago * MIN, pitC }));

describe('a trend', () => {
  it('holds for a while after the last reading, the longer the further the readings lie apart', () => {
    const changes = (readings: ReturnType<typeof dial>) => of(readings).changeK !== null;
    expect(changes(dial([40, 100], [30, 110], [20, 121]))).toBe(false);
    expect(changes(dial([30, 100], [20, 110], [14, 121]))).toBe(true);
    expect(changes(dial([100, 100], [65, 110], [32, 121]))).toBe(true);
    expect(of(dial([33, 105], [28, 121])).trend).toBe('unclear');
  });

  it('is not shown by a single reading, which still says where the pit stands', () => {
    expect(of(dial([3, 121]))).toMatchObject({
      trend: 'unclear',
      changeK: null,
      place: 'in',
      cause: { code: 'inside-band' },
    });
  });

  it('is never claimed an hour after the last reading', () => {
    const gaps = fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(gaps, fc.integer({ min: 61, max: 300 }), (apart, silentMin) => {
        let ago = silentMin;
        const read = apart.map((gap, i) => [(ago += gap), 100 + 5 * i] as const).reverse();
        const { trend, changeK } = of(dial(...read));
        expect([changeK, trend === 'rising' || trend === 'falling']).toEqual([null, false]);
      }),
    );
  });
});

it('a fire is out where the lid is cold too, and a probe in the air alone says nothing', () => {
  const cold = Array.from({ length: 20 }, (_, i) => ({ at: at - (20 - i) * MIN, pitC: 12 }));
  const lid = (domeC: number, agoMin: number) => ({ at: at - agoMin * MIN, pitC: null, domeC });
  expect(of(cold).cause.code).toBe('fire-out');
  expect(of([...cold, lid(130, 1)]).cause.code).not.toBe('fire-out');
  expect(of([...cold, lid(14, 1)]).cause.code).toBe('fire-out');
  expect(of([lid(130, 30), ...cold]).cause.code).toBe('fire-out');
});

it('bad smoke that somebody saw is said at once, for ten minutes or until it is seen to clear', () => {
  const seen = (verdict: string, agoMin: number): Entry =>
    ({ id: verdict, at: at - agoMin * MIN, kind: 'look', what: 'smoke', verdict }) as Entry;
  const code = (...looks: readonly Entry[]) => of(held, looks).cause.code;
  expect(code(seen('white', 1))).toBe('smoke');
  expect(code(seen('dark', 9))).toBe('smoke');
  expect(code(seen('white', 11))).toBe('on-target');
  expect(code(seen('white', 5), seen('thin-blue', 1))).toBe('on-target');
  // What else is named stays so; damp wood is what white smoke says itself.
  const named = (fault: 'damp-wood' | 'grease-flare') =>
    of(held, [seen('dark', 1)], { fault, sure: 0.9, sinceMin: 300, evidence: 5, young: false })
      .cause.code;
  expect([named('damp-wood'), named('grease-flare')]).toEqual(['smoke', 'suspected']);
});
