/** Where taps are kept until they have been sent: this browser's database, or memory where that refuses. */
import { ownDatabase } from '../connection/database';
import type { Tap } from './tap';

/** Taps of this tab alone: what the database would not take. Their places come before all kept ones. */
let inMemory: Tap[] = [];
let memorySeq = -1_000_000;

/** Whether taps outlive this page: false once the database refused one. */
export type Keeping = 'disk' | 'memory';

/**
 * Keeps taps, all or none, before they are shown as logged. A job that another tab has kept already is passed
 * over: nothing is kept then. Returns the taps with their places and where they are.
 */
export async function keepTaps(taps: readonly Tap[]): Promise<{ kept: Tap[]; keeping: Keeping }> {
  try {
    const tx = (await ownDatabase()).transaction('taps', 'readwrite', { durability: 'strict' });
    const jobId = taps[0]?.entry.jobId;
    if (jobId !== undefined) {
      const waiting = await tx.store.getAll();
      const same = (t: Tap): boolean => t.cookId === taps[0]!.cookId && t.entry.jobId === jobId;
      const undone = new Set(
        waiting.flatMap(({ entry }) => (entry.kind === 'undo' ? [entry.target] : [])),
      );
      if (waiting.some((t) => same(t) && !undone.has(t.entry.id))) {
        await tx.done;
        return { kept: [], keeping: 'disk' };
      }
    }
    const kept = await Promise.all(
      taps.map(async (tap) => ({ ...tap, seq: await tx.store.add(tap) })),
    );
    await tx.done;
    return { kept, keeping: 'disk' };
  } catch {
    const kept = taps.map((tap) => ({ ...tap, seq: memorySeq++ }));
    inMemory = [...inMemory, ...kept];
    return { kept, keeping: 'memory' };
  }
}

/** All taps that are kept, in the order in which they were made. */
export async function allTaps(): Promise<Tap[]> {
  try {
    return [...inMemory, ...(await (await ownDatabase()).getAll('taps'))];
  } catch {
    return [...inMemory];
  }
}

/** Changes one tap where it is still kept. */
export async function changeTap(tap: Tap): Promise<void> {
  const { seq } = tap;
  if (inMemory.some((t) => t.seq === seq)) {
    inMemory = inMemory.map((t) => (t.seq === seq ? tap : t));
    return;
  }
  const tx = (await ownDatabase()).transaction('taps', 'readwrite', { durability: 'strict' });
  if (await tx.store.get(seq!)) await tx.store.put(tap);
  await tx.done;
}

/** Forgets one tap: it has been sent, or its writer let it go. */
export async function forgetTap({ seq }: Tap): Promise<void> {
  if (inMemory.some((t) => t.seq === seq)) {
    inMemory = inMemory.filter((t) => t.seq !== seq);
    return;
  }
  await (await ownDatabase()).delete('taps', seq!);
}
