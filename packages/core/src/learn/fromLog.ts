/** A cook of the log as a pit is learned from. */
import { withWindTimes } from '../air/weather';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import type { ReadingRow } from '../instruments/readings';
import { thinned } from '../instruments/steps';
import { actionsOf, litAtMs, type Log } from '../log/log';
import type { LoggedCook } from './loggedCook';

/**
 * The cook of a plan and its log with what was read, times by its own lighting. Of the figures that the pit had in the
 * plan only its water is kept: the others are what is to be learned. Null before the fire was lit, and without one.
 */
export function loggedCookOf(
  id: string,
  plan: Pick<PitPlan, 'scenarios'> & { request?: PitPlan['request'] },
  log: Log,
  readings: readonly ReadingRow[],
): LoggedCook | null {
  const litMs = litAtMs(log);
  const scenario = plan.scenarios[0];
  if (litMs === null || !scenario?.fire) return null;
  const { waterKg } = scenario.cooker.overrides;
  return {
    id,
    scenario: {
      ...scenario,
      // The wind of the day itself: how much of it reaches the pit is to be learned.
      weather: withWindTimes(
        scenario.weather,
        1 / ((plan.request && pitOf({ request: plan.request }).windTimes) ?? 1),
      ),
      cooker: { ...scenario.cooker, overrides: waterKg === undefined ? {} : { waterKg } },
      actions: [],
    },
    done: actionsOf(log, litMs),
    readings: thinned(readings)
      .filter((r) => r.at >= litMs)
      .map(({ at, pitC, domeC }) => ({ atMin: (at - litMs) / MINUTE_MS, pitC, domeC })),
  };
}
