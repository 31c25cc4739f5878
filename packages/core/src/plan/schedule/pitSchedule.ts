/** What is worked out for one pit of a plan, and what is wished for it. */
import type { ControlPolicy } from '../../control/controlPolicy';
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import type { Result } from '../../scenario/result';
import type { Hold } from '../document/hold';
import type { ChosenRule } from '../fire/chooseRule';
import type { PitSetup } from '../fire/designFire';
import type { RequestMeat } from '../request/types';
import type { TunedPolicy } from '../fire/tunedPolicy';

/** A piece as the scheduler sees it: what it is, and when it should be ready, minutes on the clock of the plan. */
export interface PieceTarget {
  /** What the scenario says of it. */
  spec: MeatSpec;
  /** When it is done, as it was asked for. */
  wanted: RequestMeat['done'];
  /** Latest and earliest good moment to be ready; any zero will do, the same for all pieces. */
  readyByMin: number;
  /** Earliest good time to be ready, min from serving. */
  readyFromMin: number;
  /** Not put on before this minute of the same clock: it comes late. */
  onFromMin?: number;
}

export interface PitSchedule {
  /** The pit with its fire. */
  setup: PitSetup;
  /** How the fire is held. */
  policy: ControlPolicy;
  /** The rule for the hand that goes with it; null beside a fan. */
  rule: ChosenRule | null;
  /** How the policy was tuned; null for a rough answer. */
  tuned: TunedPolicy | null;
  /** What is wanted of each piece. */
  targets: PieceTarget[];
  /** When each piece goes on, min after lighting. */
  onMin: number[];
  /** Minute of the plan's clock at which this pit is lit. */
  litMin: number;
  /** The reference cook, held as planned; its scenario tells everything that is done. */
  result: Result;
  /** The scenario that is simulated. */
  scenario: Scenario;
  /** When the reference cook ends, min after lighting. */
  endMin: number;
  /** The likely cooks: for each piece when it is ready and wrapped (NaN: never), and its middle. */
  readyMin: number[][];
  /** When each piece is wrapped in the likely cooks, min after lighting. */
  wrapMin: number[][];
  /** Middles of each piece in the likely cooks, C. */
  likelyCoresC: (number | null)[][][];
  /** How much later each piece goes on than in the runs of `cores` and `pits`, min. */
  movedMin: number[];
  /** The likely cooks. */
  likelyRuns: Result[];
  /** What each likely pit burns: charcoal as bought and splits (dry), kg a minute. */
  charcoalKgPerMin: number[];
  /** Wood burnt in the likely cooks, kg/min. */
  woodKgPerMin: number[];
  /** What one look with a spray costs, min later; null where nothing is sprayed. */
  lookCostMin: number | null;
  /** How each piece waits after it came off; empty for a rough answer. */
  holds: (Hold | null)[];
  /** The earliest that meat can go on, min after lighting. */
  earliestMin: number;
  /** Charcoal laid, and what a full load is, kg as bought. */
  fuelLoadKg: number;
  /** What its full load is, kg as bought. */
  fullLoadKg: number;
}
