/** What is made of cooks that are over: their figures, how they compare, what was said of them. */
export {
  learnedBurns,
  learnedWays,
  type BurnOfCook,
  type LearnedWay,
  type Ways,
} from './afterwards/ways';
export { glanceOf } from './afterwards/glance';
export { handFigures, type HandFigures } from './afterwards/handFigures';
export { NOTE_SUBJECTS, PIECE_VERDICTS, WEIGHED_THINGS } from './log/verdictKinds';
export { afterwardsOf, cookVerdict } from './afterwards/verdicts';
export { summarise, type CookFigures } from './afterwards/summary';
export type { Glance } from './afterwards/glance';
export type {
  CookToExplain,
  MinutesByCause,
  NotTold,
  TimeCause,
  WhyLate,
} from './afterwards/meatTime';
export type { Afterwards, CookVerdict, NextTimeNote } from './afterwards/verdicts';
