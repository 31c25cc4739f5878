/** The rhythm of a fire on splits once it is fed: by the last feed, in one's own way, and on past the plan. */
import {
  fedUntil,
  foldLog,
  forecastInput,
  isFeed,
  jobsByTime,
  jobsLeft,
  localOf,
  MINUTE_MS,
  planAsChanged,
  planOnePit,
  type Entry,
  type PlanJob,
} from '@ostrin/core/internals';
import { fireLit, request } from '@ostrin/testing';
import fc from 'fast-check';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(
  request({
    pits: [
      {
        id: 'tom',
        cooker: { preset: 'offset-light', overrides: {} },
        fire: { fuel: 'splits', species: 'oak', everyMin: 30 },
        pace: { pitC: 121, bandC: 8 },
      },
    ],
  }),
  { nowMs: T0 - 86_400_000, members: 1 },
);
const FEEDS = PLAN.jobs.filter(isFeed);
const at = (min: number): number => T0 + min * MINUTE_MS;
const KG = FEEDS[0]!.logs.flatMap((l) => (l.do === 'add-fuel' ? (l.massKg ?? 0) : []))[0]!;

const LIT = fireLit(T0);
const fed = (atMin: number, job?: PlanJob, massKg = KG): Entry => ({
  id: `fed-${atMin}`,
  at: at(atMin),
  ...(job ? { jobId: job.id } : {}),
  kind: 'act',
  action: { do: 'add-fuel', fuel: 'splits', pieces: 1, massKg, lit: false },
});
const logOf = (...entries: Entry[]) => foldLog([LIT, ...entries]);
const feedsOf = (...entries: Entry[]): PlanJob[] => {
  const log = logOf(...entries);
  return planAsChanged(PLAN, log).jobs.filter((j) => isFeed(j) && !log.jobsDone.has(j.id));
};

it('stands as planned until a split goes on', () => {
  expect(FEEDS.length).toBeGreaterThan(3);
  expect(planAsChanged(PLAN, logOf())).toBe(PLAN);
});

it('moves with a feed that came early, each as far from the one before as planned', () => {
  const [first, ...rest] = FEEDS as [PlanJob, ...PlanJob[]];
  const feeds = feedsOf(fed(first.atMin - 15, first));
  expect(feeds.map((f) => f.id)).toEqual(rest.map((f) => f.id));
  feeds.forEach((f, i) => expect(f.atMin + 15).toBeCloseTo(rest[i]!.atMin, 6));
  expect(feeds[0]!.at).toBe(localOf(at(feeds[0]!.atMin), PLAN.request.timeZone));
});

it('catches up after a feed that came late, and never puts two on at once', () => {
  const [first, second, third] = FEEDS as [PlanJob, PlanJob, PlanJob];
  const gap = second.atMin - first.atMin;
  const little = feedsOf(fed(first.atMin + 0.3 * gap, first));
  expect(little.slice(0, 2).map((f) => f.atMin)).toEqual([second.atMin, third.atMin]);
  const late = first.atMin + 0.9 * gap;
  expect(feedsOf(fed(late, first))[0]!.atMin).toBeCloseTo(late + 0.6 * gap, 6);
});

it('lets missed feeds lapse into one, and does not ask for them again', () => {
  const [first, second, third, fourth] = FEEDS as [PlanJob, PlanJob, PlanJob, PlanJob];
  const log = logOf(fed(first.atMin, first));
  const plan = planAsChanged(PLAN, log);
  const due = (min: number): string[] =>
    jobsLeft(plan, log, at(min))
      .filter((j) => isFeed(j) && j.atMin <= min)
      .map((j) => j.id);
  expect(due(second.atMin + 1)).toEqual([second.id]);
  expect(due(third.atMin + 1)).toEqual([third.id]);
  const clock = { zeroMs: T0, forecast: null };
  const times = jobsByTime(plan, log, clock, at(fourth.atMin + 1));
  expect(times.filter((j) => isFeed(j.job) && j.ms <= at(fourth.atMin + 1))).toHaveLength(1);
  // The look ahead puts on one split for them, not three.
  const { ahead } = forecastInput('c', plan, log, [], T0, at(fourth.atMin + 1));
  expect(ahead.filter((a) => a.do === 'add-fuel' && a.atMin <= fourth.atMin + 1)).toHaveLength(1);
  // Done at last, the next is a whole interval away.
  const late = fourth.atMin + 5;
  const after = feedsOf(fed(first.atMin, first), fed(late, fourth));
  expect(after.map((f) => f.id)).not.toContain(second.id);
  expect(after[0]!.atMin).toBeGreaterThan(late + 10);
});

it('takes over a way of its own: oftener, or seldomer with heavier splits; being late is none', () => {
  const every = (gap: number, kg: number): PlanJob[] =>
    feedsOf(...[0, 1, 2].map((i) => fed(100 + i * gap, undefined, kg)));
  const often = every(15, KG * 0.6);
  expect(often[0]!.atMin).toBeCloseTo(145, 6);
  expect(often[1]!.atMin).toBeCloseTo(160, 6);
  const massOf = (j: PlanJob): number | undefined =>
    j.logs.flatMap((l) => (l.do === 'add-fuel' ? (l.massKg ?? 0) : []))[0];
  expect(massOf(often[0]!)).toBeCloseTo(KG * 0.6, 6);
  expect(often[0]!.facts).toMatchObject({ split: { kg: expect.closeTo(KG * 0.6, 6) } });
  expect(every(60, KG * 3)[0]!.atMin).toBeCloseTo(280, 6);
  // As seldom with splits that do not make up for it, the fire would starve: it is fed as planned.
  expect(every(60, KG * 1.2)[0]!.atMin).toBeLessThan(260);
  // Nor is a feed that was asked for a way of one's own.
  const [a, b, c] = FEEDS as [PlanJob, PlanJob, PlanJob];
  const asked = feedsOf(fed(a.atMin - 5, a), fed(a.atMin + 9, b), fed(a.atMin + 23, c));
  expect(asked[0]!.atMin - a.atMin - 23).toBeGreaterThan(20);
  const [first, second, third] = FEEDS as [PlanJob, PlanJob, PlanJob];
  const lateEach = feedsOf(fed(100, first), fed(145, second), fed(190, third));
  expect(lateEach[0]!.atMin - 190).toBeLessThan(40);
});

it('goes on past the plan where the meat is late', () => {
  const last = FEEDS.at(-1)!;
  const more = feedsOf(fed(last.atMin, last));
  expect(more.length).toBeGreaterThanOrEqual(2);
  const again = feedsOf(fed(last.atMin, last), fed(more[0]!.atMin, more[0]));
  expect(again[0]!.id).toBe(more[1]!.id);
  expect(again[0]!.atMin).toBeCloseTo(more[1]!.atMin, 6);
  const until = last.atMin + 300;
  const given = fedUntil(PLAN.jobs, until).filter(isFeed);
  expect(given.at(-1)!.atMin).toBeGreaterThan(until - 60);
});

it('never asks for two feeds at once, nor for one before the last, however it was fed', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ gap: fc.integer({ min: 5, max: 90 }), byJob: fc.boolean() }), {
        minLength: 1,
        maxLength: 8,
      }),
      (given) => {
        const entries: Entry[] = [];
        let min = 60;
        for (const { gap, byJob } of given) {
          min += gap;
          const log = logOf(...entries);
          const next = jobsLeft(planAsChanged(PLAN, log), log, at(min)).find(isFeed);
          entries.push(fed(min, byJob ? next : undefined));
        }
        const left = feedsOf(...entries);
        expect(left.length).toBeGreaterThanOrEqual(2);
        expect(new Set(left.map((f) => f.id)).size).toBe(left.length);
        left.slice(1).forEach((f, i) => expect(f.atMin).toBeGreaterThan(left[i]!.atMin + 2));
        const log = logOf(...entries);
        const due = jobsLeft(planAsChanged(PLAN, log), log, at(min + 400)).filter(
          (j) => isFeed(j) && j.atMin <= min + 400,
        );
        expect(due.length).toBeLessThanOrEqual(1);
      },
    ),
    { numRuns: 60 },
  );
});
