/** The one order of a cook: which of everything that asks for something comes first, and what it stands in for. */
import {
  callsOf,
  cookNow,
  isTheOrder,
  knownCook,
  MINUTE_MS,
  ordersOf,
  planOnePit,
  type Advice,
  type CookNow,
  type Diagnosis,
  wantsAdvice,
  type Entry,
  type EntryBody,
  type PlanJob,
} from '@ostrin/core/internals';
import { entriesFrom, request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 1 });
const at = (min: number): number => T0 + min * MINUTE_MS;

const entry = entriesFrom(T0);
const act = (atMin: number, action: object, jobId?: string): Entry =>
  entry(atMin, { kind: 'act', action } as EntryBody, jobId);
const vents = (atMin: number, intakeFraction: number, jobId?: string): Entry =>
  act(atMin, { do: 'set-vents', intakeFraction, exhaustFraction: 1 }, jobId);
const LIT = vents(0, 1, 'light');
const ON = act(40, { do: 'meat-on', meat: 'mutton' });

const job = (part: Partial<PlanJob> & Pick<PlanJob, 'id' | 'do'>): PlanJob => ({
  ...PLAN.jobs.find((j) => j.do === part.do)!,
  ...part,
});
const CLOSE = job({
  id: 'close',
  do: 'set-vents',
  logs: [{ do: 'set-vents', intakeFraction: 0.2, exhaustFraction: 1 }],
});
const FEED = job({
  id: 'feed-1',
  do: 'add-fuel',
  logs: [{ do: 'add-fuel', fuel: 'briquette', pieces: 6, lit: false }],
});

/** A cook at minute 300 with these lines, jobs (min from now) and what its fire does. */
function cook(
  entries: readonly Entry[],
  due: readonly [PlanJob, number][] = [],
  cause: Diagnosis['cause'] = { code: 'on-target' },
  readings: CookNow['readings'] = [],
): CookNow {
  const record = { id: 'cook', plan: PLAN, startMs: T0, entries, readings };
  const now = cookNow(knownCook(record), {}, at(300));
  return {
    ...now,
    jobs: due.map(([j, inMin]) => ({ job: j, ms: at(300 + inMin) })),
    state: { trend: 'steady', changeK: 0, place: 'in', cause },
  };
}
/** A fire whose meat goes on in `inMin` minutes. */
const fireWith = (entries: readonly Entry[], inMin: number): CookNow =>
  cook(entries, [[job({ id: 'meat-on', do: 'meat-on' }), inMin]]);
const advised = (move: Advice['move'], logs: Advice['logs']): Advice => ({
  move,
  logs,
  waitMin: 20,
  atMin: 298,
  everyMin: 5,
  withC: [120],
  leaveC: [135],
  inBandWith: 1,
  inBandLeave: 0,
});
const to = (intake: number, opens: boolean): Advice =>
  advised({ do: 'set-vents', intake, exhaust: 1, opens }, [
    { do: 'set-vents', intakeFraction: intake, exhaustFraction: 1 },
  ]);
const order = (of: CookNow, advice: Advice | null = null, seen: readonly string[] = []) =>
  ordersOf(of, { advice, seen: new Set(seen) });

describe('the order', () => {
  it('is the first job, due or not, and finishing when none is left', () => {
    const { order: first, next } = order(
      cook(
        [LIT, ON],
        [
          [CLOSE, 30],
          [FEED, 60],
        ],
      ),
    );
    expect([first.id, first.ms, next.map((j) => j.job.id)]).toEqual([
      'job/close',
      at(330),
      ['feed-1'],
    ]);
    expect(order(cook([LIT, ON])).order.kind).toBe('finish');
  });

  it('is a danger before a move, and a move before a job', () => {
    const raw = act(290, { do: 'meat-off', meat: 'mutton' });
    const cool = [{ at: at(280), pitC: 121, coreC: 40 }];
    const suspected = (fault: 'lid-left-open' | 'ash-choking') =>
      ({ code: 'suspected', fault, sure: 0.9, sinceMs: at(280) }) as const;
    const wrap: [PlanJob, number] = [job({ id: 'wrap', do: 'wrap' }), -5];
    const kinds = (of: CookNow, seen: readonly string[] = []) =>
      order(of, to(0.2, false), seen).order.id;
    expect(kinds(cook([LIT, ON, raw], [wrap], { code: 'on-target' }, cool))).toBe(
      'make-safe/mutton',
    );
    expect(kinds(cook([LIT, ON], [wrap], { code: 'fire-out' }))).toBe('light-again');
    // What has to be seen comes before a move, and what a move mends after it.
    expect(kinds(cook([LIT, ON], [wrap], suspected('lid-left-open')))).toBe('look/lid-left-open');
    expect(kinds(cook([LIT, ON], [wrap], suspected('ash-choking')))).toBe('move/set-vents');
    expect(order(cook([LIT, ON], [wrap], suspected('ash-choking'))).order.id).toBe(
      'look/ash-choking',
    );
    // What was looked into makes room for the next.
    expect(kinds(cook([LIT, ON], [wrap], suspected('lid-left-open')), ['look/lid-left-open'])).toBe(
      'move/set-vents',
    );
    expect(order(cook([LIT, ON], [wrap])).order.id).toBe('job/wrap');
  });

  it('clears smoke that was seen before anything else is put on the fire', () => {
    const smoke = { code: 'smoke', smoke: 'white', sinceMs: at(298) } as const;
    const smoky = cook([LIT, ON], [[FEED, -5]], smoke);
    expect(order(smoky).order).toMatchObject({ id: 'clear-smoke/white', ms: at(298) });
    const seen = order(smoky, null, ['clear-smoke/white']).order;
    expect([seen.id, seen.ms]).toEqual(['job/feed-1', at(308)]);
    expect(wantsAdvice(smoky)).toBe(false);
  });

  it('stands for meat that came off raw until it is safe, and nothing ends the cook meanwhile', () => {
    const raw = act(290, { do: 'meat-off', meat: 'mutton' });
    const cool = [{ at: at(280), pitC: 121, coreC: 40 }];
    const off = cook([LIT, ON, raw], [], undefined, cool);
    expect(order(off, null, ['make-safe/mutton']).order.kind).toBe('make-safe');
    const ends = (c: CookNow): string[] =>
      c.jobs.map((j) => j.job.do).filter((what) => what === 'shut-down' || what === 'serve');
    const known = (entries: readonly Entry[]) =>
      cookNow(
        knownCook({ id: 'cook', plan: PLAN, startMs: T0, entries, readings: cool }),
        {},
        at(300),
      );
    expect(ends(known([LIT, ON, raw]))).toEqual([]);
    const oven: Entry = {
      id: 'oven',
      at: at(299),
      kind: 'read',
      spot: 'meat',
      meat: 'mutton',
      c: 70,
    };
    expect(ends(known([LIT, ON, raw, oven]))).not.toEqual([]);
  });

  it('is nothing of the fire once all of it is off', () => {
    const off = act(290, { do: 'meat-off', meat: 'mutton' });
    const done = [{ at: at(280), pitC: 121, coreC: 95 }];
    const of = cook([LIT, ON, off], [], { code: 'fire-out' }, done);
    expect(order(of).order.kind).toBe('finish');
  });
});

describe('an order stands in for what it fulfils', () => {
  it('absorbs what it fulfils: a planned closing that is due answers a pit that is too hot', () => {
    const closing = order(cook([LIT, ON], [[CLOSE, 0]]), to(0.4, false));
    expect([closing.order.id, closing.next]).toEqual(['job/close', []]);
    // The other way it is overtaken, and goes with the move.
    const opening = order(cook([LIT, ON], [[CLOSE, 0]]), to(1, true));
    expect([opening.order.id, opening.order.jobIds, opening.next]).toEqual([
      'move/set-vents',
      ['close'],
      [],
    ]);
    // One that is not due yet stays where it is.
    expect(order(cook([LIT, ON], [[CLOSE, 40]]), to(0.4, false)).next).toHaveLength(1);
  });

  it('never closes a pit that is low and does not climb, nor opens one that is high', () => {
    const state = (place: 'below' | 'above', changeK: number): Diagnosis => ({
      trend: 'steady',
      changeK,
      place,
      cause: { code: 'fuel-or-wind' },
    });
    const due = (s: Diagnosis, intake: number) =>
      order({ ...cook([LIT, ON, vents(200, intake, 'x')], [[CLOSE, 0]]), state: s }).order.ms;
    expect(due(state('below', -2), 0.5)).toBe(at(310));
    expect(due(state('below', 3), 0.5)).toBe(at(300));
    expect(due(state('above', 2), 0.1)).toBe(at(310));
    expect(due(state('above', 2), 0.5)).toBe(at(300));
  });

  it('takes advised fuel for the feed that is due, and puts that off where waiting is advised', () => {
    const handful = advised({ do: 'add-charcoal', pieces: 6, massKg: 0.2 }, FEED.logs);
    expect(order(cook([LIT, ON], [[FEED, 10]]), handful).order.jobIds).toEqual(['feed-1']);
    expect(order(cook([LIT, ON], [[FEED, 40]]), handful).order.jobIds).toEqual([]);
    const wait = advised({ do: 'wait-with-fuel', minutes: 15 }, []);
    // Worked out at minute 298, it holds until 313.
    expect(order(cook([LIT, ON], [[FEED, 2]]), wait).order).toMatchObject({
      id: 'job/feed-1',
      ms: at(313),
    });
    expect(order(cook([LIT, ON], [[FEED, 20]]), wait).order.id).toBe('job/feed-1');
  });

  it('is a look at a fire that no move brings back, and meat does not go on before', () => {
    const leave = { ...advised({ do: 'leave' }, []), inBandLeave: 0.1 };
    const recovers = { ...leave, inBandLeave: 0.8 };
    const low = (changeK: number) => ({
      ...fireWith([LIT], 0),
      state: {
        trend: 'falling',
        changeK,
        place: 'below',
        cause: { code: 'fuel-or-wind' },
      } as Diagnosis,
    });
    expect(order(low(-4), leave).order.id).toBe('check-fire');
    expect(order(low(-4), leave, ['check-fire']).order.id).toBe('job/meat-on');
    // What is expected of a fire is no answer to one that plainly goes the other way.
    expect(order(low(-4), recovers).order.id).toBe('job/meat-on');
    expect(order(low(-14), recovers).order.id).toBe('check-fire');
    // It says that it comes back only where that is why nothing is asked for.
    const comesBack = (...of: Parameters<typeof order>): boolean => order(...of).comesBack;
    expect([
      comesBack(low(-4), recovers),
      comesBack(low(-14), recovers),
      comesBack(low(-4), leave, ['check-fire']),
      comesBack(low(-4)),
      comesBack(cook([LIT, ON], [[FEED, 40]]), recovers),
    ]).toEqual([true, false, false, false, false]);
  });

  it('comes back neither as move nor as job until its wait is over', () => {
    const moved = (min: number) => [LIT, ON, vents(min, 0.4)];
    const of = (min: number) => order(cook(moved(min), [[CLOSE, 0]]), to(0.2, false)).order;
    expect([of(285), of(279)].map((o) => [o.id, o.ms])).toEqual([
      ['job/close', at(305)],
      ['job/close', at(300)],
    ]);
    const another = (min: number) => order(cook(moved(min)), to(0.2, false)).order.kind;
    expect([another(285), another(279)]).toEqual(['finish', 'move']);
  });
});

describe('what calls', () => {
  it('is the order or a danger, and no second job', () => {
    const of = cook(
      [LIT, ON],
      [
        [CLOSE, -2],
        [FEED, -1],
      ],
    );
    const due = [CLOSE, FEED].map((j) => ({
      id: `job-due/${j.id}`,
      code: 'job-due' as const,
      inMin: 0,
      jobId: j.id,
    }));
    const hot = { id: 'hot', code: 'out-of-band', inMin: 0, side: 'above' } as const;
    const calls = (o: CookNow, advice: Advice | null) => {
      const { order: now } = order(o, advice);
      return callsOf(o, now).map((a) => [a.id, isTheOrder(a, now)]);
    };
    const alarms = [hot, ...due];
    // A closing that is due is the answer to a pit that is too hot.
    expect(calls({ ...of, alarms }, null)).toEqual([
      ['hot', true],
      ['job-due/close', true],
    ]);
    // What would ask for the other way is no second voice beside it.
    const sinking = { id: 'low', code: 'leaving-band', inMin: 10, side: 'below' } as const;
    expect(calls({ ...of, alarms: [sinking, ...due] }, null)).toEqual([['job-due/close', true]]);
    // A pit that is left alone calls nobody; a move, or a look, about it does.
    const later = { ...cook([LIT, ON], [[FEED, 90]]), alarms: [hot] };
    expect([calls(later, null), calls(later, to(0.2, false))]).toEqual([[], [['hot', true]]]);
    // A move that was just made has to work first.
    const moved = { ...cook([LIT, ON, vents(290, 0.4)]), alarms: [hot] };
    expect(calls(moved, to(0.2, false))).toEqual([]);
  });
});
