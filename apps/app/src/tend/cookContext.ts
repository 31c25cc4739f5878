/** The cook under way, for everything on its page. */
import type { CookNow, Orders } from '@ostrin/core/tending';
import type { Entry } from '@ostrin/core/log';
import { createContext, useContext } from 'react';

interface TendedCook {
  cook: CookNow;
  /** What to do now, and the jobs after it. */
  orders: Orders;
  /** Whether this device may log. */
  mayLog: boolean;
  /** Takes what was logged, to be shown with its undo. */
  onLogged: (entries: Entry[]) => void;
}

export const CookContext = createContext<TendedCook | null>(null);

/** The cook of this page. Throws outside it. */
export function useTendedCook(): TendedCook {
  const tended = useContext(CookContext);
  if (!tended) throw new Error('there is no cook on this page');
  return tended;
}
