/** Where a pit and its pieces stand in a cook, by its log and its readings. */
import {
  cookNow,
  knownCook,
  MINUTE_MS,
  ordersOf,
  PHASES,
  pitOf,
  planOnePit,
  type Entry,
  type PlanLog,
} from '@ostrin/core/internals';
import { fireLit, request } from '@ostrin/testing';
import fc from 'fast-check';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 1 });
const [MEAT] = PLAN.request.meats;
const { pitC } = pitOf(PLAN).pace;
const at = (min: number): number => T0 + min * MINUTE_MS;
const act = (min: number, action: PlanLog): Entry => ({
  id: `${action.do}-${min}`,
  at: at(min),
  kind: 'act',
  action,
});
const LIT = fireLit(T0);
const ON = act(60, { do: 'meat-on', meat: MEAT.id });
const WRAP = act(240, { do: 'wrap', meat: MEAT.id, with: 'paper' });
const OFF = act(500, { do: 'meat-off', meat: MEAT.id });

/** A cook with this log, whose pit reaches its pace after forty minutes. */
function phasesAt(nowMin: number, entries: readonly Entry[]) {
  const readings = Array.from({ length: nowMin + 1 }, (_, min) => ({
    at: at(min),
    pitC: Math.min(20 + 3 * min, pitC),
    coreC: null,
  }));
  const record = { id: 'c', plan: PLAN, startMs: T0, entries, readings };
  return cookNow(knownCook(record), {}, at(nowMin));
}

it('goes from before lighting to over, the piece with its fire until it is on', () => {
  const seen = (
    [
      [0, []],
      [20, [LIT]],
      [50, [LIT]],
      [100, [LIT, ON]],
      [300, [LIT, ON, WRAP]],
      [501, [LIT, ON, WRAP, OFF]],
      [500 + MEAT.rest.minutes + 1, [LIT, ON, WRAP, OFF]],
      [2000, [LIT, ON, WRAP, OFF]],
    ] as const
  ).map(([min, entries]) => {
    const { phase, pieces } = phasesAt(min, entries);
    return `${phase}: ${pieces[0]!.phase}`;
  });
  expect(seen).toEqual([
    'before-lighting: before-lighting',
    'coming-up: coming-up',
    'ready-for-meat: ready-for-meat',
    'cooking: cooking',
    'wrapped: wrapped',
    'over: resting',
    'over: held',
    'over: over',
  ]);
});

it('is near done once it felt like butter, and has no more probing to come', () => {
  const tender: Entry = {
    id: 'felt',
    at: at(400),
    kind: 'look',
    what: 'tender',
    verdict: 'like-butter',
    meat: MEAT.id,
  };
  const cook = phasesAt(401, [LIT, ON, WRAP, tender]);
  expect([cook.phase, cook.pieces[0]!.phase]).toEqual(['near-done', 'near-done']);
  const { order, next } = ordersOf(cook, { advice: null });
  expect([order, ...next].filter((o) => 'job' in o && o.job.do === 'check')).toEqual([]);
});

it('never goes back, whatever is logged of a piece in whatever order', () => {
  const rank = (phase: (typeof PHASES)[number]): number => PHASES.indexOf(phase);
  fc.assert(
    fc.property(
      fc.shuffledSubarray([ON, WRAP, OFF]),
      fc.integer({ min: 1, max: 90 }),
      (some, gap) => {
        const entries = [LIT, ...some.map((e, i) => ({ ...e, at: at(60 + gap * (i + 1)) }))];
        let last = 0;
        for (let min = 45; min < 60 + gap * 5; min += 10) {
          const known = entries.filter((e) => e.at <= at(min));
          const now = rank(phasesAt(min, known).pieces[0]!.phase);
          expect(now).toBeGreaterThanOrEqual(last);
          last = now;
        }
      },
    ),
    { numRuns: 25 },
  );
});
