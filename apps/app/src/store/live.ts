/** The cook under way as this window knows it: what the server has of it, and whether the line is up. */
import type { ClockState, CookFire, LiveEvent, Reading } from '@ostrin/contract/types';
import { inSteps, mergedRows, MOST_VALUES, type Entry } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { create } from 'zustand';
import type { CookView } from '../api/queries';
import type { ConnectionState } from '../connection/tabs';
import type { Tap } from '../outbox/tap';

export type Connection = 'none' | ConnectionState;

interface LiveState {
  cookId: string | null;
  name: string;
  pitName: string;
  startMs: number;
  fire: CookFire;
  plan: PitPlan | null;
  entries: Entry[];
  readings: Reading[];
  /** Whether they are given in steps. */
  inSteps: boolean;
  clock: ClockState | null;
  /** This device's clock when `clock` arrived, ms. */
  clockAt: number;
  /** Where the clock of a practice cook stood before it went back, and where it went, epoch ms; null where it never did. */
  setBack: { fromMs: number; toMs: number } | null;
  connection: Connection;
  lostAt: number | null;
}

interface LiveStore extends LiveState {
  /** Takes a cook's document; what came since it was asked for is not lost. */
  load(view: CookView): void;
  /** Takes what this browser saved of a cook, and when it did, epoch ms. */
  loadSaved(view: CookView, savedAt: number): void;
  receive(event: LiveEvent): void;
  /** Adds entries that the server has. */
  addEntries(cookId: string, entries: readonly Entry[]): void;
  setConnection(line: Connection): void;
  leave(): void;
}

const NOTHING: LiveState = {
  cookId: null,
  name: '',
  pitName: '',
  startMs: 0,
  fire: 'practice',
  plan: null,
  entries: [],
  readings: [],
  inSteps: false,
  clock: null,
  clockAt: 0,
  setBack: null,
  connection: 'none',
  lostAt: null,
};

/** The cook's clock now, ms. It goes on while the line is down: what is logged then has its own minute. */
export function cookClockMs(s: Pick<LiveState, 'clock' | 'clockAt'>, now: number): number {
  if (!s.clock) return 0;
  if (!s.clock.running) return s.clock.cookMs;
  return s.clock.cookMs + Math.max(0, now - s.clockAt) * s.clock.speed;
}

/** A clock that is behind what was shown by no more than this was late on its way, ms: of the cook's, and of ours. */
const LATE_MS = { cook: 60_000, real: 5_000 };

/** A clock that arrived; where it went back, what it showed before stays known until it is there again. */
function withClock(
  s: LiveState,
  clock: ClockState,
): Pick<LiveState, 'clock' | 'clockAt' | 'setBack'> {
  const now = Date.now();
  const shownMs = cookClockMs(s, now);
  const byMs = shownMs - clock.cookMs;
  const wentBack =
    s.fire === 'practice' &&
    s.clock?.running &&
    clock.running &&
    byMs > Math.max(LATE_MS.cook, LATE_MS.real * clock.speed);
  const before = s.setBack && clock.cookMs < s.setBack.fromMs ? s.setBack : null;
  const setBack = wentBack ? { fromMs: Math.round(shownMs), toMs: clock.cookMs } : before;
  return { clock, clockAt: now, setBack };
}

/** Entries that the server has and taps on their way to it, each once. Refused taps are not in the log. */
export function allEntries(
  s: Pick<LiveState, 'cookId' | 'entries'>,
  taps: readonly Tap[],
): Entry[] {
  const mine = taps.flatMap((t) => (t.cookId === s.cookId && !t.refused ? [t.entry] : []));
  return mergeEntries(s.entries, mine);
}

/** Entries with others added, each once, those known first. */
export function mergeEntries(known: readonly Entry[], others: readonly Entry[]): Entry[] {
  const ids = new Set(known.map((e) => e.id));
  return [...known, ...others.filter((e) => !ids.has(e.id))];
}

/** Readings with new ones added, in order, each moment once. */
export function mergeReadings(old: Reading[], fresh: readonly Reading[]): Reading[] {
  const last = old.at(-1)?.at ?? -Infinity;
  const later = fresh.filter((r) => r.at > last);
  if (later.length === fresh.length) return fresh.length === 0 ? old : [...old, ...fresh];
  return mergedRows(old, fresh);
}

/** Readings with new ones: a record that grew long is given in steps. */
function keptReadings(
  { readings, inSteps: before }: Pick<LiveState, 'readings' | 'inSteps'>,
  fresh: readonly Reading[],
): Pick<LiveState, 'readings' | 'inSteps'> {
  const merged = mergeReadings(readings, fresh);
  // Counting values takes time: a row has two of them as a rule.
  if (merged.length <= MOST_VALUES / 2) return { readings: merged, inSteps: before };
  const kept = inSteps(merged);
  return { readings: kept, inSteps: before || kept.length < merged.length };
}

/** What came of cooks whose document was still on its way: it may not hold that yet. The latest cooks at most. */
const ahead = new Map<string, { entries: Entry[]; readings: Reading[] }>();
const MOST_AHEAD = 8;

function keepAhead(cookId: string, entries: readonly Entry[], readings: readonly Reading[]): void {
  const known = ahead.get(cookId) ?? { entries: [], readings: [] };
  ahead.delete(cookId);
  ahead.set(cookId, {
    entries: mergeEntries(known.entries, entries),
    readings: mergeReadings(known.readings, readings),
  });
  if (ahead.size > MOST_AHEAD) ahead.delete(ahead.keys().next().value!);
}

export const useLive = create<LiveStore>()((set) => ({
  ...NOTHING,

  load(view) {
    set((s) => {
      const same = s.cookId === view.id;
      const early = same ? undefined : ahead.get(view.id);
      ahead.delete(view.id);
      // A clock that was told later than the document holds.
      const clock = same && s.clock && s.clock.realMs > view.clock.realMs ? s.clock : view.clock;
      return {
        cookId: view.id,
        name: view.name,
        pitName: view.pitName,
        startMs: view.startMs,
        fire: view.fire ?? 'practice',
        plan: view.plan,
        entries: mergeEntries(view.entries, same ? s.entries : (early?.entries ?? [])),
        ...keptReadings(
          { readings: view.readings, inSteps: view.inSteps ?? false },
          same ? s.readings : (early?.readings ?? []),
        ),
        ...(clock === s.clock
          ? {}
          : withClock(same ? s : { ...s, clock: null, setBack: null }, clock)),
      };
    });
  },

  loadSaved(view, savedAt) {
    useLive.getState().load(view);
    set((s) => ({
      clockAt: savedAt,
      ...(s.connection === 'live' ? {} : { lostAt: savedAt }),
    }));
  },

  receive(event) {
    if (!('cookId' in event) || event.type === 'refresh') return;
    if (event.type === 'state' || event.type === 'alarms' || event.type === 'over') return;
    if (event.type === 'readings' && useLive.getState().cookId !== event.cookId) {
      keepAhead(event.cookId, [], event.readings);
    }
    if (event.type === 'entries') {
      useLive.getState().addEntries(event.cookId, event.entries);
      return;
    }
    set((s) =>
      s.cookId === event.cookId
        ? {
            ...withClock(s, event.clock),
            ...(event.type === 'readings' ? keptReadings(s, event.readings) : {}),
          }
        : {},
    );
  },

  addEntries(cookId, entries) {
    if (useLive.getState().cookId !== cookId) keepAhead(cookId, entries, []);
    set((s) => (s.cookId === cookId ? { entries: mergeEntries(s.entries, entries) } : {}));
  },

  setConnection(line) {
    set((s) => ({
      connection: line,
      lostAt: line === 'lost' ? (s.lostAt ?? Date.now()) : line === 'live' ? null : s.lostAt,
    }));
  },

  leave: () => set((s) => ({ ...NOTHING, connection: s.connection, lostAt: s.lostAt })),
}));
