/** Carries out one share of the cooks of a seed by their printed plans in a worker, and sends each as it is done. */
import { workerData } from 'node:worker_threads';
import { readCook } from '../paper/readCook';
import { tendCases } from '../tend/measure';
import { sendShare } from './sendShare';

// `inShares` hands on what the bench was asked for.
const { seed, cooks } = workerData as { seed: number; cooks: number };
sendShare(tendCases(seed, cooks).slice(0, cooks), readCook);
