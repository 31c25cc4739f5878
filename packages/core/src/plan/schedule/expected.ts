/** The course of a cook as expected, every five minutes, with its 8-in-10 fan. */
import { percentileBands } from '../../sampling/likelyPits';
import type { PitSchedule } from './pitSchedule';
import type { Expected } from '../document/plan';

type Core = Pick<Expected, 'coreC' | 'coreLowC' | 'coreHighC'>;

/** What is shown of it is as long as the longest likely cook; a pit's end is kept where its run ended earlier. */
export function expectedOf(cook: PitSchedule): Expected {
  const pit = percentileBands(cook.likelyRuns.map((r) => r.pitC));
  const solid = (series: (number | null)[]): number[] => {
    let last = 0;
    return series.map((v) => (last = v ?? last));
  };
  const [first, ...others] = cook.targets.map((_, i) => coreOf(cook, i));
  return {
    everyMin: cook.scenario.everyMin,
    pitC: solid(pit.mid),
    pitLowC: solid(pit.low),
    pitHighC: solid(pit.high),
    ...first!,
    ...(others.length > 0 ? { others } : {}),
  };
}

/** The middle of one piece over the likely cooks, at the time it goes on as planned. */
function coreOf(cook: PitSchedule, i: number): Core {
  const runs = cook.likelyCoresC[i] ?? [cook.result.meats[i]?.coreC ?? []];
  // A rough plan's only run was made at its own times already.
  const rows = cook.likelyCoresC[i] ? Math.round(cook.movedMin[i]! / cook.scenario.everyMin) : 0;
  const { low, mid, high } = percentileBands(runs.map((r) => shiftRows(r, rows)));
  return { coreC: mid, coreLowC: low, coreHighC: high };
}

/** A series so many rows later (or earlier, below 0). */
const shiftRows = (series: readonly (number | null)[], rows: number): (number | null)[] =>
  rows >= 0
    ? [...Array.from({ length: rows }, () => null), ...series]
    : series.slice(Math.min(-rows, series.length));
