/**
 * One tab at a time. Where the browser has locks they are used; a page that came over plain HTTP from another
 * device has none, and takes a lease in this browser's database instead, which it renews while it works.
 */
import { v4 as newId } from 'uuid';
import { ownDatabase } from './database';

const LEASE_MS = 6_000;
const LOOK_AGAIN_MS = 500;
const me = newId();

const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** Runs work while no other tab runs work of that name. Throws what the work throws. */
export async function inOneTab<T>(name: string, work: () => Promise<T>): Promise<T> {
  // The types promise locks everywhere; an insecure page has none.
  const { locks }: { locks?: LockManager } = globalThis.navigator ?? {};
  if (locks) return locks.request(`ostrin-${name}`, work);
  while (!(await takeLease(name))) await pause(LOOK_AGAIN_MS);
  const renew = setInterval(() => void takeLease(name), LEASE_MS / 3);
  try {
    return await work();
  } finally {
    clearInterval(renew);
    await giveLease(name);
  }
}

/** Takes or renews a lease. True where it is ours, and where there is nothing to take it from. */
async function takeLease(name: string): Promise<boolean> {
  try {
    const tx = (await ownDatabase()).transaction('leases', 'readwrite');
    const held = await tx.store.get(name);
    const free = !held || held.holder === me || held.until < Date.now();
    if (free) await tx.store.put({ name, holder: me, until: Date.now() + LEASE_MS });
    await tx.done;
    return free;
  } catch {
    return true;
  }
}

async function giveLease(name: string): Promise<void> {
  try {
    const tx = (await ownDatabase()).transaction('leases', 'readwrite');
    if ((await tx.store.get(name))?.holder === me) await tx.store.delete(name);
    await tx.done;
  } catch {
    // It runs out by itself.
  }
}
