/** A plan put together from what was worked out for each of its pits. */
import { policyDocument } from '../control/policyDocument';
import { localOf, MINUTE_MS } from '../quantity/time';
import { mean } from '../quantity/statistics';
import { roundDigits } from '../quantity/units';
import { amountOf } from './request/amount';
import { missChances, courseOf, servedMs, latestEndMin, wantedWindow } from './schedule/schedule';
import type { PitPlan } from './schedule/pitPlan';
import { expectedOf } from './schedule/expected';
import { plannedFireOf, plannedVentsOf } from './jobs/plannedFire';
import { windowOf, type JobDraft } from './jobs/job';
import { jobsAt } from './jobs/jobs';
import { beforeBed, prepareJobs, shopJob } from './jobs/prepare';
import {
  clockProblems,
  lateArrivalProblems,
  leadTimeProblems,
  pitProblems,
} from './advice/problems';
import { risksOf, waysOut } from './advice/risks';
import { shoppingOf } from './jobs/shopping';
import type { JobFigures, PlanFigures, ProblemFigures } from './document/figures';
import type { Amount, Plan } from './document/plan';
import type { Request, RequestMeat } from './request/types';
import type { TunedPolicy } from './fire/tunePolicy';
import { watchOf } from './jobs/watch';

/** What the planner is told besides the request: time and patience are passed in, never taken. */
export interface PlanOptions {
  nowMs: number;
  /** Members of the ensemble; 1 gives a rough answer at once. */
  members: number;
  /** How fires are held, worked out before: asked and told, so that a change of the meal is quick. */
  knownPolicies?: Map<string, TunedPolicy>;
}

/** One pit of a plan with what lies on it. */
export interface PlannedPit {
  cook: PitPlan;
  meats: RequestMeat[];
  pieces: number[];
  /** Where the meats stand in the request. */
  index: number[];
}

/** Times of lighting are told to so many minutes. */
const ROUND_MIN = 5;

/** The plan from what was worked out for each pit. */
export function assemble(
  request: Request,
  options: PlanOptions,
  parts: PlannedPit[],
  grates: Plan['grates'],
  problems: ProblemFigures[],
  serveMs: number,
): PlanFigures {
  const zone = request.timeZone;
  const rough = options.members <= 1;
  const several = parts.length > 1;
  // Lighting of each pit, rounded to what a clock on the wall says; never later than computed.
  const lit = parts.map((p) => {
    const ms = serveMs + p.cook.litMin * MINUTE_MS;
    return Math.floor(ms / (ROUND_MIN * MINUTE_MS)) * ROUND_MIN * MINUTE_MS;
  });
  const first = lit.indexOf(Math.min(...lit));
  const zeroMs = lit[first]!;
  const at = (ms: number): string => localOf(ms, zone);
  const amounts = request.meats.map((m) => amountOf(request, m, 1));
  const ready: Plan['ready'] = request.meats.map((m) => ({ id: m.id, p10: '', p50: '', p90: '' }));
  const meatOnAt = request.meats.map(() => '');
  const late: number[] = request.meats.map(() => 0);
  const rests: [number, number][] = request.meats.map(() => [0, 0]);
  const jobs: (JobFigures & { clockMin: number })[] = [];
  parts.forEach((part, k) => {
    const { cook } = part;
    const onPit = part.index.map((i) => request.meats[i]!);
    const pit = several ? cook.setup.pit.id : undefined;
    part.index.forEach((i, n) => {
      const meat = request.meats[i]!;
      amounts[i] = amountOf(request, meat, part.pieces[n]!);
      const eatenMin = (servedMs(request, meat) - lit[k]!) / MINUTE_MS;
      const [earliest, latest] = wantedWindow(meat, eatenMin);
      const window = windowOf(cook.readyMin[n]!);
      const odds = missChances(cook.readyMin[n]!, latest, earliest);
      late[i] = rough ? 1 - request.chanceOnTimeFraction : odds.late;
      ready[i] = {
        id: meat.id,
        p10: at(lit[k]! + window[0] * MINUTE_MS),
        p50: at(lit[k]! + window[1] * MINUTE_MS),
        p90: at(lit[k]! + window[2] * MINUTE_MS),
        wanted: [at(lit[k]! + earliest * MINUTE_MS), at(lit[k]! + latest * MINUTE_MS)],
        chanceLateFraction: late[i]!,
        chanceEarlyFraction: rough ? 0 : odds.early,
        likelyMin: cook.readyMin[n]!.map((v) => (Number.isFinite(v) ? Math.round(v) : null)),
      };
      rests[i] = [Math.max(0, eatenMin - window[2]), Math.max(0, eatenMin - window[0])];
      meatOnAt[i] = at(lit[k]! + cook.onMin[n]! * MINUTE_MS);
      const name = (job: string): string => (n === 0 ? job : `${job}-${meat.id}`);
      const ahead = prepareJobs(meat, part.pieces[n]!, cook.onMin[n]!, name, (min) =>
        beforeBed(lit[k]! + min * MINUTE_MS, options.nowMs, zone),
      );
      addJobs(jobs, ahead.jobs, lit[k]!, zeroMs, zone, pit);
      problems.push(
        ...leadTimeProblems(
          meat,
          i,
          lit[k]! + cook.onMin[n]! * MINUTE_MS,
          options.nowMs,
          ahead.leadMin,
        ),
        ...lateArrivalProblems(request, i, late[i]!, lit[k]! + window[2] * MINUTE_MS),
      );
    });
    addJobs(jobs, jobsAt(cook, onPit, part.pieces, pit), lit[k]!, zeroMs, zone, pit);
    problems.push(...pitProblems(request, cook, part.index));
  });
  addJobs(jobs, servingJobs(request, amounts, jobs, serveMs, zeroMs), zeroMs, zeroMs, zone);
  problems.push(...clockProblems(options.nowMs, serveMs, zeroMs));
  const fires = parts.map((p, k) => ({ ...plannedFireOf(p.cook), lightAt: at(lit[k]!) }));
  const { list, cost, fetch } = shoppingOf(request, fires, amounts);
  // What thaws is there already: everything else has to be fetched before it is begun.
  const begun = jobs.filter((j) => !j.id.startsWith('thaw')).map((j) => j.clockMin);
  const begunMs = zeroMs + Math.min(...begun) * MINUTE_MS;
  addJobs(jobs, shopJob(fetch, begunMs, options.nowMs, zone, zeroMs), zeroMs, zeroMs, zone);
  jobs.sort((a, b) => a.clockMin - b.clockMin);
  const main = parts[first]!;
  const expected = parts.map((p) => expectedOf(p.cook));
  return {
    ostrin: 'plan/1',
    request,
    serveAt: request.serveAt,
    lightAt: at(zeroMs),
    meatOnAt,
    ready,
    restAvailableMin: rests[main.index[0]!]!,
    chanceLateFraction: 1 - late.reduce((p, l) => p * (1 - l), 1),
    pieces: amounts.reduce((n, a) => n + a.pieces, 0),
    cookedKg: [0, 1].map((e) => amounts.reduce((kg, a) => kg + a.cookedKg[e]!, 0)) as [
      number,
      number,
    ],
    amounts,
    fires,
    vents: parts.flatMap((p, k) => plannedVentsOf(p.cook, lit[k]!, zone)),
    grates,
    guides: parts.map(({ cook }) => ({
      pit: cook.setup.pit.id,
      ...policyDocument({ ...cook.policy, untilMin: Math.round(latestEndMin(cook)) }),
    })),
    jobs: jobs.map(({ clockMin: _, ...job }) => job),
    watch: watchOf(jobs, request.crew ?? [], zeroMs, zone),
    shopping: list,
    cost,
    risks: parts
      .flatMap((p) =>
        risksOf(
          p.cook,
          p.meats,
          p.index.map((i) => late[i]!),
        ),
      )
      .slice(0, 3),
    planB: waysOut(request.meats),
    outcome: outcomeOf((parts.find((p) => p.index.includes(0)) ?? main).cook),
    problems,
    cautions: [
      ...new Set(
        parts.flatMap((p) => p.cook.likelyRuns.flatMap((r) => r.meats.flatMap((m) => m.cautions))),
      ),
    ],
    expected: expected[first]!,
    ...(several ? { expectedOf: expected } : {}),
    scenarios: parts.map((p) => scenarioOfPlan(p.cook)),
    members: options.members,
  };
}

/** Bark and tenderness of a pit's first piece at the minute it is done. */
function outcomeOf(cook: PitPlan): Plan['outcome'] {
  const at = (key: 'bark' | 'tenderness'): number | null =>
    meanOfKnown(
      cook.likelyRuns.map((r) => {
        const m = r.meats[0];
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

function addJobs(
  jobs: (JobFigures & { clockMin: number })[],
  drafts: readonly JobDraft[],
  litMs: number,
  zeroMs: number,
  zone: string,
  pit?: string,
): void {
  for (const d of drafts) {
    const ms = litMs + d.atMin * MINUTE_MS;
    const id = pit && jobs.some((j) => j.id === d.id) ? idAt(d.id, pit) : d.id;
    jobs.push({
      ...d,
      id,
      ...(pit ? { pit } : {}),
      at: localOf(ms, zone),
      clockMin: (ms - zeroMs) / MINUTE_MS,
    });
  }
}

/** The id of a job that stands at more than one pit. */
export const idAt = (job: string, pit: string): string => `${job}@${pit}`;

/** The meals of a request: its courses in order, the main one last. */
function servings(request: Request, serveMs: number) {
  const main = { id: 'serve', ms: serveMs, meats: [] as number[] };
  const courses = new Map([['serve', main]]);
  request.meats.forEach((m, i) => {
    const id = courseOf(request, m);
    const course = courses.get(id) ?? { id, ms: servedMs(request, m), meats: [] };
    course.meats.push(i);
    courses.set(id, course);
  });
  return [...courses.values()].sort((x, y) => x.ms - y.ms).filter((s) => s.meats.length > 0);
}

/** The jobs at the table: each course, and the meal itself once its last piece has rested a moment. */
function servingJobs(
  request: Request,
  amounts: readonly Amount[],
  jobs: readonly { do: string; clockMin: number }[],
  serveMs: number,
  zeroMs: number,
): JobDraft[] {
  const lastOff = Math.max(...jobs.filter((j) => j.do === 'meat-off').map((j) => j.clockMin));
  return servings(request, serveMs).map(({ id, ms, meats }) => {
    const main = id === 'serve';
    const rawKg = meats.reduce((sum, i) => sum + amounts[i]!.trimmedKg, 0);
    const min = Math.round((ms - zeroMs) / MINUTE_MS);
    return {
      id,
      atMin: main ? Math.max(min, Math.round(lastOff) + 10) : min,
      do: 'serve',
      facts: main
        ? { kind: 'serve', people: request.people, rawKg }
        : { kind: 'serve-course', cuts: meats.map((n) => request.meats[n]!.cut), rawKg },
      logs: [],
    };
  });
}

/** The scenario of the reference cook with everything its operator did written into it, minute by minute. */
function scenarioOfPlan(cook: PitPlan): Plan['scenarios'][number] {
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
