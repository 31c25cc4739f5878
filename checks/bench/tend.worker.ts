/** Measures one share of the true cooks of a seed in a worker, and sends each as it is done. */
import { parentPort, workerData } from 'node:worker_threads';
import { measureCook, tendCases } from '../tend/measure';

const { seed, cooks, share, shares } = workerData as {
  seed: number;
  cooks: number;
  share: number;
  shares: number;
};
tendCases(seed, cooks).forEach((c, i) => {
  if (i % shares === share) parentPort!.postMessage(measureCook(c, i));
});
