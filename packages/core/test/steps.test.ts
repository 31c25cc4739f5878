/** Long records in steps. */
import { inSteps, MOST_VALUES, STEPS, type ReadingRow } from '@ostrin/core/internals';
import fc from 'fast-check';

const T0 = 1_800_000_000_000;
const row = (at: number, part: Partial<ReadingRow> = {}): ReadingRow => ({
  at,
  pitC: 120,
  coreC: null,
  ...part,
});

it('tells a record of an ordinary cook as it is, but for rows that tell nothing', () => {
  const rows = Array.from({ length: 2000 }, (_, i) => row(T0 + i * 30_000, { coreC: 60 }));
  const silent = row(T0 + 15_000, { pitC: null });
  expect(inSteps([rows[0]!, silent, ...rows.slice(1)])).toEqual(rows);
});

it('tells a long record with one value of each channel in each step, the latest closely', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 20 }),
      fc.integer({ min: 0, max: 4 }),
      fc.integer({ min: 2, max: 4 }),
      (everyS, offsetS, days) => {
        const seconds = Math.max(days * 86_400, (MOST_VALUES + 1) * everyS);
        const rows: ReadingRow[] = [];
        for (let s = 0; s <= seconds; s += everyS) {
          rows.push(row(T0 + s * 1000));
          // Another piece is read at moments of its own.
          if (s % (10 * everyS) === 0) {
            rows.push(row(T0 + (s + offsetS) * 1000 + 500, { pitC: null, meatC: { b: 50 } }));
          }
        }
        rows.sort((a, b) => a.at - b.at);
        const told = inSteps(rows);
        const last = rows.at(-1)!.at;
        for (const channel of ['pit', 'b'] as const) {
          const times = told.flatMap((r) =>
            (channel === 'pit' ? r.pitC : (r.meatC?.b ?? null)) === null ? [] : [r.at],
          );
          const steps = times.map((at) => {
            const { stepMs } = STEPS.find((s) => last - at <= s.untilAgoMs)!;
            return `${stepMs} ${Math.floor(at / stepMs)}`;
          });
          expect(new Set(steps).size).toBe(steps.length);
          expect(times.at(-1)!).toBeGreaterThan(last - 15 * 60_000);
        }
        expect(told.length).toBeLessThan(2 * (480 + 1320 + (seconds * 1000) / 600_000 + 1));
        // What is told was read.
        const read = new Set(rows);
        expect(told.every((r) => read.has(r))).toBe(true);
      },
    ),
    { numRuns: 5 },
  );
});
