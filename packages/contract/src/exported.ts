/** Documents as they are exported. */
import { wordPlan, type WordedPlan } from '@ostrin/wording';
import type { CookDoc } from './types';

/** A cook as it is exported: its plan with the sentences that its figures are shown in. It reads back as it was. */
export const exportedCook = ({
  plan,
  ...cook
}: CookDoc): Omit<CookDoc, 'plan'> & { plan: WordedPlan } => ({ ...cook, plan: wordPlan(plan) });
