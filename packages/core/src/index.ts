/** The core's public face. */
export * from './quantity/units';
export * from './quantity/random';
export * from './quantity/statistics';
export * from './quantity/time';
export * from './quantity/words';
export * from './fuel/catalogue';
export * from './fire/snake';
export * from './pit/types';
export * from './pit/catalogue';
export * from './meat/cuts';
export * from './meat/wraps';
export * from './cook/scenario';
export {
  advance,
  coreReadingC,
  createCook,
  pitReadingC,
  simulate,
  type Cook,
} from './cook/cook';
export { act } from './cook/act';
export { resultOf } from './cook/result';
export { ARRANGEMENTS } from './fire/catalogue';
export * from './plan/types';
export * from './plan/amount';
export { plan, planning, type PlanOptions } from './plan/plan';
export { drawMeat } from './plan/ensemble';
export { ventLadder, ventWords, settledC } from './plan/vents';
export * from './tend/log';
export * from './tend/forecast';
export * from './tend/diagnose';
export * from './tend/summary';
export * from './safety/cautions';
