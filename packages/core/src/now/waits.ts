/** What is waited for after a move at the fire. */
import type { AdvisedMove } from '../advice/moves';
import { waitMin } from '../advice/thresholds';
import { lastDeed } from '../log/log';
import { pitOf } from '../plan/document/pitPlan';
import { MINUTE_MS } from '../quantity/time';
import type { KnownCook } from './knownCook';

/** Until when a move of a kind is waited for: it was made a short while ago, planned or not. Epoch ms. */
export function waitUntilMs(
  { log, plan }: Pick<KnownCook, 'log' | 'plan'>,
  move: AdvisedMove['do'],
): number {
  const last = lastDeed(log, move === 'set-vents' ? 'set-vents' : 'add-fuel');
  return last ? last.at + waitMin(pitOf(plan).fire.fuel === 'splits') * MINUTE_MS : -Infinity;
}
