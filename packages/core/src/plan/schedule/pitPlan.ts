/** What is worked out for one pit of a plan, and what is wished for it. */
import type { ControlPolicy } from '../../control/controlPolicy';
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import type { Result } from '../../scenario/result';
import type { PitSetup } from '../fire/designFire';
import type { TunedPolicy } from '../fire/tunePolicy';

/** A piece as the scheduler sees it: what it is, and when it should be ready, minutes on the clock of the plan. */
export interface PieceTarget {
  spec: MeatSpec;
  /** Latest and earliest good moment to be ready; any zero will do, the same for all pieces. */
  readyByMin: number;
  readyFromMin: number;
  /** Not put on before this minute of the same clock: it comes late. */
  onFromMin?: number;
}

export interface PitPlan {
  setup: PitSetup;
  policy: ControlPolicy;
  tuned: TunedPolicy | null;
  targets: PieceTarget[];
  onMin: number[];
  /** Minute of the plan's clock at which this pit is lit. */
  litMin: number;
  /** The reference cook, held as planned; its scenario tells everything that is done. */
  result: Result;
  scenario: Scenario;
  endMin: number;
  /** The likely cooks: for each piece when it is ready and wrapped (NaN: never), and its middle. */
  readyMin: number[][];
  wrapMin: number[][];
  likelyCoresC: (number | null)[][][];
  /** How much later each piece goes on than in the runs of `cores` and `pits`, min. */
  movedMin: number[];
  likelyRuns: Result[];
  /** What each likely pit burns: charcoal as bought and splits (dry), kg a minute. */
  charcoalKgPerMin: number[];
  woodKgPerMin: number[];
  /** The earliest that meat can go on, min after lighting. */
  earliestMin: number;
  /** Charcoal laid, and what a full load is, kg as bought. */
  fuelLoadKg: number;
  fullLoadKg: number;
}
