/** The course of a cook as expected, every five minutes, with its 8-in-10 fan. */
import { fan } from './ensemble';
import type { CookPlan } from './cookPlan';
import type { Expected } from './types';

/** What is shown of it is as long as the longest likely cook; a pit's end is kept where its run ended earlier. */
export function expectedOf(cook: CookPlan): Expected {
  const pit = fan(cook.pits.map((r) => r.pitC));
  const core = fan(cook.cores[0] ?? [cook.result.meats[0]?.coreC ?? []]);
  const solid = (series: (number | null)[]): number[] => {
    let last = 0;
    return series.map((v) => (last = v ?? last));
  };
  return {
    everyMin: cook.scenario.everyMin,
    pitC: solid(pit.mid),
    pitLowC: solid(pit.low),
    pitHighC: solid(pit.high),
    coreC: core.mid,
    coreLowC: core.low,
    coreHighC: core.high,
  };
}
