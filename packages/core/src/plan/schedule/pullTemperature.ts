/** When a piece is pulled so that its centre climbs to a wanted temperature while it rests. */
import { onlyPiece } from '../../scenario/result';
import { simulate } from '../../cook/cook';
import { clamp } from '../../quantity/units';
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import { MILD_DAY } from '../../air/weather';

/** A first guess of what a piece climbs by at rest, K (common practice: 3 to 5). */
const USUAL_CLIMB_K = 4;
/** Runs of the search, and how near is near enough, K. */
const MOST_RUNS = 5;
const CLOSE_K = 0.2;
/** A roast is followed for so long, min. */
const LONGEST_MIN = 1200;
/** A piece is pulled between these, C. */
const PULL_RANGE_C = [30, 95] as const;

/**
 * The centre at which a piece is taken off, C, so that it ends at `plateC` after the climb of its rest: the
 * simulated piece in air of `pitC`, run a few times. The rest is what `spec` says.
 */
export function pullTemperatureC(spec: MeatSpec, plateC: number, pitC: number): number {
  let pullC = plateC - USUAL_CLIMB_K;
  for (let run = 0; run < MOST_RUNS; run++) {
    const peakC = peakAtRestC(spec, pullC, pitC);
    if (peakC === null || Math.abs(peakC - plateC) < CLOSE_K) break;
    pullC = clamp(pullC + plateC - peakC, ...PULL_RANGE_C);
  }
  return Math.round(pullC);
}

/** The highest centre of a piece that is pulled at `pullC`, C; null where it does not get there. */
function peakAtRestC(spec: MeatSpec, pullC: number, pitC: number): number | null {
  const scenario: Scenario = {
    ostrin: 'scenario/1',
    cooker: { preset: 'kettle-57', overrides: {} },
    weather: MILD_DAY,
    control: { mode: 'held', schedule: [{ atMin: 0, pitC }] },
    actions: [{ atMin: 0, do: 'meat-on', meat: spec.id }],
    meats: [{ ...spec, count: 1, done: { coreC: pullC } }],
    untilMin: LONGEST_MIN,
    everyMin: 1,
  };
  const meat = onlyPiece(simulate(scenario));
  if (meat.doneAtMin === null) return null;
  const known = meat.coreC.slice(meat.doneAtMin).filter((c): c is number => c !== null);
  return Math.max(...known);
}
