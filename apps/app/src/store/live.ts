/**
 * The cook under way as this window knows it: what the server has, what is still waiting to be sent,
 * and whether the line is up. Taps are kept until the server has acknowledged them, once each.
 */
import { ROUTES, type ClockState, type LiveEvent, type Reading } from '@ostrin/contract/types';
import type { Entry, EntryBody, Plan } from '@ostrin/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { requestJson, HttpError } from '../api/http';
import type { CookView } from '../api/queries';

export type Connection = 'none' | 'connecting' | 'live' | 'lost';

interface WaitingEntry {
  cookId: string;
  entry: Entry;
}

export interface LiveState {
  cookId: string | null;
  name: string;
  pitName: string;
  startMs: number;
  plan: Plan | null;
  entries: Entry[];
  readings: Reading[];
  clock: ClockState | null;
  /** This device's clock when `clock` arrived, ms. */
  clockAt: number;
  connection: Connection;
  lostAt: number | null;
  /** Whether the event stream is open; the line is up only when sending works too. */
  streaming: boolean;
  waiting: WaitingEntry[];
  /** What the server refused, in words. */
  rejection: string | null;
}

interface LiveStore extends LiveState {
  load(view: CookView): void;
  receive(event: LiveEvent): void;
  setConnection(link: Connection): void;
  /** Keeps an entry for sending and sends what waits. Returns the entry. */
  log(body: EntryBody, at: number, jobId?: string): Entry;
  flush(): Promise<void>;
  clearRejection(): void;
  leave(): void;
}

const NOTHING: Omit<LiveState, 'waiting'> = {
  cookId: null,
  name: '',
  pitName: '',
  startMs: 0,
  plan: null,
  entries: [],
  readings: [],
  clock: null,
  clockAt: 0,
  connection: 'none',
  lostAt: null,
  streaming: false,
  rejection: null,
};

/** The cook's clock now, ms; it stands still while the line is down, as the readings do. */
export function cookClockMs(
  s: Pick<LiveState, 'clock' | 'clockAt' | 'connection' | 'lostAt'>,
  now: number,
): number {
  if (!s.clock) return 0;
  if (!s.clock.running) return s.clock.cookMs;
  const until = s.connection === 'lost' && s.lostAt !== null ? s.lostAt : now;
  return s.clock.cookMs + Math.max(0, until - s.clockAt) * s.clock.speed;
}

/** Confirmed and waiting entries of the open cook, each once. */
export function allEntries(s: Pick<LiveState, 'cookId' | 'entries' | 'waiting'>): Entry[] {
  const ids = new Set(s.entries.map((e) => e.id));
  const mine = s.waiting.filter((w) => w.cookId === s.cookId && !ids.has(w.entry.id));
  return [...s.entries, ...mine.map((w) => w.entry)];
}

/** Readings with new ones added, in order, each moment once. */
export function mergeReadings(old: Reading[], fresh: readonly Reading[]): Reading[] {
  const last = old.at(-1)?.at ?? -Infinity;
  const later = fresh.filter((r) => r.at > last);
  if (later.length === fresh.length) return fresh.length === 0 ? old : [...old, ...fresh];
  const byTime = new Map([...old, ...fresh].map((r) => [r.at, r]));
  return [...byTime.values()].sort((a, b) => a.at - b.at);
}

/** A send that failed is tried again after this long, ms. */
const RESEND_MS = 1500;

let flushing: Promise<void> | null = null;
let resend: ReturnType<typeof setTimeout> | null = null;

export const useLive = create<LiveStore>()(
  persist(
    (set, get) => ({
      ...NOTHING,
      waiting: [],

      load(view) {
        set((s) => ({
          cookId: view.id,
          name: view.name,
          pitName: view.pitName,
          startMs: view.startMs,
          plan: view.plan,
          entries: view.entries,
          // What came over the line while this was on its way is not lost.
          readings: s.cookId === view.id ? mergeReadings(view.readings, s.readings) : view.readings,
          clock: view.clock,
          clockAt: Date.now(),
        }));
      },

      receive(event) {
        if (event.type === 'entries') {
          set((s) => {
            const ids = new Set(s.entries.map((e) => e.id));
            return { entries: [...s.entries, ...event.entries.filter((e) => !ids.has(e.id))] };
          });
          return;
        }
        set((s) => ({
          clock: event.clock,
          clockAt: Date.now(),
          ...(event.type === 'readings'
            ? { readings: mergeReadings(s.readings, event.readings) }
            : {}),
        }));
      },

      setConnection(link) {
        set((s) => ({
          connection: link,
          streaming: link === 'live',
          lostAt: link === 'lost' ? (s.lostAt ?? Date.now()) : link === 'live' ? null : s.lostAt,
        }));
        if (link === 'live') void get().flush();
      },

      log(body, at, jobId) {
        const entry = {
          id: crypto.randomUUID(),
          at: Math.round(at),
          ...(jobId ? { jobId } : {}),
          ...body,
        } as Entry;
        const { cookId } = get();
        if (cookId) set((s) => ({ waiting: [...s.waiting, { cookId, entry }] }));
        void get().flush();
        return entry;
      },

      flush() {
        flushing ??= sendAll(get, set).finally(() => {
          flushing = null;
        });
        return flushing;
      },

      clearRejection: () => set({ rejection: null }),
      leave: () => set(NOTHING),
    }),
    {
      name: 'ostrin-waiting',
      version: 1,
      storage: createJSONStorage(() => localStorage),
      partialize: (s) => ({ waiting: s.waiting }),
    },
  ),
);

type Get = () => LiveStore;
type Set_ = (part: Partial<LiveState> | ((s: LiveState) => Partial<LiveState>)) => void;

/** Sends what waits, oldest first, until nothing is left or the server is away. */
async function sendAll(get: Get, set: Set_): Promise<void> {
  for (;;) {
    const first = get().waiting[0];
    if (!first) return;
    try {
      await requestJson(ROUTES.entries(first.cookId), 'POST', { entries: [first.entry] });
    } catch (error) {
      if (!(error instanceof HttpError) || error.status >= 500) {
        set((s) => ({
          connection: s.connection === 'live' ? 'lost' : s.connection,
          lostAt: s.lostAt ?? Date.now(),
        }));
        resend ??= setTimeout(() => {
          resend = null;
          void get().flush();
        }, RESEND_MS);
        return;
      }
      set({ rejection: error.message });
      set((s) => ({ waiting: s.waiting.filter((w) => w.entry.id !== first.entry.id) }));
      continue;
    }
    set((s) => ({
      waiting: s.waiting.filter((w) => w.entry.id !== first.entry.id),
      entries:
        s.cookId === first.cookId && !s.entries.some((e) => e.id === first.entry.id)
          ? [...s.entries, first.entry]
          : s.entries,
      ...(s.streaming ? { connection: 'live' as const, lostAt: null } : {}),
    }));
  }
}
