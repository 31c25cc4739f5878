/**
 * What only the pages of a cook under way and of its instruments ask of the core. It stands apart, so that the first page
 * does not load it.
 */
export { afterOff, type AfterOff } from './advice/afterOff';
export { boilsAtC, disagreement } from './instruments/disagreement';
export {
  boilsAtHPa,
  CHECKED_AGAINST,
  driftOf,
  dueAt,
  offsetOf,
  spreadOf,
  USUAL_DUE_DAYS,
} from './instruments/instrumentChecks';
export { freshPitC, ofPiece, weatherReadings } from './instruments/readings';
export { feltTender, hasTwoMuscles, smokeLooks, tenderVerdicts, wrapByBarkMs } from './log/looks';
export { OFF_PLAN_CAUSES, offPlan, type OffPlan } from './advice/offPlan';
export { planAsChanged } from './log/planAsChanged';
export { withoutRules } from './forecast/remainingScenario';
export { cookNow, forecastInputs, leadInput } from './now/cookNow';
export { knownCook, leadPiece } from './now/knownCook';
export { wantsAdvice } from './now/wantsAdvice';
