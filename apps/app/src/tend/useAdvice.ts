/** Advice for a pit that is off its band, or is about to leave it: asked again every few minutes of the cook. */
import { MINUTE_MS, type Advice, type Plan } from '@ostrin/core';
import { forecastInput } from '@ostrin/core/tending';
import { useState } from 'react';
import { askAdvice } from '../api/core';
import type { CookNow } from './useCookNow';
import { useAskedWhenDue } from './useAskedWhenDue';

/** Cook minutes between two pieces of advice. */
const EVERY_MIN = 10;
/** Advice holds for so long after it was worked out, min. */
const HOLDS_MIN = 20;

/** Causes that no move at the fire mends: somebody has to look first, or wait. */
const NO_MOVE: readonly string[] = [
  'not-lit',
  'coming-up',
  'fire-out',
  'no-reading',
  'lid-was-open',
  'recovering-from-lid',
  'vents-just-moved',
  'cold-meat',
];
const LOOK_FIRST: readonly string[] = ['lid-left-open', 'door-left-open', 'probe-off', 'fan-stuck'];

/** Whether a move is worth looking for. */
export function wantsAdvice(
  { state, lit, plan }: Pick<CookNow, 'state' | 'lit' | 'plan'>,
  leaving: boolean,
): boolean {
  const { cause, place } = state;
  if (lit === null || NO_MOVE.includes(cause.code)) return false;
  if (cause.code === 'suspected' && LOOK_FIRST.includes(cause.fault)) return false;
  // A fire on splits is fed before it falls.
  return place !== 'in' || leaving || plan.request.pits[0]!.fire.fuel === 'splits';
}

/** The advice that holds now; null where none does. */
export function useAdvice(id: string, plan: Plan, cook: CookNow, leaving: boolean): Advice | null {
  const { log, read, now, lit } = cook;
  const wanted = wantsAdvice(cook, leaving);
  const [advice, setAdvice] = useState<Advice | null>(null);
  useAskedWhenDue({ log, nowMs: now, everyMin: EVERY_MIN, wanted }, async (litMs, at) => {
    const input = forecastInput(id, plan, log, read, litMs, at);
    setAdvice(await askAdvice({ input, plan, lines: log.lines, nowMs: at }).catch(() => null));
  });
  if (!wanted || !advice || lit === null) return null;
  if (advice.move.do === 'leave' && cook.state.place === 'in' && !leaving) return null;
  return now - lit < (advice.atMin + HOLDS_MIN) * MINUTE_MS ? advice : null;
}
