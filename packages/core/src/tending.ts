/**
 * What only the pages of a cook under way and of its instruments ask of the core. It stands apart, so that the first page
 * does not load it.
 */
export { afterOff, type AfterOff } from './advice/afterOff';
export { alarmsOf } from './now/alarms';
export { diagnose } from './diagnosis/diagnose';
export { boilsAtC, disagreement } from './instruments/disagreement';
export { forecastInput } from './forecast/forecastInput';
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
export { addedFoods, planAsChanged, type AddedFood } from './log/planAsChanged';
export { withoutRules } from './forecast/remainingScenario';
