/** What is asked once before a job is logged as done: far from its time, from its coals, from its temperature. */
import {
  cookNow,
  doubtAbout,
  knownCook,
  MINUTE_MS,
  planOnePit,
  type Doubt,
  type Entry,
  type EntryBody,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 1 });
const MEAT = PLAN.request.meats[0].id;
const at = (min: number): number => T0 + min * MINUTE_MS;
const entry = (id: string, min: number, body: EntryBody, jobId?: string): Entry => ({
  id,
  at: at(min),
  ...(jobId ? { jobId } : {}),
  ...body,
});
const LIT = entry(
  'lit',
  0,
  { kind: 'act', action: { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 } },
  'light',
);
const ON = entry('on', 40, { kind: 'act', action: { do: 'meat-on', meat: MEAT } });
const reads = (min: number, c: number): Entry =>
  entry(`read-${min}`, min, { kind: 'read', spot: 'meat', c, meat: MEAT });

/** What is asked when the job `id`, due in `inMin`, is said to be done at minute `now`. */
function asked(id: string, inMin: number, now: number, ...entries: Entry[]): Doubt | null {
  const job = PLAN.jobs.find((j) => j.id === id)!;
  const cook = cookNow(
    knownCook({ id: 'c', plan: PLAN, startMs: T0, entries, readings: [] }),
    {},
    at(now),
  );
  const order = { kind: 'job', id: `job/${id}`, ms: at(now + inMin), jobIds: [id], job } as const;
  return doubtAbout(order, cook);
}

it('is nothing about a job near its time, and its time about one far from it', () => {
  expect(asked('hold', 5, 12, LIT)).toBeNull();
  expect(asked('hold', 100, 12, LIT)).toEqual({ why: 'early', inMin: 100 });
  expect(asked('hold', -60, 90, LIT)).toBeNull();
  expect(asked('lay', 300, -300)).toBeNull();
});

it('is the middle of a piece that is said to be off or wrapped far too cool', () => {
  const cool = (what: 'off' | 'wrap', c: number) => ({ why: 'cool', what, meat: MEAT, coreC: c });
  expect(asked('off', 0, 300, LIT, ON, reads(290, 13))).toMatchObject(cool('off', 13));
  expect(asked('wrap', 0, 300, LIT, ON, reads(290, 13))).toMatchObject(cool('wrap', 13));
  expect(asked('wrap', 0, 300, LIT, ON, reads(290, 71))).toBeNull();
  expect(asked('off', 0, 300, LIT, ON, reads(290, 92))).toBeNull();
  // An old reading says nothing about now, and fingers know better than a probe.
  expect(asked('off', 0, 300, LIT, ON, reads(200, 13))).toBeNull();
  const felt = entry('felt', 299, {
    kind: 'look',
    what: 'tender',
    meat: MEAT,
    verdict: 'like-butter',
  });
  expect(asked('off', 0, 300, LIT, ON, reads(290, 50), felt)).toBeNull();
});

it('is the coals, where they were lit only a moment ago', () => {
  const chimney = PLAN.jobs.find((j) => j.id === 'chimney')!;
  const lit = entry('chimney', -1, { kind: 'job' }, 'chimney');
  expect(chimney.atMin).toBeLessThan(-10);
  expect(asked('light', 0, 0, lit)).toMatchObject({ why: 'coals', litMin: 1 });
  const long = entry('chimney', chimney.atMin, { kind: 'job' }, 'chimney');
  expect(asked('light', 0, 0, long)).toBeNull();
});
