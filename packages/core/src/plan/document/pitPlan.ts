/** The plan of one pit: what a cook keeps, and its pit and pieces by name. */
import type { Scenario } from '../../scenario/scenario';
import type { Request, RequestMeat, RequestPit } from '../request/types';
import type { Plan, PlannedFire } from './plan';

/** A request of one pit. */
export interface PitRequest extends Request {
  pits: [RequestPit];
  meats: [RequestMeat, ...RequestMeat[]];
}

/** The plan of one pit, as a cook keeps it: a plan, or the part of one that is about that pit (`onePit`). */
export interface PitPlan extends Plan {
  request: PitRequest;
  /** Its fire. */
  fires: [PlannedFire];
  /** Its scenario with everything its operator does. */
  scenarios: [Scenario];
}

/** The pit of a plan of one pit. */
export const pitOf = <P>({ request }: { request: { pits: readonly [P] } }): P => {
  const [pit] = request.pits;
  return pit;
};

/** A piece of a plan by its id. Throws RangeError where the plan has no such piece. */
export function meatOf<M extends { id: string }>(request: { meats: readonly M[] }, id: string): M {
  const meat = request.meats.find((m) => m.id === id);
  if (!meat) throw new RangeError(`the plan has no piece ${id}`);
  return meat;
}

/** The piece that jobs and the pit's readings go by: the first of the plan. */
export const leadMeat = <M>({ request }: { request: { meats: readonly [M, ...M[]] } }): M => {
  const [lead] = request.meats;
  return lead;
};
