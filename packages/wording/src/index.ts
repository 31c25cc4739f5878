/** Sentences for people: from the engine's codes and figures, in the user's units and the pit's own vents. */
export { cautionWords, CAUTION_SOURCES } from './cautions';
export { DAY_NAMES, noSettingWords } from './card';
export { causeWords, stateWords, trendWords } from './diagnosis';
export { charcoalWords, fireChoiceWords, woodStrengthWords } from './fires';
export { LOOK_NAMES, lookWords, VERDICT_NAMES } from './looks';
export { actionWords, foodWords, readWords, type Telling } from './log';
export { phaseWords, safetyWords, wrapOptionWords, WRAP_OPTION_NAMES, type Clock } from './meat';
export { jobWords, paceWhenWords } from './plan/jobs';
export { wordPlan, type WordedPlan } from './plan/plan';
export { fuelName, plateWords } from './plan/shopping';
export {
  linesOf,
  markdownOf,
  pitName,
  ringingLines,
  ruleLines,
  type SheetLine,
  visitWords,
} from './plan/sheet';
export { whenWrappedWords, wordVariant, type PlanVariant } from './plan/variants';
export {
  capital,
  lowered,
  countWords,
  firstNames,
  lengthWords,
  massWords,
  smallMassWords,
  spanOfTime,
  spanWords,
  temperatureWords,
  heightStepM,
  heightWords,
  windWords,
} from './quantities';
export { jobReason } from './reasons';
export {
  dialMark,
  openingWords,
  SCALE_NAMES,
  settingWords,
  shortOpening,
  ventedPit,
  ventName,
  ventNames,
  type VentedPit,
} from './vents';
