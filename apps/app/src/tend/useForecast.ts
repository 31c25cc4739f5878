/** The forecast for the cook under way: asked again when something was done or a few minutes passed. */
import {
  litAtMs,
  MINUTE_MS,
  type Forecast,
  type Log,
  type Plan,
  type ReadingRow,
} from '@ostrin/core';
import { useEffect, useRef, useState } from 'react';
import { askForecast } from '../api/core';
import { forecastInput } from './forecastInput';

/** Cook minutes between forecasts when nothing happens. */
const EVERY_MIN = 5;

/** Forecast, or null before lighting and until the first one is there. */
export function useForecast(
  id: string | null,
  plan: Plan | null,
  log: Log,
  readings: readonly ReadingRow[],
  nowMs: number,
): Forecast | null {
  const [answer, setAnswer] = useState<{ id: string; forecast: Forecast } | null>(null);
  const busy = useRef(false);
  const lit = litAtMs(log);
  const slot = lit === null ? -1 : Math.floor((nowMs - lit) / (EVERY_MIN * MINUTE_MS));
  const said = log.lines.map((l) => `${l.id}@${l.at}`).join();
  const latest = useRef({ log, readings });
  useEffect(() => {
    latest.current = { log, readings };
  });
  useEffect(() => {
    if (!id || !plan || lit === null || slot < 0 || busy.current) return;
    const { log: l, readings: r } = latest.current;
    // Every device asks at the same minutes of the cook, so that all of them show the same.
    const now = lit + slot * EVERY_MIN * MINUTE_MS;
    busy.current = true;
    void askForecast(forecastInput(id, plan, l, r, lit, now))
      .then((forecast) => setAnswer({ id, forecast }))
      .finally(() => {
        busy.current = false;
      });
  }, [id, plan, lit, slot, said]);
  return answer && answer.id === id && lit !== null ? answer.forecast : null;
}
