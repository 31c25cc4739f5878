/** Meat goes on a pit that is ready for it, by what was read, and never over a fire that is out. */
import { meatWaits, MINUTE_MS, planOnePit, type CookNow } from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const plan = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 1 });

/** Until when meat waits that was due `dueMin` minutes ago, min from now; null where it does not. */
function waits(
  dueMin: number,
  phase: CookNow['phase'],
  pitC: number | null,
  code: 'too-little-air' | 'fire-out' = 'too-little-air',
): number | null {
  const state = { trend: 'steady', changeK: 0, place: 'below', cause: { code } } as const;
  const found = meatWaits(T0 - dueMin * MINUTE_MS, { phase, pitC, plan, state, nowMs: T0 });
  return found && (found.untilMs - T0) / MINUTE_MS;
}

it('waits in steps from its time, for an hour at most', () => {
  expect(waits(0, 'ready-for-meat', 118)).toBeNull();
  expect(waits(5, 'coming-up', 96)).toBe(5);
  expect(waits(9.5, 'coming-up', 96)).toBe(10.5);
  expect(waits(61, 'coming-up', 96)).toBeNull();
  // What is not due yet keeps its time, and nobody who reads nothing is kept from cooking.
  expect(waits(-20, 'coming-up', 60)).toBeNull();
  expect(waits(5, 'coming-up', null)).toBeNull();
});

it('waits for a pit that is far too hot to come down, not for one a little over', () => {
  expect(waits(5, 'ready-for-meat', 145)).toBe(5);
  expect(waits(5, 'ready-for-meat', 135)).toBeNull();
});

it('never goes on over a fire that is out', () => {
  expect(waits(95, 'coming-up', 16)).toBeNull();
  expect(waits(95, 'coming-up', 16, 'fire-out')).toBe(5);
});
