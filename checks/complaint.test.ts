import { complaint } from './run';
import { row } from './types';

const met = row('X', 'x', 'test', [{ what: 'C', value: 5, low: 0, high: 10 }]);
const missed = row('X', 'x', 'test', [{ what: 'C', value: 12, low: 0, high: 10 }]);
const never = row('X', 'x', 'test', [{ what: 'C', value: null, low: 0, high: 10 }]);

it('measures how far a row is off', () => {
  expect([met.miss, missed.miss, never.miss]).toEqual([0, 2, Infinity]);
  expect(missed).toMatchObject({ pass: false, expected: 'C 0 to 10', got: 'C 12' });
});

it('complains of rows that fail, got worse, or are met while listed as not met', () => {
  expect(complaint(met)).toBeNull();
  expect(complaint(missed)).toMatch(/expected C 0 to 10, got C 12/);
  expect(complaint({ ...missed, id: 'T8-halves' })).toBeNull();
  expect(complaint({ ...missed, id: 'T8-halves', miss: 99 })).toMatch(/worse/);
  expect(complaint({ ...met, id: 'T8-halves' })).toMatch(/is met now/);
});
