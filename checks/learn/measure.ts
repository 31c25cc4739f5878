/** How much better a pit is known after one, three and five logged cooks: where it settles, and what its plans are worth. */
import { planOnePit } from '@ostrin/core/engine';
import { onlyPiece } from '@ostrin/core';
import {
  biasAt,
  createSimulatedOperator,
  drawnFrom,
  learnPit,
  LEARNED,
  mean,
  policyOf,
  quantile,
  rms,
  runUntilDone,
  ascending,
  seeded,
  settledC,
  simulate,
  steadyScenario,
  triedPit,
  withProbeError,
  SETTLED_UNTIL_MIN,
  type Family,
  type LearnedPit,
  type Scenario,
  type SplitFeed,
} from '@ostrin/core/internals';
import { loggedCook, someDay, type TruePit } from './loggedTruth';
import { wishFor } from './wish';

/** Cooks after which a pit is looked at. */
const AFTER = [1, 3, 5] as const;
/** Unseen settings and days that each pit is asked about. */
const ASKED = 4;
/** Draws behind the spread of a prediction. */
const DRAWS = 12;
/** What the model leaves out of where a pit settles, one sd, K: of a fire that is laid a little otherwise each time. */
const SETTLE_SD_K = 3;
/** A pit counts as made worse when its error grew by more than this, K. */
const WORSE_K = 1;

/** One pit, measured. */
export interface LearnMeasured {
  id: string;
  family: Family;
  /** Mean error of where it settles, K, before and after so many cooks. */
  errorK: { before: number; after1: number; after3: number; after5: number };
  /** The worst of the unseen settings, K. */
  worstK: LearnMeasured['errorK'];
  /** Share of the true settling temperatures between p10 and p90 of the prediction after three. */
  insideFraction: number;
  /** Its plan before and after three: how far the pit stays off its target, K (root mean square), and whether it was on time. */
  rmsK: { before: number; after3: number };
  onTime: { before: boolean; after3: boolean };
  /** Time that learning from five cooks took, ms of processor. */
  learnMs: number;
}

/** A setting on a day that no cook had. */
interface Unseen {
  scenario: (cooker: Scenario['cooker'], windTimes: number) => Scenario;
}

/** Settings that a pit was not cooked with: other openings, feeds or set points, on other days. */
function unseenOf({ preset }: TruePit, seed: number): Unseen[] {
  const random = seeded(seed + 17);
  return Array.from({ length: ASKED }, (): Unseen => {
    const day = someDay(random);
    const times = Math.exp(1.2 * (random.next() - 0.5));
    const intake = Math.min(1, preset.holding.intake * times);
    const exhaust = preset.holding.exhaustPerIntake
      ? Math.min(1, preset.holding.exhaustPerIntake * intake)
      : preset.holding.exhaust;
    const light = preset.parameters.fireWallM2 < 0.8;
    const feed: SplitFeed | undefined =
      preset.family === 'offset'
        ? { massKg: (light ? 0.45 : 1.2) * times ** 0.5, intervalMin: light ? 30 : 45 }
        : undefined;
    const setC = 105 + 35 * random.next();
    return {
      scenario: (cooker, windTimes) => {
        const weather = { ...day, windMps: day.windMps * windTimes };
        const made = steadyScenario(
          { preset: cooker.preset, overrides: cooker.overrides, weather },
          feed ? 1 : intake,
          feed ? 1 : exhaust,
          SETTLED_UNTIL_MIN,
          feed,
        );
        return preset.hasFan
          ? { ...made, actions: [], control: { mode: 'fan', targetC: setC } }
          : made;
      },
    };
  });
}

const settles = (scenario: Scenario): number =>
  settledC(simulate(scenario).pitC, scenario.everyMin);

/** Where a pit as it was learned settles, as its own thermometer reads it, C. */
function predictedC(
  pit: TruePit,
  learned: LearnedPit | null,
  z: readonly number[],
  asked: Unseen,
): number {
  const before = { preset: pit.preset.id, overrides: {} };
  const { overrides, windTimes } = triedPit(before, z);
  const cooker = { preset: pit.preset.id, overrides: learned ? overrides : {} };
  return settles(asked.scenario(cooker, windTimes)) + (learned ? biasAt(learned, z) : 0);
}

/** Measures one pit. */
export function measurePit(pit: TruePit): LearnMeasured {
  const unseen = unseenOf(pit, pit.seed);
  const truth = unseen.map(
    (u) => settles(u.scenario({ preset: pit.preset.id, overrides: pit.overrides }, 1)) + pit.dialK,
  );
  const cooks = Array.from({ length: Math.max(...AFTER) }, (_, n) => loggedCook(pit, n));
  const known = { preset: pit.preset.id, overrides: {} };
  const none = Array<number>(Object.keys(LEARNED).length + 1).fill(0);
  const errorsOf = (learned: LearnedPit | null): number[] =>
    unseen.map((u, i) => Math.abs(predictedC(pit, learned, learned?.fit.z ?? none, u) - truth[i]!));
  const before = errorsOf(null);
  let learnMs = 0;
  const after = AFTER.map((count) => {
    const began = process.cpuUsage();
    const learned = learnPit(known, cooks.slice(0, count));
    const { user, system } = process.cpuUsage(began);
    learnMs = (user + system) / 1000;
    return { learned, errors: errorsOf(learned) };
  });
  const three = after[1]!.learned;
  const spread = (list: readonly number[]) => ({ mean: mean(list), worst: Math.max(...list) });
  const all = [before, ...after.map((a) => a.errors)].map(spread);
  const named = (key: 'mean' | 'worst'): LearnMeasured['errorK'] => ({
    before: all[0]![key],
    after1: all[1]![key],
    after3: all[2]![key],
    after5: all[3]![key],
  });
  const plans = [null, three].map((learned) => planAndCook(pit, learned));
  return {
    id: pit.id,
    family: pit.preset.family,
    errorK: named('mean'),
    worstK: named('worst'),
    insideFraction: insideShare(pit, three, unseen, truth),
    rmsK: { before: plans[0]!.rmsK, after3: plans[1]!.rmsK },
    onTime: { before: plans[0]!.onTime, after3: plans[1]!.onTime },
    learnMs: Math.round(learnMs),
  };
}

/** How many of the true settling temperatures lie between p10 and p90 of what was predicted. */
function insideShare(
  pit: TruePit,
  learned: LearnedPit,
  unseen: readonly Unseen[],
  truth: readonly number[],
): number {
  const random = seeded(pit.seed + 5);
  const inside = unseen.filter((u, i) => {
    const drawn = Array.from({ length: DRAWS }, () => {
      const z = drawnFrom(
        learned.fit,
        learned.fit.z.map(() => random.normal()),
      );
      return predictedC(pit, learned, z, u) + SETTLE_SD_K * random.normal();
    });
    const sorted = ascending(drawn);
    return truth[i]! >= quantile(sorted, 0.1) && truth[i]! <= quantile(sorted, 0.9);
  });
  return inside.length / unseen.length;
}

/** Plans a supper for the pit as it is known, and cooks it in the true one by that plan. */
function planAndCook(pit: TruePit, learned: LearnedPit | null): { rmsK: number; onTime: boolean } {
  const { request, litAndOn } = wishFor(pit, learned);
  const plan = planOnePit(request, litAndOn.asked);
  const { scenario, onMin, latestMin, targetC } = litAndOn.of(plan);
  const truth: Scenario = {
    ...scenario,
    cooker: { ...scenario.cooker, overrides: { ...scenario.cooker.overrides, ...pit.overrides } },
  };
  const biasK = pit.dialK - (learned?.probeBiasK ?? 0);
  const operator = withProbeError(
    createSimulatedOperator(truth, targetC, policyOf(plan.guides[0]!)),
    biasK,
    () => 0,
  );
  const { result } = runUntilDone(truth, { operator });
  const done = onlyPiece(result).doneAtMin ?? Infinity;
  const until = Math.min(done, result.minutes.at(-1)!);
  const offs = result.pitC.flatMap((c, i) => {
    const at = result.minutes[i]!;
    return c !== null && at > onMin + 45 && at <= until ? [c - targetC] : [];
  });
  return { rmsK: rms(offs), onTime: done <= latestMin };
}

/** All pits pooled, under the names of the open format. */
export function poolLearn(all: readonly LearnMeasured[]) {
  const round = (v: number, digits = 2): number => Number(v.toFixed(digits));
  const KEYS = ['before', 'after1', 'after3', 'after5'] as const;
  const over = (of: (m: LearnMeasured) => number, share: number): number =>
    round(quantile(ascending(all.map(of)), share));
  const each = (of: (key: (typeof KEYS)[number]) => number) =>
    Object.fromEntries(KEYS.map((k) => [k, of(k)])) as LearnMeasured['errorK'];
  const share = (of: (m: LearnMeasured) => boolean): number =>
    round(all.filter(of).length / all.length, 3);
  return {
    pits: all.length,
    settleErrorC: each((k) => over((m) => m.errorK[k], 0.5)),
    settleWorstC: each((k) => over((m) => m.worstK[k], 1)),
    worseShareFraction: share((m) => m.errorK.after3 > m.errorK.before + WORSE_K),
    coverageFraction: round(mean(all.map((m) => m.insideFraction)), 3),
    rmsOffTargetC: {
      before: round(mean(all.map((m) => m.rmsK.before))),
      after3: round(mean(all.map((m) => m.rmsK.after3))),
    },
    onTimeFraction: {
      before: share((m) => m.onTime.before),
      after3: share((m) => m.onTime.after3),
    },
    learnMs: over((m) => m.learnMs, 1),
  };
}
