/** What a worker that `inShares` starts does: its share of a list. */
import { parentPort, workerData } from 'node:worker_threads';

/** Measures every one of a list that is this worker's to do, and sends what it came to as soon as it is known. */
export function sendShare<T>(list: readonly T[], measure: (one: T, i: number) => unknown): void {
  // `inShares` gives every worker these.
  const { share, shares } = workerData as { share: number; shares: number };
  list.forEach((one, i) => {
    if (i % shares === share) parentPort!.postMessage(measure(one, i));
  });
}
