/** Other ways of the same meal, row by row as the worker knows them. */
import type { VariantSources } from '@ostrin/core/engine';
import type { Request } from '@ostrin/core';
import { type PlanVariant } from '@ostrin/wording';
import { useEffect, useState } from 'react';
import { askVariants } from '../api/core';

interface VariantsState {
  rows: PlanVariant[];
  done: boolean;
  failure: string | null;
}

/** Compares once `asked`; a new request begins anew. */
export function useVariants(
  request: Request,
  others: VariantSources,
  asked: boolean,
): VariantsState {
  const text = JSON.stringify([request, others]);
  const [state, setState] = useState<VariantsState & { of: string }>({
    rows: [],
    done: false,
    failure: null,
    of: '',
  });
  useEffect(() => {
    if (!asked) return undefined;
    const [wish, ways] = JSON.parse(text) as [Request, VariantSources];
    return askVariants(wish, ways, Date.now(), {
      onRow: (row) =>
        setState((s) => ({
          of: text,
          rows: s.of === text ? [...s.rows, row] : [row],
          done: false,
          failure: null,
        })),
      onDone: () => setState((s) => ({ ...s, done: true })),
      onFail: (failure) => setState((s) => ({ ...s, failure })),
    });
  }, [text, asked]);
  return state.of === text ? state : { rows: [], done: false, failure: state.failure };
}
