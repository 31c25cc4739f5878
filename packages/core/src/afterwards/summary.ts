/** What a finished cook came to, beside what was planned. */
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { ascending, mean, quantile } from '../quantity/statistics';
import { epochOf, MINUTE_MS } from '../quantity/time';
import { deedAtMs, deedsOfLine, litAtMs, type Log } from '../log/log';

export interface CookFigures {
  /** Share of the settled time spent inside the band, 0..1; null without readings. */
  inBandFraction: number | null;
  /** Mean of the pit while settled, C; null without readings. */
  averageC: number | null;
  /** From closing down (or the first reading in the band) to taking the meat off, min. */
  settledMin: number;
  /** Minutes below the band. */
  minutesBelow: number;
  /** Minutes above the band. */
  minutesAbove: number;
  /** Within this it stood 9 tenths of the settled time, C; null without readings. */
  swingC: [low: number, high: number] | null;
  /** When it was lit, epoch ms. */
  lit: { planned: number; actual: number | null };
  /** When the meat went on, epoch ms. */
  meatOn: { planned: number; actual: number | null };
  /** When the meat came off, epoch ms. */
  off: { planned: number; actual: number | null };
  /** Times the lid was opened. */
  lidOpenings: number;
}

/** Readings further apart than this count only for this long, min. */
const MAX_GAP_MIN = 2;

/** Where nine tenths of the readings lie, C; null without readings. */
function swingOf(readC: readonly number[]): [number, number] | null {
  if (readC.length === 0) return null;
  const sorted = ascending(readC);
  return [quantile(sorted, 0.05), quantile(sorted, 0.95)];
}

/** Figures of a cook from its plan, log and readings. Times are epoch ms on the cook's clock. */
export function summarise(
  plan: Pick<PitPlan, 'request' | 'lightAt'> & { jobs: readonly { id: string; at: string }[] },
  log: Log,
  readings: readonly { at: number; pitC: number | null }[],
): CookFigures {
  const { pitC: target, bandC } = pitOf(plan).pace;
  const zone = plan.request.timeZone;
  const job = (id: string): number =>
    epochOf(plan.jobs.find((j) => j.id === id)?.at ?? plan.lightAt, zone);
  const lit = litAtMs(log);
  const off = deedAtMs(log, 'meat-off');
  const end = off ?? log.finishedAt ?? readings.at(-1)?.at ?? 0;
  const reached = readings.find(
    (r) => lit !== null && r.at >= lit && r.pitC !== null && r.pitC >= target - bandC,
  );
  const from = reached?.at ?? Infinity;
  let inside = 0;
  let below = 0;
  let above = 0;
  const inTime: number[] = [];
  for (let i = 0; i + 1 < readings.length; i++) {
    const r = readings[i]!;
    if (r.pitC === null || r.at < from || r.at > end) continue;
    const minutes = Math.min((readings[i + 1]!.at - r.at) / MINUTE_MS, MAX_GAP_MIN);
    inTime.push(r.pitC);
    if (r.pitC < target - bandC) below += minutes;
    else if (r.pitC > target + bandC) above += minutes;
    else inside += minutes;
  }
  const settled = inside + below + above;
  return {
    inBandFraction: settled > 0 ? inside / settled : null,
    averageC: inTime.length > 0 ? mean(inTime) : null,
    settledMin: settled,
    minutesBelow: below,
    minutesAbove: above,
    swingC: swingOf(inTime),
    lit: { planned: job('light'), actual: lit },
    meatOn: { planned: job('meat-on'), actual: deedAtMs(log, 'meat-on') },
    off: { planned: job('off'), actual: off },
    lidOpenings: log.lines.filter((l) => deedsOfLine(l.body).some((a) => a.do === 'lid-open'))
      .length,
  };
}
