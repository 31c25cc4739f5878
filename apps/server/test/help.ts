/** A real server on a scratch database. */
import { type Plan, type Request } from '@ostrin/core';
import { planDocument } from '@ostrin/wording';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import pino from 'pino';
import { createApp, openDatabase } from '../src';
import { request } from '../../../packages/core/test/scenarios';

const plans = new Map<string, Plan>();

/** A plan for a wish, made once. */
export function planFor(part: Partial<Request> = {}): Plan {
  const key = JSON.stringify(part);
  const known = plans.get(key) ?? planDocument(request(part), { nowMs: 0, members: 1 });
  plans.set(key, known);
  return JSON.parse(JSON.stringify(known)) as Plan;
}

export interface TestServer {
  url: string;
  stop(): Promise<void>;
}

/** Starts the API on a free port; `now` is its clock. */
export async function startServer(file = ':memory:', now?: () => number): Promise<TestServer> {
  const db = await openDatabase(file);
  const { app, clocks, hub } = createApp({ db, logger: pino({ level: 'silent' }), now });
  await clocks.start();
  const server = await new Promise<Server>((resolve) => {
    const s = app.listen(0, '127.0.0.1', () => resolve(s));
  });
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async stop() {
      hub.close();
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      await clocks.stop();
      await db.destroy();
    },
  };
}

/** One JSON call. */
export async function call(
  url: string,
  method = 'GET',
  body?: unknown,
): Promise<{ status: number; type: string; json: any }> {
  const res = await fetch(url, {
    method,
    headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
  });
  const text = await res.text();
  const type = res.headers.get('content-type') ?? '';
  return { status: res.status, type, json: type.includes('json') ? JSON.parse(text) : text };
}
