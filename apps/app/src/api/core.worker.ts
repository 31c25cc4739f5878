/** Planning off the main thread, in two steps. A newer request ends an older one. */
import {
  compareVariants,
  planSteps,
  runLikelyPit,
  ventCard,
  type LikelyPitJob,
  type LikelyPitRun,
  type VariantSources,
  type SteadyCase,
  type PlanOptions,
  type Request,
  type Steps,
  type TunedPolicy,
} from '@ostrin/core';
import { wordPlan, wordVariant } from '@ostrin/wording';
import { answer, workerScope } from './answering';
import type { ToWorker } from './messages';

const scope = workerScope<ToWorker>();

/** Between simulations the worker listens again at least this often, ms. */
const SLICE_MS = 30;
/** The newest question of each long kind: an older one gives up. */
const latest = { plan: 0, card: 0, variants: 0 };
/** How fires are held, worked out before: a change of the meal does not ask for it again. */
const known = new Map<string, TunedPolicy>();
const MOST_KNOWN = 40;
type Long = keyof typeof latest;

scope.onmessage = ({ data }) => {
  if (data.kind === 'plan') {
    latest.plan = data.id;
    // A changed wish is no longer compared.
    latest.variants = 0;
    if (known.size > MOST_KNOWN) known.clear();
    void runPlan(data.id, data.request, data.nowMs, data.members);
  } else if (data.kind === 'card') {
    latest.card = data.id;
    void runCard(data.id, data.of);
  } else if (data.kind === 'variants') {
    latest.variants = data.id;
    void runVariants(data.id, data.request, data.others, { ...data, knownPolicies: known });
  } else if (data.kind === 'ran') ran(data.id, data.at, data.run);
  else if (data.kind === 'pit') answer(data.id, () => runLikelyPit(data.job));
};

/** The jobs of the newest plan that were handed on, and what is still to come. */
let handedOn: {
  id: number;
  runs: LikelyPitRun[];
  missing: number;
  /** Told after each of them with how many are missing. */
  told: (missing: number) => void;
  done: () => void;
} | null = null;

/** Hands the likely pits of plan `id` on to all workers; resolves when all are run, or given up. */
const handOn = (
  id: number,
  jobs: LikelyPitJob[],
  told: (missing: number) => void,
): Promise<LikelyPitRun[]> =>
  new Promise((resolve) => {
    // An older plan's jobs are given up.
    handedOn?.done();
    const runs: LikelyPitRun[] = [];
    handedOn = { id, runs, missing: jobs.length, told, done: () => resolve(runs) };
    scope.postMessage({ id, kind: 'jobs', jobs });
  });

/** One of the jobs that were handed on is done. */
function ran(id: number, at: number, run: LikelyPitRun): void {
  if (handedOn?.id !== id) return;
  handedOn.runs[at] = run;
  handedOn.told(--handedOn.missing);
  if (handedOn.missing === 0) handedOn.done();
}

const breathe = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

async function runPlan(
  id: number,
  request: Request,
  nowMs: number,
  members: number,
): Promise<void> {
  await breathe();
  try {
    const rough = await follow(
      'plan',
      id,
      planSteps(request, { nowMs, members: 1, knownPolicies: known }),
      0,
      0.25,
    );
    if (!rough) return;
    scope.postMessage({ id, kind: 'rough', result: wordPlan(rough) });
    const full = await follow(
      'plan',
      id,
      planSteps(request, { nowMs, members, knownPolicies: known, handOn: true }),
      0.25,
      0.75,
    );
    if (full) scope.postMessage({ id, kind: 'done', result: wordPlan(full) });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}

/** Rows as they are known; a plan asked for meanwhile comes first, and ends this. */
async function runVariants(
  id: number,
  request: Request,
  others: VariantSources,
  options: PlanOptions,
): Promise<void> {
  await breathe();
  try {
    let slice = performance.now();
    for (const row of compareVariants(request, others, options)) {
      if (row) scope.postMessage({ id, kind: 'row', result: wordVariant(row, request) });
      if (performance.now() - slice < SLICE_MS) continue;
      await breathe();
      if (id !== latest.variants) return;
      slice = performance.now();
    }
    scope.postMessage({ id, kind: 'done' });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}

async function runCard(id: number, of: SteadyCase): Promise<void> {
  await breathe();
  try {
    const card = await follow('card', id, ventCard(of), 0, 0.99);
    if (card) scope.postMessage({ id, kind: 'done', result: card });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}

async function follow<T>(
  kind: Long,
  id: number,
  work: Steps<T>,
  from: number,
  span: number,
): Promise<T | null> {
  let slice = performance.now();
  let runs: LikelyPitRun[] | undefined;
  let share = from;
  for (let step = work.next(); ; step = work.next(runs)) {
    runs = undefined;
    if (step.done) return step.value;
    if (typeof step.value !== 'number') {
      const jobs = step.value;
      // Half of what is left goes by with them.
      const begun = share;
      runs = await handOn(id, jobs, (missing) => {
        const done = jobs.length - missing;
        share = begun + (0.5 * (from + span - begun) * done) / jobs.length;
        scope.postMessage({ id, kind: 'progress', share });
      });
    } else {
      share = Math.max(share, from + span * step.value);
      if (performance.now() - slice < SLICE_MS) continue;
      scope.postMessage({ id, kind: 'progress', share });
      await breathe();
    }
    if (id !== latest[kind]) return null;
    slice = performance.now();
  }
}
