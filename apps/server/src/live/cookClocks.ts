/**
 * Keeps the clocks of cooks under way and their thermometers read. While the server is off a
 * thermometer's clock stands still; it goes on from where it was.
 */
import type { ClockState } from '@ostrin/contract';
import type { Entry } from '@ostrin/core';
import { SimulatedThermometer } from '../instruments/simulatedThermometer';
import type { CookHead, CookStore } from '../store/cooks';
import type { Hub } from './hub';

const TICK_MS = 250;

interface Running {
  cookMs: number;
  realMs: number;
  speed: number;
  instrument: SimulatedThermometer;
}

export class CookClocks {
  private readonly running = new Map<string, Running>();
  private timer: NodeJS.Timeout | null = null;
  private ticking: Promise<void> = Promise.resolve();

  constructor(
    private readonly store: CookStore,
    private readonly hub: Hub,
    private readonly now: () => number,
    private readonly onError: (error: unknown) => void,
  ) {}

  /** Takes up every unfinished cook and starts ticking. */
  async start(): Promise<void> {
    for (const head of await this.store.running()) await this.take(head);
    this.timer = setInterval(() => {
      this.ticking = this.ticking.then(() => this.tick()).catch(this.onError);
    }, TICK_MS);
  }

  /** Stops ticking and waits for the tick under way. */
  async stop(): Promise<void> {
    if (this.timer) clearInterval(this.timer);
    await this.ticking;
  }

  /** Takes up one cook from what is stored of it. */
  async take(head: CookHead): Promise<void> {
    const entries = await this.store.entries(head.id);
    const readings = await this.store.readings(head.id);
    const lastReading = readings.at(-1)?.at ?? head.clockMs;
    const lastEntry = entries.reduce((ms, e) => Math.max(ms, e.at), 0);
    const instrument = new SimulatedThermometer(head.id, head.plan, lastReading);
    instrument.follow(entries);
    this.running.set(head.id, {
      cookMs: Math.max(head.clockMs, lastReading, lastEntry),
      realMs: this.now(),
      speed: head.speed,
      instrument,
    });
  }

  /** Where a cook's clock stands; a finished cook stands still at `head.clockMs`. */
  clock(head: CookHead): ClockState {
    const r = this.running.get(head.id);
    const real = this.now();
    if (!r)
      return { cookMs: head.finishedAt ?? head.clockMs, realMs: real, speed: 1, running: false };
    return { cookMs: this.cookNow(r), realMs: real, speed: r.speed, running: true };
  }

  /** Sets the speed of a running cook's clock. Returns false when it is not running. */
  async setSpeed(id: string, speed: number): Promise<boolean> {
    const r = this.running.get(id);
    if (!r) return false;
    r.cookMs = this.cookNow(r);
    r.realMs = this.now();
    r.speed = speed;
    await this.store.setClock(id, r.cookMs, speed);
    return true;
  }

  /** Tells the instrument of the log as it stands after a change. */
  changed(id: string, entries: readonly Entry[]): void {
    this.running.get(id)?.instrument.follow(entries);
  }

  /** Lets go of a finished cook. */
  release(id: string): void {
    this.running.delete(id);
  }

  private cookNow(r: Running): number {
    return Math.round(r.cookMs + (this.now() - r.realMs) * r.speed);
  }

  private async tick(): Promise<void> {
    for (const [id, r] of this.running) {
      const cookMs = this.cookNow(r);
      const readings = r.instrument.readUntil(cookMs);
      if (readings.length === 0) continue;
      await this.store.addReadings(id, readings, cookMs);
      this.hub.tell(id, {
        type: 'readings',
        readings,
        clock: { cookMs: this.cookNow(r), realMs: this.now(), speed: r.speed, running: true },
      });
    }
  }
}
