/** Measures one share of the true pits of a seed in a worker, and sends each as it is done. */
import { parentPort, workerData } from 'node:worker_threads';
import { truePits } from '../learn/loggedTruth';
import { measurePit } from '../learn/measure';

const { seed, share, shares } = workerData as { seed: number; share: number; shares: number };
truePits(seed).forEach((pit, i) => {
  if (i % shares === share) parentPort!.postMessage(measurePit(pit));
});
