/** Work that is shared among as many worker threads as the machine has cores. */
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';

/**
 * Starts a built worker once for each core with `data` and its share of the work (`share` of `shares`); `onMessage` is
 * told of what any of them sends. Resolves with the number of workers when all have ended.
 */
export async function inShares<T>(
  file: string,
  data: object,
  onMessage: (message: T) => void,
): Promise<number> {
  const shares = availableParallelism();
  await Promise.all(
    Array.from({ length: shares }, (_, share) => {
      const workerData = { ...data, share, shares };
      const worker = new Worker(new URL(file, import.meta.url), { workerData });
      return new Promise<void>((resolve, reject) => {
        worker.on('message', onMessage);
        worker.on('error', reject);
        worker.on('exit', () => resolve());
      });
    }),
  );
  return shares;
}
