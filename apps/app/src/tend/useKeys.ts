/** The keyboard on a wide screen: letters log, space does the next job, Z takes back. */
import type { Log, Plan } from '@ostrin/core';
import { useEffect, useRef } from 'react';
import { doJob, jobsAhead, undo, type PadKey } from './actions';

const PAD: Record<string, PadKey> = { f: 'fuel', v: 'vents', l: 'lid', m: 'meat', n: 'note' };

/** Whether a key press belongs to somebody else: typing, a modifier, or a focused control. */
export function taken(e: KeyboardEvent): boolean {
  const target = e.target as HTMLElement | null;
  const typing =
    target !== null && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);
  if (typing || e.ctrlKey || e.metaKey || e.altKey) return true;
  return e.key === ' ' && target !== null && target !== document.body;
}

function useKeyDown(handle: (e: KeyboardEvent) => void): void {
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

/** Space and Z. */
export function useKeys(plan: Plan, log: Log, now: number, sheet: { editing: boolean }): void {
  useKeyDown((e) => {
    if (sheet.editing) return;
    if (e.key === ' ') {
      const next = jobsAhead(plan, log)[0];
      if (!next) return;
      e.preventDefault();
      doJob(next, now);
    } else if (e.key.toLowerCase() === 'z') {
      const last = log.lines.at(-1);
      if (last) undo([last.id], now);
    }
  });
}

/** F V L M N. */
export function usePadKeys(tap: (key: PadKey) => void, active: boolean): void {
  useKeyDown((e) => {
    const key = PAD[e.key.toLowerCase()];
    if (!key || !active || e.repeat) return;
    e.preventDefault();
    tap(key);
  });
}
