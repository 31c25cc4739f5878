/** The alarms of the cook under way: which are up, which were seen, and ringing for new ones. */
import { callsOf, type Alarm, type CookNow, type Order } from '@ostrin/core/tending';
import { useEffect, useRef, useState } from 'react';
import { useSettings } from '../store/settings';
import { isQuietNow, ring } from './ring';

export interface Alarms {
  /** All that call beside the order, the most urgent first. */
  up: readonly Alarm[];
  /** Those that nobody has seen yet. */
  unseen: Alarm[];
  /** Marks all that are up as seen: each calls again only after it was gone. */
  see: () => void;
}

export function useAlarms(cook: CookNow, order: Order): Alarms {
  const { plan } = cook;
  const up = callsOf(cook, order);
  const settings = useSettings((s) => s.alarms);
  const ids = up.map((a) => a.id);
  const key = ids.join();
  const [seen, setSeen] = useState<readonly string[]>([]);
  // What is gone calls again when it comes back.
  const stillUp = seen.filter((id) => ids.includes(id));
  if (stillUp.length !== seen.length) setSeen(stillUp);
  const zone = plan.request.timeZone;
  const rung = useRef(new Set<string>());
  useEffect(() => {
    const fresh = key.split(',').filter((id) => id !== '' && !rung.current.has(id));
    rung.current = new Set(key.split(','));
    if (fresh.length === 0) return;
    const urgent = fresh.some((id) => id === 'fire-out' || id.startsWith('suspected'));
    if (!urgent && isQuietNow(zone, settings.quietFrom, settings.quietTo)) return;
    ring(settings);
  }, [key, settings, zone]);
  return { up, unseen: up.filter((a) => !seen.includes(a.id)), see: () => setSeen(ids) };
}
