/** The one order of the cook on this page, and those that somebody has looked into. */
import { MINUTE_MS } from '@ostrin/core/quantity';
import {
  ordersOf,
  SEEN_FOR_MIN,
  type Advice,
  type CookNow,
  type Orders,
} from '@ostrin/core/tending';
import { useState } from 'react';

/** The order now and what comes after it; `see` puts an order that was looked into behind the others. */
export function useOrders(
  cook: CookNow,
  advice: Advice | null,
): { orders: Orders; see: (orderId: string) => void } {
  const [seen, setSeen] = useState<Readonly<Record<string, number>>>({});
  const { nowMs } = cook;
  const lately = Object.keys(seen).filter((id) => nowMs - seen[id]! < SEEN_FOR_MIN * MINUTE_MS);
  return {
    orders: ordersOf(cook, { advice, seen: new Set(lately) }),
    see: (id) => setSeen((s) => ({ ...s, [id]: nowMs })),
  };
}
