/** Carries out one share of the cooks of a seed by their printed plans in a worker, and sends each as it is done. */
import { parentPort, workerData } from 'node:worker_threads';
import { readCook } from '../paper/readCook';
import { tendCases } from '../tend/measure';

const { seed, cooks, share, shares } = workerData as {
  seed: number;
  cooks: number;
  share: number;
  shares: number;
};
tendCases(seed, cooks)
  .slice(0, cooks)
  .forEach((c, i) => {
    if (i % shares === share) parentPort!.postMessage(readCook(c));
  });
