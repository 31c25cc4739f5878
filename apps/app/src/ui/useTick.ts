/** This device's clock, told again every so often. */
import { useEffect, useState } from 'react';

/** `Date.now()`, refreshed every `everyMs`. */
export function useTick(everyMs: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
