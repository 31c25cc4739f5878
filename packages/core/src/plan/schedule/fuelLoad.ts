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

/** Where nothing can be put on later, what a hungry pit takes in a slow cook is laid, and more: the true one may be hungrier. */
const HUNGRIER = 1.15;

/**
 * Charcoal that carries a middling pit through a slow cook, a reserve standing by for the rest; or, where nothing can be put on,
 * a hungry one.
 */
export function sizeFire(plan: PitSchedule): PitSetup['fire'] {
  const { setup } = plan;
  const { fire, parameters } = setup;
  if (setup.onSplits || setup.handFed) return fire;
  const endMin = Math.max(
    ...plan.readyMin.map((r) => Math.min(quantile(ascendingNeverLast(r), 0.9), MAX_COOK_MIN)),
  );
  const rates = ascending(plan.charcoalKgPerMin);
  const needKg = setup.preset.traits.canTopUp
    ? quantile(rates, 0.5) * endMin
    : HUNGRIER * quantile(rates, 0.9) * latestEndMin(plan);
  const remnant = remnantKg(fire.arrangement);
  const most = fireLoadKg(fire, parameters.diameterM);
  return withFuelLoad(fire, Math.min(needKg * CHARCOAL_MARGIN + remnant, most), parameters);
}

/** Splits to stack for it: what nearly all likely cooks take, kg as fed. */
export const splitStackKg = (plan: PitSchedule): number =>
  SPLIT_MARGIN * quantile(ascending(plan.woodKgPerMin), 0.9) * latestEndMin(plan);
