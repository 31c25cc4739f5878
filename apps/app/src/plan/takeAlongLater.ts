/** The exports of a plan come after the plan itself. */
import { lazyComponent } from '../ui/lazyComponent';

export const TakeAlong = lazyComponent(async () => ({
  default: (await import('./TakeAlong')).TakeAlong,
}));
