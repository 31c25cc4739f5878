/**
 * Sentences that only the pages of a cook under way and of its instruments need, and the page of a pit that is learned. They stand apart, so that the first page
 * does not load them.
 */
export { effectWords, moveWords, waitWords } from './advice';
export { alarmWords, type AlarmContext } from './alarms';
export { changeName, changeWords } from './changes';
export {
  apartWords,
  checkWords,
  disagreementInShort,
  disagreementWords,
  driftWords,
  dueWords,
  heardWords,
  INSTRUMENT_NAMES,
  SPOT_NAMES,
  spreadWords,
  toldWords,
} from './instruments';
export { entryWords } from './entries';
export { foodOutcomeWords } from './food';
export { faultName, faultRemedy, suspectedWords } from './faults';
export { doubtWords, orderInShort, orderWords, type OrderWords } from './orders';
export { fireSheet, type FireNow } from './fireSheet';
export { afterOffWords, notSafeWords } from './afterOff';
export { burnStepWords, LEAK_TEST, seasoningWords } from './testBurn';
export { offPlanWords } from './offPlan';
export { surpriseWords } from './surprises';
export { cookFitWords, learnedFrom, learnedLines } from './learned';
