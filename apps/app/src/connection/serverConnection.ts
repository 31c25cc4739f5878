/** The connection to the server, for as long as the app is open: its events into the stores, and taps out to it. */
import { ROUTES, type LiveEvent, type SharedList } from '@ostrin/contract/types';
import { requestJson } from '../api/http';
import { queryClient } from '../api/queries';
import { openOutbox, sendTaps, useOutbox } from '../outbox/outbox';
import { useLive } from '../store/live';
import { keepOpenCook, rememberEntries } from './savedCooks';
import { followServer } from './stream';

const listeners = new Set<(event: LiveEvent) => void>();

/** Hears the server's events until the returned function is called. */
export function onLiveEvent(listener: (event: LiveEvent) => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Lists that others may change, by the names under which they are asked for. */
const LISTS: readonly SharedList[] = ['cooks', 'pits', 'plans', 'shelf', 'instruments'];

/** Asks for every list, so that the app kept on this device has them from now on. */
export function keepLists(): void {
  void requestJson(ROUTES.access).catch(() => undefined);
  for (const what of LISTS) void requestJson(ROUTES[what]).catch(() => undefined);
}

function take(event: LiveEvent): void {
  const { receive, setConnection, connection } = useLive.getState();
  receive(event);
  // Something came, so the server is there: what could not be sent is tried again at once.
  if (connection === 'lost' && event.type !== 'hello') {
    void sendTaps().then(() => {
      if (useOutbox.getState().taps.every((t) => t.refused)) setConnection('live');
    });
  }
  if (event.type === 'hello') {
    setConnection('live');
    void sendTaps();
    for (const what of LISTS) void queryClient.invalidateQueries({ queryKey: [what] });
  } else if (event.type === 'changed') {
    void queryClient.invalidateQueries({ queryKey: [event.what] });
  }
  for (const listener of listeners) listener(event);
}

/** Opens the connection. Returns how to close it. */
export function openLine(): () => void {
  const { setConnection, addEntries } = useLive.getState();
  const closeOutbox = openOutbox({
    async sent(cookId, entries) {
      addEntries(cookId, entries);
      setConnection('live');
      await rememberEntries(cookId, entries);
    },
    away: () => setConnection('lost'),
  });
  const stopKeeping = keepOpenCook();
  const stop = followServer({ event: take, state: setConnection });
  return () => {
    closeOutbox();
    stopKeeping();
    stop();
  };
}
