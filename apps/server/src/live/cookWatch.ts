/**
 * Watches cooks under way in a worker, one after the other, each every few minutes of its own clock, and tells what their
 * estimates say and which alarms are up. It runs where somebody outside the app hears of it: phones watch by themselves.
 */
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import type { Pools } from '../workers/pools';
import type { CookClocks } from './cookClocks';
import type { Hub } from './hub';

/** A cook is looked at each so many of its minutes, ms, and anew when its log changes. */
const EVERY_MS = 5 * 60_000;
/** How often it is seen whether one is due, ms. */
const TICK_MS = 1_000;

export class CookWatch {
  /** Where each cook stood when it was looked at last. */
  private readonly seen = new Map<string, { slot: number; alarms: string }>();
  private readonly stale = new Set<string>();
  private timer: ReturnType<typeof setInterval> | null = null;
  private busy: Promise<void> | null = null;
  private stopHearing: (() => void) | null = null;

  constructor(
    private readonly store: CookStore,
    private readonly clocks: CookClocks,
    private readonly pools: Pools,
    private readonly hub: Hub,
    private readonly onError: (error: unknown) => void,
  ) {}

  start(): void {
    this.stopHearing = this.hub.hear((event) => {
      if (event.type === 'entries') this.stale.add(event.cookId);
    });
    this.timer = setInterval(() => {
      this.busy ??= this.lookAtDue()
        .catch(this.onError)
        .finally(() => {
          this.busy = null;
        });
    }, TICK_MS);
  }

  async stop(): Promise<void> {
    if (this.timer) clearInterval(this.timer);
    this.stopHearing?.();
    await this.busy;
  }

  private async lookAtDue(): Promise<void> {
    const running = await this.store.running();
    for (const id of this.seen.keys()) {
      if (running.some((c) => c.id === id)) continue;
      this.seen.delete(id);
      this.hub.tell({ type: 'over', cookId: id });
    }
    for (const head of running) {
      const { cookMs } = this.clocks.clock(head);
      const slot = Math.floor(cookMs / EVERY_MS);
      if (this.seen.get(head.id)?.slot === slot && !this.stale.has(head.id)) continue;
      this.stale.delete(head.id);
      await this.lookAt(head, slot);
    }
  }

  private async lookAt(head: CookHead, slot: number): Promise<void> {
    const { id, plan, startMs } = head;
    const [entries, readings] = [await this.store.entries(id), await this.store.readings(head)];
    const nowMs = this.clocks.clock(head).cookMs;
    const watched = await this.pools.lookAt({
      record: { id, plan, startMs, entries, readings },
      nowMs,
    });
    const before = this.seen.get(id)?.alarms ?? '[]';
    const alarms = JSON.stringify(watched?.alarms.map((a) => a.id) ?? []);
    this.seen.set(id, { slot, alarms });
    if (!watched) return;
    this.hub.tell({ type: 'state', cookId: id, state: watched.state });
    if (alarms !== before)
      this.hub.tell({ type: 'alarms', cookId: id, alarms: [...watched.alarms] });
  }
}
