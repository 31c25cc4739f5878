/** Questions about a cook under way that are asked again when something was done or some minutes passed. */
import { litAtMs, MINUTE_MS, type Log } from '@ostrin/core';
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
}

/**
 * Calls `ask` with the instants of lighting and of the last whole span, epoch ms; never twice at once, and not before
 * the fire is lit. Every device asks at the same minutes of the cook, so that all of them show the same.
 */
export function useAskedWhenDue(
  { log, nowMs, everyMin, wanted }: Due,
  ask: (litMs: number, atMs: number) => Promise<void>,
): void {
  const busy = useRef(false);
  const latest = useRef(ask);
  useEffect(() => {
    latest.current = ask;
  });
  const litMs = litAtMs(log);
  const slot = litMs === null ? -1 : Math.floor((nowMs - litMs) / (everyMin * MINUTE_MS));
  const said = log.lines.map((l) => `${l.id}@${l.at}`).join();
  useEffect(() => {
    if (!wanted || litMs === null || slot < 0 || busy.current) return;
    busy.current = true;
    void latest.current(litMs, litMs + slot * everyMin * MINUTE_MS).finally(() => {
      busy.current = false;
    });
  }, [wanted, litMs, slot, said, everyMin]);
}
