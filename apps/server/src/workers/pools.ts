/** Worker threads: one that simulates pits, one that reads large documents, one that watches cooks. */
import { once } from 'node:events';
import type { Worker } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { NewCook, Packet } from '@ostrin/contract';
import { valueOf, type Read } from '../http/read';
import type { PartOf, PastCook, WrittenReadings } from './documents.worker';
import type { WireBody } from '../live/readWire';
import type { PitAnswer, PitAsk } from './pits.worker';
import type { Watched, WatchAsk } from './watch.worker';

/** Memory that a thread may take, MB: a large import takes a few hundred. */
const MOST_MB = 1024;
/** Room for what is young, MB: more of it makes nothing faster and is never given back. */
const YOUNG_MB = 24;
/** A thread that reads documents ends after so long without work, ms. */
const IDLE_MS = 30_000;

/** Workers run as built: the built server has them beside it, and a server run from its sources uses the same. */
const folder = import.meta.url.endsWith('.ts') ? '../../dist/' : './';
const start = (name: string) => ({
  filename: new URL(`${folder}${name}.js`, import.meta.url).href,
  maxThreads: 1,
  resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: YOUNG_MB },
});

/** The pools of a server; tests share them between servers. */
export class Pools {
  // One thread: it holds the pits that it simulates.
  private readonly pits = new Piscina({ ...start('pits.worker'), minThreads: 1 });
  // One thread: it keeps what it made of each fire.
  private readonly watch = new Piscina({
    ...start('watch.worker'),
    minThreads: 0,
    idleTimeout: IDLE_MS,
  });
  // Two threads: a long record that is brought in keeps nobody from beginning a cook.
  private readonly documents = new Piscina({
    ...start('documents.worker'),
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: IDLE_MS,
  });

  /** When each thread that was started has read its modules. */
  private readonly loaded = new WeakMap<Worker, Promise<unknown>>();

  /** `onError` hears of threads that ended by a fault; the next ask starts another. */
  constructor(onError: (error: unknown) => void) {
    this.pits.on('error', onError);
    this.documents.on('error', onError);
    this.watch.on('error', onError);
    this.noteThreads(this.pits);
  }

  /** Reads pits up to a time each. */
  readPits(asks: readonly PitAsk[]): Promise<PitAnswer[]> {
    return this.run(this.pits, asks, 'read') as Promise<PitAnswer[]>;
  }

  /** Lets go of a pit. */
  async releasePit(key: string): Promise<void> {
    await this.run(this.pits, key, 'release');
  }

  /** Looks at a cook under way: what its estimate says, and its alarms. */
  lookAt(ask: WatchAsk): Promise<Watched> {
    return this.run(this.watch, ask, 'look') as Promise<Watched>;
  }

  /** A cook of the past from a body. Throws a Problem where it is not one. */
  readImport(bytes: Uint8Array): Promise<PastCook> {
    return this.document<PastCook>('readImport', bytes);
  }

  /** More readings of a cook of the past. Throws a Problem where they are none. */
  readPart(bytes: Uint8Array, of: PartOf): Promise<WrittenReadings> {
    return this.document<WrittenReadings>('readPart', { bytes, of });
  }

  /** Packets of an instrument from a body. Throws a Problem where they are none. */
  readWire(body: WireBody): Promise<Packet[]> {
    return this.document<Packet[]>('readWire', body);
  }

  /** Cooks to begin from a body. Throws a Problem where they are not. */
  readBeginnings(text: string): Promise<NewCook[]> {
    return this.document<NewCook[]>('readBeginnings', text);
  }

  /** One cook to begin from a body. Throws a Problem where it is not one. */
  readBeginning(text: string): Promise<Omit<NewCook, 'id'>> {
    return this.document<Omit<NewCook, 'id'>>('readBeginning', text);
  }

  private async document<T>(name: string, ask: unknown): Promise<T> {
    return valueOf((await this.run(this.documents, ask, name)) as Read<T>);
  }

  /**
   * Ends all threads, each once it has read its modules: Node aborts the whole process when a thread is ended in the
   * middle of that (seen on Node 20: a server that was closed as soon as it had begun).
   */
  async close(): Promise<void> {
    const pools = [this.pits, this.documents, this.watch];
    const threads = pools.flatMap((pool) => pool.threads);
    await Promise.allSettled(threads.map((thread) => this.loaded.get(thread) ?? Promise.resolve()));
    await Promise.all(pools.map((pool) => pool.destroy()));
  }

  private run(pool: Piscina, ask: unknown, name: string): Promise<unknown> {
    const answer = pool.run(ask, { name });
    this.noteThreads(pool);
    return answer;
  }

  /** Listens to threads that are new. A thread's first message says that it has read its modules. */
  private noteThreads(pool: Piscina): void {
    for (const thread of pool.threads) {
      if (this.loaded.has(thread)) continue;
      const loaded = Promise.race([once(thread, 'message'), once(thread, 'exit')]);
      // A fault is told by the pool.
      loaded.catch(() => undefined);
      this.loaded.set(thread, loaded);
    }
  }
}
