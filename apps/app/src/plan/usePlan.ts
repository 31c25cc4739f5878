/** The plan for the draft as it stands: worked out anew by the worker whenever a choice changes. */
import type { Plan, Request } from '@ostrin/core';
import { useEffect, useMemo, useState } from 'react';
import { askPlan } from '../api/core';

interface PlanState {
  plan: Plan | null;
  /** What `plan` was asked for. */
  asked: string | null;
  /** Whether `plan` is the full plan for the draft as it stands. */
  settled: boolean;
  progress: number;
  failure: string | null;
}

/** Plans `request` anew when what it says changes; null plans nothing. */
export function usePlan(request: Request | null): PlanState {
  const text = useMemo(() => (request ? JSON.stringify(request) : null), [request]);
  const [state, setState] = useState<PlanState>({
    plan: null,
    asked: null,
    settled: false,
    progress: 0,
    failure: null,
  });
  useEffect(() => {
    if (!text) return undefined;
    return askPlan(JSON.parse(text) as Request, Date.now(), {
      onProgress: (progress) => setState((s) => ({ ...s, progress, settled: false })),
      onPlan: (plan, final) =>
        setState({ plan, asked: text, settled: final, progress: final ? 1 : 0.25, failure: null }),
      onFail: (failure) => setState((s) => ({ ...s, failure, settled: false })),
    });
  }, [text]);
  return { ...state, settled: state.settled && state.asked === text };
}
