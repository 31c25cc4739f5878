/** A cook under way as the core is asked about it. */
import {
  type Action,
  type ForecastInput,
  type Log,
  MINUTE_MS,
  type Plan,
  type ReadingRow,
  actionsOf,
  jobsAhead,
  seedFrom,
} from '@ostrin/core';

/** Likely cooks behind a forecast. */
const MEMBERS = 12;

/** What the core needs to look ahead from `now`; `lit` is when the fire was lit. */
export function forecastInput(
  id: string,
  plan: Plan,
  log: Log,
  readings: readonly ReadingRow[],
  lit: number,
  now: number,
): ForecastInput {
  const ahead: Action[] = jobsAhead(plan, log).flatMap((j) =>
    j.logs.map((a) => ({ ...a, atMin: j.atMin })),
  );
  return {
    scenario: plan.scenarios[0]!,
    done: actionsOf(log, lit),
    ahead: ahead.filter((a) => a.do !== 'set-vents' || a.intakeFraction > 0),
    nowMin: Math.max(0, (now - lit) / MINUTE_MS),
    readings: readings
      .filter((r) => r.at >= lit && r.at <= now)
      .map(({ at, pitC, coreC, domeC }) => ({ atMin: (at - lit) / MINUTE_MS, pitC, coreC, domeC })),
    members: MEMBERS,
    seed: seedFrom(id),
  };
}
