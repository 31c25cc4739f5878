/** The cooks that this browser knows, for when the server is away. What cannot be saved is simply not there later. */
import type { Entry } from '@ostrin/core/log';
import type { CookView } from '../api/queries';
import { cookClockMs, mergeEntries, useLive } from '../store/live';
import { ownDatabase, type SavedCook } from './database';

/** Cooks that are kept; the oldest go first. */
const MOST_COOKS = 6;
/** The open cook is saved so often at most, ms. */
const SAVE_EVERY_MS = 3_000;

/** The cook with that id as it was last known; null where this browser does not know it. */
export async function savedCook(id: string): Promise<SavedCook | null> {
  try {
    return (await (await ownDatabase()).get('cooks', id)) ?? null;
  } catch {
    return null;
  }
}

/** Adds entries to what is saved of a cook. */
export async function rememberEntries(id: string, entries: readonly Entry[]): Promise<void> {
  try {
    const tx = (await ownDatabase()).transaction('cooks', 'readwrite');
    const saved = await tx.store.get(id);
    if (saved) {
      const view = { ...saved.view, entries: mergeEntries(saved.view.entries, entries) };
      await tx.store.put({ ...saved, view });
    }
    await tx.done;
  } catch {
    // It is in memory, and on the server.
  }
}

/** Saves the open cook as it stands. */
async function saveOpenCook(): Promise<void> {
  const s = useLive.getState();
  if (!s.cookId || !s.plan || !s.clock) return;
  const now = Date.now();
  const view: CookView = {
    ostrin: 'cook/1',
    id: s.cookId,
    name: s.name,
    pitName: s.pitName,
    startMs: s.startMs,
    fire: s.fire,
    plan: s.plan,
    entries: s.entries,
    readings: s.readings,
    finishedAt: s.clock.running ? null : s.clock.cookMs,
    clock: { ...s.clock, cookMs: Math.round(cookClockMs(s, now)) },
  };
  try {
    const tx = (await ownDatabase()).transaction('cooks', 'readwrite');
    await tx.store.put({ id: s.cookId, savedAt: now, view });
    if ((await tx.store.count()) > MOST_COOKS) {
      const all = (await tx.store.getAll()).sort((a, b) => b.savedAt - a.savedAt);
      for (const { id } of all.slice(MOST_COOKS)) await tx.store.delete(id);
    }
    await tx.done;
  } catch {
    // Without room for it the app still works while the server is there.
  }
}

/** Saves the open cook while it changes and the connection is up. Returns how to stop. */
export function keepOpenCook(): () => void {
  let timer: ReturnType<typeof setTimeout> | null = null;
  const stop = useLive.subscribe((s, before) => {
    const news = s.entries !== before.entries || s.readings !== before.readings;
    if (!news || s.connection !== 'live') return;
    timer ??= setTimeout(() => {
      timer = null;
      void saveOpenCook();
    }, SAVE_EVERY_MS);
  });
  return () => {
    stop();
    if (timer) clearTimeout(timer);
  };
}
