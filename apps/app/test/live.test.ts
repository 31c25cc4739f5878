import type { Entry, Plan } from '@ostrin/core';
import { allEntries, cookClockMs, mergeReadings, useLive } from '../src/store/live';
import type { CookView } from '../src/api/queries';
import { reply } from './help';

const COOK = '11111111-1111-4111-8111-111111111111';
const view = (part: Partial<CookView> = {}): CookView => ({
  ostrin: 'cook/1',
  id: COOK,
  name: 'Lunch',
  pitName: 'the Bosun',
  startMs: 0,
  plan: {} as Plan,
  entries: [],
  readings: [],
  finishedAt: null,
  clock: { cookMs: 1000, realMs: 0, speed: 10, running: true },
  ...part,
});

let posted: Entry[][] = [];
let answer: () => Promise<Response>;
const ok = () => reply(201, '{"stored":[]}');
const settle = async (): Promise<void> => {
  for (let i = 0; i < 12; i++) await new Promise((done) => setTimeout(done, 0));
};

beforeEach(() => {
  posted = [];
  answer = ok;
  global.fetch = jest.fn((_url: unknown, init?: RequestInit) => {
    posted.push((JSON.parse(String(init?.body)) as { entries: Entry[] }).entries);
    return answer();
  });
  useLive.setState({ waiting: [], entries: [], connection: 'none', lostAt: null, rejection: null });
  useLive.getState().load(view());
  useLive.getState().setConnection('live');
});

it('shows a tap at once and sends it under its own id', async () => {
  const entry = useLive.getState().log({ kind: 'note', text: 'windy' }, 5000.4);
  expect(entry.at).toBe(5000);
  expect(allEntries(useLive.getState())).toEqual([entry]);
  await settle();
  expect(posted).toEqual([[entry]]);
  expect(useLive.getState().waiting).toEqual([]);
  expect(allEntries(useLive.getState())).toEqual([entry]);
});

it('keeps taps while the server is away and sends them in order, once, when it is back', async () => {
  answer = () => Promise.reject(new TypeError('down'));
  const taps = ['a', 'b', 'c'].map((text) => useLive.getState().log({ kind: 'note', text }, 1));
  await settle();
  expect(useLive.getState()).toMatchObject({ connection: 'lost' });
  expect(useLive.getState().waiting.map((w) => w.entry.id)).toEqual(taps.map((t) => t.id));
  expect(allEntries(useLive.getState())).toHaveLength(3);
  answer = ok;
  posted = [];
  useLive.getState().setConnection('live');
  await settle();
  expect(posted.map((p) => p[0]!.id)).toEqual(taps.map((t) => t.id));
  expect(useLive.getState().waiting).toEqual([]);
});

it('keeps them when the server fails, and drops what it refuses, saying so', async () => {
  answer = () => reply(500, 'oops');
  useLive.getState().log({ kind: 'note', text: 'a' }, 1);
  await settle();
  expect(useLive.getState().waiting).toHaveLength(1);
  answer = () => reply(409, JSON.stringify({ title: 'This cook is finished', status: 409 }));
  await useLive.getState().flush();
  expect(useLive.getState().waiting).toHaveLength(0);
  expect(useLive.getState().rejection).toMatch(/finished/);
});

it('takes what other windows did, each entry once', () => {
  const entry = { id: 'x', at: 1, kind: 'note', text: 'hi' } as Entry;
  useLive.getState().receive({ type: 'entries', entries: [entry] });
  useLive.getState().receive({ type: 'entries', entries: [entry] });
  expect(useLive.getState().entries).toEqual([entry]);
});

it('runs the clock at its speed, and stops it while the line is down', () => {
  const s = { clock: view().clock, clockAt: 100, connection: 'live' as const, lostAt: null };
  expect(cookClockMs(s, 300)).toBe(1000 + 200 * 10);
  expect(cookClockMs({ ...s, connection: 'lost', lostAt: 150 }, 9999)).toBe(1500);
  expect(cookClockMs({ ...s, clock: { ...s.clock, running: false } }, 9999)).toBe(1000);
  expect(cookClockMs({ ...s, clock: null }, 5)).toBe(0);
});

it('merges readings by their moment', () => {
  const r = (at: number) => ({ at, pitC: at, coreC: null });
  expect(mergeReadings([r(1), r(2)], [r(2), r(3)]).map((x) => x.at)).toEqual([1, 2, 3]);
  expect(mergeReadings([r(5)], [r(1), r(6)]).map((x) => x.at)).toEqual([1, 5, 6]);
  const same = [r(1)];
  expect(mergeReadings(same, [])).toBe(same);
});
