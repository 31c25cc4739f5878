/** Whether something has only just become what it is, so that a touch meant for what stood there before is not taken. */
import { useEffect, useState } from 'react';

/** A second touch of the same finger comes within this, ms. */
const TOUCH_MS = 600;

/** True for a moment after `key` became another; false at first. */
export function useJustChanged(key: string): boolean {
  const [settled, setSettled] = useState(key);
  useEffect(() => {
    if (settled === key) return undefined;
    const timer = setTimeout(() => setSettled(key), TOUCH_MS);
    return () => clearTimeout(timer);
  }, [key, settled]);
  return settled !== key;
}
