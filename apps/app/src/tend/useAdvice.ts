/** Advice for a pit that is off its band, or is about to leave it: asked again every few minutes of the cook. */
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { Advice, CookNow } from '@ostrin/core/tending';
import { ADVICE_MIN, forecastInputs, leadPiece, wantsAdvice } from '@ostrin/core/tending';
import { useState } from 'react';
import { askAdvice } from '../api/core';
import { useAskedWhenDue } from './useAskedWhenDue';

/** The advice that holds now; null where none does. */
export function useAdvice(cook: CookNow): Advice | null {
  const { plan, log, nowMs, litMs, state } = cook;
  // Readings that come late, or all at once, may show another fire.
  const about = `${state.place}/${state.cause.code}`;
  const wanted = wantsAdvice(cook);
  const [advice, setAdvice] = useState<Advice | null>(null);
  useAskedWhenDue({ log, nowMs, everyMin: ADVICE_MIN.every, wanted, about }, async (atMs) => {
    const lead = leadPiece(cook).id;
    const input = forecastInputs(cook, atMs, [lead])[lead]!;
    setAdvice(await askAdvice({ input, plan, lines: log.lines, nowMs: atMs }).catch(() => null));
  });
  if (!wanted || !advice || litMs === null) return null;
  const leaving = cook.alarms.some((a) => a.code === 'leaving-band');
  if (advice.move.do === 'leave' && cook.state.place === 'in' && !leaving) return null;
  return nowMs - litMs < (advice.atMin + ADVICE_MIN.holds) * MINUTE_MS ? advice : null;
}
