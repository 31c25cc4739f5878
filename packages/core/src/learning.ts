/** Learning a pit from its cooks: for the page and the worker that do, and for nobody else's load. */
export { loggedCookOf } from './learn/fromLog';
export {
  keptPit,
  LEARNED,
  learnPit,
  type CookFit,
  type KeptPit,
  type LearnedFigure,
  type LearnedKey,
  type LearnedPit,
  type PitBefore,
} from './learn/learnPit';
export type { DomeRelation } from './learn/domeRelation';
export type { LoggedCook } from './learn/loggedCook';
