/** Why a piece is earlier or later than planned: what the pit did, or the piece itself. */
import type { PlanJob } from '../plan/document/plan';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import { mean, normalShareBelow } from '../quantity/statistics';
import type { Forecast } from '../forecast/forecast';
import type { ReadingRow } from '../instruments/readings';
import { onLateMs } from '../forecast/jobTimes';
import { deedAtMs, litAtMs, type Log } from '../log/log';

/** What explains that a piece is off the plan, as codes. */
export const OFF_PLAN_CAUSES = [
  /** It went on so much later than planned that this is most of it. */
  'went-on-late',
  'hotter-pit',
  'colder-pit',
  'thicker-piece',
  'thinner-piece',
  /** The pit held and nothing speaks for its thickness: it takes its heat slower or faster. */
  'slower-piece',
  'faster-piece',
] as const;
type OffPlanCause = (typeof OFF_PLAN_CAUSES)[number];

/** How far off the plan the first piece is, and why. */
export interface OffPlan {
  /** Later than planned (+) or earlier (-), min. */
  byMin: number;
  /** What the pit read over its target since the meat went on, mean, K. */
  pitOffK: number;
  /** How much later than planned it went on, min; 0 where it did not. */
  onLateMin: number;
  /** How much thicker than planned the piece seems by its probe, share; null where nothing is known of it. */
  thickerFraction: number | null;
  /** What explains it: the pit ran otherwise, or the piece is thicker or thinner than planned or takes heat otherwise. */
  because: OffPlanCause;
  /** How sure that is, 0 to 1: that it is off to that side at all, and by this. */
  sure: number;
}

/** Less than this off the plan is no news, min; a mean this far off the target explains it, K. */
const WORTH = { min: 20, pitK: 3 };
/** A piece that went on late is late because of that from this share of it on. */
const MOST_OF_IT = 0.6;
/** What a pit's thermometer is usually off by, one standard deviation, K (common practice: two differ by 2 to 3). */
const THERMOMETER_SD_K = 1.5;
/** From so much thicker or thinner on, and so sure of it, it is the thickness. */
const THICK = { fraction: 0.03, sure: 0.75 };
/** From p10 to p90 in standard deviations of a normal. */
const P10_TO_P90_SD = 2.56;

/** Null while there is nothing to explain: no forecast, no meat on, or near enough to the plan. */
export function offPlan(
  plan: Pick<PitPlan, 'request'> & { jobs: readonly Pick<PlanJob, 'id' | 'atMin'>[] },
  log: Log,
  readings: readonly ReadingRow[],
  forecast: Pick<Forecast, 'readyMin' | 'learned'> | null,
): OffPlan | null {
  const planned = plan.jobs.find((j) => j.id === 'off')?.atMin;
  const onMs = deedAtMs(log, 'meat-on');
  if (!forecast?.readyMin || planned === undefined || onMs === null) return null;
  const [p10, p50, p90] = forecast.readyMin;
  const byMin = p50 - planned;
  if (Math.abs(byMin) < WORTH.min) return null;
  const { pitC: targetC } = pitOf(plan).pace;
  const since = readings.flatMap(({ at, pitC }) =>
    at > onMs + WORTH.min * MINUTE_MS && pitC !== null ? [pitC - targetC] : [],
  );
  const pitOffK = since.length === 0 ? 0 : mean(since);
  const thickness = forecast.learned?.thickness ?? null;
  const litMs = litAtMs(log);
  const lateMin = litMs === null ? 0 : onLateMs(plan, log, litMs) / MINUTE_MS;
  const { because, sure } =
    lateMin >= MOST_OF_IT * byMin && byMin > 0
      ? ({ because: 'went-on-late', sure: 1 } as const)
      : causeOf(byMin > 0, pitOffK, thickness);
  const sdMin = Math.max(1, (p90 - p10) / P10_TO_P90_SD);
  return {
    byMin,
    pitOffK,
    onLateMin: lateMin,
    thickerFraction: thickness && thickness.times - 1,
    because,
    sure: sure * normalShareBelow(Math.abs(byMin) / sdMin),
  };
}

/** A pit explains it only where it was off to that side, a thickness only where it is that way; the heat it takes is left. */
function causeOf(
  late: boolean,
  pitOffK: number,
  thickness: { times: number; sure: number } | null,
): { because: OffPlanCause; sure: number } {
  const toThatSide = (value: number): number => (late ? value : -value);
  if (toThatSide(-pitOffK) >= WORTH.pitK) {
    return {
      because: late ? 'colder-pit' : 'hotter-pit',
      sure: normalShareBelow(Math.abs(pitOffK) / THERMOMETER_SD_K),
    };
  }
  if (
    thickness &&
    thickness.sure >= THICK.sure &&
    toThatSide(thickness.times - 1) >= THICK.fraction
  ) {
    return { because: late ? 'thicker-piece' : 'thinner-piece', sure: thickness.sure };
  }
  return { because: late ? 'slower-piece' : 'faster-piece', sure: 1 };
}
