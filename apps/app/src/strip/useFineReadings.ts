/** The readings of a long record as closely as a zoomed strip can show them: a page has them in steps. */
import type { Reading } from '@ostrin/contract/types';
import { mergedRows, STEPS } from '@ostrin/core/log';
import { useMemo } from 'react';
import { useReadings } from '../api/queries';
import type { Span } from './useStripView';

/** What lies this near to the last reading is there as closely as it was read, or nearly, ms. */
const NEAR_MS = STEPS[0]!.untilAgoMs;

/**
 * The span to ask for, so that moving about in it and zooming a little asks nothing anew: what is shown and more on either
 * side, in whole pieces of a power of two. Null where all of it is near enough.
 */
export function spanToAsk({ from, to }: Span, lastMs: number): Span | null {
  if (from >= lastMs - NEAR_MS || to <= from) return null;
  const piece = 2 ** Math.round(Math.log2((to - from) / 2));
  return { from: (Math.floor(from / piece) - 1) * piece, to: (Math.ceil(to / piece) + 1) * piece };
}

/** Readings for a strip that shows `span`; `inSteps` says whether there are more to ask for. */
export function useFineReadings(
  cookId: string | null,
  readings: readonly Reading[],
  inSteps: boolean,
  span: Span,
): readonly Reading[] {
  const lastMs = readings.at(-1)?.at ?? 0;
  const { data } = useReadings(cookId, inSteps ? spanToAsk(span, lastMs) : null);
  return useMemo(
    () => (inSteps && data && data.length > 0 ? mergedRows(readings, data) : readings),
    [inSteps, readings, data],
  );
}
