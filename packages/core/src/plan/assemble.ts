/** A plan put together from what was worked out for each of its pits. */
import { policyDocument } from '../control/policyDocument';
import { mean } from '../quantity/statistics';
import { epochOf, localOf, MINUTE_MS } from '../quantity/time';
import { roundDigits } from '../quantity/units';
import {
  clockProblems,
  lateArrivalProblems,
  leadTimeProblems,
  pitProblems,
} from './advice/problems';
import { risksOf } from './advice/risks';
import { collectJobs } from './collectJobs';
import type { Plan, PlanJob, PlannedHold, Problem, Ready } from './document/plan';
import type { Amount, Request } from './request/types';
import type { TunedPolicy } from './fire/tunedPolicy';
import { windowOf } from './jobs/job';
import { plannedFireOf, plannedVentsOf } from './jobs/plannedFire';
import { plannedRuleOf } from './jobs/plannedRule';
import { preparationOf } from './jobs/preparation';
import { plateOf, shoppingOf } from './jobs/shopping';
import { isAtPit, watchOf } from './jobs/watch';
import type { PlannedPit, PlanClock } from './plannedPit';
import { amountOf, cookedKgOf, numberOfMeat } from './request/amount';
import { expectedOf } from './schedule/expected';
import type { PitSchedule } from './schedule/pitSchedule';
import { latestEndMin, missChances, servedMs } from './schedule/schedule';

/** What the planner is told besides the request: time and patience are passed in, never taken. */
export interface PlanOptions {
  /** When the plan is asked for, epoch ms. */
  nowMs: number;
  /** Members of the ensemble; 1 gives a rough answer at once. */
  members: number;
  /** How fires are held, worked out before: asked and told, so that a change of the meal is quick. */
  knownPolicies?: Map<string, TunedPolicy>;
  /** Whether the likely pits are handed on as jobs: see `planSteps`. */
  handOn?: boolean;
}

/** Times of lighting are told to so many minutes. */
const ROUND_MIN = 5;

/** When each pit is lit, rounded to what a clock on the wall says; never later than computed. */
function clockOf(request: Request, parts: readonly PlannedPit[], serveMs: number): PlanClock {
  const litMs = parts.map((p) => {
    const ms = serveMs + p.cook.litMin * MINUTE_MS;
    return Math.floor(ms / (ROUND_MIN * MINUTE_MS)) * ROUND_MIN * MINUTE_MS;
  });
  return { litMs, zeroMs: Math.min(...litMs), serveMs, zone: request.timeZone };
}

/** When one meat is on and ready. */
interface MeatWindow {
  onAt: string;
  ready: Ready;
  late: number;
  /** Rest there is time for, min: least and most. */
  restMin: [number, number];
  /** When nine in ten of the likely pieces are ready, epoch ms. */
  lastReadyMs: number;
}

/** The window of the `n`th meat on a pit that is lit at `litMs`. */
function meatWindow(
  request: Request,
  { cook, meats }: PlannedPit,
  n: number,
  litMs: number,
  rough: boolean,
): MeatWindow {
  const meat = meats[n]!;
  const at = (min: number): string => localOf(litMs + min * MINUTE_MS, request.timeZone);
  const eatenMin = (servedMs(request, meat) - litMs) / MINUTE_MS;
  const { readyFromMin, readyByMin } = cook.targets[n]!;
  const latest = eatenMin - meat.rest.minutes;
  const earliest = latest - (readyByMin - readyFromMin);
  const [p10, p50, p90] = windowOf(cook.readyMin[n]!);
  const odds = missChances(cook.readyMin[n]!, latest, earliest);
  const late = rough ? 1 - request.chanceOnTimeFraction : odds.late;
  return {
    onAt: at(cook.onMin[n]!),
    late,
    restMin: [Math.max(0, eatenMin - p90), Math.max(0, eatenMin - p10)],
    lastReadyMs: litMs + p90 * MINUTE_MS,
    ready: {
      id: meat.id,
      p10: at(p10),
      p50: at(p50),
      p90: at(p90),
      wanted: [at(earliest), at(latest)],
      chanceLateFraction: late,
      chanceEarlyFraction: rough ? 0 : odds.early,
      likelyMin: cook.readyMin[n]!.map((v) => (Number.isFinite(v) ? Math.round(v) : null)),
    },
  };
}

/** How the meats of a pit wait, from when each comes off in the middle of the likely cooks. */
const heldMeats = (
  request: Request,
  { cook, meats, index, pieces }: PlannedPit,
  windows: ReadonlyMap<number, MeatWindow>,
  zone: string,
): PlannedHold[] =>
  cook.holds.flatMap((hold, n) => {
    if (!hold) return [];
    const { id, cut, rest } = meats[n]!;
    const offAt = windows.get(index[n]!)!.ready.p50;
    const goodUntil = localOf(epochOf(offAt, zone) + hold.goodMin * MINUTE_MS, zone);
    const number = numberOfMeat(request.meats, index[n]!);
    const piece = { meat: id, cut, pieces: pieces[n]!, ...(number ? { number } : {}) };
    return [{ ...hold, ...piece, rest, offAt, goodUntil }];
  });

/** What stands in the way, pit by pit, and of the clock. `leadMin`: what each meat needs ahead, min. */
function collectProblems(
  request: Request,
  parts: readonly PlannedPit[],
  windows: ReadonlyMap<number, MeatWindow>,
  clock: PlanClock,
  nowMs: number,
  leadMin: readonly number[],
): Problem[] {
  const ofPits = parts.flatMap((part, k) => [
    ...part.index.flatMap((i, n) => {
      const onMs = clock.litMs[k]! + part.cook.onMin[n]! * MINUTE_MS;
      const { late, lastReadyMs } = windows.get(i)!;
      return [
        ...leadTimeProblems(request.meats[i]!, i, onMs, nowMs, leadMin[i]!),
        ...lateArrivalProblems(request, i, late, lastReadyMs),
      ];
    }),
    ...pitProblems(request, part.cook, part.index),
  ]);
  return [...ofPits, ...clockProblems(nowMs, clock.serveMs, clock.zeroMs)];
}

/** Most risks that a plan tells. */
const MOST_RISKS = 3;

/** The plan from what was worked out for each pit. `before`: problems that were found on the way there. */
export function assemble(
  request: Request,
  options: PlanOptions,
  parts: PlannedPit[],
  grates: Plan['grates'],
  before: Problem[],
  serveMs: number,
): Plan {
  const clock = clockOf(request, parts, serveMs);
  const at = (ms: number): string => localOf(ms, clock.zone);
  const rough = options.members <= 1;
  const windows = new Map<number, MeatWindow>();
  const amounts: Amount[] = request.meats.map((m) => amountOf(request, m, 1));
  parts.forEach((part, k) =>
    part.index.forEach((i, n) => {
      windows.set(i, meatWindow(request, part, n, clock.litMs[k]!, rough));
      amounts[i] = amountOf(request, request.meats[i]!, part.pieces[n]!);
    }),
  );
  const inOrder = request.meats.map((_, i) => windows.get(i)!);
  const fires = parts.map((p, k) => ({ ...plannedFireOf(p.cook), lightAt: at(clock.litMs[k]!) }));
  const { list, cost, fetch } = shoppingOf(request, fires, amounts);
  const plate = plateOf(request, amounts, fires);
  const { jobs, leadMin } = collectJobs(request, parts, amounts, fetch, clock, options.nowMs);
  const watch = watchOf(jobs, request.crew ?? [], clock.zeroMs, clock.zone);
  const first = clock.litMs.indexOf(clock.zeroMs);
  const main = parts[first]!;
  const expected = parts.map((p) => expectedOf(p.cook));
  const risks = parts.flatMap((p) =>
    risksOf(
      p.cook,
      p.meats,
      p.index.map((i) => windows.get(i)!.late),
    ),
  );
  const rules = parts.flatMap((p) => plannedRuleOf(p.cook));
  return {
    ostrin: 'plan/1',
    request,
    serveAt: request.serveAt,
    lightAt: at(clock.zeroMs),
    meatOnAt: inOrder.map((w) => w.onAt),
    ready: inOrder.map((w) => w.ready),
    restAvailableMin: windows.get(main.index[0]!)!.restMin,
    chanceLateFraction: 1 - inOrder.reduce((p, w) => p * (1 - w.late), 1),
    pieces: amounts.reduce((n, a) => n + a.pieces, 0),
    cookedKg: cookedKgOf(amounts),
    amounts,
    fires,
    vents: parts.flatMap((p, k) => plannedVentsOf(p.cook, clock.litMs[k]!, clock.zone)),
    grates,
    guides: parts.map(({ cook }) => ({
      pit: cook.setup.pit.id,
      ...policyDocument({ ...cook.policy, untilMin: Math.round(latestEndMin(cook)) }),
    })),
    ...(rules.length > 0 ? { rules } : {}),
    preparation: preparationOf(request, amounts),
    holds: parts.flatMap((part) => heldMeats(request, part, windows, clock.zone)),
    jobs: jobs.map(({ clockMin, ...job }) => withWatcher(job, clockMin, watch, clock)),
    watch,
    shopping: list,
    cost,
    ...(plate ? { plate } : {}),
    risks: risks.slice(0, MOST_RISKS),
    outcome: outcomeOf((parts.find((p) => p.index.includes(0)) ?? main).cook),
    problems: [
      ...before,
      ...collectProblems(request, parts, windows, clock, options.nowMs, leadMin),
    ],
    cautionIds: cautionsOf(parts),
    expected: expected[first]!,
    ...(parts.length > 1 ? { expectedOf: expected } : {}),
    scenarios: parts.map((p) => scenarioOfPlan(p.cook)),
    members: options.members,
  };
}

/** A job with the name of whoever has the watch then; what is done in the kitchen is nobody's watch. */
function withWatcher(
  job: PlanJob,
  clockMin: number,
  { shifts }: Plan['watch'],
  { zeroMs, zone }: PlanClock,
): PlanJob {
  const at = localOf(zeroMs + Math.round(clockMin) * MINUTE_MS, zone);
  const shift = shifts.findLast((s) => s.from <= at);
  return shift && isAtPit(job) && at <= shift.to ? { ...job, by: shift.name } : job;
}

/** Cautions that any of the likely cooks gives rise to, each once. */
const cautionsOf = (parts: readonly PlannedPit[]): Plan['cautionIds'] => [
  ...new Set(
    parts.flatMap((p) =>
      p.cook.likelyRuns.flatMap((r) => r.meats.flatMap((m) => m.cautions.map((c) => c.id))),
    ),
  ),
];

/** Bark and tenderness of a pit's first piece at the minute it is done. */
function outcomeOf(cook: PitSchedule): Plan['outcome'] {
  const at = (key: 'bark' | 'tenderness'): number | null =>
    meanOfKnown(
      cook.likelyRuns.map((r) => {
        const [m] = r.meats;
        if (!m || m.doneAtMin === null) return null;
        const row = r.minutes.findIndex((min) => min >= m.doneAtMin!);
        return m[key][row < 0 ? m[key].length - 1 : row] ?? null;
      }),
    );
  return { bark: at('bark'), tenderness: at('tenderness') };
}

/** Mean of what is known; null where nothing is. */
function meanOfKnown(values: readonly (number | null)[]): number | null {
  const there = values.filter((v): v is number => v !== null);
  return there.length > 0 ? roundDigits(mean(there), 2) : null;
}

/** The scenario of the reference cook with everything its operator did written into it, minute by minute. */
function scenarioOfPlan(cook: PitSchedule): Plan['scenarios'][number] {
  const done = cook.result.happened.filter((a) =>
    [
      'set-vents',
      'add-fuel',
      'add-wood',
      'door',
      'rake',
      'fill-water',
      'lid-open',
      'meat-on',
    ].includes(a.do),
  );
  return {
    ...cook.scenario,
    actions: done as Plan['scenarios'][number]['actions'],
    untilMin: Math.min(Math.max(Math.ceil((cook.endMin * 1.25 + 60) / 60) * 60, 300), 2880),
    everyMin: 1,
  };
}
