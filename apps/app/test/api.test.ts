import { pitFields, pitWithFields } from '@ostrin/contract/merge';
import type { PitRecord } from '@ostrin/contract/types';
import type { Plan } from '@ostrin/core';
import { act, renderHook, waitFor } from '@testing-library/react-native';
import { requestJson, HttpError, ServerUnreachable } from '../src/api/http';
import { useLive } from '../src/store/live';
import { storeVersioned } from '../src/api/versioned';
import { openLine } from '../src/connection/serverConnection';
import { useLiveCook } from '../src/tend/useLiveCook';
import { BOSUN, FakeStream, reply } from './help';

const COOK = '22222222-2222-4222-8222-222222222222';
const clock = { cookMs: 5000, realMs: 0, speed: 60, running: true };
const VIEW = {
  ostrin: 'cook/1',
  id: COOK,
  name: 'Lunch',
  pitName: 'the Bosun',
  startMs: 0,
  plan: {} as Plan,
  entries: [],
  readings: [{ at: 1000, pitC: 20, coreC: null }],
  finishedAt: null,
  clock,
};

describe('calls', () => {
  it('brings back what the server says, and its refusals in words', async () => {
    global.fetch = jest.fn(() => reply(200, { ok: 1 }));
    expect(await requestJson('/x', 'PUT', { a: 1 })).toEqual({ ok: 1 });
    expect(global.fetch).toHaveBeenCalledWith('/x', expect.objectContaining({ body: '{"a":1}' }));
    const problem = {
      title: 'Not right',
      status: 422,
      errors: [{ field: 'speed', message: 'must be at most 240' }],
    };
    global.fetch = jest.fn(() => reply(422, problem));
    await expect(requestJson('/x')).rejects.toThrow('Not right. speed must be at most 240');
    global.fetch = jest.fn(() => reply(502, '<html>'));
    await expect(requestJson('/x')).rejects.toBeInstanceOf(HttpError);
    global.fetch = jest.fn(() => Promise.reject(new TypeError('down')));
    await expect(requestJson('/x')).rejects.toBeInstanceOf(ServerUnreachable);
  });
});

describe('the line', () => {
  let close: () => void;

  beforeEach(() => {
    FakeStream.all = [];
    Object.assign(globalThis, { EventSource: FakeStream });
    global.fetch = jest.fn(() => reply(200, VIEW));
    useLive.setState({ connection: 'none', lostAt: null });
    useLive.getState().leave();
  });

  afterEach(() => close());

  it('reads the document when the stream is open, then follows', async () => {
    close = openLine();
    await waitFor(() => expect(FakeStream.all).toHaveLength(1));
    const { unmount } = renderHook(() => useLiveCook(COOK));
    expect(useLive.getState().connection).toBe('connecting');
    act(() => FakeStream.all[0]!.say({ type: 'hello' }));
    await waitFor(() =>
      expect(useLive.getState()).toMatchObject({ connection: 'live', cookId: COOK, name: 'Lunch' }),
    );
    const readings = [{ at: 2000, pitC: 25, coreC: null }];
    act(() => FakeStream.all[0]!.say({ type: 'readings', cookId: COOK, readings, clock }));
    expect(useLive.getState().readings.map((r) => r.at)).toEqual([1000, 2000]);
    unmount();
  });

  it('says when it is lost, keeps what it has, and comes back by itself', async () => {
    jest.useFakeTimers();
    close = openLine();
    const { unmount } = renderHook(() => useLiveCook(COOK));
    await act(() => jest.advanceTimersByTimeAsync(10));
    act(() => FakeStream.all[0]!.say({ type: 'hello' }));
    await act(() => jest.advanceTimersByTimeAsync(10));
    act(() => FakeStream.all[0]!.onerror!());
    expect(useLive.getState()).toMatchObject({ connection: 'lost', cookId: COOK });
    expect(useLive.getState().lostAt).not.toBeNull();
    expect(useLive.getState().readings).toHaveLength(1);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(FakeStream.all).toHaveLength(2);
    act(() => FakeStream.all[1]!.say({ type: 'hello' }));
    await act(() => jest.advanceTimersByTimeAsync(10));
    expect(useLive.getState()).toMatchObject({ connection: 'live', lostAt: null });
    // A line that only seems to be up is opened again.
    await act(() => jest.advanceTimersByTimeAsync(40_000));
    expect(FakeStream.all).toHaveLength(3);
    unmount();
    jest.useRealTimers();
  });
});

describe('records that others change too', () => {
  const mine = { ...BOSUN, version: 1 };
  const kind = {
    path: '/api/pits/bosun',
    body: (p: PitRecord) => p,
    fields: pitFields,
    withFields: pitWithFields,
  };
  const stale = (current: unknown) => reply(412, { title: 'Changed', status: 412, current });

  it('are merged where that is safe, and sent with the version that was read', async () => {
    const sent: { body: PitRecord; match: string }[] = [];
    const theirs = { ...BOSUN, name: 'Bosun II', version: 5 };
    global.fetch = jest.fn((_path: unknown, init?: RequestInit) => {
      const body = JSON.parse(init!.body as string) as PitRecord;
      sent.push({ body, match: (init!.headers as Record<string, string>)['If-Match']! });
      return sent.length === 1 ? stale(theirs) : reply(200, { ...body, version: 6 });
    });
    const stored = await storeVersioned(kind, mine, { ...BOSUN, overrides: { leakCm2: 12 } });
    expect(stored).toMatchObject({ name: 'Bosun II', overrides: { leakCm2: 12 }, version: 6 });
    expect(sent.map((s) => s.match)).toEqual(['"1"', '"5"']);
  });

  it('are told where both changed the same, and nothing is written over', async () => {
    global.fetch = jest.fn(() => stale({ ...BOSUN, overrides: { leakCm2: 9 }, version: 2 }));
    const writing = storeVersioned(kind, mine, { ...BOSUN, overrides: { leakCm2: 12 } });
    await expect(writing).rejects.toMatchObject({ fields: ['overrides.leakCm2'] });
    expect(global.fetch).toHaveBeenCalledTimes(1);
    global.fetch = jest.fn(() => stale(null));
    await expect(storeVersioned(kind, mine, BOSUN)).rejects.toThrow('deleted on another device');
  });
});
