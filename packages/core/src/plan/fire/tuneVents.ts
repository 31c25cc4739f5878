/** Works out how a charcoal fire is held by its vents: where they stand, what a move is worth, how often to move. */
import { withHoldingIntake, type ControlPolicy } from '../../control/controlPolicy';
import { nearestSettableOpening } from '../../control/simulatedOperator';
import { clamp } from '../../quantity/units';
import type { Result } from '../../scenario/result';
import type { Scenario } from '../../scenario/scenario';
import type { Weather } from '../../air/weather';
import type { PitSetup } from './designFire';
import { initialPolicy } from './initialPolicy';
import { judgedFromMin, plannedScenario, simulatePolicy, type MeatSchedule } from './policyTrial';
import {
  bestCandidate,
  scoreInTrialPits,
  scoreSetup,
  TRIAL_MIN,
  type Candidate,
} from './trialPits';
import type { HeldSetup } from './tunedPolicy';

/** How long one handful lasts in a firebox fed by hand, min: tried. */
const TOP_UP_FOR_MIN = [40, 25];
/** Such a firebox is topped up when its charcoal lasts less than this, min. */
const TOP_UP_BELOW_MIN = 40;
/** Where the intake stood before this says little about where it holds, min after lighting. */
const SETTLED_MIN = 75;
/** How far and how long the intake stays open beyond holding while walls take up heat: tried. */
const SOAKS = [
  { times: 1.6, forMin: 40 },
  { times: 2.2, forMin: 40 },
  { times: 1.6, forMin: 80 },
];
/** Plausible worth of opening the intake by a factor e, K. */
const KELVIN_PER_E_FOLD = { least: 12, most: 150 };

/** How hastily vents may be moved: tried one after another. */
const moveOptions = (first: ControlPolicy): Partial<ControlPolicy>[] => [
  { gain: 1.2, waitMin: first.waitMin },
  { gain: 0.7, waitMin: first.waitMin },
  { gain: 0.9, waitMin: first.waitMin + 15 },
  { gain: 0.4, waitMin: first.waitMin + 5 },
  { gain: 0.6, waitMin: first.waitMin, closeBelowK: first.closeBelowK + 8 },
  ...SOAKS.map((soak) => ({ gain: 0.9, waitMin: first.waitMin, soak, closeBelowK: 4 })),
];

/** Tunes a setup held by its vents. Yields the share done. */
export function* tuneVents(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, HeldSetup> {
  const scenario = plannedScenario(setup, weather, schedule, TRIAL_MIN);
  const first = initialPolicy(setup);
  const { bandC } = setup.pit.pace;
  const held = meanHeldIntake(simulatePolicy(setup, scenario, first), first.hold.intake);
  yield 0.1;
  const policy = settledPolicy(setup, scenario, first, held);
  yield 0.3;
  const made: Candidate[] = [];
  const moves = moveOptions(first);
  const topUps = setup.handFed
    ? TOP_UP_FOR_MIN.map((forMin) => ({ topUp: { belowMin: TOP_UP_BELOW_MIN, forMin } }))
    : [];
  for (const [i, option] of [...moves, ...topUps].entries()) {
    // Feeding is tried with the vent moves that have proved best.
    const base = i < moves.length ? policy : bestCandidate(made, bandC).policy;
    const candidate = { ...base, ...option };
    made.push({ policy: candidate, score: scoreInTrialPits(setup, scenario, candidate) });
    yield 0.3 + (0.65 * (i + 1)) / (moves.length + topUps.length);
  }
  const chosen = bestCandidate(made, bandC);
  const settles = scoreSetup(setup, simulatePolicy(setup, scenario, chosen.policy));
  yield 1;
  return { setup, policy: chosen.policy, settlesC: settles.meanC, score: chosen.score };
}

/**
 * The policy with the intake that settles at the target, and what a move of it is worth: the same fire run a
 * little tighter and a little wider than `held`, with its vents left alone.
 */
function settledPolicy(
  setup: PitSetup,
  scenario: Scenario,
  first: ControlPolicy,
  held: number,
): ControlPolicy {
  const settlesAt = (intake: number): number => {
    const leftAlone = { ...withHoldingIntake(first, intake), deadbandK: null };
    return scoreSetup(setup, simulatePolicy(setup, scenario, leftAlone)).meanC;
  };
  const [tight, wide] = [clamp(held * 0.8, 0.01, 0.9), clamp(held * 1.25, 0.02, 1)];
  const [low, high] = [settlesAt(tight), settlesAt(wide)];
  const { least, most } = KELVIN_PER_E_FOLD;
  const kelvinPerEFold = clamp((high - low) / Math.log(wide / tight), least, most);
  const between = Math.sqrt(tight * wide);
  const missingK = setup.pit.pace.pitC - (low + high) / 2;
  const intake = clamp(between * Math.exp(missingK / kelvinPerEFold), 0.01, 1);
  return {
    ...withHoldingIntake(first, nearestSettableOpening(first, intake)),
    kelvinPerEFold,
  };
}

/** Where the operator kept the intake once settled: the mean of its logarithm over time. */
function meanHeldIntake(run: Result, otherwise: number): number {
  const end = run.minutes.at(-1)!;
  const from = Math.max(judgedFromMin(run.happened), SETTLED_MIN);
  let at = from;
  let intake = otherwise;
  let sum = 0;
  for (const a of run.happened) {
    if (a.do !== 'set-vents') continue;
    if (a.atMin > at) {
      sum += Math.log(intake) * (a.atMin - at);
      at = a.atMin;
    }
    intake = Math.max(a.intakeFraction, 0.005);
  }
  sum += Math.log(intake) * (end - at);
  return Math.exp(sum / (end - from));
}
