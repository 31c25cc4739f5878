/**
 * The likely cooks behind everything that is said of a cook under way: the same pits and the same pieces for
 * its forecast and for its meat, so that one page never says two things.
 */
import {
  measuredAir,
  OFFSET_MEMORY_MIN,
  tracePit,
  type MeasuredPit,
  type ProbeReading,
  type PitTrace,
} from '../estimate/measuredAir';
import {
  drawLikelyPiece,
  estimatePiece,
  mostLikelyPiece,
  type LikelyPiece,
  type PieceEstimate,
} from '../estimate/pieceEstimate';
import type { FireEstimator } from '../estimate/fireEstimate';
import { fuelLeftFraction, membersAhead, type MemberAhead } from '../estimate/fireState';
import type { WeatherReading } from '../estimate/measuredWeather';
import { FollowedFire } from '../estimate/followedFire';
import type { FeltTender } from '../estimate/feltTenderness';
import type { Surroundings } from '../meat/surface';
import type { Scenario } from '../scenario/scenario';
import { pitWith, presetOf } from '../pit/catalogue';
import { drawLikelyCook } from '../sampling/likelyPits';
import { seeded } from '../quantity/random';
import { p10p50p90 } from '../quantity/statistics';
import type { SmokeLook } from '../log/lookKinds';
import { remainingScenario, withoutRules, type CookInProgress } from './remainingScenario';

export interface ForecastInput extends CookInProgress {
  /** What the thermometers said, minutes after lighting, in order; `coreC` is of the piece that is asked about. */
  readings: ProbeReading[];
  /** The piece that is asked about, by its id. */
  piece: string;
  /** What a weather station at the pit reported, minutes after lighting; none when left out. */
  weather?: WeatherReading[];
  /** How tender the piece that is asked about felt; nothing when left out. */
  felt?: FeltTender[];
  /** What the smoke looked like, minutes after lighting; nothing when left out. */
  smoke?: { atMin: number; smoke: SmokeLook }[];
  /** How far the pit may stray from its target, K; as usual when left out. */
  bandK?: number;
  /** Likely cooks that are run. */
  members: number;
  /** Seed of the draws. */
  seed: number;
}

export interface LikelyCooks {
  /** The scenario to run on from here, with the piece that is asked about alone on the grate. */
  remaining: Scenario;
  /** The place of that piece in the list of the cook. */
  pieceIndex: number;
  /** Now, in whole minutes after lighting. */
  now: number;
  /** The pit of the reference cook. */
  expected: PitTrace;
  /** The piece as its readings tell it; null without readings. */
  estimate: PieceEstimate | null;
  /** A pit and a piece each; the first is the reference cook. */
  members: { drawn: LikelyPiece; measured: MeasuredPit }[];
  /** The fire as its readings tell it; null where nothing burns. */
  fire: FireEstimator | null;
  /** When its charcoal is too little, minutes after lighting: p10, p50, p90 of the likely ones; null where it lasts. */
  fuelOutMin: [number | null, number | null, number | null] | null;
}

/**
 * Draws the likely cooks for what was done and read so far. `fire` keeps what was made of the fire from one question
 * to the next.
 */
export function likelyCooks(input: ForecastInput, fire = new FollowedFire()): LikelyCooks {
  const { scenario, nowMin, readings } = input;
  const base = remainingScenario(input);
  const pieceIndex = Math.max(
    base.meats.findIndex((m) => m.id === input.piece),
    0,
  );
  const alone = { ...base, meats: base.meats.slice(pieceIndex, pieceIndex + 1) };
  const now = Math.max(0, Math.round(nowMin));
  const expected = tracePit(base, scenario.untilMin, pieceIndex);
  const random = seeded(input.seed);
  const estimator = fire.at({ ...input, scenario: withoutRules(base) });
  const runs = estimator && runsOfFire(estimator, expected, base, input.members, pieceIndex);
  const airs = runs
    ? airsOfFire(estimator, runs, expected, base, pieceIndex)
    : airsOfDraws(input, base, expected);
  const estimate = estimatePiece({ scenario: alone, measured: airs[0]!, readings, nowMin });
  const members = airs.map((measured, i) => ({
    measured,
    drawn: i === 0 ? mostLikelyPiece(estimate) : drawLikelyPiece(estimate, random),
  }));
  const fuelOutMin = runs && fuelOutOf(estimator, runs);
  return {
    remaining: alone,
    pieceIndex,
    now,
    expected,
    estimate,
    members,
    fire: estimator,
    fuelOutMin,
  };
}

/** The members of an estimate run on to the end of the reference cook. */
const runsOfFire = (
  estimator: FireEstimator,
  expected: PitTrace,
  base: Scenario,
  count: number,
  pieceIndex: number,
): MemberAhead[] =>
  membersAhead(
    estimator,
    Math.max(expected.air.length - 1 - Math.round(estimator.atMin), 0),
    base.actions,
    count,
    pieceIndex,
  );

/** Under this share of all that was given, charcoal is too little to hold a pit. */
const TOO_LITTLE = 0.08;

/** When the charcoal of the runs is too little, minutes after lighting; null where it lasts in most, or wood burns. */
function fuelOutOf(
  estimator: FireEstimator,
  runs: readonly MemberAhead[],
): LikelyCooks['fuelOutMin'] {
  if (fuelLeftFraction(estimator) === null) return null;
  const from = Math.round(estimator.atMin);
  const out = runs.map(({ fuelLeft }) => {
    const i = fuelLeft.findIndex((share) => share < TOO_LITTLE);
    return i < 0 ? Infinity : from + i;
  });
  const [soonest, middle, latest] = p10p50p90(out).map((m) => (Number.isFinite(m) ? m : null));
  return soonest === null ? null : [soonest!, middle!, latest!];
}

/** What was, as the estimate of the fire has it, and what is to come, as its members run on. */
function airsOfFire(
  estimator: FireEstimator,
  runs: readonly MemberAhead[],
  expected: PitTrace,
  base: Scenario,
  pieceIndex: number,
): MeasuredPit[] {
  const from = Math.round(estimator.atMin);
  const last = expected.air.length - 1;
  const past = estimator.air[pieceIndex] ?? [];
  const targetAt = targetsOf(base, expected);
  return runs.map((run) => {
    // Pieces ask for their air several times a minute: what tending adds is worked out once for each.
    const tendedK = Float64Array.from(run.pitC, (c, since) => {
      const { c: target, sinceSet } = targetAt(from + since);
      return sinceSet === null
        ? tendingK(target, c, since)
        : SET_SHARE * (target - c) * (1 - Math.exp(-Math.min(sinceSet, since) / SET_MIN));
    });
    const at = (atMin: number): number => Math.min(Math.max(Math.round(atMin), 0), last);
    const air: Surroundings = { ...expected.air[0]! };
    return {
      pitC: (atMin) => {
        const i = at(atMin);
        return i < from
          ? (estimator.pitC[i] ?? expected.pitC[i]!)
          : run.readC[i - from]! + tendedK[i - from]!;
      },
      air:
        (biasK = 0) =>
        (atMin) => {
          const i = at(atMin);
          Object.assign(air, i < from ? (past[i] ?? expected.air[i]!) : run.air[i - from]!);
          const k = biasK + (i < from ? 0 : tendedK[i - from]!);
          air.airC += k;
          air.wallC += k;
          return air;
        },
    };
  });
}

/** How much of what a pit does by itself tending takes away in the long run; the rest is left inside its band. */
const TENDED_SHARE = 0.75;

/** A pit is tended: what it would do by itself is brought to its target over an hour or so. By how much, K. */
const tendingK = (targetC: number, byItselfC: number, sinceMin: number): number =>
  TENDED_SHARE * (targetC - byItselfC) * (1 - Math.exp(-sinceMin / OFFSET_MEMORY_MIN));

/** A pit that is expected to leave its target by more than this is not left alone, K. */
const TENDED_K = 15;

/** A pit that is set to another target comes to it with this, min (common practice: half an hour to an hour). */
const SET_MIN = 20;
/** And is held there as well as a pit is held. */
const SET_SHARE = 0.9;

/** Where a pit is brought to at a minute: to what was expected of it, and the nearer to its target the further that is off. */
function targetsOf(
  { control, actions }: Scenario,
  expected: PitTrace,
): (atMin: number) => { c: number; sinceSet: number | null } {
  const changes = actions
    // The target that a fan was first set to is no change.
    .flatMap((a) => (a.do === 'set-target' && a.targetC !== control.targetC ? [a] : []))
    .sort((a, b) => a.atMin - b.atMin);
  return (atMin) => {
    const byItself = expected.pitC[Math.round(atMin)]!;
    const set = changes.findLast((c) => c.atMin <= atMin);
    // A target that was set is gone for until the pit is there.
    if (set) return { c: set.targetC, sinceSet: atMin - set.atMin };
    const target = control.targetC;
    if (target === undefined) return { c: byItself, sinceSet: null };
    const off = byItself - target;
    return { c: target + off * Math.exp(-((off / TENDED_K) ** 2)), sinceSet: null };
  };
}

/** Pits drawn from what differs from pit to pit, each moved to what its thermometer read. */
function airsOfDraws(input: ForecastInput, base: Scenario, expected: PitTrace): MeasuredPit[] {
  const { scenario, readings } = input;
  const parameters = pitWith(presetOf(scenario.cooker.preset), scenario.cooker.overrides);
  const random = seeded(input.seed);
  return Array.from({ length: input.members }, (_, i) => {
    if (i === 0) return measuredAir(expected, readings);
    const { scenario: other } = drawLikelyCook(base, parameters, random);
    return measuredAir(tracePit(other, scenario.untilMin), readings);
  });
}
