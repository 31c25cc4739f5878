/** The browser's Back closes what the caller shows, and never leaves the page under it. */
import { useEffect, useEffectEvent } from 'react';
import { sheetOpened } from './sheetHistory';

/** While the caller is shown, Back calls `close` and nothing else. */
export function useBackCloses(close: () => void): void {
  const onClose = useEffectEvent(close);
  useEffect(() => {
    if (typeof window === 'undefined' || !window.history) return undefined;
    return sheetOpened(() => onClose());
  }, []);
}
