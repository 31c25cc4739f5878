/** Whether an alarm would stay silent: a page sounds only after somebody touched it, anew after each time it was loaded. */
import { useEffect, useState } from 'react';
import { useSettings } from '../store/settings';

/** True while sound is wanted and this page was not touched yet. */
export function useSoundBlocked(): boolean {
  const wanted = useSettings((s) => s.alarms.sound);
  // Browsers that do not tell are taken at their word.
  const [touched, setTouched] = useState(() => navigator.userActivation?.hasBeenActive ?? true);
  useEffect(() => {
    if (touched) return undefined;
    const touch = (): void => setTouched(true);
    const kinds = ['pointerdown', 'keydown'] as const;
    for (const kind of kinds) globalThis.addEventListener(kind, touch, { once: true });
    return () => {
      for (const kind of kinds) globalThis.removeEventListener(kind, touch);
    };
  }, [touched]);
  return wanted && !touched;
}
