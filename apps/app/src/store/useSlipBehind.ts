/** The slip for the page behind a sheet: it follows what is chosen without keeping the next touch waiting. */
import { startTransition, useEffect, useState } from 'react';
import { useSlip } from './slip';

/** The slip as it was a moment ago: every change comes as one that gives way to touches, and none before it as an urgent one. */
export function useSlipBehind(): ReturnType<typeof useSlip.getState> {
  const [slip, setSlip] = useState(useSlip.getState);
  useEffect(() => {
    const follow = (): void => startTransition(() => setSlip(useSlip.getState()));
    // It may have changed between drawing and listening.
    follow();
    return useSlip.subscribe(follow);
  }, []);
  return slip;
}
