/** How much fuel one pit is given: what is laid, and what splits are stacked. */
import { loadKg } from '../fire/catalogue';
import { ascending, quantile } from '../quantity/statistics';
import { withLoad, type Way } from './lay';
import type { CookPlan } from './part';
import { inOrder, lateEnd, LONGEST_MIN } from './schedule';

/** Charcoal over what a middling pit burns in a slow cook (9 in 10), and what a heap keeps that will not light, kg. */
const SPARE = 1.03;
const REMNANT_KG = {
  bowl: 0.35,
  ring: 0.25,
  'side-basket': 0.1,
  crescent: 0.1,
  hopper: 0.15,
} as const;
/** Reserve of splits over what nearly all likely cooks take. */
const SPLIT_SPARE = 1.03;

/** Charcoal that carries a middling pit through a slow cook; a reserve stands by for the rest. */
export function laidFor(plan: CookPlan): Way['fire'] {
  const { way } = plan;
  const { fire, physics } = way;
  if (way.splits || way.fed) return fire;
  const endMin = Math.max(
    ...plan.readyMin.map((r) => Math.min(quantile(inOrder(r), 0.9), LONGEST_MIN)),
  );
  const needKg = quantile(ascending(plan.charcoalKgPerMin), 0.5) * endMin;
  const remnant =
    fire.arrangement in REMNANT_KG ? REMNANT_KG[fire.arrangement as keyof typeof REMNANT_KG] : 0;
  const most = loadKg(fire, physics.diameterM);
  return withLoad(fire, Math.min(needKg * SPARE + remnant, most), physics);
}

/** Splits to stack for it: what nearly all likely cooks take, kg as fed. */
export const stackKg = (plan: CookPlan): number =>
  SPLIT_SPARE * quantile(ascending(plan.woodKgPerMin), 0.9) * lateEnd(plan);
