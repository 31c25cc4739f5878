/** Who has the shift, and how it is handed over. */
import fc from 'fast-check';
import { entryProblem, MINUTE_MS as MIN, shiftOf, type Entry } from '@ostrin/core/internals';

const T0 = Date.UTC(2027, 4, 15, 5);

it('hands the shift from one to another, in order of time and without what was taken back', () => {
  const take = (id: string, by: string, min: number): Entry => ({
    id,
    by,
    at: T0 + min * MIN,
    kind: 'take-watch',
  });
  const offer: Entry = {
    id: 'o',
    by: 'Anka',
    at: T0 + 5 * MIN,
    kind: 'hand-over',
    to: 'Pell',
    sheet: 'Bowl vent a quarter.',
  };
  const [first, second] = [take('t1', 'Anka', 1), take('t2', 'Pell', 9)];
  expect(shiftOf([])).toEqual({ holder: null, since: null, offer: null });
  expect(shiftOf([offer, first])).toMatchObject({
    holder: 'Anka',
    offer: { from: 'Anka', to: 'Pell', sheet: 'Bowl vent a quarter.' },
  });
  fc.assert(
    fc.property(fc.shuffledSubarray([first, offer, second], { minLength: 3 }), (entries) => {
      expect(shiftOf(entries)).toEqual({ holder: 'Pell', since: second.at, offer: null });
    }),
  );
  // The clock of the phone that accepts may be behind that of the phone that offered.
  const behind: Entry = { ...take('t3', 'Pell', 4), kind: 'take-watch', offer: 'o' };
  expect(shiftOf([first, behind, offer])).toEqual({
    holder: 'Pell',
    since: offer.at,
    offer: null,
  });
  // Taken, offered and accepted in one second of a page's clock, in whatever order they are read.
  const taken: Entry = { ...take('t4', 'Anka', 5) };
  const accepted: Entry = { ...take('t5', 'Pell', 5), kind: 'take-watch', offer: 'o' };
  expect(shiftOf([taken, offer])).toMatchObject({ holder: 'Anka', offer: { to: 'Pell' } });
  fc.assert(
    fc.property(fc.shuffledSubarray([taken, offer, accepted], { minLength: 3 }), (entries) => {
      expect(shiftOf(entries)).toEqual({ holder: 'Pell', since: offer.at, offer: null });
    }),
  );
  const undo: Entry = { id: 'u', at: T0 + 10 * MIN, kind: 'undo', target: 't2' };
  expect(shiftOf([first, offer, second, undo])).toMatchObject({ holder: 'Anka' });
  expect(entryProblem([offer], { ...undo, kind: 'retime', target: 'o', to: T0 })).not.toBeNull();
});
