/** Runs an ensemble of cooks in a worker and tells how far it is. */
import { runEnsemble, type Pit, type Scenario } from '@ostrin/core';
import { parentPort, workerData } from 'node:worker_threads';

const { scenario, physics, count } = workerData as {
  scenario: Scenario;
  physics: Pit;
  count: number;
};
const work = runEnsemble(scenario, physics, count, 1);
for (;;) {
  const step = work.next();
  if (step.done) break;
  parentPort!.postMessage(step.value);
}
