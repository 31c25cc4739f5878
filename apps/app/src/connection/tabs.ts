/** What the tabs of this origin tell each other. A browser without the means has tabs that do not hear each other. */
import type { LiveEvent } from '@ostrin/contract/types';
import type { Entry } from '@ostrin/core/log';

export type ConnectionState = 'connecting' | 'live' | 'lost';

type TabMessage =
  /** Taps were kept, sent or decided on. */
  | { type: 'taps' }
  /** Entries of a cook reached the server. */
  | { type: 'sent'; cookId: string; entries: Entry[] }
  /** An event of the one stream that all tabs share. */
  | { type: 'event'; event: LiveEvent }
  /** How the shared stream stands, and the question for it. */
  | { type: 'connection'; state: ConnectionState }
  | { type: 'ask-connection' };

const channel =
  typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ostrin-tabs');
const listeners = new Set<(message: TabMessage) => void>();
channel?.addEventListener('message', ({ data }: MessageEvent<TabMessage>) => {
  for (const listener of listeners) listener(data);
});

/** Tells all other tabs. */
export function tellTabs(message: TabMessage): void {
  channel?.postMessage(message);
}

/** Hears the other tabs until the returned function is called. */
export function hearTabs(listener: (message: TabMessage) => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}
