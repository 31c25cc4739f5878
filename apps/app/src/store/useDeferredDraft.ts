/** The slip for the page behind a sheet: it follows what is chosen without keeping the next touch waiting. */
import { startTransition, useEffect, useState } from 'react';
import { usePlanDraft } from './planDraft';

/** The slip as it was a moment ago: every change comes as one that gives way to touches, and none before it as an urgent one. */
export function useDeferredDraft(): ReturnType<typeof usePlanDraft.getState> {
  const [draft, setSlip] = useState(usePlanDraft.getState);
  useEffect(() => {
    const follow = (): void => startTransition(() => setSlip(usePlanDraft.getState()));
    // It may have changed between drawing and listening.
    follow();
    return usePlanDraft.subscribe(follow);
  }, []);
  return draft;
}
