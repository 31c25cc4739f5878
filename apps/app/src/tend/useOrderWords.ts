/** Orders of the cook of this page in words, in the reader's units. */
import { pitOf } from '@ostrin/core';
import type { Order } from '@ostrin/core/tending';
import { orderWords, type OrderWords } from '@ostrin/wording/tending';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
import { useTendedCook } from './cookContext';

export function useOrderWords(): (order: Order) => OrderWords {
  const { plan, state } = useTendedCook().cook;
  const units = useSettings((s) => s.units);
  return (order) =>
    orderWords(order, {
      pit: pitOf(plan),
      units,
      cause: state.cause,
      pieceName: (id) => pieceNamed(plan, id),
    });
}
