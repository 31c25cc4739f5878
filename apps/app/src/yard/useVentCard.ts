/** A pit's vent card, worked out by the worker; a change of the pit begins it anew. */
import { MILD_DAY } from '@ostrin/core';
import type { SteadyCase, VentCard } from '@ostrin/core/engine';
import type { PitRecord } from '@ostrin/contract/types';
import { useEffect, useMemo, useState } from 'react';
import { askVentCard } from '../api/core';

interface CardState {
  card: VentCard | null;
  progress: number;
  failure: string | null;
}

export function useVentCard(pit: PitRecord): CardState {
  const text = useMemo(
    () =>
      JSON.stringify({
        preset: pit.preset,
        overrides: pit.overrides,
        weather: MILD_DAY,
        windTimes: pit.learned?.at(-1)?.windTimes,
      } satisfies SteadyCase),
    [pit.preset, pit.overrides, pit.learned],
  );
  const [state, setState] = useState<CardState & { of: string }>({
    card: null,
    progress: 0,
    failure: null,
    of: '',
  });
  useEffect(
    () =>
      askVentCard(JSON.parse(text) as SteadyCase, {
        onProgress: (progress) => setState((s) => ({ ...s, progress, of: text })),
        onCard: (card) => setState({ card, progress: 1, failure: null, of: text }),
        onFail: (failure) => setState((s) => ({ ...s, failure, of: text })),
      }),
    [text],
  );
  // A card of the pit as it was is not shown for the pit as it is.
  return state.of === text && state.progress === 1 ? state : { ...state, card: null };
}
