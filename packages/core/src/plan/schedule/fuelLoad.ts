/** How much fuel one pit is given: what is laid, and what splits are stacked. */
import { fireLoadKg, remnantKg } from '../../fire/catalogue';
import { ascending, quantile } from '../../quantity/statistics';
import { withFuelLoad, type PitSetup } from '../fire/designFire';
import type { PitSchedule } from './pitSchedule';
import { ascendingNeverLast, latestEndMin, MAX_COOK_MIN } from './schedule';

/** Charcoal over what a middling pit burns in a slow cook (9 in 10). */
const CHARCOAL_MARGIN = 1.03;
/** Reserve of splits over what nearly all likely cooks take. */
const SPLIT_MARGIN = 1.12;

/** Charcoal that carries a middling pit through a slow cook; a reserve stands by for the rest. */
export function sizeFire(plan: PitSchedule): PitSetup['fire'] {
  const { setup } = plan;
  const { fire, parameters } = setup;
  if (setup.onSplits || setup.handFed) return fire;
  const endMin = Math.max(
    ...plan.readyMin.map((r) => Math.min(quantile(ascendingNeverLast(r), 0.9), MAX_COOK_MIN)),
  );
  const needKg = quantile(ascending(plan.charcoalKgPerMin), 0.5) * endMin;
  const remnant = remnantKg(fire.arrangement);
  const most = fireLoadKg(fire, parameters.diameterM);
  return withFuelLoad(fire, Math.min(needKg * CHARCOAL_MARGIN + remnant, most), parameters);
}

/** Splits to stack for it: what nearly all likely cooks take, kg as fed. */
export const splitStackKg = (plan: PitSchedule): number =>
  SPLIT_MARGIN * quantile(ascending(plan.woodKgPerMin), 0.9) * latestEndMin(plan);
