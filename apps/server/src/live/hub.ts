/** Who is watching, and telling them. */
import type { LiveEvent } from '@ostrin/contract';
import type { Request, Response } from 'express';

const HEARTBEAT_MS = 10_000;
/** A reader that has this much waiting is let go, bytes: it comes back and reads everything again. */
const MOST_WAITING = 1_000_000;

interface Watcher {
  res: Response;
  /** The one cook that is watched; null for everything. */
  cookId: string | null;
  /** The signed-in device that watches; null on a server for this machine alone. */
  deviceId: string | null;
}

/** Event streams. What is written within one turn of the event loop goes out in one write to each. */
export class Hub {
  private readonly watchers = new Set<Watcher>();
  private readonly hearers = new Set<(event: LiveEvent) => void>();
  private waiting: LiveEvent[] = [];
  private readonly heartbeat = setInterval(() => this.tell({ type: 'alive' }), HEARTBEAT_MS);

  /** Adds a watcher of one cook, or of everything, until its connection closes, greeting it first; `deviceId`: as which. */
  watch(cookId: string | null, req: Request, res: Response, deviceId: string | null = null): void {
    res.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache, no-transform',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    // Whoever asks for the headers alone gets them, and no stream.
    if (req.method === 'HEAD') {
      res.end();
      return;
    }
    res.write(`retry: 1000\n${frame({ type: 'hello' })}`);
    const watcher = { cookId, res, deviceId };
    this.watchers.add(watcher);
    res.on('close', () => this.watchers.delete(watcher));
    // A reader that is gone in mid-write is no fault of the server's.
    res.on('error', () => this.watchers.delete(watcher));
  }

  /** Tells everybody whom an event concerns. */
  tell(event: LiveEvent): void {
    for (const hear of this.hearers) hear(event);
    if (this.watchers.size === 0) return;
    if (this.waiting.length === 0) setImmediate(() => this.send());
    this.waiting.push(event);
  }

  /** Calls back with every event, here in the server. Returns how to stop. */
  hear(back: (event: LiveEvent) => void): () => void {
    this.hearers.add(back);
    return () => this.hearers.delete(back);
  }

  /** Number of open streams. */
  get size(): number {
    return this.watchers.size;
  }

  /** Ends the streams of a device that was signed out. */
  endOf(deviceId: string): void {
    for (const watcher of this.watchers) {
      if (watcher.deviceId !== deviceId) continue;
      // Nothing is written to it any more, also while what waits is not read.
      this.watchers.delete(watcher);
      watcher.res.end();
    }
  }

  /** Ends all streams. */
  close(): void {
    clearInterval(this.heartbeat);
    for (const { res } of this.watchers) res.end();
    this.watchers.clear();
  }

  private send(): void {
    const events = this.waiting.map((e) => ({
      cookId: 'cookId' in e ? e.cookId : null,
      text: frame(e),
    }));
    this.waiting = [];
    const whole = events.map((e) => e.text).join('');
    for (const { res, cookId } of this.watchers) {
      if (res.writableLength > MOST_WAITING) res.destroy();
      else if (cookId === null) res.write(whole);
      else {
        const part = events.filter((e) => e.cookId === null || e.cookId === cookId);
        if (part.length > 0) res.write(part.map((e) => e.text).join(''));
      }
    }
  }
}

const frame = (event: LiveEvent): string => `data: ${JSON.stringify(event)}\n\n`;
