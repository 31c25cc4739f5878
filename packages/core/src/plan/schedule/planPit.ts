/** One pit's part of a plan: its fire, how it is held, when its pieces go on, and the likely cooks behind that. */
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import type { MeatResult } from '../../scenario/result';
import { fireLoadKg } from '../../fire/catalogue';
import { drawPieceVariation, NO_VARIATION } from '../../meat/variation';
import { seeded, seedFrom } from '../../quantity/random';
import { drawLikelyPit, sdOfKnown } from '../../sampling/likelyPits';
import { meanWeather } from '../request/planWeather';
import { usualRule } from '../fire/chooseRule';
import type { PitSetup } from '../fire/designFire';
import { sizeFire } from './fuelLoad';
import type { PitSchedule, PieceTarget } from './pitSchedule';
import {
  likelyPitSteps,
  within,
  type LikelyPitJob,
  type LikelyPitRun,
  type Steps,
} from '../../sampling/likelyPit';
import type { RunResult } from '../../sampling/runUntilDone';
import { allowanceMin, MAX_COOK_MIN } from './schedule';
import { plannedScenario, type MeatSchedule } from '../fire/policyTrial';
import { lookCostMin, roughTimes, runReference, runReferenceFast } from './referenceCook';
import { holdsOf, targetsThatKeep } from './hold';
import { cleanSmokeMin, usualMeatOnMin } from './meatOn';
import { initialPolicy } from '../fire/initialPolicy';
import type { TunedPolicy } from '../fire/tunedPolicy';
import { tunePolicy } from '../fire/tunePolicy';

/** Pits drawn for an ensemble; the pieces are drawn anew in the air of each. */
const PITS = 8;
/** Usual width of the ready window before an ensemble has been run: shares of the cook. */
const ROUGH = { early: 0.88, late: 1.21 };
/** The weather that a fire is learnt to be held in is the mean of so long, min. */
const LEARNT_OVER_MIN = 600;
/** Pieces go on so many minutes apart, min. */
const STEP_MIN = 5;

interface PitPlanOptions {
  /** Likely cooks; 1 gives a rough answer. */
  members: number;
  /** Wanted chance of being on time, 0 to 1. */
  chance: number;
  /** Policies worked out before, for the same fire on the same day: asked and told. */
  knownPolicies?: Map<string, TunedPolicy>;
  /** Whether the likely pits are handed on as jobs instead of being run here. */
  handOn?: boolean;
}

/** Plans one pit. Yields the share done, and the likely pits as jobs where they are to be handed on. */
export function* planPit(
  usual: PitSetup,
  weather: Scenario['weather'],
  targets: PieceTarget[],
  options: PitPlanOptions,
): Steps<PitSchedule> {
  const rough = options.members <= 1;
  const meats = targets.map((w) => w.spec);
  const tuned = yield* tunedBefore(usual, weather, meats, options);
  const setup = tuned?.setup ?? usual;
  const policy = tuned?.policy ?? initialPolicy(setup);
  const onMin = rough ? usualMeatOnMin(setup) : cleanSmokeMin(setup, weather, policy);
  yield 0.27;
  const together: MeatSchedule = { meats, onMin: meats.map(() => onMin) };
  const lively = setup.onSplits || setup.handFed || setup.underFan;
  const first =
    rough && lively
      ? runReferenceFast(setup, weather, together, policy)
      : runReference(setup, weather, together, policy);
  yield 0.32;
  const times =
    rough && !lively
      ? roughTimes(setup, weather, together, policy)
      : first.result.meats.map((m) => m.doneAtMin && m.doneAtMin - onMin);
  const took = meats.map((_, i) => times[i] ?? MAX_COOK_MIN - onMin);
  const schedule = staggerPieces(
    meats,
    targets,
    onMin,
    took.map((t) => t * ROUGH.late),
  );
  const { altitudeM } = meanWeather(weather, LEARNT_OVER_MIN);
  const kept = rough ? targets : targetsThatKeep(targets, holdsOf(first, targets, altitudeM));
  const begun = { setup, policy, tuned, targets: kept, onMin, schedule, took, first };
  const plan = firstSchedule(begun);
  if (!rough && meats.length > 0) {
    const jobs = likelyPitJobs(plan, weather, schedule, options.members);
    recordLikelyPits(plan, yield* within(runLikelyPits(jobs, options.handOn ?? false), 0.32, 0.6));
  }
  scheduleLighting(plan, options.chance, rough);
  const fire = sizeFire(plan);
  const again =
    rough && meats.length <= 1
      ? first
      : runReference(setup, weather, { meats, onMin: plan.onMin }, policy, fire, plan);
  plan.result = again.result;
  plan.scenario = { ...again.scenario, fire };
  plan.endMin = again.endMin;
  plan.fuelLoadKg = fireLoadKg(fire, setup.parameters.diameterM);
  if (!rough) {
    plan.lookCostMin = lookCostMin(plan, weather, meats, fire);
    plan.holds = holdsOf(again, targets, altitudeM);
  }
  yield 1;
  return plan;
}

/** What a schedule begins with, before any likely pit was run. */
interface Beginning extends Pick<PitSchedule, 'setup' | 'policy' | 'tuned' | 'targets'> {
  /** When meat can go on at the earliest, min after lighting. */
  onMin: number;
  schedule: MeatSchedule;
  /** How long each piece took in the reference cook, min. */
  took: readonly number[];
  first: ReturnType<typeof runReference>;
}

/** A pit's schedule by its reference cook alone. */
function firstSchedule(from: Beginning): PitSchedule {
  const { setup, policy, tuned, targets, onMin, schedule, took, first } = from;
  return {
    setup,
    policy,
    rule: tuned ? tuned.rule : usualRule(setup, policy),
    tuned,
    targets,
    onMin: schedule.onMin,
    litMin: 0,
    result: first.result,
    scenario: first.scenario,
    endMin: first.endMin,
    readyMin: took.map((t, i) =>
      [ROUGH.early, 1, ROUGH.late].map((x) => schedule.onMin[i]! + t * x),
    ),
    wrapMin: targets.map((_, i) => {
      const wrap = first.result.meats[i]?.wrappedAtMin ?? null;
      return wrap === null ? [] : [wrap + schedule.onMin[i]! - onMin];
    }),
    likelyCoresC: [],
    movedMin: targets.map(() => 0),
    likelyRuns: [first.result],
    ...burnRatesPerMin([first]),
    lookCostMin: null,
    holds: [],
    earliestMin: onMin,
    fuelLoadKg: 0,
    fullLoadKg: fireLoadKg(setup.fire, setup.parameters.diameterM),
  };
}

/** A piece that nobody wraps, sprays, brushes or takes off. */
const untouched = ({ wrap: _, spray: __, sauce: ___, done: ____, ...piece }: MeatSpec): MeatSpec =>
  piece;

/** How the fire is held: worked out before, or now; null for a rough answer that has nothing to go by. */
function* tunedBefore(
  usual: PitSetup,
  weather: Scenario['weather'],
  meats: MeatSpec[],
  options: PitPlanOptions,
): Steps<TunedPolicy | null> {
  // Holding is learnt in one weather; the cook itself goes through all of it.
  const day = meanWeather(weather, LEARNT_OVER_MIN);
  // A fire is learnt under the pieces as they lie there, whatever is done with them: what is known serves all of that.
  const raw = meats.map(untouched);
  const key = JSON.stringify([
    { ...usual.pit, id: '', name: '' },
    day,
    raw.map(({ id: _, ...m }) => m),
  ]);
  const known = options.knownPolicies?.get(key) ?? null;
  if (known) return forPit(known, usual.pit);
  if (options.members <= 1) return null;
  const early: MeatSchedule = { meats: raw, onMin: raw.map(() => usualMeatOnMin(usual)) };
  // Holding is learnt at the first pace; the second one is reckoned from it.
  const { then: _, ...pace } = usual.pit.pace;
  const trial = yield* within(
    tunePolicy({ ...usual, pit: { ...usual.pit, pace } }, day, early),
    0,
    0.25,
  );
  // Its pit may be set up otherwise than it was wished, with an empty pan: only the pace is put back.
  const pit = { ...trial.setup.pit, pace: usual.pit.pace };
  const made = { ...trial, setup: { ...trial.setup, pit } };
  options.knownPolicies?.set(key, made);
  return made;
}

/** A policy that was worked out for a pit of the same kind, for this one: only its id and name are its own. */
const forPit = (known: TunedPolicy, { id, name }: PitSetup['pit']): TunedPolicy => ({
  ...known,
  setup: { ...known.setup, pit: { ...known.setup.pit, id, name } },
});

/** When each piece goes on so that all are ready when wanted; the first of them as early as can be. */
function staggerPieces(
  meats: MeatSpec[],
  targets: readonly PieceTarget[],
  earliestMin: number,
  allowMin: readonly number[],
): MeatSchedule {
  const on = targets.map((w, i) => Math.max(w.readyByMin - allowMin[i]!, w.onFromMin ?? -Infinity));
  const start = Math.min(...on);
  return {
    meats,
    onMin: on.map((m) => earliestMin + Math.floor((m - start) / STEP_MIN) * STEP_MIN),
  };
}

/** The likely pits with the pieces in them, and more pieces in the air of each, `members` in all. */
function likelyPitJobs(
  { setup, policy }: PitSchedule,
  weather: Scenario['weather'],
  schedule: MeatSchedule,
  members: number,
): LikelyPitJob[] {
  const scenario = plannedScenario(setup, weather, schedule, MAX_COOK_MIN);
  const seed = seedFrom(schedule.meats.map((m) => m.cut + m.massKg).join() + setup.pit.pace.pitC);
  const random = seeded(seed);
  const sd = sdOfKnown(setup.pit.known);
  const pits = Math.min(PITS, members);
  // How many more pieces there are by the end of the first so many pits.
  const moreUntil = (p: number): number => Math.floor((p * (members - pits)) / pits);
  return Array.from({ length: pits }, (_, p) => {
    const drawn = p === 0 ? null : drawLikelyPit(scenario, setup.parameters, random, sd);
    return {
      scenario: drawn?.scenario ?? scenario,
      targetC: setup.pit.pace.pitC,
      policy,
      probe: drawn && { biasK: drawn.probeBiasK, seed: seed + p },
      onMin: schedule.onMin,
      variations: schedule.meats.map(() => (drawn ? drawPieceVariation(random) : NO_VARIATION)),
      more: Array.from({ length: moreUntil(p + 1) - moreUntil(p) }, () =>
        schedule.meats.map(() => drawPieceVariation(random)),
      ),
    };
  });
}

/** Does the jobs of the likely pits here, or hands them on to be done by others. */
function* runLikelyPits(jobs: LikelyPitJob[], handOn: boolean): Steps<LikelyPitRun[]> {
  if (handOn) {
    const done = yield jobs;
    if (done) return done;
  }
  const runs: LikelyPitRun[] = [];
  for (const [p, job] of jobs.entries()) {
    runs.push(yield* within(likelyPitSteps(job), p / jobs.length, 1 / jobs.length));
    yield (p + 1) / jobs.length;
  }
  return runs;
}

/** Puts what the likely pits say into the plan. */
function recordLikelyPits(plan: PitSchedule, runs: readonly LikelyPitRun[]): void {
  const all = <T>(of: (m: MeatResult) => T): T[][] =>
    plan.targets.map((_, i) => runs.flatMap((r) => r.meats.map((meats) => of(meats[i]!))));
  plan.readyMin = all((m) => m.doneAtMin ?? NaN);
  plan.wrapMin = all((m) => m.wrappedAtMin ?? NaN);
  plan.likelyCoresC = all((m) => m.coreC);
  plan.likelyRuns = runs.map((r) => r.result);
  Object.assign(plan, burnRatesPerMin(runs));
}

/** What runs burnt, kg a minute. */
const burnRatesPerMin = (runs: readonly Pick<RunResult, 'result' | 'endMin'>[]) => ({
  charcoalKgPerMin: runs.map((r) => r.result.fuel.burnedKg / r.endMin),
  woodKgPerMin: runs.map(
    ({ result: { fuel }, endMin }) => (fuel.woodGivenKg - fuel.woodLeftKg) / endMin,
  ),
});

/** Sets the clock: lit so that the tightest piece is on time, the others put on so much later as they can wait. */
function scheduleLighting(plan: PitSchedule, chance: number, rough: boolean): void {
  const slack = plan.targets.map((w, i) => {
    const ready = plan.readyMin[i]!;
    const allow = rough ? ready[2]! : allowanceMin(ready, chance, w.readyByMin - w.readyFromMin);
    const lit = w.readyByMin - (Number.isFinite(allow) ? allow : MAX_COOK_MIN);
    // What comes late goes on late; a step more, since times of lighting are rounded down.
    const there =
      w.onFromMin === undefined ? -Infinity : w.onFromMin - plan.onMin[i]! + 2 * STEP_MIN;
    return Math.max(lit, there);
  });
  const least = Math.min(...slack);
  const later = slack.map((v) => Math.floor((v - least) / STEP_MIN) * STEP_MIN);
  // If even the first piece can wait, everything is lit later.
  const wait = Math.min(...plan.onMin.map((m, i) => m + later[i]!)) - plan.earliestMin;
  plan.litMin = least + wait;
  plan.movedMin = later.map((v) => v - wait);
  const move = (list: number[][]): number[][] =>
    list.map((r, i) => r.map((v) => v + plan.movedMin[i]!));
  plan.onMin = plan.onMin.map((m, i) => m + plan.movedMin[i]!);
  plan.readyMin = move(plan.readyMin);
  plan.wrapMin = move(plan.wrapMin);
}
