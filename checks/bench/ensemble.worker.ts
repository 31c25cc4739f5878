/** Runs one share of an ensemble of cooks in a worker and tells how far it is. */
import { runEnsemble } from '@ostrin/core/engine';
import type { CookerParameters } from '@ostrin/core/catalogue';
import type { Scenario } from '@ostrin/core';
import { parentPort, workerData } from 'node:worker_threads';

const { scenario, parameters, count, share, shares } = workerData as {
  scenario: Scenario;
  parameters: CookerParameters;
  count: number;
  share: number;
  shares: number;
};
for (const done of runEnsemble(scenario, parameters, count, 1, { share, shares }))
  parentPort!.postMessage(done);
