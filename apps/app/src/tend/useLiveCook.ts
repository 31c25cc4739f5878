/** Keeps the live store on one cook: its document is read when it is opened, and again when much may have changed. */
import { ROUTES } from '@ostrin/contract/types';
import { useEffect } from 'react';
import { requestJson } from '../api/http';
import type { CookView } from '../api/queries';
import { savedCook } from '../connection/savedCooks';
import { onLiveEvent } from '../connection/serverConnection';
import { useLive } from '../store/live';

/** Watches the cook with that id; null watches nothing. */
export function useLiveCook(id: string | null): void {
  useEffect(() => {
    if (!id) return undefined;
    if (useLive.getState().cookId !== id) useLive.getState().leave();
    let gone = false;
    const refresh = async (): Promise<void> => {
      const view = await requestJson<CookView>(ROUTES.cook(id));
      if (!gone) useLive.getState().load(view);
    };
    // What cannot be read now is read when the line is back.
    const tryRefresh = (): void => void refresh().catch(() => undefined);
    const stop = onLiveEvent((event) => {
      // The stream is open before the document is asked for, so nothing falls between them.
      if (event.type === 'hello' || (event.type === 'refresh' && event.cookId === id)) tryRefresh();
    });
    // What this browser knows is shown until the server answers; when it was known is said beside it.
    void savedCook(id).then((saved) => {
      if (saved && !gone && useLive.getState().cookId !== id) {
        useLive.getState().loadSaved(saved.view, saved.savedAt);
      }
    });
    tryRefresh();
    return () => {
      gone = true;
      stop();
    };
  }, [id]);
}
