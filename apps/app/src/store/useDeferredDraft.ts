/** The draft for the page behind a sheet: it follows what is chosen without keeping the next touch waiting. */
import { startTransition, useEffect, useState } from 'react';
import { usePlanDraft } from './planDraft';

/** The draft as it was a moment ago: each change is a transition, so that touches go first. */
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
