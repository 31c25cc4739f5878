/** Questions about a cook under way that are asked again when something was done or some minutes passed. */
import { litAtMs, type Log } from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';
import { useEffect, useRef } from 'react';

/** The minute of the cook that is asked about, and what calls for asking. */
interface Due {
  log: Log;
  /** Cook's clock, epoch ms. */
  nowMs: number;
  /** Cook minutes between two questions when nothing happens. */
  everyMin: number;
  /** Whether anything is to be asked. */
  wanted: boolean;
  /** What else calls for asking again when it changes; nothing when left out. */
  about?: string;
}

/**
 * Calls `ask` with an instant of the cook's clock, epoch ms: the start of the current span or, where something was logged
 * since, that line's. Every device asks about the same instants, so that all of them show the same. Never twice at once,
 * never twice the same, and not before the fire is lit; what changes while an answer is awaited is asked after it.
 */
export function useAskedWhenDue(
  { log, nowMs, everyMin, wanted, about = '' }: Due,
  ask: (atMs: number) => Promise<void>,
): void {
  const latest = useRef({ key: '', atMs: 0, ask });
  const asked = useRef('');
  const busy = useRef(false);
  const litMs = litAtMs(log);
  const spanMs = everyMin * MINUTE_MS;
  const slot = litMs === null ? -1 : Math.floor((nowMs - litMs) / spanMs);
  const lines = log.lines.map((l) => `${l.id}@${l.at}`).join();
  const due = wanted && litMs !== null && slot >= 0;
  const key = due ? `${slot} ${about} ${lines}` : '';
  useEffect(() => {
    const logged = log.lines.findLast((l) => l.at <= nowMs)?.at ?? 0;
    latest.current = { key, atMs: Math.max((litMs ?? 0) + slot * spanMs, logged), ask };
  });
  useEffect(() => {
    if (key === '' || busy.current) return;
    busy.current = true;
    const askAll = async (): Promise<void> => {
      while (latest.current.key !== '' && latest.current.key !== asked.current) {
        asked.current = latest.current.key;
        await latest.current.ask(latest.current.atMs).catch(() => undefined);
      }
    };
    void askAll().finally(() => {
      busy.current = false;
    });
  }, [key]);
}
