/** What became of the fuel of a cook, asked of the worker once. */
import type { FuelUse, Log } from '@ostrin/core';
import { useEffect, useState } from 'react';
import { askFuelUse } from '../api/core';
import type { CookView } from '../api/queries';

export interface FuelUseState {
  use: FuelUse | null;
  failure: string | null;
}

/** The fuel of a past cook; null until it is worked out. */
export function useFuelUse(cook: CookView, log: Log): FuelUseState {
  const [state, setState] = useState<FuelUseState>({ use: null, failure: null });
  useEffect(() => {
    let wanted = true;
    const endMs = cook.finishedAt ?? cook.readings.at(-1)?.at ?? cook.startMs;
    askFuelUse({ scenarios: cook.plan.scenarios }, log, endMs)
      .then((use) => (wanted ? setState({ use, failure: null }) : undefined))
      .catch((e: Error) => (wanted ? setState({ use: null, failure: e.message }) : undefined));
    return () => {
      wanted = false;
    };
  }, [cook, log]);
  return state;
}
