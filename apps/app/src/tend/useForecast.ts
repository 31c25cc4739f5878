/** The forecast for the cook under way: asked again when something was done or a few minutes passed. */
import { litAtMs, type Forecast, type Log, type Plan, type ReadingRow } from '@ostrin/core';
import { forecastInput } from '@ostrin/core/tending';
import { useState } from 'react';
import { askForecast } from '../api/core';
import { useAskedWhenDue } from './useAskedWhenDue';

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
  const wanted = id !== null && plan !== null;
  useAskedWhenDue({ log, nowMs, everyMin: EVERY_MIN, wanted }, async (lit, at) => {
    if (!wanted) return;
    const forecast = await askForecast(forecastInput(id, plan, log, readings, lit, at));
    setAnswer({ id, forecast });
  });
  return answer && answer.id === id && litAtMs(log) !== null ? answer.forecast : null;
}
