/** What computes: a cook that is simulated, a meal that is planned, a pit's vent card. A page asks a worker for it. */
export { advance, createCook, coreReadingC, pitReadingC, simulate } from './cook/cook';
export type { Cook } from './cook/state';
export { drawPieceVariation, type PieceVariation } from './meat/variation';
export type { PlanOptions } from './plan/assemble';
export {
  compareVariants,
  type VariantChange,
  type VariantFigures,
  type VariantSources,
} from './plan/compare/variants';
export { designFire } from './plan/fire/designFire';
export type { TunedPolicy } from './plan/fire/tunedPolicy';
export { type Grate, grateOf, type PlacedPiece, placementProblem } from './plan/grate/grate';
export { planOnePit } from './plan/planOnePit';
export { plan, planSteps } from './plan/plan';
export {
  runLikelyPit,
  type LikelyPitJob,
  type LikelyPitRun,
  type Steps,
} from './sampling/likelyPit';
export { runEnsemble } from './sampling/likelyPits';
export { feedActions, type SteadyCase } from './solvers/steadyCase';
export { type CardRow, type VentCard, ventCard } from './solvers/ventCard';
export type { ReferenceDayId, VentAnswer } from './solvers/ventsFor';
