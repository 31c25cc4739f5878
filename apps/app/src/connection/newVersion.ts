/** The app kept on this device, and a newer one that waits: it is offered, never forced. */
import { create } from 'zustand';
import type { Workbox } from 'workbox-window';

interface NewVersion {
  /** A newer app has been fetched and waits. */
  waiting: boolean;
  /** The server is of another version than this page: nothing is read or sent until it is loaded again. */
  outdated: boolean;
}

export const useNewVersion = create<NewVersion>(() => ({ waiting: false, outdated: false }));

let kept: Workbox | null = null;
/** A newer version is looked for so often while the app is open, ms. */
const LOOK_MS = 30 * 60_000;

/**
 * Keeps the app on this device, where the browser lets it. `onKept` is called when it is kept for the first time:
 * what was read before that was not kept.
 */
export async function keepApp(onKept: () => void): Promise<void> {
  const secure = globalThis.isSecureContext && 'serviceWorker' in navigator;
  if (!secure || process.env.NODE_ENV !== 'production') return;
  const { Workbox: Keeper } = await import('workbox-window');
  kept = new Keeper('/sw.js');
  kept.addEventListener('waiting', () => useNewVersion.setState({ waiting: true }));
  kept.addEventListener('controlling', ({ isUpdate }) => {
    if (!isUpdate) onKept();
  });
  await kept.register().catch(() => undefined);
  setInterval(() => void kept?.update().catch(() => undefined), LOOK_MS);
}

/** Loads the newer version: the app's own where one waits, else the page from the server. */
export async function takeNewVersion(): Promise<void> {
  if (kept && useNewVersion.getState().waiting) {
    kept.addEventListener('controlling', () => window.location.reload());
    kept.messageSkipWaiting();
    return;
  }
  // What was kept of the old version must not answer for the new one.
  const workers = await (navigator.serviceWorker?.getRegistrations?.() ?? []);
  await Promise.all(workers.map((w) => w.unregister()));
  window.location.reload();
}
