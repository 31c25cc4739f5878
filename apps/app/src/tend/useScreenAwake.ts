/** Keeps the screen on while a cook is tended, where the browser grants that. */
import { useEffect, useState } from 'react';

/** Whether the screen is kept awake, or why not. */
export type Awake = 'kept' | 'refused' | 'unknown-here';

/** Asks for it while `wanted`, and again when the page is shown again: a browser lets go of it when it is hidden. */
export function useScreenAwake(wanted: boolean): Awake | null {
  const [state, setState] = useState<Awake | null>(null);
  useEffect(() => {
    if (!wanted) return undefined;
    const lock = navigator.wakeLock as WakeLock | undefined;
    let held: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async (): Promise<void> => {
      if (!lock) return setState('unknown-here');
      if (document.visibilityState !== 'visible') return;
      try {
        const got = await lock.request('screen');
        if (gone) await got.release();
        else {
          held = got;
          setState('kept');
        }
      } catch {
        setState('refused');
      }
    };
    const again = (): void => void ask();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, [wanted]);
  return wanted ? state : null;
}
