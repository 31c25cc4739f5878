import type { Entry } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { cookClockMs, mergeReadings, useLive } from '../src/store/live';
import type { CookView } from '../src/api/queries';

const COOK = '11111111-1111-4111-8111-111111111111';
const view = (part: Partial<CookView> = {}): CookView => ({
  ostrin: 'cook/1',
  id: COOK,
  name: 'Lunch',
  pitName: 'the Bosun',
  startMs: 0,
  plan: {} as PitPlan,
  entries: [],
  readings: [],
  finishedAt: null,
  clock: { cookMs: 1000, realMs: 0, speed: 10, running: true },
  ...part,
});

beforeEach(() => {
  useLive.getState().leave();
  useLive.getState().load(view());
  useLive.getState().setConnection('live');
});

it('takes what other windows did, each entry once', () => {
  const entry = { id: 'x', at: 1, kind: 'note', text: 'hi' } as Entry;
  useLive.getState().receive({ type: 'entries', cookId: COOK, entries: [entry] });
  useLive.getState().receive({ type: 'entries', cookId: COOK, entries: [entry] });
  useLive
    .getState()
    .receive({ type: 'entries', cookId: 'another', entries: [{ ...entry, id: 'y' }] });
  expect(useLive.getState().entries).toEqual([entry]);
});

it('keeps what came of a cook whose document was still on its way', () => {
  const other = '22222222-2222-4222-8222-222222222222';
  const lay = { id: 'l', at: 1, kind: 'job', jobId: 'lay' } as Entry;
  const reading = { at: 5000, pitC: 120, coreC: null };
  const clock = view().clock;
  // It was sent while its page was opening; the document was read before that.
  useLive.getState().addEntries(other, [lay]);
  useLive.getState().receive({ type: 'readings', cookId: other, readings: [reading], clock });
  useLive.getState().load(view({ id: other }));
  expect(useLive.getState().entries).toEqual([lay]);
  expect(useLive.getState().readings).toEqual([reading]);
});

it('loses nothing to a document that was asked for before something came', () => {
  const done = { id: 'x', at: 1, kind: 'job', jobId: 'salt' } as Entry;
  const clock = { cookMs: 9000, realMs: 50, speed: 60, running: true };
  useLive.getState().addEntries(COOK, [done]);
  useLive.getState().receive({ type: 'clock', cookId: COOK, clock });
  useLive.getState().load(view());
  expect(useLive.getState()).toMatchObject({ entries: [done], clock });
  // Another cook's document is another cook.
  useLive.getState().load(view({ id: 'third' }));
  expect(useLive.getState().entries).toEqual([]);
});

it('runs the clock at its speed, also while the line is down', () => {
  const s = { clock: view().clock, clockAt: 100 };
  expect(cookClockMs(s, 300)).toBe(1000 + 200 * 10);
  expect(cookClockMs({ ...s, clock: { ...s.clock, running: false } }, 9999)).toBe(1000);
  expect(cookClockMs({ ...s, clock: null }, 5)).toBe(0);
});

it('shows a saved cook as it was then, with its clock going on', () => {
  useLive.getState().leave();
  useLive.setState({ connection: 'lost', lostAt: null });
  useLive.getState().loadSaved(view(), 7000);
  expect(useLive.getState()).toMatchObject({ cookId: COOK, lostAt: 7000, clockAt: 7000 });
});

it('knows that a practice clock went back with its server, until it is there again', () => {
  useLive.getState().leave();
  const now = jest.spyOn(Date, 'now').mockReturnValue(1_000_000);
  const told = (cookMs: number) =>
    useLive.getState().receive({
      type: 'clock',
      cookId: COOK,
      clock: { cookMs, realMs: 0, speed: 10, running: true },
    });
  const setBack = () => useLive.getState().setBack;
  useLive.getState().load(view());
  told(600_000);
  // Late by what a message takes on its way.
  now.mockReturnValue(1_004_000);
  told(600_000);
  expect(setBack()).toBeNull();
  now.mockReturnValue(1_010_000);
  told(500_000);
  expect(setBack()).toEqual({ fromMs: 660_000, toMs: 500_000 });
  told(640_000);
  expect(setBack()).toEqual({ fromMs: 660_000, toMs: 500_000 });
  told(660_000);
  expect(setBack()).toBeNull();
  now.mockRestore();
});

it('merges readings by their moment', () => {
  const r = (at: number) => ({ at, pitC: at, coreC: null });
  expect(mergeReadings([r(1), r(2)], [r(2), r(3)]).map((x) => x.at)).toEqual([1, 2, 3]);
  expect(mergeReadings([r(5)], [r(1), r(6)]).map((x) => x.at)).toEqual([1, 5, 6]);
  const same = [r(1)];
  expect(mergeReadings(same, [])).toBe(same);
});

it('tells in steps what grew long while it was open, and loses no reading of the last hours', () => {
  const rows = Array.from({ length: 9000 }, (_, i) => ({ at: 1000 * i, pitC: 120, coreC: 60 }));
  const { clock } = view();
  const receive = (readings: typeof rows): void =>
    useLive.getState().receive({ type: 'readings', cookId: COOK, readings, clock });
  receive(rows.slice(0, 7000));
  expect(useLive.getState()).toMatchObject({ inSteps: false });
  expect(useLive.getState().readings).toHaveLength(7000);
  receive(rows.slice(7000));
  const { readings, inSteps } = useLive.getState();
  expect(inSteps).toBe(true);
  // Two hours at a reading in fifteen seconds, and half an hour at one a minute.
  expect(readings.length).toBeGreaterThan(480);
  expect(readings.length).toBeLessThan(480 + 40);
  receive([{ at: 9_000_000, pitC: 121, coreC: 61 }]);
  expect(useLive.getState().readings.at(-1)).toEqual({ at: 9_000_000, pitC: 121, coreC: 61 });
  useLive.getState().load(view({ inSteps: true, readings: rows.slice(0, 10) }));
  expect(useLive.getState()).toMatchObject({ inSteps: true });
});
