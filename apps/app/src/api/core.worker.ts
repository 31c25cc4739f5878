/** The core off the main thread: plans in two steps, forecasts in one. A newer request ends an older one. */
import { forecast, planning, type ForecastInput, type Plan, type Request } from '@ostrin/core';
import type { FromWorker, ToWorker } from './messages';

const scope = self as unknown as {
  postMessage(message: FromWorker): void;
  onmessage: ((event: MessageEvent<ToWorker>) => void) | null;
};

/** Between simulations the worker listens again at least this often, ms. */
const SLICE_MS = 30;
let latestPlan = 0;

scope.onmessage = ({ data }) => {
  if (data.kind === 'plan') {
    latestPlan = data.id;
    void runPlan(data.id, data.request, data.nowMs, data.members);
  } else if (data.kind === 'forecast') answer(data.id, () => forecast(data.input as ForecastInput));
};

function answer(id: number, work: () => FromWorker['result']): void {
  try {
    scope.postMessage({ id, kind: 'done', result: work() });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
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
    const rough = await follow(id, planning(request, { nowMs, members: 1 }), 0, 0.25);
    if (!rough) return;
    scope.postMessage({ id, kind: 'rough', result: rough });
    const full = await follow(id, planning(request, { nowMs, members }), 0.25, 0.75);
    if (full) scope.postMessage({ id, kind: 'done', result: full });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}

async function follow(
  id: number,
  work: Generator<number, Plan>,
  from: number,
  span: number,
): Promise<Plan | null> {
  let slice = performance.now();
  for (let step = work.next(); ; step = work.next()) {
    if (step.done) return step.value;
    if (performance.now() - slice < SLICE_MS) continue;
    scope.postMessage({ id, kind: 'progress', share: from + span * step.value });
    await breathe();
    if (id !== latestPlan) return null;
    slice = performance.now();
  }
}
