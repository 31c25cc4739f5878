/** Surprises of practice cooks: the same each time, while the meat is on, and known again once the cook is over. */
import fc from 'fast-check';
import {
  foldLog,
  MINUTE_MS,
  planOnePit,
  probeOutSinceMin,
  surprisesOf,
  surprisesSeen,
  weatherAt,
  withGusts,
  withSlips,
  type Action,
  type Entry,
} from '@ostrin/core/internals';
import { entriesFrom, fireLit, request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const NOW = { nowMs: T0 - 86_400_000, members: 1 };
const CHARCOAL = planOnePit(request(), NOW);
const WITH: Entry = { id: 's', at: T0, kind: 'surprises' };
const entry = entriesFrom(T0);
const LIT = fireLit(T0);
const lid = (atMin: number): Entry =>
  entry(atMin, { kind: 'act', action: { do: 'lid-open', seconds: 60 } });
const logOf = (...entries: Entry[]) => foldLog([WITH, LIT, ...entries]);
/** An id whose cook has a surprise of a kind. */
const idWith = (what: string): string =>
  Array.from({ length: 200 }, (_, i) => `cook-${i}`).find((id) =>
    surprisesOf(id, CHARCOAL, logOf()).some((s) => s.what === what),
  )!;
const one = (id: string, what: string, ...entries: Entry[]) =>
  surprisesOf(id, CHARCOAL, logOf(...entries)).find((s) => s.what === what)!;

it('are two of two kinds that this pit can have, while its meat is on, and the same each time (property)', () => {
  const on = CHARCOAL.jobs.find((j) => j.do === 'meat-on')!.atMin;
  const off = CHARCOAL.jobs.find((j) => j.do === 'meat-off')!.atMin;
  fc.assert(
    fc.property(fc.uuid(), (id) => {
      const found = surprisesOf(id, CHARCOAL, logOf());
      expect(found).toEqual(surprisesOf(id, CHARCOAL, logOf(lid(1))));
      expect(new Set(found.map((s) => s.what)).size).toBe(2);
      expect(found.map((s) => s.what)).not.toContain('damp-split');
      for (const s of found) {
        expect(s.fromMin).toBeGreaterThan(on);
        expect(s.fromMin).toBeLessThan(off);
      }
      expect(surprisesOf(id, CHARCOAL, foldLog([LIT]))).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

it('end when somebody stands at the open pit: the lid is shut, the probe is back', () => {
  const id = idWith('lid-left-open');
  const alone = one(id, 'lid-left-open');
  expect(alone.toMin - alone.fromMin).toBe(25);
  const seen = one(id, 'lid-left-open', lid(alone.fromMin - 5), lid(alone.fromMin + 4));
  expect(seen.toMin - seen.fromMin).toBe(4);
  expect(withSlips([], [seen])).toEqual([{ do: 'lid-open', atMin: seen.fromMin, seconds: 240 }]);
  const probe = idWith('probe-out');
  const { fromMin } = one(probe, 'probe-out');
  const out = surprisesOf(probe, CHARCOAL, logOf(lid(fromMin + 30)));
  expect(
    [fromMin - 1, fromMin, fromMin + 29, fromMin + 31].map((m) => probeOutSinceMin(out, m)),
  ).toEqual([null, fromMin, fromMin, null]);
});

it('blow for a while over the weather of the day, and wet the next split alone', () => {
  const gust = { what: 'gust', fromMin: 100, toMin: 130 } as const;
  const days = [5, 15].map((airC, i) => ({
    ...[CHARCOAL.scenarios[0].weather].flat()[0]!,
    airC,
    windMps: 2,
    atMin: 110 * i,
  }));
  const { weather } = withGusts({ ...CHARCOAL.scenarios[0], weather: days }, [gust]);
  const at = (min: number) => {
    const { airC, windMps } = weatherAt(weather, min);
    return [airC, windMps];
  };
  expect([99, 100, 109, 110, 129, 130, 400].map(at)).toEqual([
    [5, 2],
    [5, 9],
    [5, 9],
    [15, 9],
    [15, 9],
    [15, 2],
    [15, 2],
  ]);
  const split = (atMin: number): Action => ({
    do: 'add-fuel',
    fuel: 'splits',
    pieces: 1,
    massKg: 0.5,
    lit: false,
    preheated: true,
    atMin,
  });
  const fed = withSlips(
    [split(60), split(105), split(140)],
    [{ what: 'damp-split', fromMin: 100, toMin: 190 }],
  );
  expect(fed.map((a) => a.do === 'add-fuel' && (a.moistureFraction ?? 0) > 0.3)).toEqual([
    false,
    true,
    false,
  ]);
});

it('are shown afterwards with when each was noticed, and those that the cook did not come to are not', () => {
  const id = idWith('gust');
  const { fromMin } = one(id, 'gust');
  const finish = (min: number): Entry => entry(min, { kind: 'finish' });
  const gustAt = (min: number): Entry =>
    entry(min, { kind: 'look', what: 'weather', verdict: 'gust' });
  const seen = (...entries: Entry[]) =>
    surprisesSeen(id, CHARCOAL, logOf(...entries)).find((s) => s.what === 'gust');
  const ms = (min: number): number => T0 + min * MINUTE_MS;
  expect(seen(gustAt(fromMin + 6), finish(fromMin + 60))).toEqual({
    what: 'gust',
    fromMs: ms(fromMin),
    toMs: ms(fromMin + 30),
    seenMs: ms(fromMin + 6),
  });
  expect(seen(gustAt(fromMin - 6), finish(fromMin + 60))!.seenMs).toBeNull();
  expect(seen(finish(fromMin - 1))).toBeUndefined();
});
