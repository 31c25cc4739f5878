/**
 * What only the pages of a cook under way and of its instruments ask of the core. It stands apart, so that the first page
 * does not load it.
 */
export { ADVICE_MIN, MOSTLY_OUT, SEEN_FOR_MIN } from './advice/thresholds';
export { afterOff, type AfterOff } from './advice/afterOff';
export { notSafe, type NotSafe } from './advice/pieceSafety';
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
export { settling } from './diagnosis/faultEffects';
export { withoutRules } from './forecast/remainingScenario';
export { cookNow, forecastInputs, leadInput } from './now/cookNow';
export { isOnPit, knownCook, leadPiece } from './now/knownCook';
export { callOut, type Known } from './now/called';
export { callsOf, isTheOrder } from './now/calls';
export { doubtAbout, type Doubt } from './now/doubt';
export { isDue, jobOrder, ordersOf, type Order, type OrderInput, type Orders } from './now/order';
export type { PitNotReady } from './now/readyForMeat';
export { latenessMin } from './now/lateness';
export { PHASES, type Phase } from './now/phases';
export { steadied } from './now/steadied';
export { wantsAdvice } from './now/wantsAdvice';
export { SMOKE_CLEARS_MIN } from './diagnosis/diagnose';
export type { BadSmoke, Cause, Diagnosis } from './diagnosis/diagnose';
export type { Trend } from './diagnosis/trend';
export type { Forecast } from './forecast/forecast';
export type { FuelUse } from './forecast/fuelUse';
export type { FoodOutcome, FoodWish } from './forecast/addFood';
export type { Advice, AdviseQuestion } from './advice/advise';
export type { AdvisedMove } from './advice/moves';
export type { ChangeOption, ChangeQuestion } from './advice/changes';
export type { Alarm, AlarmCode, AlarmInput } from './now/alarms';
export type { Fault } from './diagnosis/faults';
export type { Suspicion } from './diagnosis/faultSearch';
export type { ForecastInput } from './forecast/likelyCooks';
export type { Outlook, WrapOption } from './forecast/outlook';
export type { CookNow, PieceNow } from './now/cookNow';
export type { CookRecord, KnownCook } from './now/knownCook';
export type { Forecasts } from './now/lookAhead';
