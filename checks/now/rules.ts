/** What an order may never be: each five minutes of a cook its order, its calls and its windows are held against these. */
import {
  callsOf,
  heldNow,
  isDue,
  isTheOrder,
  lastDeed,
  lastVents,
  MINUTE_MS,
  pitOf,
  toldVents,
  waitMin,
  type CookNow,
  type Orders,
} from '@ostrin/core/internals';
import type { Heard } from './hearing';

export const VIOLATIONS = [
  'two-orders',
  'order-against-phase',
  'order-that-cannot-be-carried-out',
  'order-repeated-in-its-wait',
  'advice-against-its-cause',
  'missing-window',
  'window-that-jumps',
  'unsafe-sentence',
  'alarm-against-state',
  'alarm-repeated',
] as const;
export type Violation = (typeof VIOLATIONS)[number];

/** A moment of a cook, and what was said five minutes before. */
export interface Moment {
  cook: CookNow;
  orders: Orders;
  /** The window of the piece at the moment before, and whether anything was logged or read by hand since. */
  before: { readyMin: readonly (number | null)[] | null; changed: boolean };
  heard: Heard;
  nowMin: number;
}

/** A window may move by this much at a time without a reason, min. */
const JUMP_MIN = 60;
/** An alarm that calls out loud again this soon is the same one, flickering, min. */
const FLICKER_MIN = 10;

/** What is wrong at a moment, each kind once. */
export function violationsOf(m: Moment): Violation[] {
  const rules: Record<Violation, boolean> = {
    'two-orders': givesTwoOrders(m),
    'order-against-phase': isAgainstPhase(m),
    'order-that-cannot-be-carried-out': cannotBeCarriedOut(m),
    'order-repeated-in-its-wait': isRepeated(m),
    'advice-against-its-cause': isAgainstCause(m),
    'missing-window': hasNoWindow(m),
    'window-that-jumps': jumps(m),
    'unsafe-sentence': isUnsafe(m),
    'alarm-against-state': alarmsAgainstState(m),
    'alarm-repeated': flickers(m),
  };
  return VIOLATIONS.filter((v) => rules[v]);
}

/** A call for a job that is not the order, or a due job of the same kind beside a move. */
function givesTwoOrders({ cook, orders: { order, next } }: Moment): boolean {
  const calls = callsOf(cook, order);
  if (calls.some((a) => a.code === 'job-due' && !isTheOrder(a, order))) return true;
  if (order.kind !== 'move') return false;
  const kind = order.advice.move.do === 'set-vents' ? 'set-vents' : 'add-fuel';
  return next.some((j) => j.job.do === kind && isDue(j, cook.nowMs));
}

/** A job of a piece that is past it, or of a fire over which nothing lies. */
function isAgainstPhase({ cook, orders: { order } }: Moment): boolean {
  const { pieces, litMs, phase } = cook;
  if (order.kind === 'move' || order.kind === 'look' || order.kind === 'light-again')
    return phase === 'over' || litMs === null;
  if (order.kind !== 'job') return false;
  const { job } = order;
  if (litMs !== null && (job.do === 'lay-fire' || job.do === 'light')) return true;
  if (phase === 'over') return job.do !== 'shut-down' && job.do !== 'serve';
  const named = job.logs.flatMap((l) => ('meat' in l ? [l.meat] : []));
  return pieces
    .filter((p) => named.includes(p.id))
    .some(
      (p) =>
        p.offMs !== null ||
        (job.do === 'meat-on' && p.onMs !== null) ||
        (job.do === 'wrap' && p.wrapped),
    );
}

/** Vents as this pit's owner says them, so that two settings that nobody can tell apart are one. */
const told = ({ plan, log, nowMs }: CookNow, intake: number, exhaust: number): string =>
  toldVents(heldNow(plan, log.lines, nowMs).setup, { intake, exhaust });

/** Vents set to where they stand, splits on a fire of charcoal, or fuel for a fire that takes none. */
function cannotBeCarriedOut({ cook, orders: { order } }: Moment): boolean {
  if (order.kind !== 'move') return false;
  const { move } = order.advice;
  const { fuel } = pitOf(cook.plan).fire;
  if (move.do === 'add-split') return fuel !== 'splits';
  if (move.do === 'add-charcoal') return fuel === 'splits';
  if (move.do !== 'set-vents') return true;
  const stand = lastVents(cook.log.lines);
  return (
    stand !== null &&
    told(cook, move.intake, move.exhaust) ===
      told(cook, stand.intakeFraction, stand.exhaustFraction)
  );
}

function isRepeated({ cook, orders: { order } }: Moment): boolean {
  if (order.kind !== 'move') return false;
  const what = order.advice.move.do === 'set-vents' ? 'set-vents' : 'add-fuel';
  const last = lastDeed(cook.log, what)?.at ?? -Infinity;
  return cook.nowMs - last < waitMin(pitOf(cook.plan).fire.fuel === 'splits') * MINUTE_MS;
}

/** A pit that is over its band and does not fall is not opened, nor one under it that does not climb closed. */
function isAgainstCause({ cook, orders: { order } }: Moment): boolean {
  if (order.kind !== 'move' || order.advice.move.do !== 'set-vents') return false;
  const { place, changeK } = cook.state;
  const { opens } = order.advice.move;
  return opens
    ? place === 'above' && (changeK ?? 0) >= 0
    : place === 'below' && (changeK ?? 0) <= 0;
}

function hasNoWindow({ cook }: Moment): boolean {
  return (
    cook.forecast !== null &&
    cook.state.cause.code !== 'fire-out' &&
    cook.pieces.some((p) => p.onMs !== null && p.offMs === null && p.readyMin === null)
  );
}

function jumps({ cook, before: { readyMin, changed } }: Moment): boolean {
  const [, was] = readyMin ?? [];
  const is = cook.forecast?.readyMin?.[1];
  return !changed && was != null && is != null && Math.abs(is - was) > JUMP_MIN;
}

/** Food that came off before it was safe, while the card is about something else that can wait. */
function isUnsafe({ cook, orders: { order } }: Moment): boolean {
  const cool = cook.pieces.some(
    (p) => p.offMs !== null && p.readings.some((r) => r.coreC !== null) && (p.read?.c ?? 0) < 40,
  );
  return cool && (order.kind === 'finish' || (order.kind === 'job' && order.job.do === 'serve'));
}

function alarmsAgainstState({ cook, orders: { order } }: Moment): boolean {
  const { place, changeK } = cook.state;
  return callsOf(cook, order).some((a) => {
    switch (a.code) {
      case 'out-of-band':
        return a.side !== place;
      case 'leaving-band':
        return a.side === 'above' ? (changeK ?? 0) < -5 : (changeK ?? 0) > 5;
      case 'near-wrap':
        return cook.pieces.some((p) => p.id === a.meat && (p.wrapped || p.offMs !== null));
      case 'near-done':
        return cook.pieces.some((p) => p.id === a.meat && p.offMs !== null);
      default:
        return false;
    }
  });
}

const flickers = ({ heard: { calling, lastUpMin }, nowMin }: Moment): boolean =>
  calling.some(({ id }) => nowMin - (lastUpMin.get(id) ?? -Infinity) < FLICKER_MIN);
