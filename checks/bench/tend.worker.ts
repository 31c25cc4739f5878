/** Measures one share of the true cooks of a seed in a worker, and sends each as it is done. */
import { workerData } from 'node:worker_threads';
import { measureCook, tendCases } from '../tend/measure';
import { sendShare } from './sendShare';

// `inShares` hands on what the bench was asked for.
const { seed, cooks } = workerData as { seed: number; cooks: number };
sendShare(tendCases(seed, cooks), measureCook);
