/** Taps are kept before they are shown, sent once, in order, and never let go without their writer. */
import 'fake-indexeddb/auto';
import type { Entry } from '@ostrin/core/log';
import { waitFor } from '@testing-library/react-native';
import { v4 as newId } from 'uuid';
import type * as OutboxModule from '../src/outbox/outbox';
import { reply } from './help';

type Outbox = typeof OutboxModule;

/** Another tab of the same browser: its own code and memory, the same database. */
function openTab(): { tab: Outbox; sent: Entry[]; close: () => void } {
  let tab: Outbox | null = null;
  jest.isolateModules(() => {
    tab = jest.requireActual<Outbox>('../src/outbox/outbox');
  });
  const sent: Entry[] = [];
  const close = tab!.openOutbox({
    sent: (_cook, entries) => void sent.push(...entries),
    away: () => undefined,
  });
  return { tab: tab!, sent, close };
}

let clock = 0;
const note = (text: string): Entry => ({ id: newId(), at: ++clock, kind: 'note', text });
const job = (jobId: string): Entry => ({ id: newId(), at: ++clock, kind: 'job', jobId });
const LUNCH = { id: 'lunch', name: 'Lunch' };
const DINNER = { id: 'dinner', name: 'Dinner' };

/** What the server has: entries by cook, each once; and how it answers. */
let stored: Map<string, Entry[]>;
let answer: (
  cook: string,
  entry: Entry,
  body: { entries: Entry[]; confirmed?: boolean },
) => Promise<Response> | null;

/**
 * Lets everything that is under way come to rest. A tab that found another one sending looks again after half a
 * second, so it is not enough to wait for some milliseconds.
 */
async function settle(): Promise<void> {
  for (const { tab } of tabs) await tab.sendTaps();
}

const texts = (cook: string): string[] =>
  (stored.get(cook) ?? []).map((e) => (e.kind === 'note' ? e.text : e.kind));

let tabs: ReturnType<typeof openTab>[] = [];
const open = () => {
  const tab = openTab();
  tabs.push(tab);
  return tab;
};

beforeEach(() => {
  stored = new Map();
  answer = () => null;
  global.fetch = jest.fn((path: unknown, init?: RequestInit) => {
    const cook = String(path).split('/')[3]!;
    const body = JSON.parse(init!.body as string) as { entries: Entry[]; confirmed?: boolean };
    const said = answer(cook, body.entries[0]!, body);
    if (said) return said;
    const before = stored.get(cook) ?? [];
    const fresh = body.entries.filter((e) => !before.some((b) => b.id === e.id));
    stored.set(cook, [...before, ...fresh]);
    return reply(201, { stored: [] });
  });
});

afterEach(async () => {
  // Nothing is left for the next test.
  answer = () => null;
  const { tab } = open();
  await settle();
  for (const tap of tab.useOutbox.getState().taps) await tab.decide(tap, 'discard');
  await settle();
  for (const t of tabs) t.close();
  tabs = [];
});

const down = (): Promise<Response> => Promise.reject(new TypeError('down'));
const refuse = (status: number, title: string, more: object = {}) =>
  reply(status, { title, status, ...more });

it('shows a tap when it is kept, and sends it once', async () => {
  const { tab, sent } = open();
  const [entry] = await tab.keepEntries(LUNCH, [note('windy')]);
  expect(tab.useOutbox.getState().taps.map((t) => t.entry)).toEqual([entry]);
  await settle();
  expect(texts('lunch')).toEqual(['windy']);
  expect(sent).toEqual([entry]);
  expect(tab.useOutbox.getState().taps).toEqual([]);
});

it('keeps what two tabs log while the server is away, through a reload, and sends each once, in order', async () => {
  answer = down;
  const [a, b] = [open(), open()];
  for (const n of [1, 2, 3]) {
    await a.tab.keepEntries(LUNCH, [note(`a${n}`)]);
    await b.tab.keepEntries(LUNCH, [note(`b${n}`)]);
  }
  await settle();
  a.close();
  b.close();
  answer = () => null;
  const { tab } = open();
  await settle();
  expect(texts('lunch')).toEqual(['a1', 'b1', 'a2', 'b2', 'a3', 'b3']);
  expect(tab.useOutbox.getState().taps).toEqual([]);
});

it('sends many taps of a cook in one request, in order, and asks about each only where one is refused', async () => {
  answer = down;
  const { tab } = open();
  await tab.keepEntries(LUNCH, [note('1'), note('2'), note('3')]);
  await settle();
  const asked: number[] = [];
  answer = (_cook, _entry, { entries }) => {
    asked.push(entries.length);
    return null;
  };
  await tab.sendTaps();
  await settle();
  expect([asked, texts('lunch')]).toEqual([[3], ['1', '2', '3']]);
  await tab.keepEntries(LUNCH, [note('4'), note('5')]);
  answer = (_cook, _entry, { entries }) =>
    entries.some((e) => e.kind === 'note' && e.text === '5') ? refuse(409, 'no') : null;
  await tab.sendTaps();
  await settle();
  expect(texts('lunch')).toEqual(['1', '2', '3', '4']);
  expect(tab.useOutbox.getState().taps.map((t) => t.refused?.status)).toEqual([409]);
});

it('never lets a refused tap go by itself, and lets the others pass', async () => {
  const { tab } = open();
  for (const status of [404, 409, 413, 422]) {
    answer = (cook) => (cook === 'lunch' ? refuse(status, `No: ${status}`) : null);
    await tab.keepEntries(LUNCH, [note(`refused ${status}`)]);
    await tab.keepEntries(DINNER, [note(`taken ${status}`)]);
    await settle();
  }
  expect(texts('dinner')).toHaveLength(4);
  const { taps } = tab.useOutbox.getState();
  expect(taps.map((t) => t.refused?.status)).toEqual([404, 409, 413, 422]);
  expect(taps[1]!.refused!.reason).toBe('No: 409');
  // They are still there after a reload.
  const next = open();
  await settle();
  expect(next.tab.useOutbox.getState().taps).toHaveLength(4);
});

it('does with a refused tap what its writer decides', async () => {
  const { tab } = open();
  answer = (_cook, _entry, { confirmed }) => (confirmed ? null : refuse(409, 'It is finished'));
  for (const text of ['send', 'note', 'discard']) await tab.keepEntries(LUNCH, [note(text)]);
  await settle();
  const [send, keep, drop] = tab.useOutbox.getState().taps;
  await tab.decide(send!, 'send');
  await tab.decide(drop!, 'discard');
  await settle();
  answer = () => null;
  await tab.decide(keep!, { note: note('what was done') });
  await settle();
  expect(texts('lunch')).toEqual(['send', 'what was done']);
  expect(tab.useOutbox.getState().taps).toEqual([]);
});

it('leaves no refused tap behind where two tabs decide at once, about the same or about different ones', async () => {
  const decisions = ['send', 'discard', 'note'] as const;
  for (const ofA of decisions) {
    for (const ofB of decisions) {
      const [a, b] = [open(), open()];
      answer = (_cook, _entry, { confirmed }) => (confirmed ? null : refuse(409, 'It is finished'));
      const cook = { id: `${ofA}-${ofB}`, name: 'Lunch' };
      for (const text of ['both', 'of a', 'of b']) await a.tab.keepEntries(cook, [note(text)]);
      await settle();
      await waitFor(() => expect(b.tab.useOutbox.getState().taps).toHaveLength(3));
      answer = () => null;
      const [both, first, second] = b.tab.useOutbox.getState().taps;
      const by = (tab: Outbox, tap: typeof both, what: (typeof decisions)[number]) =>
        tab.decide(tap!, what === 'note' ? { note: note('as a note') } : what);
      await Promise.all([
        by(a.tab, both, ofA),
        by(b.tab, both, ofB),
        by(a.tab, first, ofA),
        by(b.tab, second, ofB),
      ]);
      await settle();
      for (const { tab } of [a, b])
        await waitFor(() => expect(tab.useOutbox.getState().taps).toEqual([]));
      const kept = texts(cook.id);
      expect(kept.includes('of a')).toBe(ofA === 'send');
      expect(kept.includes('of b')).toBe(ofB === 'send');
      expect(kept.includes('as a note')).toBe(ofA === 'note' || ofB === 'note');
      for (const t of tabs) t.close();
      tabs = [];
    }
  }
});

it('waits where the server asks for it, and tries again by itself', async () => {
  const { tab } = open();
  for (const status of [401, 408, 429, 503]) {
    answer = () => refuse(status, 'Not now');
    await tab.keepEntries(LUNCH, [note(String(status))]);
    await settle();
    expect(tab.useOutbox.getState().taps.every((t) => t.refused === null)).toBe(true);
  }
  answer = () => null;
  await tab.sendTaps();
  expect(texts('lunch')).toEqual(['401', '408', '429', '503']);
});

it('a tap on which the server fails blocks no other cook, and in the end not its own', async () => {
  const { tab } = open();
  answer = (_cook, entry) =>
    entry.kind === 'note' && entry.text === 'poison' ? refuse(500, 'Fault') : null;
  await tab.keepEntries(LUNCH, [note('poison')]);
  await tab.keepEntries(LUNCH, [note('behind it')]);
  await tab.keepEntries(DINNER, [note('elsewhere')]);
  await waitFor(() => expect(texts('dinner')).toEqual(['elsewhere']), { timeout: 5_000 });
  expect(texts('lunch')).toEqual([]);
  for (let i = 0; i < 5; i++) await tab.sendTaps();
  expect(texts('lunch')).toEqual(['behind it']);
  expect(tab.useOutbox.getState().taps).toHaveLength(1);
  answer = () => null;
  await tab.sendTaps();
  expect(texts('lunch')).toEqual(['behind it', 'poison']);
});

it('does one job that two tabs do at the same moment', async () => {
  answer = down;
  const [a, b] = [open(), open()];
  const made = await Promise.all([
    a.tab.keepEntries(LUNCH, [job('wrap'), job('wrap')]),
    b.tab.keepEntries(LUNCH, [job('wrap'), job('wrap')]),
  ]);
  expect(made.map((m) => m.length).sort((a, b) => a - b)).toEqual([0, 2]);
  expect(await b.tab.keepEntries(DINNER, [job('wrap')])).toHaveLength(1);
});

it('takes over what an earlier version had not sent', async () => {
  const waiting = [{ cookId: 'lunch', entry: note('from before') }];
  localStorage.setItem('ostrin-waiting', JSON.stringify({ state: { waiting }, version: 1 }));
  open();
  await waitFor(() => expect(texts('lunch')).toEqual(['from before']), { timeout: 5_000 });
  expect(localStorage.getItem('ostrin-waiting')).toBeNull();
});

it('says so when the browser keeps nothing, and goes on sending from memory', async () => {
  const { tab } = open();
  await settle();
  answer = down;
  const full = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  await tab.keepEntries(LUNCH, [note('kept in memory')]);
  expect(tab.useOutbox.getState()).toMatchObject({ keeping: 'memory' });
  expect(tab.useOutbox.getState().taps).toHaveLength(1);
  answer = () => null;
  await tab.sendTaps();
  full.mockRestore();
  expect(texts('lunch')).toEqual(['kept in memory']);
  expect(tab.useOutbox.getState().taps).toEqual([]);
});
