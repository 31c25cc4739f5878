/**
 * What only the pages of a cook under way and of its instruments ask of the core. It stands apart, so that the first page
 * does not load it.
 */
export { afterOff, type AfterOff } from './tend/afterOff';
export { alarmsOf } from './tend/alarms';
export { diagnose } from './tend/diagnose';
export { boilsAtC, disagreement } from './tend/disagreement';
export { forecastInput } from './tend/forecastInput';
export {
  boilsAtHPa,
  CHECKED_AGAINST,
  driftOf,
  dueAt,
  offsetOf,
  spreadOf,
  USUAL_DUE_DAYS,
} from './tend/instrumentChecks';
export { freshPitC, ofPiece, weatherReadings } from './tend/handReadings';
export { feltTender, hasTwoMuscles, smokeLooks, tenderVerdicts, wrapByBarkMs } from './tend/looks';
export { OFF_PLAN_CAUSES, offPlan, type OffPlan } from './tend/offPlan';
export { addedFoods, planAsChanged, type AddedFood } from './tend/planAsChanged';
export { withoutRules } from './tend/remainingScenario';
