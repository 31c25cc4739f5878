/**
 * One event stream for all tabs of this browser: one tab holds it and passes on what comes. A tab that hears
 * nothing for too long, since the one that holds it sleeps, opens a stream of its own until it hears again.
 */
import { API_LEVEL, ROUTES, type LiveEvent } from '@ostrin/contract/types';
import { inOneTab } from './lock';
import { hearTabs, tellTabs, type ConnectionState } from './tabs';

const RETRY_MS = 1_500;
/** The server says something at least every ten seconds. */
const SILENT_MS = 25_000;
const LOOK_MS = 5_000;

interface LineListener {
  event(event: LiveEvent): void;
  state(state: ConnectionState): void;
}

/** Follows the server's events in this tab. Returns how to stop. */
export function followServer(to: LineListener): () => void {
  let stopped = false;
  let heardAt = Date.now();
  let state: ConnectionState = 'connecting';
  let own: (() => void) | null = null;
  let letGo: () => void = () => undefined;
  let holds = false;

  const hear = (event: LiveEvent): void => {
    heardAt = Date.now();
    to.event(event);
  };
  const become = (next: ConnectionState): void => {
    if (next === state) return;
    state = next;
    to.state(next);
  };
  const say = (next: ConnectionState): void => {
    become(next);
    if (holds) tellTabs({ type: 'connection', state: next });
  };
  const pass = (event: LiveEvent): void => {
    hear(event);
    if (holds) tellTabs({ type: 'event', event });
  };

  const stopHearing = hearTabs((message) => {
    if (message.type === 'event') {
      if (holds) return;
      // Somebody holds the stream again: our own is one too many.
      own?.();
      own = null;
      hear(message.event);
      become('live');
    } else if (message.type === 'connection' && !holds && !own) become(message.state);
    else if (message.type === 'ask-connection' && holds) tellTabs({ type: 'connection', state });
  });

  to.state(state);
  tellTabs({ type: 'ask-connection' });
  void inOneTab('stream', async () => {
    if (stopped) return;
    holds = true;
    own?.();
    own = openStream(pass, say);
    await new Promise<void>((done) => {
      letGo = done;
    });
  }).catch(() => undefined);

  const look = setInterval(() => {
    if (Date.now() - heardAt < SILENT_MS) return;
    heardAt = Date.now();
    own?.();
    own = openStream(pass, say);
  }, LOOK_MS);

  return () => {
    stopped = true;
    clearInterval(look);
    stopHearing();
    own?.();
    letGo();
  };
}

/** One stream that comes back by itself. Returns how to end it. */
function openStream(
  to: (event: LiveEvent) => void,
  say: (state: ConnectionState) => void,
): () => void {
  let source: EventSource | null = null;
  let retry: ReturnType<typeof setTimeout> | null = null;
  const open = (): void => {
    source = new EventSource(`${ROUTES.events}?level=${API_LEVEL}`);
    source.onmessage = ({ data }: MessageEvent<string>) => {
      say('live');
      to(JSON.parse(data) as LiveEvent);
    };
    source.onerror = () => {
      source?.close();
      say('lost');
      retry ??= setTimeout(() => {
        retry = null;
        open();
      }, RETRY_MS);
    };
  };
  open();
  return () => {
    if (retry) clearTimeout(retry);
    source?.close();
  };
}
