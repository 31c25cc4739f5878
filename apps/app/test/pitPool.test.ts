import type { LikelyPitJob, LikelyPitRun } from '@ostrin/core/engine';
import { MessageChannel } from 'node:worker_threads';
import { helpAt, PitPool } from '../src/api/pitPool';

// A pit is known here by its number alone: what is run is not the pool's business.
const jobs = Array.from({ length: 12 }, (_, n) => ({ n }) as unknown as LikelyPitJob);
// A run is the job it was made from: what it holds is not looked at either.
const runOf = (job: LikelyPitJob): LikelyPitRun => ({ ran: job }) as unknown as LikelyPitRun;
const pause = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

const ports: { close(): void }[] = [];
afterEach(() => {
  for (const port of ports.splice(0)) port.close();
});

/** A pool with so many helpers, and how many pits each of them ran. */
function poolOf(helpers: number, run = runOf) {
  const counts = Array.from({ length: helpers }, () => 0);
  const pool = new PitPool(runOf, pause);
  counts.forEach((_, i) => {
    const channel = new MessageChannel();
    ports.push(channel.port1, channel.port2);
    // Node's ports do what a browser's do, but their types know nothing of each other.
    const [theirs, ours] = [channel.port1, channel.port2] as unknown as MessagePort[];
    helpAt(theirs!, (job) => {
      counts[i]!++;
      return run(job);
    });
    pool.add(ours!);
  });
  return { pool, counts };
}

it.each([0, 1, 3])('runs every pit once with %i helpers, in the order of the jobs', async (n) => {
  const { pool, counts } = poolOf(n);
  const missing: number[] = [];
  const runs = await pool.run({ jobs, wanted: () => true, onDone: (m) => missing.push(m) });
  expect(runs).toEqual(jobs.map(runOf));
  expect(missing).toEqual(jobs.map((_, i) => jobs.length - 1 - i));
  expect(counts.every((c) => c > 0)).toBe(true);
});

it('gives up what is no longer wanted, and is ready for the next', async () => {
  const { pool } = poolOf(2);
  let done = 0;
  const given = await pool.run({ jobs, wanted: () => done < 4, onDone: () => done++ });
  expect(given).toBeNull();
  expect(done).toBeLessThan(jobs.length);
  expect(await pool.run({ jobs, wanted: () => true, onDone: () => undefined })).toHaveLength(12);
});

it('keeps two plans apart that ask at the same time', async () => {
  const { pool } = poolOf(2);
  const all = { wanted: () => true, onDone: () => undefined };
  const others = [...jobs].reverse();
  const [one, two] = await Promise.all([
    pool.run({ jobs, ...all }),
    pool.run({ jobs: others, ...all }),
  ]);
  expect(one).toEqual(jobs.map(runOf));
  expect(two).toEqual(others.map(runOf));
});

it('fails with what a helper failed with', async () => {
  const { pool } = poolOf(1, () => {
    throw new RangeError('no such pit');
  });
  await expect(pool.run({ jobs, wanted: () => true, onDone: () => undefined })).rejects.toThrow(
    'no such pit',
  );
});
