/**
 * Works out the guide that a fire is held by, on the simulated pit: where its vents stand, what a move of
 * them is worth, how it is fed. Time in the band counts first, then clean smoke, then the number of visits.
 */
import type { Weather } from '../air/weather';
import { simulate } from '../cook/cook';
import { habitGuide, NEVER, withHold, type Guide } from '../cook/guide';
import type { Result, Scenario } from '../cook/scenario';
import { sayable } from '../cook/tender';
import { handStep } from '../pit/ventNames';
import type { Preset } from '../pit/types';
import { smallFirebox, usualFire } from '../pit/usual';
import { presetOf } from '../pit/catalogue';
import { seeded } from '../quantity/random';
import { mean } from '../quantity/statistics';
import { clamp } from '../quantity/units';
import { drawPit } from './ensemble';
import { otherWays, USUAL_WOOD, type Way } from './lay';
import {
  handFor,
  JUDGED_FROM_MIN,
  scenarioOf,
  scoreOf,
  tried,
  type Load,
  type Score,
} from './trial';

/** A guide, and how it stands up. */
export interface Tuned {
  /** The pit as it is best set up for it. */
  way: Way;
  guide: Guide;
  /** Where the pit settles under it in the middle of the road, C. */
  settlesC: number;
  /** How it did in the pits it was tried on. */
  score: Score;
}

/** Trials run this long, min; the load goes on at this minute. */
const TRIAL_MIN = 285;
/**
 * How finely time in the band is told in two trial pits: ways within a share of time of the best one are as good
 * as it, and a pit that wanders inside its band is the worse for it by so much time at an RMS of a whole band.
 * Splits swing whatever is done, and each feed is somebody's way to the pit.
 */
const TOLD = {
  vents: { asGood: 0.025, wander: 0.15 },
  splits: { asGood: 0.05, wander: 0 },
};
/** Seeds of the pits that candidates are tried on: one middling, two unlike it. */
const TRIAL_SEEDS = [11, 12];

/**
 * Feeds that are tried, min between two (common practice 25-65). Thick splits last, thin ones overlap: what lies
 * between swings most. Small fireboxes want more visits.
 */
const INTERVALS = { heavy: [50, 45, 20], light: [30, 20, 15] } as const;
/** Wood burnt an hour for each K over the air, kg (what the model's offsets take; the trials correct it). */
const SPLIT_KG_PER_HK = { heavy: 0.0113, light: 0.0078 };
/** Share of a split's mass that goes on as lump beside it: small beds go out on wood alone. */
const LUMP_SHARE = { heavy: 0, light: 0.4 } as const;
/** Chunks with each top-up of a firebox fed by hand (common practice: one or two). */
const FED_CHUNKS = { massG: 60, count: 1 };
/** Minutes that one handful is for in a firebox fed by hand. */
const FED_FOR_MIN = [40, 25];

/** What a good cook would begin with, before anything has been tried. */
export function firstGuide(way: Way): Guide {
  const { preset, pit, fire } = way;
  const { intake, exhaust } = preset.travelMm;
  const told = pit.ventWay ?? preset.ventWay;
  const step = Math.max(handStep(told, intake), handStep(told, exhaust) / 2);
  // A firebox on charcoal behaves like a kettle with its vents.
  const like = way.fed || (preset.family === 'offset' && !way.splits);
  const base = like
    ? habitGuide(presetOf('kettle-57'), usualFire(presetOf('kettle-57')), pit.pace.pitC, false)
    : habitGuide(preset, fire, pit.pace.pitC, way.splits);
  return {
    ...base,
    finest: { small: Math.min(step, 0.03125), wide: step },
    chunks: way.fed ? { species: pit.fire.species ?? USUAL_WOOD, ...FED_CHUNKS } : null,
  };
}

/** Settles how a pit is set up and held. Yields the share done. */
export function* tune(usual: Way, weather: Weather, load: Load): Generator<number, Tuned> {
  const ways = [usual, ...otherWays(usual)];
  const made: Tuned[] = [];
  for (const [i, way] of ways.entries()) {
    const work = tuneWay(way, weather, load);
    let step = work.next();
    for (; !step.done; step = work.next()) yield (i + step.value) / ways.length;
    made.push(step.value);
  }
  return best(made, usual.pit.pace.bandC);
}

function* tuneWay(way: Way, weather: Weather, load: Load): Generator<number, Tuned> {
  if (way.fanned) {
    const run = simulate(scenarioOf(way, weather, load, TRIAL_MIN));
    yield 1;
    const score = judge(way, run);
    return { way, guide: firstGuide(way), settlesC: score.meanC, score };
  }
  return yield* way.splits ? tuneSplits(way, weather, load) : tuneVents(way, weather, load);
}

const judge = (way: Way, run: Result): Score => scoreOf(run, way.pit.pace.pitC, way.pit.pace.bandC);

/** The pits that candidates are tried on, each with its own thermometer. */
function trials(way: Way, scenario: Scenario): ((guide: Guide) => Score)[] {
  return TRIAL_SEEDS.map((seed) => (guide) => {
    const drawn = drawPit(scenario, way.physics, seeded(seed));
    const hand = drawn.through(handFor(way, scenario, guide));
    return judge(way, simulate(drawn.scenario, { hand }));
  });
}

const together = (scores: readonly Score[]): Score => ({
  meanC: mean(scores.map((s) => s.meanC)),
  rmsK: Math.sqrt(mean(scores.map((s) => s.rmsK ** 2))),
  outFraction: mean(scores.map((s) => s.outFraction)),
  whiteFraction: mean(scores.map((s) => s.whiteFraction)),
  visitsPerHour: mean(scores.map((s) => s.visitsPerHour)),
});

/** The best of some: nearly all in the band as long as any, then cleanest, then fewest visits. */
export function best<T extends { score: Score }>(
  candidates: readonly T[],
  bandC: number,
  { asGood, wander } = TOLD.vents,
): T {
  const keep = (of: readonly T[], by: (s: Score) => number, slack: number): T[] => {
    const least = Math.min(...of.map((c) => by(c.score)));
    return of.filter((c) => by(c.score) <= least + slack);
  };
  const inBand = keep(candidates, (s) => s.outFraction + wander * (s.rmsK / bandC) ** 2, asGood);
  const clean = keep(inBand, (s) => s.whiteFraction, asGood);
  return keep(clean, (s) => s.visitsPerHour, 0)[0]!;
}

/** Vents: where they hold the target, what they are worth, and how hastily to move them. */
function* tuneVents(way: Way, weather: Weather, load: Load): Generator<number, Tuned> {
  const scenario = scenarioOf(way, weather, load, TRIAL_MIN);
  const first = firstGuide(way);
  const { pitC: target, bandC } = way.pit.pace;
  const held = heldIntake(tried(way, scenario, first), first.hold.intake);
  yield 0.1;
  // What an e-fold of the opening is worth here: the same fire a little tighter and a little wider, left alone.
  const alone = (intake: number): number =>
    judge(way, tried(way, scenario, { ...withHold(first, intake), leaveK: NEVER })).meanC;
  const [tight, wide] = [clamp(held * 0.8, 0.01, 0.9), clamp(held * 1.25, 0.02, 1)];
  const [low, high] = [alone(tight), alone(wide)];
  yield 0.3;
  const perFoldK = clamp((high - low) / Math.log(wide / tight), 12, 150);
  const middle = Math.sqrt(tight * wide);
  const intake = clamp(middle * Math.exp((target - (low + high) / 2) / perFoldK), 0.01, 1);
  const guide = { ...withHold(first, sayable(first, intake)), perFoldK };
  const run = trials(way, scenario);
  const made: { guide: Guide; score: Score }[] = [];
  const options = [
    { gain: 1.2, waitMin: first.waitMin },
    { gain: 0.7, waitMin: first.waitMin },
    { gain: 0.9, waitMin: first.waitMin + 15 },
    { gain: 0.4, waitMin: first.waitMin + 5 },
    { gain: 0.6, waitMin: first.waitMin, closeBelowK: first.closeBelowK + 8 },
  ];
  const more = way.fed ? FED_FOR_MIN.map((forMin) => ({ topUp: { belowMin: 40, forMin } })) : [];
  for (const [i, option] of [...options, ...more].entries()) {
    // How it is fed is tried with the vents moved as has proved best.
    const by = i < options.length ? guide : best(made, bandC).guide;
    const g = { ...by, ...option };
    made.push({ guide: g, score: together(run.map((t) => t(g))) });
    yield 0.3 + (0.65 * (i + 1)) / (options.length + more.length);
  }
  const chosen = best(made, bandC);
  const settles = judge(way, tried(way, scenario, chosen.guide));
  yield 1;
  return { way, guide: chosen.guide, settlesC: settles.meanC, score: chosen.score };
}

/** Where a tender kept the intake, mean of its logarithm over time once settled. */
function heldIntake(run: Result, otherwise: number): number {
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
export const feedIntervals = (preset: Preset): readonly number[] =>
  INTERVALS[smallFirebox(preset) ? 'light' : 'heavy'];

/** Splits: how often, and how heavy. A round is learnt in the middle of the road, then tried on other pits. */
function* tuneSplits(way: Way, weather: Weather, load: Load): Generator<number, Tuned> {
  const size = smallFirebox(way.preset) ? 'light' : 'heavy';
  const scenario = scenarioOf(way, weather, load, TRIAL_MIN);
  const first = firstGuide(way);
  const run = trials(way, scenario);
  const hotter = way.pit.pace.pitC - weather.airC;
  const lumpShare = LUMP_SHARE[size];
  const { everyMin: wished } = way.pit.fire;
  const all = wished ? [wished] : feedIntervals(way.preset);
  const made: { guide: Guide; score: Score; settlesC: number }[] = [];
  for (const [i, everyMin] of all.entries()) {
    const kg = (SPLIT_KG_PER_HK[size] * hotter * everyMin) / 60 / (1 + 1.6 * lumpShare);
    const guess = splitGuide(first, kg, everyMin, lumpShare);
    const learnt = tried(way, scenario, guess);
    const last = learnt.happened
      .flatMap((a) => (a.do === 'add-fuel' && a.fuel === 'splits' ? [a.massKg!] : []))
      .slice(-4);
    const guide = splitGuide(first, last.length > 0 ? mean(last) : kg, everyMin, lumpShare);
    const score = together(run.map((t) => t(guide)));
    made.push({ guide, score, settlesC: judge(way, learnt).meanC });
    yield (i + 1) / all.length;
  }
  const chosen = best(made, way.pit.pace.bandC, TOLD.splits);
  return { way, ...chosen };
}

/** A split of that mass every so often, its weight corrected from round to round. */
function splitGuide(first: Guide, kg: number, everyMin: number, lumpShare: number): Guide {
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
