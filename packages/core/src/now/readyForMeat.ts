/** Whether a pit is ready for the meat that is due, and until when that waits where it is not. */
import { DUE_FROM_MIN, LOOK_AGAIN_MIN } from '../advice/thresholds';
import { pitOf } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import type { CookNow } from './cookNow';

/** What a pit that meat waits for reads, and what it is to read, C. */
export interface PitNotReady {
  pitC: number;
  targetC: number;
}

/** Meat waits for a pit this far over its target too, K (common practice): one a little over is cooled by the meat. */
const TOO_HOT_K = 20;
/** It waits for this long at most, min: later it goes on as the pit is. It never goes on over a fire that is out. */
const LONGEST_MIN = 60;

type Pit = Pick<CookNow, 'phase' | 'pitC' | 'plan'>;

/** What a pit reads that is not ready for meat; null where it is, and where nobody read it. */
function pitNotReady({ phase, pitC, plan }: Pit): PitNotReady | null {
  const targetC = pitOf(plan).pace.pitC;
  if (pitC === null || (phase !== 'coming-up' && pitC < targetC + TOO_HOT_K)) return null;
  return { pitC, targetC };
}

/** Until when meat waits whose time is `ms`, in steps from then, with what it waits for; null where it does not wait. */
export function meatWaits(
  ms: number,
  cook: Pit & Pick<CookNow, 'nowMs' | 'state'>,
): { untilMs: number; pit: PitNotReady } | null {
  const pit = pitNotReady(cook);
  const waitedMin = (cook.nowMs - ms) / MINUTE_MS + DUE_FROM_MIN;
  const longestMin = cook.state.cause.code === 'fire-out' ? Infinity : LONGEST_MIN;
  if (!pit || waitedMin < 0 || waitedMin > longestMin) return null;
  const steps = Math.floor(waitedMin / LOOK_AGAIN_MIN) + 1;
  return { untilMs: ms + steps * LOOK_AGAIN_MIN * MINUTE_MS, pit };
}
