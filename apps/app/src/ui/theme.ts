/** Day or night, by choice or by the device. */
import { useEffect, useSyncExternalStore } from 'react';
import { useSettings } from '../store/settings';
import { channels, COLOUR_NAMES, DAY, NIGHT, type Theme } from './tokens';

const query = (): MediaQueryList | null =>
  typeof window !== 'undefined' && window.matchMedia
    ? window.matchMedia('(prefers-color-scheme: dark)')
    : null;

const subscribe = (changed: () => void): (() => void) => {
  const q = query();
  q?.addEventListener('change', changed);
  return () => q?.removeEventListener('change', changed);
};

/** Whether it is night now. */
function useNight(): boolean {
  const light = useSettings((s) => s.light);
  const dark = useSyncExternalStore(subscribe, () => query()?.matches ?? false);
  return light === 'auto' ? dark : light === 'night';
}

/** The colours in force. */
export const useTheme = (): Theme => (useNight() ? NIGHT : DAY);

/** Puts the colours in force into the page's CSS variables. */
export function useThemeVariables(): void {
  const night = useNight();
  useEffect(() => {
    const theme = night ? NIGHT : DAY;
    const root = document.documentElement;
    for (const [key, name] of Object.entries(COLOUR_NAMES)) {
      root.style.setProperty(`--${name}`, channels(theme[key as keyof typeof COLOUR_NAMES]));
    }
    root.style.colorScheme = night ? 'dark' : 'light';
    root.classList.toggle('dark', night);
  }, [night]);
}
