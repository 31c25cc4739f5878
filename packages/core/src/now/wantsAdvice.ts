/** When a move at the fire is worth looking for. */
import type { Cause } from '../diagnosis/diagnose';
import type { Fault } from '../diagnosis/faults';
import { pitOf } from '../plan/document/pitPlan';
import type { CookNow } from './cookNow';
import { waitUntilMs } from './waits';

/** Causes that no move at the fire mends: somebody has to look first, or wait. */
const NO_MOVE: ReadonlySet<Cause['code']> = new Set([
  'not-lit',
  'coming-up',
  'fire-out',
  'no-reading',
  'smoke',
  'lid-was-open',
  'recovering-from-lid',
  'cold-meat',
  'high-and-falling',
  'low-and-rising',
]);
/** A fire on splits is fed through all of these, and while it comes up slower than this, K in ten minutes. */
const NO_SPLIT: ReadonlySet<Cause['code']> = new Set([
  'not-lit',
  'fire-out',
  'no-reading',
  'smoke',
]);
const SLOW_CLIMB_K = 10;

/** What somebody has to look at before anything is moved. */
const LOOK_FIRST: ReadonlySet<Fault> = new Set([
  'lid-left-open',
  'door-left-open',
  'probe-off',
  'fan-stuck',
]);

/** Whether a fault has to be seen before anything is moved. */
export const needsLook = (fault: Fault): boolean => LOOK_FIRST.has(fault);

/**
 * Whether a move is worth looking for: the pit is off its band, about to leave it or at its edge, or is fed before it
 * falls; not while the last move of its vents is waited for.
 */
export function wantsAdvice(
  cook: Pick<CookNow, 'state' | 'alarms' | 'litMs' | 'plan' | 'phase' | 'log' | 'nowMs'>,
): boolean {
  const {
    state: { cause, place, changeK },
    alarms,
    litMs,
    phase,
  } = cook;
  // A fire with nothing over it, and nothing to come, needs no move.
  if (litMs === null || phase === 'over') return false;
  if (cause.code === 'suspected' && needsLook(cause.fault)) return false;
  if (pitOf(cook.plan).fire.fuel === 'splits') {
    if (cause.code === 'coming-up') return (changeK ?? 0) < SLOW_CLIMB_K;
    return !NO_SPLIT.has(cause.code);
  }
  if (NO_MOVE.has(cause.code)) return false;
  const leaving = alarms.some((a) => a.code === 'leaving-band');
  const atEdge = cause.code === 'low-in-band' || cause.code === 'high-in-band';
  return (place !== 'in' || leaving || atEdge) && cook.nowMs >= waitUntilMs(cook, 'set-vents');
}
