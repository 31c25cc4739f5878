/**
 * The rhythm in which a fire on splits is fed: each feed stands by the one before it, as it was really given, and not by
 * the clock of the plan. What was missed is not made up for.
 */
import type { PlanJob } from '../plan/document/plan';
import type { PitPlan } from '../plan/document/pitPlan';
import { mean } from '../quantity/statistics';
import { localOf, MINUTE_MS } from '../quantity/time';
import { isSplits } from '../scenario/actions';
import { deedsOfLine, jobsAhead, litAtMs, type Log } from './log';

/** Feeds that lie ahead of the last one at least, so that a fire whose meat is late goes on being fed. */
const AHEAD = 2;
/** Feeds that show a way of one's own, by what share it has to differ from the plan, and what share of its fuel it gives. */
const OWN = { feeds: 3, by: 0.2, leastShare: 0.9 };
/** A fire whose plan holds a single feed is fed again after this, min (common practice). */
const USUAL_EVERY_MIN = 45;

/** A feed comes at least this share of its interval after a feed that was late. */
const CATCH_UP = 0.6;
/** Splits that go on within this are one feed, min. */
const ONE_VISIT_MIN = 3;

/** A feed as it was given. */
interface Given {
  atMin: number;
  kg: number;
  jobId?: string;
}

/** How often, and with how much, a fire is fed. */
interface Rhythm {
  everyMin: number;
  /** Of splits; null: as planned. */
  kg: number | null;
}

/** Whether a job feeds splits. */
export const isFeed = ({ do: what, facts }: PlanJob): boolean =>
  what === 'add-fuel' && facts.kind === 'feed' && facts.split !== null;

/** The feeds of splits as the log has them, minutes after lighting; what went on at one visit is one. */
function givenFeeds(log: Log, litMs: number): Given[] {
  const given: Given[] = [];
  for (const line of log.lines) {
    const atMin = Math.max(0, (line.at - litMs) / MINUTE_MS);
    const split = deedsOfLine(line.body)
      .map((deed) => ({ ...deed, atMin }))
      .find(isSplits);
    if (!split) continue;
    const { massKg = 0 } = split;
    const before = given.at(-1);
    if (before && atMin - before.atMin <= ONE_VISIT_MIN) before.kg += massKg;
    else given.push({ atMin, kg: massKg, jobId: line.jobId });
  }
  return given;
}

/** The plan with its feeds in the rhythm in which the fire is fed; itself where no split was put on yet. */
export function withRhythm<P extends Pick<PitPlan, 'request' | 'jobs'>>(plan: P, log: Log): P {
  const litMs = litAtMs(log);
  const planned = plan.jobs.filter(isFeed).sort((a, b) => a.atMin - b.atMin);
  const given = litMs === null ? [] : givenFeeds(log, litMs);
  const last = given.at(-1);
  if (litMs === null || !last || planned.length === 0) return plan;
  const job = (j: PlanJob, atMin: number): PlanJob => ({
    ...j,
    atMin,
    at: localOf(litMs + atMin * MINUTE_MS, plan.request.timeZone),
  });
  const rest = plan.jobs.filter((j) => !isFeed(j) || log.jobsDone.has(j.id));
  const feeds = aheadOf(planned, given, log).map(({ feed, atMin }) => job(feed, atMin));
  return { ...plan, jobs: [...rest, ...feeds].sort((a, b) => a.atMin - b.atMin) };
}

/** The feeds that are left, each by the one before it. What was left out before the last that was given is over. */
function aheadOf(
  planned: readonly PlanJob[],
  given: readonly Given[],
  log: Log,
): { feed: PlanJob; atMin: number }[] {
  const spacing = spacingsOf(planned);
  const everyMin = spacing.at(-1) ?? USUAL_EVERY_MIN;
  const beyond = planned.at(-1)!;
  const extra = beyondDone(beyond, log);
  const place =
    extra > 0 ? planned.length - 1 : planned.findLastIndex((j) => log.jobsDone.has(j.id));
  const left = planned.slice(place + 1);
  const own = ownRhythm(given, spacing[Math.max(place, 0)] ?? everyMin, splitKg(beyond));
  const last = given.at(-1)!;
  const more = Array.from({ length: Math.max(0, AHEAD - left.length) }, (_, i) => ({
    ...beyond,
    id: `${beyondOf(beyond)}${extra + i + 1}`,
  }));
  if (own) {
    return [...left, ...more].map((feed, i) => ({
      feed: own.kg === null ? feed : ofMass(feed, own.kg),
      atMin: last.atMin + own.everyMin * (i + 1),
    }));
  }
  const sooner = soonerMin(planned, given);
  let before = last.atMin;
  return [...left, ...more].map((feed, i) => {
    const gap = spacing[place + i] ?? everyMin;
    const wished = i < left.length ? feed.atMin + sooner : before + gap;
    before = Math.max(wished, before + CATCH_UP * gap);
    return { feed, atMin: before };
  });
}

/**
 * How much sooner than planned the feeds come, min, at or under 0: a fire that was fed early is fed early from there on.
 * One that was fed late catches up with the plan.
 */
const soonerMin = (planned: readonly PlanJob[], given: readonly Given[]): number =>
  planned.reduce((sooner, { id, atMin }) => {
    const done = given.findLast((g) => g.jobId === id);
    return done ? Math.min(sooner, done.atMin - atMin) : sooner;
  }, 0);

const spacingsOf = (feeds: readonly PlanJob[]): number[] =>
  feeds.slice(1).map((f, i) => f.atMin - feeds[i]!.atMin);

/** Feeds beyond the planned ones are numbered on from the last of them. */
const beyondOf = ({ id }: PlanJob): string => `${id}+`;

/** How many feeds beyond the planned ones are behind: the number of the last that was done. */
function beyondDone(last: PlanJob, { jobsDone }: Log): number {
  const start = beyondOf(last);
  const done = [...jobsDone].filter((id) => id.startsWith(start));
  return Math.max(0, ...done.map((id) => Number(id.slice(start.length))));
}

/**
 * A way of one's own, once it was kept for some feeds that nobody asked for: oftener than planned, or seldomer with splits
 * that are heavier in proportion, so that the fire gets as much. Whoever is only late feeds as planned.
 */
function ownRhythm(given: readonly Given[], everyMin: number, kg: number): Rhythm | null {
  const lately = given.slice(-OWN.feeds);
  if (lately.length < OWN.feeds || lately.some((g) => g.jobId !== undefined)) return null;
  const gaps = lately.slice(1).map((g, i) => g.atMin - lately[i]!.atMin);
  const own = { everyMin: mean(gaps), kg: mean(lately.map((g) => g.kg)) };
  const starves = own.kg / own.everyMin < OWN.leastShare * (kg / everyMin);
  const oftener = gaps.every((gap) => gap < everyMin * (1 - OWN.by));
  const seldomer = gaps.every((gap) => gap > everyMin * (1 + OWN.by));
  if (starves || !(oftener || seldomer)) return null;
  return { everyMin: own.everyMin, kg: Math.abs(own.kg / kg - 1) > OWN.by ? own.kg : null };
}

const splitKg = ({ facts }: PlanJob): number =>
  facts.kind === 'feed' ? (facts.split?.kg ?? 0) : 0;

/** A feed of other splits. */
function ofMass(feed: PlanJob, kg: number): PlanJob {
  const { facts } = feed;
  if (facts.kind !== 'feed' || !facts.split) return feed;
  return {
    ...feed,
    facts: { ...facts, split: { ...facts.split, kg } },
    logs: feed.logs.map((l) =>
      l.do === 'add-fuel' && l.fuel === 'splits' ? { ...l, massKg: kg } : l,
    ),
  };
}

/** Jobs with feeds that go on in their rhythm until `untilMin`, minutes after lighting. */
export function fedUntil(jobs: readonly PlanJob[], untilMin: number): PlanJob[] {
  const feeds = jobs.filter(isFeed);
  const [before, last] = feeds.slice(-2);
  if (!before || !last) return [...jobs];
  const everyMin = Math.max(last.atMin - before.atMin, ONE_VISIT_MIN);
  const count = Math.max(0, Math.floor((untilMin - last.atMin) / everyMin));
  const more = Array.from({ length: count }, (_, i) => ({
    ...last,
    atMin: last.atMin + everyMin * (i + 1),
  }));
  return [...jobs, ...more];
}

/**
 * Jobs that are left at `nowMs` on the cook's clock, in the order of the plan; the first is the next one. Feeds that were
 * missed lapse into one: of several that are due the last is left.
 */
export function jobsLeft(plan: { jobs: readonly PlanJob[] }, log: Log, nowMs: number): PlanJob[] {
  const left = jobsAhead(plan, log);
  const litMs = litAtMs(log);
  if (litMs === null) return left;
  const nowMin = (nowMs - litMs) / MINUTE_MS;
  const due = left.findLast((j) => isFeed(j) && j.atMin <= nowMin);
  return left.filter((j) => !due || !isFeed(j) || j === due || j.atMin > nowMin);
}
