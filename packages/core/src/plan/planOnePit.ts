/** Plans a meal that is cooked on one pit. */
import type { PlanOptions } from './assemble';
import type { PitPlan } from './document/pitPlan';
import { onePit } from './onePit';
import { plan } from './plan';
import { onlyPit } from './request/pitFor';
import type { Request } from './request/types';

/** The plan of a request of one pit. Throws RangeError for a request of several. */
export const planOnePit = (request: Request, options: PlanOptions): PitPlan =>
  onePit(plan(request, options), onlyPit(request).id);
