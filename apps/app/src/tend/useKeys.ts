/** The keyboard on a wide screen: letters log, space does what the card says, Z takes back. */
import type { Log } from '@ostrin/core/log';
import { useKeyDown } from '../ui/useKeyDown';
import { undo, type PadKey } from './actions';

const PAD: Record<string, PadKey> = {
  r: 'read',
  f: 'fuel',
  v: 'vents',
  l: 'lid',
  m: 'meat',
  n: 'note',
};

/** Space and Z. */
export function useKeys(
  onDone: () => void,
  log: Log,
  now: number,
  sheet: { editing: boolean },
): void {
  useKeyDown((e) => {
    if (sheet.editing) return;
    if (e.key === ' ') {
      e.preventDefault();
      onDone();
    } else if (e.key.toLowerCase() === 'z') {
      const last = log.lines.at(-1);
      if (last) void undo([last.id], now);
    }
  });
}

/** R F V L M N. */
export function usePadKeys(tap: (key: PadKey) => void, active: boolean): void {
  useKeyDown((e) => {
    const key = PAD[e.key.toLowerCase()];
    if (!key || !active || e.repeat) return;
    e.preventDefault();
    tap(key);
  });
}
