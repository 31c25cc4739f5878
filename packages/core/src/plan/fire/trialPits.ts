/** Candidates for a policy, tried on likely pits, and how the best of them is chosen. */
import type { ControlPolicy } from '../../control/controlPolicy';
import type { Operator } from '../../control/operator';
import { advance, createCook } from '../../cook/cook';
import { resultOf } from '../../cook/result';
import { seeded } from '../../quantity/random';
import { mean, rms } from '../../quantity/statistics';
import { FUEL_SD, withGusts, withLikelySplits } from '../../sampling/asItComes';
import { drawLikelyPit, type PitVariationSd } from '../../sampling/likelyPits';
import type { Result } from '../../scenario/result';
import type { Scenario } from '../../scenario/scenario';
import type { PitSetup } from './designFire';
import { operatorFor, scoreRun, type HoldingScore } from './policyTrial';

/** How long a trial runs, min. */
export const TRIAL_MIN = 285;
/** Seeds of the pits that candidates are tried on: two that differ from what the owner thinks. */
const TRIAL_SEEDS = [11, 12];

/** How candidates are told apart. */
interface Selection {
  /** Candidates within this share of time of the best one are as good as it. */
  asGood: number;
  /** A pit that swings inside its band counts this share of time worse at an RMS of a whole band. */
  swing: number;
}

/**
 * What two trial pits can tell apart. Splits swing whatever is done, and each feed is a visit to the pit, so
 * with splits time in the band alone counts, and less finely.
 */
export const SELECTION: Readonly<Record<'vents' | 'splits', Selection>> = {
  vents: { asGood: 0.025, swing: 0.15 },
  splits: { asGood: 0.05, swing: 0 },
};

/** A policy with how it did. */
export interface Candidate {
  /** The policy. */
  policy: ControlPolicy;
  /** How well it held. */
  score: HoldingScore;
}

/** How a run did against the target and band of its setup. */
export const scoreSetup = (setup: PitSetup, run: Result): HoldingScore =>
  scoreRun(run, setup.pit.pace.pitC, setup.pit.pace.bandC);

/** A likely pit that something is tried in. */
interface Trial {
  seed: number;
  /** How it may differ from what its owner thinks; as nobody knows it where left out. */
  sd?: PitVariationSd;
  /** Whether fuel and wind are as they come: another bag of charcoal, splits of any moisture, gusts. */
  asItComes?: boolean;
}

/** A setup in one likely pit, tended by an operator who reads that pit's own thermometer. */
export function runInLikelyPit(
  setup: PitSetup,
  scenario: Scenario,
  operatorOf: (scenario: Scenario) => Operator,
  { seed, sd, asItComes = false }: Trial,
): Result {
  const random = seeded(seed);
  const likely = drawLikelyPit(scenario, setup.parameters, random, sd);
  const day = asItComes ? withGusts(likely.scenario, random) : likely.scenario;
  const operator = likely.withItsProbe(operatorOf(day));
  const cook = createCook(day, {
    operator: asItComes ? withLikelySplits(operator, random) : operator,
  });
  if (asItComes) cook.pit!.unlit.paceFactor *= random.logNormal(FUEL_SD.pace);
  return resultOf(advance(cook, day.untilMin));
}

/** How well it is held there. */
export const scoreInLikelyPit = (
  setup: PitSetup,
  ...how: [scenario: Scenario, operatorOf: (scenario: Scenario) => Operator, trial: Trial]
): HoldingScore => scoreSetup(setup, runInLikelyPit(setup, ...how));

/** Tries a policy in every trial pit, each with a thermometer of its own, and pools the scores. */
export function scoreInTrialPits(
  setup: PitSetup,
  scenario: Scenario,
  policy: ControlPolicy,
): HoldingScore {
  const operator = (): Operator => operatorFor(setup, scenario, policy);
  return poolScores(
    TRIAL_SEEDS.map((seed) =>
      scoreInLikelyPit(setup, scenario, operator, { seed, asItComes: setup.onSplits }),
    ),
  );
}

const poolScores = (scores: readonly HoldingScore[]): HoldingScore => ({
  meanC: mean(scores.map((s) => s.meanC)),
  rmsK: rms(scores.map((s) => s.rmsK)),
  outFraction: mean(scores.map((s) => s.outFraction)),
  whiteFraction: mean(scores.map((s) => s.whiteFraction)),
  visitsPerHour: mean(scores.map((s) => s.visitsPerHour)),
});

/** The best candidate: of those in the band as long as any, the cleanest; of those, the one with fewest visits. */
export function bestCandidate<T extends { score: HoldingScore }>(
  candidates: readonly T[],
  bandC: number,
  { asGood, swing } = SELECTION.vents,
): T {
  const keep = (of: readonly T[], by: (s: HoldingScore) => number, slack: number): T[] => {
    const least = Math.min(...of.map((c) => by(c.score)));
    return of.filter((c) => by(c.score) <= least + slack);
  };
  const inBand = keep(candidates, (s) => s.outFraction + swing * (s.rmsK / bandC) ** 2, asGood);
  const clean = keep(inBand, (s) => s.whiteFraction, asGood);
  return keep(clean, (s) => s.visitsPerHour, 0)[0]!;
}
