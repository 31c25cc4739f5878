/** Who is watching which cook, and telling them. */
import type { LiveEvent } from '@ostrin/contract';
import type { Response } from 'express';

const HEARTBEAT_MS = 15_000;

/** Event streams by cook. */
export class Hub {
  private readonly watchers = new Map<string, Set<Response>>();
  private readonly heartbeat = setInterval(() => {
    for (const set of this.watchers.values()) for (const res of set) res.write(': still here\n\n');
  }, HEARTBEAT_MS).unref();

  /** Adds a watcher until its connection closes, greeting it first. */
  watch(cookId: string, res: Response, hello: LiveEvent): void {
    res.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache, no-transform',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    res.write('retry: 1000\n');
    send(res, hello);
    const set = this.watchers.get(cookId) ?? new Set();
    set.add(res);
    this.watchers.set(cookId, set);
    res.on('close', () => set.delete(res));
  }

  /** Tells everybody who watches a cook. */
  tell(cookId: string, event: LiveEvent): void {
    for (const res of this.watchers.get(cookId) ?? []) send(res, event);
  }

  /** Ends all streams. */
  close(): void {
    clearInterval(this.heartbeat);
    for (const set of this.watchers.values()) for (const res of set) res.end();
    this.watchers.clear();
  }
}

const send = (res: Response, event: LiveEvent): void => {
  res.write(`data: ${JSON.stringify(event)}\n\n`);
};
