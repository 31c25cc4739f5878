/** The alarms of the cook under way: which are up, which were seen, and ringing for new ones. */
import {
  callOut,
  callsOf,
  type Alarm,
  type CookNow,
  type Known,
  type Order,
} from '@ostrin/core/tending';
import { useEffect, useRef, useState } from 'react';
import { useSettings } from '../store/settings';
import { isQuietNow, ring } from './ring';

/** What sounds in quiet hours too: a fire that is out or in trouble, and what somebody asked for. */
const IN_QUIET_HOURS: ReadonlySet<Alarm['code']> = new Set(['fire-out', 'suspected', 'called-at']);

export interface Alarms {
  /** All that call beside the order, the most urgent first. */
  up: readonly Alarm[];
  /** Those that nobody has seen yet. */
  unseen: Alarm[];
  /** Marks all that are up as seen: each calls again only after it was gone for a while. */
  see: () => void;
}

export function useAlarms(cook: CookNow, order: Order): Alarms {
  const { plan, nowMs } = cook;
  const { timeZone } = plan.request;
  const up = callsOf(cook, order);
  const settings = useSettings((s) => s.alarms);
  const [seen, setSeen] = useState<readonly string[]>([]);
  const known = useRef<Known>(new Map());
  // With every tick of the clock: how long ago an alarm was up decides whether it calls again.
  useEffect(() => {
    const { calling, known: next } = callOut(known.current, up, nowMs);
    known.current = next;
    setSeen((s) => (s.every((id) => next.has(id)) ? s : s.filter((id) => next.has(id))));
    if (calling.length === 0) return;
    const urgent = calling.some((a) => IN_QUIET_HOURS.has(a.code));
    if (!urgent && isQuietNow(timeZone, settings.quietFrom, settings.quietTo)) return;
    ring(settings);
  }, [up, nowMs, settings, timeZone]);
  return {
    up,
    unseen: up.filter((a) => !seen.includes(a.id)),
    see: () => setSeen(up.map((a) => a.id)),
  };
}
