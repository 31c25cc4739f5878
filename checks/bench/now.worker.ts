/** Follows one share of the cooks of a seed in a worker, and sends each as it is done. */
import { parentPort, workerData } from 'node:worker_threads';
import { followNow } from '../now/followNow';
import { tendCase } from '../tend/inBand';
import { tendCases } from '../tend/measure';
import { planOf } from '../tend/truePit';

const { seed, cooks, share, shares } = workerData as {
  seed: number;
  cooks: number;
  share: number;
  shares: number;
};
tendCases(seed, cooks)
  .slice(0, cooks)
  .forEach((c, i) => {
    if (i % shares !== share) return;
    const made = planOf(c);
    parentPort!.postMessage({
      now: followNow(c, made),
      planOnly: tendCase('planOnly', c, made).inBand,
      rules: tendCase('rules', c, made).inBand,
    });
  });
