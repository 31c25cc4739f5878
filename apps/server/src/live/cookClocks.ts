/**
 * Keeps the clocks of cooks under way and their thermometers read. Pits are simulated in a worker, a slice at a
 * time. While the server is off a thermometer's clock stands still; it goes on from where it was.
 */
import type { ClockState, Reading } from '@ostrin/contract';
import { DAY_MS } from '@ostrin/core/quantity';
import { isTelling, type Entry } from '@ostrin/core/log';
import { randomUUID } from 'node:crypto';
import { READ_EVERY_MS } from '../instruments/simulatedThermometer';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import type { PitAnswer, PitAsk } from '../workers/pits.worker';
import type { Pools } from '../workers/pools';
import type { Hub } from './hub';

const TICK_MS = 250;
/** Readings of one cook in one slice, and of all cooks: one write of the database each. */
const SLICE = { ofOne: 120, ofAll: 360 };
/** A practice cook's clock stops so long after its start: nothing burns that long. */
const LONGEST_MS = 7 * DAY_MS;

interface Running {
  id: string;
  /** Whether it goes by the real clock, and nothing is simulated. */
  real: boolean;
  /** Cook's clock at `realMs`. */
  cookMs: number;
  realMs: number;
  speed: number;
  /** Where its clock stops. */
  lastMs: number;
  /** Cook's clock at its last reading. */
  readMs: number;
  plan: CookHead['plan'];
  /** What the worker has not been told yet; null when it knows all. */
  news: readonly Entry[] | null;
  /** Whether more came at once than is worth sending piece by piece. */
  behind: boolean;
  /** Why its pit cannot be computed; null while it can. Tried again when the log changes. */
  fault: string | null;
}

/** New readings of a cook. */
interface Fresh {
  cook: Running;
  readings: Reading[];
  /** Whether there are more to come. */
  behind: boolean;
  clockMs: number;
}

export class CookClocks {
  private readonly running = new Map<string, Running>();
  private timer: ReturnType<typeof setInterval> | null = null;
  private ticking: Promise<void> | null = null;
  private stopped = false;
  /** Keeps cooks of several servers in one worker apart. */
  private readonly server = randomUUID();

  constructor(
    private readonly store: CookStore,
    private readonly hub: Hub,
    private readonly pools: Pools,
    private readonly now: () => number,
    private readonly onError: (error: unknown, cookId?: string) => void,
  ) {}

  /** Takes up every unfinished cook and starts ticking. One that cannot be taken up does not stop the others. */
  async start(): Promise<void> {
    for (const head of await this.store.running()) {
      await this.take(head).catch((error: unknown) => this.onError(error, head.id));
    }
    this.timer = setInterval(() => void this.tick(), TICK_MS);
  }

  /** Stops ticking and waits for the tick under way. */
  async stop(): Promise<void> {
    this.stopped = true;
    if (this.timer) clearInterval(this.timer);
    await this.ticking;
  }

  /** Takes up one cook from what is stored of it. */
  async take(head: CookHead): Promise<void> {
    const entries = await this.store.entries(head.id);
    const readMs = (await this.store.lastReadingMs(head.id)) ?? head.clockMs;
    const lastMs = head.startMs + LONGEST_MS;
    this.running.set(head.id, {
      id: head.id,
      real: head.fire === 'real',
      // The clock follows what was read, never what somebody dated.
      cookMs: Math.min(Math.max(head.clockMs, readMs), lastMs),
      realMs: this.now(),
      speed: head.speed,
      lastMs,
      readMs,
      plan: head.plan,
      news: entries,
      behind: false,
      fault: null,
    });
  }

  /** Where a cook's clock stands; a finished cook stands still at `head.clockMs`. */
  clock(head: Pick<CookHead, 'id' | 'finishedAt' | 'clockMs'>): ClockState {
    const r = this.running.get(head.id);
    return r
      ? this.clockOf(r)
      : {
          cookMs: head.finishedAt ?? head.clockMs,
          realMs: this.now(),
          speed: 1,
          running: false,
        };
  }

  /** The real clock, epoch ms. */
  realMs(): number {
    return this.now();
  }

  /**
   * Sets the speed of a running cook's clock; with `skipTo` it goes on from that instant, and its pit catches up. A clock
   * never goes back. Returns false when it is not running.
   */
  async setSpeed(id: string, speed: number, skipTo = 0): Promise<boolean> {
    const r = this.running.get(id);
    if (!r) return false;
    this.moveClock(r);
    r.speed = speed;
    if (!r.real) r.cookMs = Math.min(r.lastMs, Math.max(r.cookMs, skipTo));
    await this.store.setClock(id, Math.round(r.cookMs), speed);
    return true;
  }

  /** Tells the pit of the log as it stands after a change. */
  changed(id: string, entries: readonly Entry[]): void {
    const r = this.running.get(id);
    if (!r) return;
    r.news = entries;
    r.fault = null;
  }

  /** Lets go of a finished cook. Its clock, where it stood, epoch ms; null when it was not running. */
  release(id: string): number | null {
    const r = this.running.get(id);
    if (!r) return null;
    this.moveClock(r);
    this.running.delete(id);
    void this.pools.releasePit(this.keyOf(id)).catch((error: unknown) => this.onError(error, id));
    return Math.round(r.cookMs);
  }

  /** Whether any pit has readings to catch up with. */
  get isBehind(): boolean {
    return [...this.running.values()].some((r) => r.behind);
  }

  private keyOf(id: string): string {
    return `${this.server}/${id}`;
  }

  private clockOf(r: Running): ClockState {
    this.moveClock(r);
    return { cookMs: Math.round(r.cookMs), realMs: r.realMs, speed: r.speed, running: true };
  }

  /** Moves a cook's clock by what has passed; a machine's clock that was set back moves nothing. */
  private moveClock(r: Running): void {
    const real = this.now();
    if (r.real) {
      r.cookMs = r.realMs = real;
      return;
    }
    const passed = Math.max(0, real - r.realMs);
    r.cookMs = Math.min(r.lastMs, r.cookMs + passed * r.speed);
    r.realMs = real;
  }

  private tick(): Promise<void> {
    this.ticking ??= this.readAll()
      .catch((error: unknown) => this.onError(error))
      .finally(() => {
        this.ticking = null;
        if (this.isBehind && !this.stopped) setImmediate(() => void this.tick());
      });
    return this.ticking;
  }

  /** One slice of all pits that have something to read. */
  private async readAll(): Promise<void> {
    const asks = this.asks();
    if (asks.length === 0) return;
    for (const a of asks) if (a.known) this.running.get(a.cookId)!.news = null;
    let answers: PitAnswer[];
    try {
      answers = await this.pools.readPits(asks);
    } catch (error) {
      // The worker is gone with all it knew: everything is told again.
      for (const { cookId } of asks) await this.tellAgain(cookId);
      throw error;
    }
    const fresh: Fresh[] = [];
    for (const answer of answers) {
      const id = answer.key.slice(this.server.length + 1);
      const r = this.running.get(id);
      if (!r) continue;
      if ('forgotten' in answer) await this.tellAgain(id);
      else if ('fault' in answer) {
        r.fault = answer.fault;
        r.behind = false;
        this.onError(new Error(answer.fault), id);
      } else fresh.push({ ...answer, cook: r, clockMs: Math.round(r.cookMs) });
    }
    await this.keep(fresh);
  }

  /** Stores readings and tells of them; what cannot be stored is read again. */
  private async keep(fresh: readonly Fresh[]): Promise<void> {
    try {
      const some = fresh.filter((f) => f.readings.length > 0);
      if (some.length > 0) await this.store.addReadings(some);
    } catch (error) {
      for (const { cook } of fresh) await this.tellAgain(cook.id);
      throw error;
    }
    for (const { cook, readings, behind } of fresh) {
      cook.readMs = readings.at(-1)?.at ?? cook.readMs;
      this.tellReadings(cook, readings, behind);
    }
  }

  private asks(): PitAsk[] {
    const asks: PitAsk[] = [];
    let left = SLICE.ofAll;
    const due = [...this.running.values()].filter((r) => {
      this.moveClock(r);
      return (
        !r.real && r.fault === null && (r.news !== null || r.cookMs - r.readMs >= READ_EVERY_MS)
      );
    });
    // Those that are furthest behind come last, so that one that catches up does not starve the rest.
    due.sort((a, b) => a.cookMs - a.readMs - (b.cookMs - b.readMs));
    for (const r of due) {
      if (left <= 0) break;
      const most = Math.min(SLICE.ofOne, left);
      left -= Math.min(most, Math.ceil((r.cookMs - r.readMs) / READ_EVERY_MS));
      asks.push({
        key: this.keyOf(r.id),
        cookId: r.id,
        untilMs: r.cookMs,
        most,
        ...(r.news ? { known: { plan: r.plan, entries: r.news, lastMs: r.readMs } } : {}),
      });
    }
    return asks;
  }

  private tellReadings(r: Running, read: readonly Reading[], behind: boolean): void {
    // What tells nothing is not kept either.
    const readings = read.filter(isTelling);
    const wasBehind = r.behind;
    r.behind = behind;
    if (behind) return;
    if (wasBehind) this.hub.tell({ type: 'refresh', cookId: r.id });
    else if (readings.length > 0) {
      this.hub.tell({ type: 'readings', cookId: r.id, readings, clock: this.clockOf(r) });
    }
  }

  private async tellAgain(id: string): Promise<void> {
    const entries = await this.store.entries(id);
    const r = this.running.get(id);
    if (r) r.news ??= entries;
  }
}
