/** All fires that burn, each as its record has it, by its own clock. */
import { ROUTES, type CookSummary } from '@ostrin/contract/types';
import { cookNow, knownCook, ordersOf, type CookNow, type Orders } from '@ostrin/core/tending';
import { useQueries } from '@tanstack/react-query';
import { requestJson } from '../api/http';
import type { CookView } from '../api/queries';
import { cookClockMs } from '../store/live';
import { useTick } from '../ui/useTick';

/** A fire beside others. Nothing of it is simulated here: its jobs stand at the times that its log gives them. */
export interface Fire {
  pitName: string;
  cook: CookNow;
  orders: Orders;
}

/** Looked at anew so often, ms. */
const EVERY_MS = { clock: 10_000, record: 20_000 };

/** The fires of some cooks, as far as they have come from the server. */
export function useFires(cooks: readonly Pick<CookSummary, 'id'>[]): Fire[] {
  useTick(EVERY_MS.clock);
  const all = useQueries({
    queries: cooks.map(({ id }) => ({
      queryKey: ['cook', id],
      queryFn: () => requestJson<CookView>(ROUTES.cook(id)),
      refetchInterval: EVERY_MS.record,
    })),
  });
  return all.flatMap(({ data }) => (data ? [fireOf(data)] : []));
}

function fireOf({ pitName, clock, ...record }: CookView): Fire {
  const nowMs = cookClockMs({ clock, clockAt: clock.realMs }, Date.now());
  const cook = cookNow(knownCook(record), {}, nowMs);
  return { pitName, cook, orders: ordersOf(cook, { advice: null }) };
}
