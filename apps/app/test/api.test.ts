import type { Plan } from '@ostrin/core';
import { act, renderHook } from '@testing-library/react-native';
import { requestJson, HttpError, ServerUnreachable } from '../src/api/http';
import { useLive } from '../src/store/live';
import { useLiveCook } from '../src/tend/useLiveCook';
import { reply } from './help';

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

class FakeStream {
  static all: FakeStream[] = [];
  onmessage: ((e: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    FakeStream.all.push(this);
  }
  close(): void {
    this.closed = true;
  }
  say(event: unknown): void {
    this.onmessage?.({ data: JSON.stringify(event) });
  }
}

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

describe('watching a cook', () => {
  const settle = () => act(async () => void (await new Promise((done) => setTimeout(done, 20))));

  beforeEach(() => {
    FakeStream.all = [];
    Object.assign(globalThis, { EventSource: FakeStream });
    global.fetch = jest.fn(() => reply(200, VIEW));
    useLive.getState().leave();
  });

  it('opens the stream before it reads the document, then follows', async () => {
    const { unmount } = renderHook(() => useLiveCook(COOK));
    expect(FakeStream.all).toHaveLength(1);
    expect(global.fetch).not.toHaveBeenCalled();
    expect(useLive.getState().connection).toBe('connecting');
    act(() => FakeStream.all[0]!.say({ type: 'hello', clock }));
    await settle();
    expect(useLive.getState()).toMatchObject({ connection: 'live', cookId: COOK, name: 'Lunch' });
    act(() =>
      FakeStream.all[0]!.say({
        type: 'readings',
        readings: [{ at: 2000, pitC: 25, coreC: null }],
        clock,
      }),
    );
    expect(useLive.getState().readings.map((r) => r.at)).toEqual([1000, 2000]);
    unmount();
    expect(FakeStream.all[0]!.closed).toBe(true);
  });

  it('says when the line is lost, keeps what it has, and comes back by itself', async () => {
    jest.useFakeTimers();
    const { unmount } = renderHook(() => useLiveCook(COOK));
    act(() => FakeStream.all[0]!.say({ type: 'hello', clock }));
    await act(async () => void (await jest.advanceTimersByTimeAsync(10)));
    act(() => FakeStream.all[0]!.onerror!());
    expect(useLive.getState()).toMatchObject({ connection: 'lost', cookId: COOK });
    expect(useLive.getState().lostAt).not.toBeNull();
    expect(useLive.getState().readings).toHaveLength(1);
    await act(async () => void (await jest.advanceTimersByTimeAsync(2000)));
    expect(FakeStream.all).toHaveLength(2);
    act(() => FakeStream.all[1]!.say({ type: 'hello', clock }));
    await act(async () => void (await jest.advanceTimersByTimeAsync(10)));
    expect(useLive.getState()).toMatchObject({ connection: 'live', lostAt: null });
    unmount();
    jest.useRealTimers();
  });
});
