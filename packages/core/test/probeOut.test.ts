/** A probe that left its piece, against a middle that warms, stalls or is read in another place. */
import {
  advance,
  coreProbeC,
  createCook,
  MINUTE_MS,
  planOnePit,
  probeOutMs,
  type ReadingRow,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';
import fc from 'fast-check';

const rows = (coreC: readonly (number | null)[]): ReadingRow[] =>
  coreC.map((c, min) => ({ at: min * MINUTE_MS, pitC: 121, coreC: c }));
const after = (start: number, perMin: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => start + perMin * i);

it('is out where it falls into the air, or lies in the heat of the pit, and in again when it reads on', () => {
  const warming = after(30, 0.2, 60);
  expect(probeOutMs(rows(warming), 0)).toBeNull();
  expect(probeOutMs(rows([...warming, ...after(24, 0, 3)]), 0)).toBe(60 * MINUTE_MS);
  expect(probeOutMs(rows([...warming, ...after(100, 1, 3)]), 0)).toBe(60 * MINUTE_MS);
  expect(probeOutMs(rows([...warming, ...after(24, 0, 9), ...after(43, 0.2, 5)]), 0)).toBeNull();
  // One wrong value, a silence, another place in the same piece: none of them is a probe that is out.
  expect(probeOutMs(rows([...warming, 5, ...after(42, 0.2, 9)]), 0)).toBeNull();
  expect(probeOutMs(rows([...warming, null, null, 42.6]), 0)).toBeNull();
  expect(probeOutMs(rows([...warming, ...after(50, 0.2, 9)]), 0)).toBeNull();
  // Before it is put in it reads the air or the pit.
  expect(probeOutMs(rows([...after(110, 0, 8), ...after(4, 0.1, 20)]), 0)).toBeNull();
  const late = [...after(115, 0, 40), ...after(4, 0.1, 20)];
  expect(probeOutMs(rows(late), 0)).toBeNull();
  expect(probeOutMs(rows([...late, ...after(30, 0, 3)]), 0)).toBe(60 * MINUTE_MS);
});

it('is never said of a probe that stays in a piece of this engine', () => {
  const { scenarios } = planOnePit(request(), { nowMs: 0, members: 1 });
  const cook = createCook(scenarios[0]);
  let onMin = 0;
  const read: ReadingRow[] = [];
  for (let min = 1; min <= 400; min++) {
    advance(cook, min);
    const { stage, piece } = cook.pieces[0]!;
    if (stage === 'on') onMin ||= min;
    read.push({
      at: min * MINUTE_MS,
      pitC: null,
      coreC: stage === 'on' ? coreProbeC(piece, 0) : null,
    });
  }
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 40 }),
      (noise) => {
        const noisy = read.map((r, i) => ({
          ...r,
          coreC: r.coreC === null ? null : r.coreC + noise[i % noise.length]!,
        }));
        expect(probeOutMs(noisy, onMin * MINUTE_MS)).toBeNull();
      },
    ),
    { numRuns: 20 },
  );
});
