/** When vents are closed down, by what the pit reads; and the moves that a pit still has once its intake is nearly shut. */
import {
  closeMs,
  cookNow,
  knownCook,
  MINUTE_MS,
  ordersOf,
  planOnePit,
  settable,
  type Entry,
} from '@ostrin/core/internals';
import { fireLit, request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 1 });
const at = (min: number): number => T0 + min * MINUTE_MS;
const HOLD = PLAN.jobs.find((j) => j.facts.kind === 'hold')!;
const facts = HOLD.facts as Extract<typeof HOLD.facts, { kind: 'hold' }>;
const LIT = fireLit(T0);

/** The order of a pit that climbs, read each minute until `nowMin`. */
function orderAt(nowMin: number, pitAt: (min: number) => number) {
  const readings = Array.from({ length: nowMin + 1 }, (_, min) => ({
    at: at(min),
    pitC: pitAt(min),
    coreC: null,
  }));
  const record = { id: 'c', plan: PLAN, startMs: T0, entries: [LIT], readings };
  const cook = cookNow(knownCook(record), {}, at(nowMin));
  return ordersOf(cook, { advice: null });
}

describe('closing the vents down', () => {
  it('is due once the pit reads what the plan closes at, however long before its planned minute', () => {
    const early = Math.round(HOLD.atMin / 2);
    const fast = (min: number): number => 20 + ((facts.closeAtC - 19) * min) / early;
    const { order } = orderAt(early, fast);
    expect([order.id, order.ms]).toEqual(['job/hold', at(early)]);
    // On the way there it is expected by the climb.
    const onTheWay = orderAt(early - 4, fast).jobs.find((j) => j.job.id === 'hold')!;
    expect(Math.abs(onTheWay.ms - at(early))).toBeLessThan(1.5 * MINUTE_MS);
  });

  it('waits for a fire that is slow, past its planned minute', () => {
    const slow = (min: number): number => 20 + (40 * min) / HOLD.atMin;
    const due = orderAt(HOLD.atMin + 5, slow).jobs.find((j) => j.job.id === 'hold')!;
    expect(due.ms).toBeGreaterThan(at(HOLD.atMin + 10));
  });

  it('goes by the clock where nobody reads the pit, and counts what a thermometer reads too much', () => {
    expect(closeMs([HOLD], { pitC: null, changeK: null }, at(9))).toBeNull();
    expect(closeMs([], { pitC: 200, changeK: 0 }, at(9))).toBeNull();
    const off = { ...HOLD, facts: { ...facts, probeOffsetK: 8 } };
    const pit = { pitC: facts.closeAtC + 4, changeK: 20 };
    expect(closeMs([HOLD], pit, at(9))).toBe(at(9));
    expect(closeMs([off], pit, at(9))).toBe(at(11));
  });
});

it('shuts the fire down once all is off, however long before its planned minute, and before the table', () => {
  const meat = PLAN.request.meats[0].id;
  const shut = PLAN.jobs.find((j) => j.do === 'shut-down')!;
  const entries: Entry[] = [
    LIT,
    { id: 'on', at: at(40), kind: 'act', action: { do: 'meat-on', meat } },
    { id: 'off', at: at(200), kind: 'act', action: { do: 'meat-off', meat } },
  ];
  const record = { id: 'c', plan: PLAN, startMs: T0, entries, readings: [] };
  const { jobs } = cookNow(knownCook(record), {}, at(210));
  expect(shut.atMin).toBeGreaterThan(200);
  expect(jobs.map((j) => j.job.do)).toEqual(['shut-down', 'serve']);
  expect(jobs[0]!.ms).toBe(at(200));
});

it('a setting that is asked for is one that the scale of the vents has', () => {
  const dial = { way: 'dial', dial: { shut: 0, open: 10, step: 1 } } as const;
  // Only what tells how its vents are set: the rest of a pit takes no part.
  const setup = {
    pit: { ...PLAN.request.pits[0], ventScales: { intake: dial, exhaust: { way: 'quarters' } } },
    preset: { ventNotation: 'quarters', travelMm: { intake: 60, exhaust: 60 } },
  } as unknown as Parameters<typeof settable>[0];
  expect(settable(setup, { intake: 0.33, exhaust: 0.33 })).toEqual({
    intake: 0.3,
    exhaust: 11 / 32,
  });
});
