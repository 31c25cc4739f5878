/** What a grate takes one after the other: two courses, or what is off before the next goes on. */
import fc from 'fast-check';
import {
  cutOf,
  inRounds,
  piecesThatFit,
  plan,
  presetOf,
  type PiecesToPlace,
  type RequestMeat,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 13, 7);
const CHICKEN = { cut: 'whole-chicken', massKg: 1.8 };
const fits = piecesThatFit(presetOf('kettle-57'), 'snake', cutOf(CHICKEN.cut), CHICKEN.massKg);
const birds = (id: string, serveAt?: string): RequestMeat => ({
  ...CHICKEN,
  id,
  pieces: fits,
  serveAt,
  wrap: { with: 'none' },
  done: { coreC: 74 },
  rest: { where: 'tented', minutes: 15 },
});
const planned = (...meats: RequestMeat[]) => plan(request({ meats }), { nowMs: NOW, members: 1 });

it('takes as many again when the first are off', () => {
  const late = planned(birds('supper'), birds('lunch', '2027-05-15T12:00'));
  expect(late.problems.map((p) => p.facts.kind)).not.toContain('too-many-pieces');
  expect(late.pieces).toBe(2 * fits);
  const rounds = (meat: string) =>
    new Set(late.grates[0]!.laid.filter((p) => p.meat === meat).map((p) => p.round));
  expect(rounds('lunch')).toEqual(new Set([0]));
  expect(rounds('supper')).toEqual(new Set([1]));
  const together = planned(birds('supper'), birds('more'));
  // All the room is taken by the first.
  expect(together.problems.map((p) => p.facts.kind)).toContain('no-room');
  expect(together.pieces).toBeLessThan(2 * fits);
});

it('says nothing of loads where all lie there together', () => {
  const one = planned({ ...birds('supper'), pieces: 1 });
  expect(one.grates[0]!.laid.every((p) => p.round === undefined)).toBe(true);
});

it('puts into one load what overlaps, and nothing into a load that is still full', () => {
  const hours = fc.array(
    fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 10, max: 400 })),
    { minLength: 1, maxLength: 8 },
  );
  fc.assert(
    fc.property(hours, (spans) => {
      const on: PiecesToPlace[] = spans.map((_, index) => ({
        meat: birds(`m${index}`),
        pieces: 1,
        index,
      }));
      const times = spans.map(([from, long]) => [from, from + long] as const);
      const rounds = inRounds(on, times).map((o) => o.round!);
      times.forEach(([from, to], i) =>
        times.forEach(([otherFrom, otherTo], j) => {
          if (from < otherTo && otherFrom < to) expect(rounds[i]).toBe(rounds[j]);
          if (rounds[i]! < rounds[j]!) expect(otherFrom - to).toBeGreaterThanOrEqual(10);
        }),
      );
      expect(new Set(rounds).size).toBe(Math.max(...rounds) + 1);
    }),
  );
});
