/** The documents: what is wished, what is planned, what is simulated. */
export { type Weather, weatherAt, type WeatherFromHour } from './air/weather';
export { waysOut } from './plan/advice/waysOut';
export { holdsByFan } from './plan/fire/designFire';
export { FAT_SIDES, type FatSide, type KitId, type Preparation } from './plan/document/preparation';
export { leadMeat, meatOf, pitOf, type PitPlan } from './plan/document/pitPlan';
export type { GratePlan } from './plan/document/gratePlan';
export type {
  Expected,
  Feeding,
  Plan,
  PlanJob,
  PlanLog,
  PlanVents,
  PlannedFire,
  PlannedHold,
  Problem,
  Risk,
  WrittenCard,
} from './plan/document/plan';
export type {
  AsWritten,
  CardWords,
  FirstMove,
  JobFacts,
  JobWords,
  ProblemFacts,
  ProblemWords,
  RiskFacts,
  RiskWords,
  PlateCost,
  Shopping,
  ShoppingWords,
  WayOut,
} from './plan/document/facts';
export type { PlannedRule } from './plan/document/rule';
export { fuelWorth } from './plan/jobs/shopping';
export { onePit } from './plan/onePit';
export { lookTimesMs } from './plan/jobs/night';
export { numberOfMeat, piecesPerMeat, type Pieces } from './plan/request/amount';
export {
  type PiecePlacement,
  type Price,
  type Request,
  type RequestMeat,
  type RequestPit,
  type Stock,
  GAUGES,
  PREPARATIONS,
  type Gauge,
} from './plan/request/types';
export { onlyPit, pitFor } from './plan/request/pitFor';
export { onlyPiece, type Result } from './scenario/result';
export { type Action, USUAL_LID_S, WAIT_WITH_SPLIT_MIN } from './scenario/actions';
export type { Control, MeatSpec, PaceWhen, Scenario, WrapWhen } from './scenario/scenario';
export { MILD_DAY } from './air/weather';
export { TOO_SOFT } from './plan/document/hold';
