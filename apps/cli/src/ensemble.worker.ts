/** Runs an ensemble of cooks in a worker and tells how far it is. */
import { runEnsemble, type CookerParameters, type Scenario } from '@ostrin/core';
import { parentPort, workerData } from 'node:worker_threads';

const {
  scenario,
  physics: parameters,
  count,
} = workerData as {
  scenario: Scenario;
  physics: CookerParameters;
  count: number;
};
const work = runEnsemble(scenario, parameters, count, 1);
for (;;) {
  const step = work.next();
  if (step.done) break;
  parentPort!.postMessage(step.value);
}
