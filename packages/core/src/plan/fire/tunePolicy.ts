/**
 * Works out the guide that a fire is held by, on the simulated pit: where its vents stand, what a move of
 * them is worth, how it is fed. Time in the band counts first, then clean smoke, then the number of visits.
 */
import type { Weather } from '../../scenario/weather';
import { simulate } from '../../cook/cook';
import {
  habitPolicy,
  NEVER,
  withHoldingIntake,
  type ControlPolicy,
} from '../../control/controlPolicy';
import type { Result, Scenario } from '../../scenario/scenario';
import { nearestSettableOpening } from '../../control/simulatedOperator';
import { finestStep } from '../../pit/ventNotation';
import type { Preset } from '../../pit/types';
import { hasSmallFirebox, usualFire } from '../../pit/usualFire';
import { presetOf } from '../../pit/catalogue';
import { seeded } from '../../quantity/random';
import { mean } from '../../quantity/statistics';
import { clamp } from '../../quantity/units';
import { drawLikelyPit } from '../../sampling/likelyPits';
import { otherSetups, USUAL_WOOD, type PitSetup } from './designFire';
import {
  operatorFor,
  JUDGED_FROM_MIN,
  plannedScenario,
  scoreRun,
  simulatePolicy,
  type MeatSchedule,
  type HoldingScore,
} from './policyTrial';

/** A guide, and how it stands up. */
export interface TunedPolicy {
  /** The pit as it is best set up for it. */
  setup: PitSetup;
  policy: ControlPolicy;
  /** Where the pit settles under it in the middle of the road, C. */
  settlesC: number;
  /** How it did in the pits it was tried on. */
  score: HoldingScore;
}

/** Trials run this long, min; the load goes on at this minute. */
const TRIAL_MIN = 285;
/**
 * How finely time in the band is told in two trial pits: ways within a share of time of the best one are as good
 * as it, and a pit that wanders inside its band is the worse for it by so much time at an RMS of a whole band.
 * Splits swing whatever is done, and each feed is somebody's way to the pit.
 */
const SELECTION = {
  vents: { asGood: 0.025, wander: 0.15 },
  splits: { asGood: 0.05, wander: 0 },
};
/** Seeds of the pits that candidates are tried on: one middling, two unlike it. */
const TRIAL_SEEDS = [11, 12];

/**
 * Feeds that are tried, min between two (common practice 25-65). Thick splits last, thin ones overlap: what lies
 * between swings most. Small fireboxes want more visits.
 */
const SPLIT_INTERVALS_MIN = { heavy: [50, 45, 20], light: [30, 20, 15] } as const;
/** Wood burnt an hour for each K over the air, kg (what the model's offsets take; the trials correct it). */
const SPLIT_KG_PER_HK = { heavy: 0.0113, light: 0.0078 };
/** Share of a split's mass that goes on as lump beside it: small beds go out on wood alone. */
const LUMP_FRACTION = { heavy: 0, light: 0.4 } as const;
/** Chunks with each top-up of a firebox fed by hand (common practice: one or two). */
const TOP_UP_CHUNKS = { massG: 60, count: 1 };
/** Minutes that one handful is for in a firebox fed by hand. */
const TOP_UP_FOR_MIN = [40, 25];

/** What a good cook would begin with, before anything has been tried. */
export function initialPolicy(setup: PitSetup): ControlPolicy {
  const { preset, pit, fire } = setup;
  const { intake, exhaust } = preset.travelMm;
  const told = pit.ventWay ?? preset.ventNotation;
  const step = Math.max(finestStep(told, intake), finestStep(told, exhaust) / 2);
  // A firebox on charcoal behaves like a kettle with its vents.
  const like = setup.handFed || (preset.family === 'offset' && !setup.onSplits);
  const base = like
    ? habitPolicy(presetOf('kettle-57'), usualFire(presetOf('kettle-57')), pit.pace.pitC, false)
    : habitPolicy(preset, fire, pit.pace.pitC, setup.onSplits);
  return {
    ...base,
    finest: { small: Math.min(step, 0.03125), wide: step },
    chunks: setup.handFed ? { species: pit.fire.species ?? USUAL_WOOD, ...TOP_UP_CHUNKS } : null,
  };
}

/** Settles how a pit is set up and held. Yields the share done. */
export function* tunePolicy(
  usual: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, TunedPolicy> {
  const setups = [usual, ...otherSetups(usual)];
  const made: TunedPolicy[] = [];
  for (const [i, setup] of setups.entries()) {
    const work = tuneSetup(setup, weather, schedule);
    let step = work.next();
    for (; !step.done; step = work.next()) yield (i + step.value) / setups.length;
    made.push(step.value);
  }
  return bestCandidate(made, usual.pit.pace.bandC);
}

function* tuneSetup(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, TunedPolicy> {
  if (setup.underFan) {
    const run = simulate(plannedScenario(setup, weather, schedule, TRIAL_MIN));
    yield 1;
    const score = scoreSetup(setup, run);
    return { setup, policy: initialPolicy(setup), settlesC: score.meanC, score };
  }
  return yield* setup.onSplits
    ? tuneSplits(setup, weather, schedule)
    : tuneVents(setup, weather, schedule);
}

const scoreSetup = (setup: PitSetup, run: Result): HoldingScore =>
  scoreRun(run, setup.pit.pace.pitC, setup.pit.pace.bandC);

/** The pits that candidates are tried on, each with its own thermometer. */
function trialPits(
  setup: PitSetup,
  scenario: Scenario,
): ((policy: ControlPolicy) => HoldingScore)[] {
  return TRIAL_SEEDS.map((seed) => (policy) => {
    const drawn = drawLikelyPit(scenario, setup.parameters, seeded(seed));
    const hand = drawn.withItsProbe(operatorFor(setup, scenario, policy));
    return scoreSetup(setup, simulate(drawn.scenario, { operator: hand }));
  });
}

const poolScores = (scores: readonly HoldingScore[]): HoldingScore => ({
  meanC: mean(scores.map((s) => s.meanC)),
  rmsK: Math.sqrt(mean(scores.map((s) => s.rmsK ** 2))),
  outFraction: mean(scores.map((s) => s.outFraction)),
  whiteFraction: mean(scores.map((s) => s.whiteFraction)),
  visitsPerHour: mean(scores.map((s) => s.visitsPerHour)),
});

/** The best of some: nearly all in the band as long as any, then cleanest, then fewest visits. */
export function bestCandidate<T extends { score: HoldingScore }>(
  candidates: readonly T[],
  bandC: number,
  { asGood, wander } = SELECTION.vents,
): T {
  const keep = (of: readonly T[], by: (s: HoldingScore) => number, slack: number): T[] => {
    const least = Math.min(...of.map((c) => by(c.score)));
    return of.filter((c) => by(c.score) <= least + slack);
  };
  const inBand = keep(candidates, (s) => s.outFraction + wander * (s.rmsK / bandC) ** 2, asGood);
  const clean = keep(inBand, (s) => s.whiteFraction, asGood);
  return keep(clean, (s) => s.visitsPerHour, 0)[0]!;
}

/** Vents: where they hold the target, what they are worth, and how hastily to move them. */
function* tuneVents(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, TunedPolicy> {
  const scenario = plannedScenario(setup, weather, schedule, TRIAL_MIN);
  const first = initialPolicy(setup);
  const { pitC: target, bandC } = setup.pit.pace;
  const held = meanHeldIntake(simulatePolicy(setup, scenario, first), first.hold.intake);
  yield 0.1;
  // What an e-fold of the opening is worth here: the same fire a little tighter and a little wider, left alone.
  const alone = (intake: number): number =>
    scoreSetup(
      setup,
      simulatePolicy(setup, scenario, { ...withHoldingIntake(first, intake), deadbandK: NEVER }),
    ).meanC;
  const [tight, wide] = [clamp(held * 0.8, 0.01, 0.9), clamp(held * 1.25, 0.02, 1)];
  const [low, high] = [alone(tight), alone(wide)];
  yield 0.3;
  const perFoldK = clamp((high - low) / Math.log(wide / tight), 12, 150);
  const middle = Math.sqrt(tight * wide);
  const intake = clamp(middle * Math.exp((target - (low + high) / 2) / perFoldK), 0.01, 1);
  const guide = {
    ...withHoldingIntake(first, nearestSettableOpening(first, intake)),
    kelvinPerEFold: perFoldK,
  };
  const run = trialPits(setup, scenario);
  const made: { policy: ControlPolicy; score: HoldingScore }[] = [];
  const options = [
    { gain: 1.2, waitMin: first.waitMin },
    { gain: 0.7, waitMin: first.waitMin },
    { gain: 0.9, waitMin: first.waitMin + 15 },
    { gain: 0.4, waitMin: first.waitMin + 5 },
    { gain: 0.6, waitMin: first.waitMin, closeBelowK: first.closeBelowK + 8 },
  ];
  const more = setup.handFed
    ? TOP_UP_FOR_MIN.map((forMin) => ({ topUp: { belowMin: 40, forMin } }))
    : [];
  for (const [i, option] of [...options, ...more].entries()) {
    // How it is fed is tried with the vents moved as has proved best.
    const by = i < options.length ? guide : bestCandidate(made, bandC).policy;
    const g = { ...by, ...option };
    made.push({ policy: g, score: poolScores(run.map((t) => t(g))) });
    yield 0.3 + (0.65 * (i + 1)) / (options.length + more.length);
  }
  const chosen = bestCandidate(made, bandC);
  const settles = scoreSetup(setup, simulatePolicy(setup, scenario, chosen.policy));
  yield 1;
  return { setup, policy: chosen.policy, settlesC: settles.meanC, score: chosen.score };
}

/** Where a tender kept the intake, mean of its logarithm over time once settled. */
function meanHeldIntake(run: Result, otherwise: number): number {
  const end = run.minutes.at(-1)!;
  let at = JUDGED_FROM_MIN;
  let now = otherwise;
  let sum = 0;
  for (const a of run.happened) {
    if (a.do !== 'set-vents') continue;
    if (a.atMin > at) {
      sum += Math.log(now) * (a.atMin - at);
      at = a.atMin;
    }
    now = Math.max(a.intakeFraction, 0.005);
  }
  sum += Math.log(now) * (end - at);
  return Math.exp(sum / (end - JUDGED_FROM_MIN));
}

/** How often splits are fed in the trials, min between two, where nobody said. */
export const splitIntervals = (preset: Preset): readonly number[] =>
  SPLIT_INTERVALS_MIN[hasSmallFirebox(preset) ? 'light' : 'heavy'];

/** Splits: how often, and how heavy. A round is learnt in the middle of the road, then tried on other pits. */
function* tuneSplits(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, TunedPolicy> {
  const size = hasSmallFirebox(setup.preset) ? 'light' : 'heavy';
  const scenario = plannedScenario(setup, weather, schedule, TRIAL_MIN);
  const first = initialPolicy(setup);
  const run = trialPits(setup, scenario);
  const hotter = setup.pit.pace.pitC - weather.airC;
  const lumpShare = LUMP_FRACTION[size];
  const { everyMin: wished } = setup.pit.fire;
  const all = wished ? [wished] : splitIntervals(setup.preset);
  const made: { policy: ControlPolicy; score: HoldingScore; settlesC: number }[] = [];
  for (const [i, everyMin] of all.entries()) {
    const kg = (SPLIT_KG_PER_HK[size] * hotter * everyMin) / 60 / (1 + 1.6 * lumpShare);
    const guess = splitPolicy(first, kg, everyMin, lumpShare);
    const learnt = simulatePolicy(setup, scenario, guess);
    const last = learnt.happened
      .flatMap((a) => (a.do === 'add-fuel' && a.fuel === 'splits' ? [a.massKg!] : []))
      .slice(-4);
    const policy = splitPolicy(first, last.length > 0 ? mean(last) : kg, everyMin, lumpShare);
    const score = poolScores(run.map((t) => t(policy)));
    made.push({ policy, score, settlesC: scoreSetup(setup, learnt).meanC });
    yield (i + 1) / all.length;
  }
  const chosen = bestCandidate(made, setup.pit.pace.bandC, SELECTION.splits);
  return { setup, ...chosen };
}

/** A split of that mass every so often, its weight corrected from round to round. */
function splitPolicy(
  first: ControlPolicy,
  kg: number,
  everyMin: number,
  lumpShare: number,
): ControlPolicy {
  return {
    ...first,
    feed: {
      ...first.feed!,
      kg,
      lightestKg: 0.4 * kg,
      heaviestKg: 1.8 * kg,
      leastMin: everyMin,
      mostMin: everyMin,
      firstMin: 20,
      bedKg: 0.5 * first.feed!.bedKg,
      lumpKg: lumpShare * kg,
      skipOverK: 14,
      learnPerK: 0.006,
      nowPerK: 0.006,
      learnFromMin: 90,
      // The damper is left alone: it buys half a degree for a visit more in every round.
      dampOverK: NEVER,
    },
  };
}
