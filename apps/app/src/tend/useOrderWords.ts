/** Orders of the cook of this page in words, in the reader's units. */
import { pitOf } from '@ostrin/core';
import { lastDeed } from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { Order } from '@ostrin/core/tending';
import { orderWords, type OrderWords } from '@ostrin/wording/tending';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
import { useTendedCook } from './cookContext';

export function useOrderWords(): (order: Order) => OrderWords {
  const { plan, state, log, nowMs } = useTendedCook().cook;
  const units = useSettings((s) => s.units);
  const fed = lastDeed(log, 'add-fuel');
  return (order) =>
    orderWords(order, {
      pit: pitOf(plan),
      units,
      cause: state.cause,
      fedMin: fed ? (nowMs - fed.at) / MINUTE_MS : null,
      pieceName: (id) => pieceNamed(plan, id),
    });
}
