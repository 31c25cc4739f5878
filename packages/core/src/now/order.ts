/**
 * The one order of a cook: what to do now, which of everything that asks for something comes first, and what it stands
 * for. The card, its alarm, the list, the fire sheet and whoever listens outside all read it from here.
 */
import type { Advice } from '../advice/advise';
import type { NotSafe } from '../advice/pieceSafety';
import { DUE_FROM_MIN, FEED_WITHIN_MIN, LOOK_AGAIN_MIN, MOSTLY_OUT } from '../advice/thresholds';
import { SMOKE_CLEARS_MIN, type BadSmoke } from '../diagnosis/diagnose';
import type { Fault } from '../diagnosis/faults';
import { plainlyMoves } from '../diagnosis/trend';
import { needsLook } from './wantsAdvice';
import type { DueJob } from '../forecast/jobTimes';
import { lastDeed, lastVents } from '../log/log';
import type { PlanJob } from '../plan/document/plan';
import { MINUTE_MS } from '../quantity/time';
import type { CookNow } from './cookNow';
import { meatWaits, type PitNotReady } from './readyForMeat';
import { waitUntilMs } from './waits';

/** What an order asks for. */
type Asked =
  /** The fire is out while something needs it. */
  | { kind: 'light-again' }
  /** Something specific is wrong that somebody has to see before anything is moved. */
  | { kind: 'look'; fault: Fault; sure: number }
  /** Somebody saw smoke that no clean fire gives. */
  | { kind: 'clear-smoke'; smoke: BadSmoke }
  /** The pit stays out of its band whatever is moved: somebody has to see why. */
  | { kind: 'check-fire'; advice: Advice }
  /** A piece came off before it was safe. */
  | { kind: 'make-safe'; meat: string; notSafe: NotSafe }
  /** A move at the fire, found by simulation. */
  | { kind: 'move'; advice: Advice }
  /** A job of the plan; what the pit has to do before it, where it waits for that. */
  | { kind: 'job'; job: PlanJob; pit?: PitNotReady }
  /** Nothing is left to do. */
  | { kind: 'finish' };

/** One thing to do. */
export type Order = Asked & {
  /** What it is, the same from one instant to the next: what was seen is known by it. */
  id: string;
  /** When it is due, epoch ms: at or before now where it is due. */
  ms: number;
  /** Ids of the planned jobs that are done with it, or that it stands in for. */
  jobIds: readonly string[];
};

/** What an order is chosen from besides the cook itself. */
export interface OrderInput {
  /** The latest advice; null where none holds. */
  advice: Advice | null;
  /** Orders that were seen and are not to come first again, by id. */
  seen?: ReadonlySet<string>;
}

/** The order and what comes after it. */
export interface Orders {
  order: Order;
  /** All jobs still to do, each at its time or until when it waits, the next one first. */
  jobs: readonly WaitingJob[];
  /** Those that are left after the order. */
  next: readonly DueJob[];
  /** Whether the pit is out of its band and no move is asked for, because it is expected to come back. */
  comesBack: boolean;
}

/** The order at the cook's clock, and the jobs that come after it. */
export function ordersOf(cook: CookNow, { advice, seen = new Set() }: OrderInput): Orders {
  const jobs = cook.jobs.map((j) => waiting(j, cook, advice)).sort((a, b) => a.ms - b.ms);
  const unseen = (orders: readonly Order[]): Order | undefined =>
    orders.find((o) => !seen.has(o.id));
  const order =
    unsafe(cook)[0] ??
    unseen(dangers(cook)) ??
    moveOf(cook, jobs, advice) ??
    unseen([...looks(cook, false), ...checkFire(cook, jobs, advice)]) ??
    (jobs[0] ? jobOrder(jobs[0]) : null) ??
    finish(cook);
  const next = jobs.filter(({ job }) => !order.jobIds.includes(job.id));
  return { order, jobs, next, comesBack: order.kind === 'job' && comesBack(cook, advice) };
}

/** Whether an order is to be done now. */
export const isDue = ({ ms }: Pick<Order, 'ms'>, nowMs: number): boolean =>
  ms <= nowMs + DUE_FROM_MIN * MINUTE_MS;

/**
 * Pieces that came off before they were safe. No look makes them so: it stands until one is back on or was read hot enough.
 * A piece that nobody read may be done: that is said beside it.
 */
const unsafe = ({ pieces, nowMs }: CookNow): Order[] =>
  pieces.flatMap(({ id, notSafe }): Order[] =>
    notSafe?.why === 'cool'
      ? [{ kind: 'make-safe', id: `make-safe/${id}`, ms: nowMs, jobIds: [], meat: id, notSafe }]
      : [],
  );

/** What ends the fire, or has to be seen before anything is moved, the worst first. */
function dangers(cook: CookNow): Order[] {
  const { state, phase, nowMs } = cook;
  if (phase === 'over') return [];
  return state.cause.code === 'fire-out'
    ? [{ kind: 'light-again', id: 'light-again', ms: nowMs, jobIds: [] }]
    : [...smokes(cook), ...looks(cook, true)];
}

/** Smoke that was seen, and what clears it. */
function smokes({ state: { cause } }: CookNow): Order[] {
  if (cause.code !== 'smoke') return [];
  const { smoke, sinceMs } = cause;
  return [{ kind: 'clear-smoke', id: `clear-smoke/${smoke}`, ms: sinceMs, jobIds: [], smoke }];
}

/** What is suspected and has to be seen, before anything is moved (`first`) or where no move helps. */
function looks({ state: { cause }, phase, nowMs }: CookNow, first: boolean): Order[] {
  if (cause.code !== 'suspected' || needsLook(cause.fault) !== first || phase === 'over') return [];
  const { fault, sure } = cause;
  return [{ kind: 'look', id: `look/${fault}`, ms: nowMs, jobIds: [], fault, sure }];
}

/** The advised move, with the job that it does or stands in for; null where none is to be made now. */
function moveOf(cook: CookNow, jobs: readonly DueJob[], advice: Advice | null): Order | null {
  if (!advice || advice.logs.length === 0 || cook.nowMs < waitUntilMs(cook, advice.move.do))
    return null;
  const order = (jobIds: readonly string[]): Order => ({
    kind: 'move',
    id: `move/${advice.move.do}`,
    ms: cook.nowMs,
    jobIds,
    advice,
  });
  if (advice.move.do !== 'set-vents') {
    const feed = jobs.find(
      ({ job, ms }) => job.do === 'add-fuel' && ms <= cook.nowMs + FEED_WITHIN_MIN * MINUTE_MS,
    );
    return order(feed ? [feed.job.id] : []);
  }
  if (goesAgainst(advice.move.opens, cook)) return null;
  const planned = jobs.find((j) => j.job.do === 'set-vents' && isDue(j, cook.nowMs));
  if (!planned) return order([]);
  // A planned move the same way is the answer; one the other way is overtaken by how the pit stands.
  return opens(planned.job, cook) === advice.move.opens
    ? jobOrder(planned)
    : order([planned.job.id]);
}

/** Jobs that are moves at the fire. */
const AT_THE_FIRE: ReadonlySet<PlanJob['do']> = new Set(['set-vents', 'add-fuel', 'set-target']);

/**
 * A look at a fire that no move brings back, by what is expected or plainly by what it does; none while a planned move at
 * it is due, which comes first.
 */
function checkFire(
  { state, nowMs }: CookNow,
  jobs: readonly DueJob[],
  advice: Advice | null,
): Order[] {
  if (jobs.some((j) => AT_THE_FIRE.has(j.job.do) && isDue(j, nowMs))) return [];
  if (advice?.move.do !== 'leave' || state.place === 'in' || isExpectedBack(state, advice))
    return [];
  return [{ kind: 'check-fire', id: 'check-fire', ms: nowMs, jobIds: [], advice }];
}

/** Whether a pit that is out of its band is in it again soon with no move, and does not plainly go the other way. */
const isExpectedBack = (
  { place, changeK }: CookNow['state'],
  { inBandLeave }: Pick<Advice, 'inBandLeave'>,
): boolean => inBandLeave >= MOSTLY_OUT && !plainlyMoves(place === 'above', changeK);

/** Whether a pit that is out of its band is left alone because it comes back. */
const comesBack = ({ state, phase }: CookNow, advice: Advice | null): boolean =>
  phase !== 'over' &&
  state.place !== 'in' &&
  advice?.move.do === 'leave' &&
  isExpectedBack(state, advice);

/** Whether a job opens the intake from where it stands. */
export function opens({ logs }: PlanJob, { log }: CookNow): boolean {
  const to = logs.find((l) => l.do === 'set-vents');
  const from = lastVents(log.lines)?.intakeFraction ?? 0;
  return to?.do === 'set-vents' && to.intakeFraction > from;
}

/** The order to do a job. */
export function jobOrder({ job, ms, pit }: WaitingJob): Order {
  const order = { kind: 'job', id: `job/${job.id}`, ms, jobIds: [job.id], job } as const;
  return pit ? { ...order, pit } : order;
}

const finish = ({ nowMs }: CookNow): Order => ({
  kind: 'finish',
  id: 'finish',
  ms: nowMs,
  jobIds: [],
});

/** Whether opening, or closing, would take a pit further out of its band: one that is high opened, one that is low closed. */
function goesAgainst(opening: boolean, { state: { place, changeK } }: CookNow): boolean {
  return opening
    ? place === 'above' && (changeK ?? 0) >= 0
    : place === 'below' && (changeK ?? 0) <= 0;
}

/** A job at its time, or until when it waits, and for what of the pit. */
export interface WaitingJob extends DueJob {
  pit?: PitNotReady;
}

/** A job until when it waits: meat for a pit that is ready for it. */
function waiting(due: DueJob, cook: CookNow, advice: Advice | null): WaitingJob {
  const waits = due.job.do === 'meat-on' ? meatWaits(due.ms, cook) : null;
  if (waits) return { ...due, ms: waits.untilMs, pit: waits.pit };
  return { ...due, ms: Math.max(due.ms, heldUntilMs(due, cook, advice)) };
}

/**
 * Until when a job waits, epoch ms: for a move of its kind that was made instead of it, because advice puts it off, or
 * while it would take the pit further out of its band. Long past where it waits for nothing.
 */
function heldUntilMs({ job, ms }: DueJob, cook: CookNow, advice: Advice | null): number {
  const { litMs, log, nowMs, state } = cook;
  if (job.do === 'add-fuel' && advice?.move.do === 'wait-with-fuel' && litMs !== null) {
    const untilMs = litMs + (advice.atMin + advice.move.minutes) * MINUTE_MS;
    return ms < untilMs && nowMs < untilMs ? untilMs : -Infinity;
  }
  // Wood on a fire that smokes makes more of it.
  if ((job.do === 'add-fuel' || job.do === 'add-wood') && state.cause.code === 'smoke')
    return state.cause.sinceMs + SMOKE_CLEARS_MIN * MINUTE_MS;
  if (job.do !== 'set-vents' || state.cause.code === 'coming-up') return -Infinity;
  const last = lastDeed(log, 'set-vents');
  const waits = last && !last.jobId ? waitUntilMs(cook, 'set-vents') : -Infinity;
  return goesAgainst(opens(job, cook), cook)
    ? Math.max(waits, nowMs + LOOK_AGAIN_MIN * MINUTE_MS)
    : waits;
}
