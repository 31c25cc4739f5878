/** Measures one share of the true pits of a seed in a worker, and sends each as it is done. */
import { workerData } from 'node:worker_threads';
import { truePits } from '../learn/loggedTruth';
import { measurePit } from '../learn/measure';
import { sendShare } from './sendShare';

// `inShares` hands on what the bench was asked for.
const { seed } = workerData as { seed: number };
sendShare(truePits(seed), measurePit);
