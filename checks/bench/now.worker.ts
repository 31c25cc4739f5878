/** Follows one share of the cooks of a seed in a worker, and sends each as it is done. */
import { workerData } from 'node:worker_threads';
import { followNow } from '../now/followNow';
import { tendCase } from '../tend/inBand';
import { tendCases } from '../tend/measure';
import { planOf } from '../tend/truePit';
import { sendShare } from './sendShare';

// `inShares` hands on what the bench was asked for.
const { seed, cooks } = workerData as { seed: number; cooks: number };
sendShare(tendCases(seed, cooks).slice(0, cooks), (c) => {
  const made = planOf(c);
  return {
    now: followNow(c, made),
    planOnly: tendCase('planOnly', c, made).inBand,
    rules: tendCase('rules', c, made).inBand,
  };
});
