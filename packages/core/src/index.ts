/** The core's public face. */
export * from './quantity/units';
export * from './quantity/random';
export * from './quantity/statistics';
export * from './quantity/time';
export * from './quantity/words';
export * from './fuel/catalogue';
export * from './scenario/weather';
export * from './fire/snake';
export * from './scenario/fireSpec';
export * from './pit/types';
export * from './pit/catalogue';
export * from './pit/ventNotation';
export * from './pit/usualFire';
export * from './meat/cuts';
export * from './meat/usualTreatment';
export * from './meat/wraps';
export * from './meat/variation';
export * from './scenario/scenario';
export type { RestWhere } from './meat/rest';
export { advance, firstCoreReadingC, createCook, pitReadingC, simulate } from './cook/cook';
export type { Cook } from './cook/state';
export { applyAction } from './cook/applyAction';
export { withProbeError, type Operator, type Observation } from './control/operator';
export { habitPolicy, type ControlPolicy } from './control/controlPolicy';
export { createSimulatedOperator } from './control/simulatedOperator';
export { resultOf, sectorsOverFire } from './cook/result';
export { ARRANGEMENTS } from './fire/catalogue';
export * from './plan/request/types';
export * from './plan/request/amount';
export { weatherFromLighting } from './plan/request/planWeather';
export { plan, planSteps } from './plan/plan';
export { onePit } from './plan/onePit';
export type { PlanOptions } from './plan/assemble';
export * from './plan/grate/grate';
export * from './plan/sheet';
export { fuelWorth } from './plan/jobs/shopping';
export {
  compareVariants,
  lateIfLitAt,
  variantRequests,
  type VariantSources,
  type PlanVariant,
} from './plan/compare/variants';
export { VENT_NOUNS } from './plan/words';
export type { TunedPolicy } from './plan/fire/tunePolicy';
export { drawLikelyPit, PIT_SD, runEnsemble } from './sampling/likelyPits';
export { designFire, type PitSetup } from './plan/fire/designFire';
export { maxHoldMin } from './plan/schedule/schedule';
export { runUntilDone } from './sampling/runUntilDone';
export * from './solvers/steadyCase';
export * from './solvers/ventsFor';
export * from './solvers/splitFeed';
export * from './solvers/charcoalLoad';
export * from './solvers/ventCard';
export * from './tend/log';
export type { ForecastInput } from './tend/likelyCooks';
export type { Forecast } from './tend/forecast';
export type { Outlook, WrapOption } from './tend/outlook';
export * from './tend/diagnose';
export * from './tend/summary';
export * from './safety/cautions';
export { SAFE_C } from './safety/lethality';
