/** Worker threads: one that simulates pits, one that reads large documents. */
import { Piscina } from 'piscina';
import type { CookDoc, NewCook } from '@ostrin/contract';
import { invalid, Problem } from '../http/problems';
import type { Read } from './documents.worker';
import type { PitAnswer, PitAsk } from './pits.worker';

/** Memory that a thread may take, MB: a large import takes a few hundred. */
const MOST_MB = 1024;
/** A thread that reads documents ends after so long without work, ms. */
const IDLE_MS = 30_000;

/** Workers run as built: the built server has them beside it, and a server run from its sources uses the same. */
const folder = import.meta.url.endsWith('.ts') ? '../../dist/' : './';
const start = (name: string) => ({
  filename: new URL(`${folder}${name}.js`, import.meta.url).href,
  maxThreads: 1,
  resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
});

/** The two pools of a server; tests share them between servers. */
export class Pools {
  // One thread: it holds the pits that it simulates.
  private readonly pits = new Piscina({ ...start('pits.worker'), minThreads: 1 });
  private readonly documents = new Piscina({
    ...start('documents.worker'),
    minThreads: 0,
    idleTimeout: IDLE_MS,
  });

  /** `onError` hears of threads that ended by a fault; the next ask starts another. */
  constructor(onError: (error: unknown) => void) {
    this.pits.on('error', onError);
    this.documents.on('error', onError);
  }

  /** Reads pits up to a time each. */
  readPits(asks: readonly PitAsk[]): Promise<PitAnswer[]> {
    return this.pits.run(asks, { name: 'read' }) as Promise<PitAnswer[]>;
  }

  /** Lets go of a pit. */
  async releasePit(key: string): Promise<void> {
    await this.pits.run(key, { name: 'release' });
  }

  /** A cook of the past from a body. Throws a Problem where it is not one. */
  readImport(text: string): Promise<CookDoc> {
    return this.document<CookDoc>('readImport', text);
  }

  /** Cooks to begin from a body. Throws a Problem where they are not. */
  readBeginnings(text: string): Promise<NewCook[]> {
    return this.document<NewCook[]>('readBeginnings', text);
  }

  /** One cook to begin from a body. Throws a Problem where it is not one. */
  readBeginning(text: string): Promise<Omit<NewCook, 'id'>> {
    return this.document<Omit<NewCook, 'id'>>('readBeginning', text);
  }

  private async document<T>(name: string, text: string): Promise<T> {
    const read = (await this.documents.run(text, { name })) as Read<T>;
    if (read.ok) return read.value;
    if ('notJson' in read) {
      throw new Problem(400, 'The body is not JSON', [{ field: '', message: read.notJson }]);
    }
    throw invalid(read.problems);
  }

  /** Ends all threads. */
  async close(): Promise<void> {
    await Promise.all([this.pits.destroy(), this.documents.destroy()]);
  }
}
