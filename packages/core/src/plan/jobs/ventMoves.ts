/** The moves of the vents that a plan tells. */
import type { Action } from '../../scenario/actions';
import type { PitSchedule } from '../schedule/pitSchedule';
import { lastOffMin } from './job';

/** A vent moved later than so long before everything is off does nothing any more, min (common practice). */
const LAST_USEFUL_MOVE_MIN = 30;

/** A set-vents of the plan's cook. */
export type VentMove = Extract<Action, { do: 'set-vents' }>;

/** The vent moves of the reference cook that are worth telling, up to the minute everything is off. */
export function plannedVentMoves(plan: PitSchedule): VentMove[] {
  const lastMin = lastOffMin(plan);
  return (plan.result.happened as Action[])
    .filter((a): a is VentMove => a.do === 'set-vents' && a.atMin > 0 && a.atMin <= lastMin)
    .filter((a, i) => i === 0 || a.atMin <= lastMin - LAST_USEFUL_MOVE_MIN);
}
