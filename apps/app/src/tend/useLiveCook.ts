/** Keeps the live store on one cook: its document, its event stream, and the line's state. */
import { ROUTES, type LiveEvent } from '@ostrin/contract/types';
import { useEffect } from 'react';
import { requestJson } from '../api/http';
import { queryClient, type CookView } from '../api/queries';
import { useLive } from '../store/live';

const RETRY_MS = 1500;

/** Watches the cook with that id; null watches nothing. */
export function useLiveCook(id: string | null): void {
  useEffect(() => {
    if (!id) return undefined;
    const { setConnection: setLink, load, receive, leave } = useLive.getState();
    if (useLive.getState().cookId !== id) leave();
    let source: EventSource | null = null;
    let retry: ReturnType<typeof setTimeout> | null = null;
    let gone = false;
    const refresh = async (): Promise<void> => {
      const view = await requestJson<CookView>(ROUTES.cook(id));
      if (gone) return;
      load(view);
      setLink('live');
    };
    const open = (): void => {
      source = new EventSource(ROUTES.events(id));
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const event = JSON.parse(data) as LiveEvent;
        // The stream is open before the document is asked for, so nothing falls between them.
        if (event.type === 'hello') void refresh().catch(lost);
        else receive(event);
        if (event.type === 'clock' && !event.clock.running) {
          void queryClient.invalidateQueries({ queryKey: ['cooks'] });
        }
      };
      source.onerror = lost;
    };
    const lost = (): void => {
      if (gone) return;
      setLink('lost');
      source?.close();
      retry ??= setTimeout(() => {
        retry = null;
        if (!gone) open();
      }, RETRY_MS);
    };
    setLink('connecting');
    open();
    return () => {
      gone = true;
      source?.close();
      if (retry) clearTimeout(retry);
    };
  }, [id]);
}
