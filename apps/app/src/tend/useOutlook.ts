/** How the meat stands, asked of the worker when the sheet opens and every few cook minutes after. */
import type { ForecastInput, Outlook } from '@ostrin/core/tending';
import { useEffect, useRef, useState } from 'react';
import { askOutlook } from '../api/core';

/** Cook minutes between answers. */
const EVERY_MIN = 5;

interface OutlookState {
  outlook: Outlook | null;
  failure: string | null;
}

/** The outlook for a cook under way; null asks nothing. */
export function useOutlook(input: ForecastInput | null): OutlookState {
  const [state, setState] = useState<OutlookState>({ outlook: null, failure: null });
  const latest = useRef(input);
  useEffect(() => {
    latest.current = input;
  });
  const slot = input ? Math.floor(input.nowMin / EVERY_MIN) : null;
  useEffect(() => {
    const ask = latest.current;
    if (slot === null || !ask) return undefined;
    let wanted = true;
    askOutlook(ask)
      .then((outlook) => (wanted ? setState({ outlook, failure: null }) : undefined))
      .catch((e: Error) => (wanted ? setState({ outlook: null, failure: e.message }) : undefined));
    return () => {
      wanted = false;
    };
  }, [slot]);
  return state;
}
