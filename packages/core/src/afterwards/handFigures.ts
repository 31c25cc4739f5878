/** Figures of a finished cook that people work out by hand. */
import type { PitPlan } from '../plan/document/pitPlan';
import { mean } from '../quantity/statistics';
import { epochOf, HOUR_MS, MINUTE_MS } from '../quantity/time';
import { STALL } from '../cook/cookingPiece';
import type { ReadingRow } from '../instruments/readings';
import { deedAtMs, deedsOfLine, litAtMs, type Log } from '../log/log';

/** A time that was planned, and when it truly came. */
interface PlannedTime {
  /** The job of the plan. */
  jobId: string;
  /** When it was planned, epoch ms. */
  planned: number;
  /** When it was done, epoch ms. */
  actual: number;
}

/** What opening the pit cost. */
interface LooksCost {
  /** Times that the lid was opened. */
  times: number;
  /** Of them, those after which readings show what became of the pit. */
  seen: number;
  /** Mean fall of the pit, K; null where none is seen. */
  fallK: number | null;
  /** Mean time until the pit was back within 3 K of where it was, min; null where none is seen. */
  backMin: number | null;
  /** Heat that the meat missed, in minutes of cooking at the temperature of before; null where none is seen. */
  lostMin: number | null;
}

export interface HandFigures {
  /** Minutes on the fire for each kilogram of the heaviest piece; null before it was off. */
  minutesPerKg: number | null;
  /** When the first piece stalled, epoch ms; null where its readings show no stall. */
  stall: { from: number; to: number } | null;
  /** Longest time between two deeds, from lighting to the meat's coming off, epoch ms; null before it was lit. */
  untouched: { from: number; to: number } | null;
  looks: LooksCost;
  /** Every job of the plan that was done, in order. */
  times: PlannedTime[];
}

/** Figures of a cook; `readings` are of pit and first piece, by wire and by hand, in order of time. */
export function handFigures(plan: PitPlan, log: Log, readings: readonly ReadingRow[]): HandFigures {
  const on = deedAtMs(log, 'meat-on');
  const off = deedAtMs(log, 'meat-off');
  const heaviest = Math.max(...plan.scenarios.flatMap((s) => s.meats.map((m) => m.massKg)));
  const end = off ?? log.finishedAt ?? readings.at(-1)?.at ?? null;
  return {
    minutesPerKg: on === null || off === null ? null : (off - on) / MINUTE_MS / heaviest,
    stall: stallOf(readings),
    untouched: longestUntouched(log, end),
    looks: looksCost(log, readings, end ?? Infinity),
    times: plan.jobs.flatMap((job) => {
      const line = log.lines.find((l) => l.jobId === job.id);
      return line
        ? [{ jobId: job.id, planned: epochOf(job.at, plan.request.timeZone), actual: line.at }]
        : [];
    }),
  };
}

/** Readings of a middle nearer than this say nothing of its pace, ms. */
const PACE_OVER_MS = STALL.windowMin * MINUTE_MS;
/** Readings further apart than this are not joined into a stall, ms. */
const GAP_MS = 2 * HOUR_MS;

/** The first to the last time at which the middle rose as slowly as in a stall; null where it did not. */
function stallOf(readings: readonly ReadingRow[]): HandFigures['stall'] {
  const core = readings.filter((r) => r.coreC !== null);
  let stall = null as HandFigures['stall'];
  let behind = 0;
  for (const { at, coreC } of core) {
    while (at - core[behind + 1]!.at >= PACE_OVER_MS) behind++;
    const before = core[behind]!;
    const spanMs = at - before.at;
    if (spanMs < PACE_OVER_MS || spanMs > GAP_MS) continue;
    if (coreC! < STALL.fromC || coreC! > STALL.toC) continue;
    if ((coreC! - before.coreC!) / (spanMs / MINUTE_MS) < STALL.perMin) {
      stall = { from: stall?.from ?? before.at, to: at };
    }
  }
  return stall;
}

/** The longest time without a deed from lighting to `end`. */
function longestUntouched(log: Log, end: number | null): HandFigures['untouched'] {
  const lit = litAtMs(log);
  if (lit === null || end === null || end <= lit) return null;
  const deeds = log.lines.filter((l) => deedsOfLine(l.body).length > 0).map((l) => l.at);
  const times = [lit, ...deeds.filter((at) => at > lit && at < end), end];
  return times
    .slice(1)
    .map((to, i) => ({ from: times[i]!, to }))
    .reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a));
}

/** A pit is back when it is so near to where it was, K; what is not back by then has another cause, ms. */
const BACK = { withinK: 3, withinMs: 45 * MINUTE_MS };
/** The pit before an opening is its mean over this, ms. */
const BEFORE_MS = 10 * MINUTE_MS;

/** What each opening of the lid took from the pit, by its readings up to `end`. */
function looksCost(log: Log, readings: readonly ReadingRow[], end: number): LooksCost {
  const opened = log.lines
    .filter((l) => l.at < end && deedsOfLine(l.body).some((a) => a.do === 'lid-open'))
    .map((l) => l.at);
  const seen = opened.flatMap((at, i) => {
    const cost = costOf(at, Math.min(opened[i + 1] ?? Infinity, at + BACK.withinMs), readings);
    return cost ? [cost] : [];
  });
  const meanOf = (value: (c: Cost) => number): number | null =>
    seen.length > 0 ? mean(seen.map(value)) : null;
  return {
    times: opened.length,
    seen: seen.length,
    fallK: meanOf((c) => c.fallK),
    backMin: meanOf((c) => c.backMin),
    lostMin: seen.length > 0 ? seen.reduce((sum, c) => sum + c.lostMin, 0) : null,
  };
}

interface Cost {
  fallK: number;
  backMin: number;
  lostMin: number;
}

/** What one opening took, from `at` until it is back or `until`; null where readings do not show it. */
function costOf(at: number, until: number, readings: readonly ReadingRow[]): Cost | null {
  const read = readings.filter((r) => r.pitC !== null && r.at > at - BEFORE_MS && r.at < until);
  const before = read.filter((r) => r.at <= at);
  const after = read.filter((r) => r.at > at);
  if (before.length === 0 || after.length < 2) return null;
  const beforeC = mean(before.map((r) => r.pitC!));
  const core = readings.findLast((r) => r.coreC !== null && r.at <= at)?.coreC ?? 0;
  let fallK = 0;
  let missed = 0;
  let backAt: number | null = null;
  for (let i = 0; i < after.length && backAt === null; i++) {
    const { at: t, pitC } = after[i]!;
    const under = beforeC - pitC!;
    fallK = Math.max(fallK, under);
    if (fallK > BACK.withinK && under <= BACK.withinK) backAt = t;
    missed += (Math.max(0, under) * (t - (after[i - 1]?.at ?? at))) / MINUTE_MS;
  }
  if (fallK <= BACK.withinK) return { fallK, backMin: 0, lostMin: 0 };
  return backAt === null
    ? null
    : { fallK, backMin: (backAt - at) / MINUTE_MS, lostMin: missed / Math.max(beforeC - core, 20) };
}
