/** What app, server, wording and command line use of the engine. Tests and checks enter by `internals.ts`. */
export { type Weather, weatherAt, type WeatherFromHour } from './air/weather';
export { advance, createCook, coreReadingC, pitReadingC, simulate } from './cook/cook';
export type { Cook } from './cook/state';
export { ARRANGEMENTS, fireLitKg, fireLoadKg } from './fire/catalogue';
export type { ArrangementId, FireSpec, HeapFire, SnakeFire } from './fire/fireSpec';
export { POURED_KG_PER_M3 } from './fire/heaps';
export {
  BRIQUETTE_PITCH_M,
  CENTRE_LINE_FRACTION,
  MAX_ARC_DEGREES,
  piecesPerRow,
} from './fire/snake';
export {
  type CharcoalId,
  CHARCOALS,
  type FuelId,
  USUAL_CHUNK_WOOD,
  USUAL_SPLIT_KG,
  USUAL_SPLIT_WOOD,
  type WoodId,
  WOODS,
} from './fuel/catalogue';
export { type Cut, doneByFeel, type SafetyKind } from './meat/cut';
export { cutOf, CUTS } from './meat/cuts';
export {
  type DoneSignId,
  handlingOf,
  MEMBRANE_STAYS_FROM_C,
  type ServingId,
  type SpotId,
  type TrimId,
} from './meat/handling';
export { SHUT_IN, type RestFirst, type RestSpec, type RestWhere } from './meat/rest';
export {
  doneOnPlate,
  BARE_LAST_MIN,
  SCHOOL_IDS,
  SPRAY_SCHOOLS,
  type SpraySchool,
  type SchoolId,
  USUAL_RESTS,
  usualDone,
  usualMassKg,
  usualFirst,
  usualRest,
  FIRST_STAGES,
  usualWrap,
  WRAP_SCHOOLS,
} from './meat/usualTreatment';
export { drawPieceVariation, type PieceVariation } from './meat/variation';
export { type WrapId, WRAPS } from './meat/wraps';
export { ANOTHER_KIND_SD } from './pit/anotherKind';
export { pitWith, presetOf, PRESETS } from './pit/catalogue';
export { type Place, PLACES } from './pit/layout';
export type { CookerParameters, KnownPit } from './pit/parameters';
export type { KeptPit } from './learn/learnPit';
export type { Family, FireChoice, MeatPlacement, Preset, VentName } from './pit/preset';
export { hasSmallFirebox, splitLengthCm, splitThicknessCm, usualFire } from './pit/usualFire';
export {
  finestStep,
  VENT_NOTATIONS,
  ventMark,
  ventScales,
  type VentDial,
  type VentNotation,
  type VentScale,
  type VentScales,
  type VentsTold,
} from './pit/ventNotation';
export { waysOut } from './plan/advice/risks';
export { holdsByFan } from './plan/fire/designFire';
export type { FatSide, KitId, Preparation } from './plan/document/preparation';
export { leadMeat, pitOf } from './plan/document/pitPlan';
export type {
  Expected,
  Feeding,
  GratePlan,
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
export type { PitPlan } from './plan/document/pitPlan';
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
  Shopping,
  ShoppingWords,
  WayOut,
} from './plan/document/facts';
export type { PlanOptions } from './plan/assemble';
export {
  compareVariants,
  type VariantChange,
  type VariantFigures,
  type VariantSources,
} from './plan/compare/variants';
export { designFire } from './plan/fire/designFire';
export type { TunedPolicy } from './plan/fire/tunePolicy';
export { type Grate, grateOf, type PlacedPiece, placementProblem } from './plan/grate/grate';
export { fuelWorth } from './plan/jobs/shopping';
export { onePit, planOnePit } from './plan/onePit';
export { plan, planSteps } from './plan/plan';
export { numberOfMeat, piecesPerMeat } from './plan/request/amount';
export type {
  PiecePlacement,
  Price,
  Request,
  RequestMeat,
  RequestPit,
  Stock,
} from './plan/request/types';
export { onlyPit, pitFor } from './plan/request/pitFor';
export { onlyPiece } from './scenario/result';
export { seeded, seedFrom } from './quantity/random';
export { mean, quantile } from './quantity/statistics';
export { DAY_MS, epochOf, HOUR_MS, knownZone, localOf, MINUTE_MS } from './quantity/time';
export {
  clamp,
  fromC,
  toC,
  fromKg,
  METRIC,
  roundDigits,
  roundTo,
  spanFromK,
  toKg,
  type Units,
} from './quantity/units';
export { CAUTION_IDS, type CautionId, SUGAR_C, sugarCaution } from './safety/cautions';
export { TOO_SOFT } from './plan/schedule/hold';
export { GAUGES, type Gauge } from './plan/request/types';
export { HOLD_ABOVE_C } from './cook/foodSafety';
export { SAFE_C } from './safety/lethality';
export {
  runLikelyPit,
  type LikelyPitJob,
  type LikelyPitRun,
  type Steps,
} from './sampling/likelyPit';
export { runEnsemble } from './sampling/likelyPits';
export { type Action, USUAL_LID_S } from './scenario/actions';
export type { Result } from './scenario/result';
export type { Control, MeatSpec, PaceWhen, Scenario, WrapWhen } from './scenario/scenario';
export { feedActions, MILD_DAY, type SteadyCase } from './solvers/steadyCase';
export { type CardRow, type VentCard, ventCard } from './solvers/ventCard';
export type { ReferenceDayId, VentAnswer } from './solvers/ventsFor';
export type { Cause, Diagnosis, Trend } from './diagnosis/diagnose';
export type { Forecast } from './forecast/forecast';
export type { FuelUse } from './forecast/fuelUse';
export {
  atTheGrate,
  lastPieceReading,
  type PieceReading,
  type ReadingRow,
  readingsOfPast,
  withHandReadings,
} from './instruments/readings';
export type { FoodOutcome, FoodWish } from './forecast/addFood';
export type { Advice, AdviseQuestion } from './advice/advise';
export type { AdvisedMove } from './advice/moves';
export type { ChangeOption, ChangeQuestion } from './advice/changes';
export type { Alarm, AlarmCode, AlarmInput } from './now/alarms';
export type { ChannelTold, Disagreement } from './instruments/disagreement';
export type { Fault } from './diagnosis/faults';
export type { CheckedAgainst, InstrumentCheck } from './instruments/instrumentChecks';
export {
  LOOKS,
  MUSCLES,
  type Look,
  type LookAt,
  type Muscle,
  type SmokeLook,
  type Verdict,
} from './log/lookKinds';
export type { Suspicion } from './diagnosis/faultSearch';
export {
  isTemperature,
  mergedRow,
  mergedRows,
  WIRE_SPOTS,
  wireReadings,
  type WireSpot,
  type WireValue,
} from './instruments/wire';
export type { ForecastInput } from './forecast/likelyCooks';
export {
  actionsOf,
  alreadyLogged,
  deedAtMs,
  type Entry,
  type EntryBody,
  entryProblem,
  finishOf,
  foldLog,
  jobsAhead,
  lastVents,
  litAtMs,
  type Log,
  deedsOfLine,
  type LogLine,
  type Writer,
} from './log/log';
export { type DueJob, jobMs, type JobClock, jobsByTime } from './forecast/jobTimes';
export type { Outlook, WrapOption } from './forecast/outlook';
export type { Glance } from './afterwards/glance';
export type {
  CookToExplain,
  MinutesByCause,
  NotTold,
  TimeCause,
  WhyLate,
} from './afterwards/meatTime';
export type { JudgedOf, NoteSubject, PieceVerdict, WeighedThing } from './log/verdictKinds';
export type { Afterwards, CookVerdict, NextTimeNote } from './afterwards/verdicts';
export type { CurrentShift, Offer } from './log/shift';
export type { CookNow, PieceNow } from './now/cookNow';
export type { CookRecord, KnownCook } from './now/knownCook';
export type { Forecasts } from './now/lookAhead';
