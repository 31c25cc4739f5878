/** When the vents are closed down: by what the pit reads, and not by the clock of the plan. */
import { LOOK_AGAIN_MIN } from '../advice/thresholds';
import type { Diagnosis } from '../diagnosis/diagnose';
import type { PlanJob } from '../plan/document/plan';
import { MINUTE_MS } from '../quantity/time';

/** What the pit reads now and how it moves. */
interface PitNow {
  /** C; null where it was not read lately. */
  pitC: number | null;
  /** Change over ten minutes, K. */
  changeK: Diagnosis['changeK'];
}

/** The change of a diagnosis is over so long, min. */
const CHANGE_MIN = 10;
/** A pit climbs from this on, K in ten minutes. */
const LEAST_CLIMB_K = 3;

/**
 * When the pit is at the reading at which `jobs` close its vents down, epoch ms: now where it is there; by its climb where
 * it climbs; later where it does not. Null where it is not read, and where that was done or is not planned.
 */
export function closeMs(
  jobs: readonly PlanJob[],
  { pitC, changeK }: PitNow,
  nowMs: number,
): number | null {
  const facts = jobs.find((j) => j.facts.kind === 'hold')?.facts;
  if (facts?.kind !== 'hold' || pitC === null) return null;
  const missingK = facts.closeAtC + facts.probeOffsetK - pitC;
  if (missingK <= 0) return nowMs;
  if (changeK === null) return null;
  if (changeK < LEAST_CLIMB_K) return nowMs + LOOK_AGAIN_MIN * MINUTE_MS;
  return nowMs + (missingK / changeK) * CHANGE_MIN * MINUTE_MS;
}
