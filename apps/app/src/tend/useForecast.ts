/** The forecast for the cook under way: asked again when something was done or a few minutes passed. */
import {
  actionsOf,
  litAtMs,
  MINUTE_MS,
  seedFrom,
  type Action,
  type Forecast,
  type Log,
  type Plan,
} from '@ostrin/core';
import { useEffect, useRef, useState } from 'react';
import type { Reading } from '@ostrin/contract/types';
import { askForecast } from '../api/core';
import { lastValue } from '../strip/model';

/** Cook minutes between forecasts when nothing happens, and members of each. */
const EVERY_MIN = 5;
const MEMBERS = 12;
/** A reading older than this says nothing about now. */
const FRESH_MIN = 12;

/** Forecast, or null before lighting and until the first one is there. */
export function useForecast(
  id: string | null,
  plan: Plan | null,
  log: Log,
  readings: readonly Reading[],
  nowMs: number,
): Forecast | null {
  const [answer, setAnswer] = useState<{ id: string; forecast: Forecast } | null>(null);
  const busy = useRef(false);
  const lit = litAtMs(log);
  const slot = lit === null ? -1 : Math.floor((nowMs - lit) / (EVERY_MIN * MINUTE_MS));
  const said = log.lines.map((l) => `${l.id}@${l.at}`).join();
  const latest = useRef({ log, readings, nowMs });
  useEffect(() => {
    latest.current = { log, readings, nowMs };
  });
  useEffect(() => {
    if (!id || !plan || lit === null || slot < 0 || busy.current) return;
    const { log: l, readings: r, nowMs: now } = latest.current;
    const recent = (points: { t: number; c: number | null }[]): number | null => {
      const last = lastValue(points);
      return last && now - last.t < FRESH_MIN * MINUTE_MS ? last.c : null;
    };
    const ahead: Action[] = plan.jobs
      .filter((j) => !l.jobsDone.has(j.id))
      .flatMap((j) => j.logs.map((a) => ({ ...a, atMin: j.atMin }) as Action));
    busy.current = true;
    void askForecast({
      scenario: plan.scenarios[0]!,
      done: actionsOf(l, lit),
      ahead: ahead.filter((a) => a.do !== 'set-vents' || a.intakeFraction > 0),
      nowMin: Math.max(0, (now - lit) / MINUTE_MS),
      pitC: recent(r.map((x) => ({ t: x.at, c: x.pitC }))),
      coreC: recent(r.map((x) => ({ t: x.at, c: x.coreC }))),
      members: MEMBERS,
      seed: seedFrom(id),
    })
      .then((forecast) => setAnswer({ id, forecast }))
      .finally(() => {
        busy.current = false;
      });
  }, [id, plan, lit, slot, said]);
  return answer && answer.id === id && lit !== null ? answer.forecast : null;
}
