/** Guessing is slow: each wrong code makes its address wait longer, and all addresses together are limited. */
import { Problem } from '../http/problems';
import { oneAfterAnother } from '../live/inTurn';
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

/** Wrong codes of one address before it waits, and how the wait grows: doubled with each, up to the most, s. */
const FREE_TRIES = 5;
const WAIT_S = { first: 2, most: 900 };
/** Codes of all addresses that are looked at in a minute: what a crew needs, and no more. */
const ALL_PER_MINUTE = 60;
/** Codes that wait for their look at once; each takes a processor for a good part of a second. */
const MOST_WAITING = 8;

export class Attempts {
  private readonly all = new RateLimiterMemory({ points: ALL_PER_MINUTE, duration: 60 });
  private readonly failed = new RateLimiterMemory({ points: 1e9, duration: WAIT_S.most * 2 });
  private readonly waits = new RateLimiterMemory({ points: 1, duration: WAIT_S.most });
  private readonly inTurn = oneAfterAnother();
  private waiting = 0;

  /**
   * What `look` finds for the code of an address, null for a wrong one. One code is looked at after the other, so that
   * many at once neither hold up other requests nor come in before the first wrong one counts. Throws a Problem of 429.
   */
  async check<T>(address: string, look: () => Promise<T | null>): Promise<T | null> {
    if (this.waiting >= MOST_WAITING) throw later(1000);
    this.waiting++;
    try {
      return await this.inTurn(async () => {
        await this.admit(address);
        const found = await look();
        await (found === null ? this.wrong(address) : this.right(address));
        return found;
      });
    } finally {
      this.waiting--;
    }
  }

  /** Throws 429 where an address has to wait. */
  private async admit(address: string): Promise<void> {
    const waiting = await this.waits.get(address);
    if (waiting && waiting.consumedPoints > 1) throw later(waiting.msBeforeNext);
    try {
      await this.all.consume('all');
    } catch (error) {
      throw later((error as RateLimiterRes).msBeforeNext);
    }
  }

  /** Counts a wrong code. */
  private async wrong(address: string): Promise<void> {
    const { consumedPoints } = await this.failed.consume(address);
    const over = consumedPoints - FREE_TRIES;
    if (over < 0) return;
    const waitS = Math.min(WAIT_S.first * 2 ** over, WAIT_S.most);
    await this.waits.block(address, waitS);
  }

  /** Forgets an address that gave a right code. */
  private async right(address: string): Promise<void> {
    await this.failed.delete(address);
    await this.waits.delete(address);
  }
}

function later(ms: number): Problem {
  const s = Math.max(1, Math.ceil(ms / 1000));
  return new Problem(429, `Too many tries: wait ${s} s`, [], { retryAfterS: s });
}
