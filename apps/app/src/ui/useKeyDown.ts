/** The keyboard, where it is nobody else's. */
import { useEffect, useRef } from 'react';

/** Whether a key press belongs to somebody else: typing, a modifier, or a focused control. */
export function taken(e: KeyboardEvent): boolean {
  const target = e.target as HTMLElement | null;
  const typing =
    target !== null &&
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);
  if (typing || e.ctrlKey || e.metaKey || e.altKey) return true;
  return e.key === ' ' && target !== null && target.tagName !== 'BODY';
}

/** Calls `handle` for key presses that belong to nobody else. */
export function useKeyDown(handle: (e: KeyboardEvent) => void): void {
  const latest = useRef(handle);
  useEffect(() => {
    latest.current = handle;
  });
  useEffect(() => {
    const listen = (e: KeyboardEvent): void => {
      if (!taken(e)) latest.current(e);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
