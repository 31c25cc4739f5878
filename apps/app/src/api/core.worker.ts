/** Planning off the main thread, in two steps. A newer request ends an older one. */
import {
  compareVariants,
  planSteps,
  runLikelyPit,
  ventCard,
  type LikelyPitRun,
  type VariantSources,
  type SteadyCase,
  type PlanOptions,
  type Steps,
  type TunedPolicy,
} from '@ostrin/core/engine';
import type { Request } from '@ostrin/core';
import { wordVariant } from '@ostrin/wording';
import { workerScope } from './answering';
import type { ToWorker } from './messages';
import { helpAt, PitPool } from './pitPool';

const scope = workerScope<ToWorker>();

/** Between simulations the worker listens again at least this often, ms. */
const SLICE_MS = 30;
/** The newest question of each long kind: an older one gives up. */
const newest = { plan: 0, card: 0, variants: 0 };
/** How fires are held, worked out before: a change of the meal does not ask for it again. */
const known = new Map<string, TunedPolicy>();
const MOST_KNOWN = 40;
type TaskKind = keyof typeof newest;

const pause = (): Promise<void> => new Promise((done) => setTimeout(done, 0));
const pool = new PitPool(runLikelyPit, pause);

scope.onmessage = ({ data }) => {
  switch (data.kind) {
    case 'plan':
      newest.plan = data.id;
      // A changed wish is no longer compared.
      newest.variants = 0;
      if (known.size > MOST_KNOWN) known.clear();
      void runPlan(data.id, data.request, data.nowMs, data.members);
      return;
    case 'card':
      newest.card = data.id;
      void runCard(data.id, data.of);
      return;
    case 'variants':
      newest.variants = data.id;
      void runVariants(data.id, data.request, data.others, { ...data, knownPolicies: known });
      return;
    case 'helper':
      pool.add(data.port);
      return;
    case 'help':
      helpAt(data.port, runLikelyPit);
  }
};

async function runPlan(
  id: number,
  request: Request,
  nowMs: number,
  members: number,
): Promise<void> {
  await pause();
  try {
    const rough = await follow(
      'plan',
      id,
      planSteps(request, { nowMs, members: 1, knownPolicies: known }),
      0,
      0.25,
    );
    if (!rough) return;
    scope.postMessage({ id, kind: 'rough', result: rough });
    const full = await follow(
      'plan',
      id,
      planSteps(request, { nowMs, members, knownPolicies: known, handOn: true }),
      0.25,
      0.75,
    );
    if (full) scope.postMessage({ id, kind: 'done', result: full });
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
  await pause();
  try {
    let slice = performance.now();
    for (const row of compareVariants(request, others, options)) {
      if (row) scope.postMessage({ id, kind: 'row', result: wordVariant(row, request) });
      if (performance.now() - slice < SLICE_MS) continue;
      await pause();
      if (id !== newest.variants) return;
      slice = performance.now();
    }
    scope.postMessage({ id, kind: 'done' });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}

async function runCard(id: number, of: SteadyCase): Promise<void> {
  await pause();
  try {
    const card = await follow('card', id, ventCard(of), 0, 0.99);
    if (card) scope.postMessage({ id, kind: 'done', result: card });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}

async function follow<T>(
  kind: TaskKind,
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
      const ran = await pool.run({
        jobs,
        wanted: () => id === newest[kind],
        onDone: (missing) => {
          const done = jobs.length - missing;
          share = begun + (0.5 * (from + span - begun) * done) / jobs.length;
          scope.postMessage({ id, kind: 'progress', share });
        },
      });
      if (!ran) return null;
      runs = ran;
    } else {
      share = Math.max(share, from + span * step.value);
      if (performance.now() - slice < SLICE_MS) continue;
      scope.postMessage({ id, kind: 'progress', share });
      await pause();
    }
    if (id !== newest[kind]) return null;
    slice = performance.now();
  }
}
