/** A real server on a scratch database. */
import type { PitPlan, Plan, Request } from '@ostrin/core';
import { planOnePit } from '@ostrin/core/engine';
import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Knex } from 'knex';
import pino from 'pino';
import type { Hub } from '../src/live/hub';
import { closeDatabase, createApp, openDatabase, Pools, type AppOptions } from '../src';
import { request } from '@ostrin/testing';

/** A database of its own with the demo world in it, made ready before the tests: see `scripts/demoDatabase.mjs`. */
export function demoCopy(): string {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'ostrin-demo-copy-')), 'demo.sqlite');
  copyFileSync(process.env.OSTRIN_READY_DEMO!, file);
  return file;
}

const plans = new Map<string, PitPlan>();

/** A plan for a wish, made once. */
export function planFor(part: Partial<Request> = {}): PitPlan {
  const key = JSON.stringify(part);
  const known = plans.get(key) ?? planOnePit(request(part), { nowMs: 0, members: 1 });
  plans.set(key, known);
  return JSON.parse(JSON.stringify(known)) as PitPlan;
}

/** Worker threads are dear to start: all servers of a test file share them. */
let pools: Pools | null = null;
afterAll(async () => {
  await pools?.close();
  pools = null;
});

export interface TestServer {
  url: string;
  db: Knex;
  hub: Hub;
  stop(): Promise<void>;
}

/** Starts the API on a free port; `now` is its clock. */
export async function startServer(
  file = ':memory:',
  now?: () => number,
  more: Partial<AppOptions> = {},
): Promise<TestServer> {
  const db = await openDatabase(file);
  pools ??= new Pools((error) => {
    throw error;
  });
  const logger = pino({ level: 'silent' });
  const { app, clocks, hub } = createApp({
    db,
    logger,
    pools,
    now,
    file: file === ':memory:' ? undefined : file,
    ...more,
  });
  await clocks.start();
  const server = await new Promise<Server>((resolve) => {
    const s = app.listen(0, '127.0.0.1', () => resolve(s));
    s.keepAliveTimeout = 75_000;
  });
  return {
    db,
    hub,
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async stop() {
      hub.close();
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      await clocks.stop();
      await closeDatabase(db);
    },
  };
}

/** Begins a cook on a pit of its own and returns its id. */
export async function begin(url: string, part: { pitName?: string; plan?: Plan } = {}) {
  const id = randomUUID();
  const body = { name: 'Lunch', pitName: randomUUID(), plan: planFor(), ...part };
  expect((await call(`${url}/api/cooks/${id}`, 'PUT', body)).status).toBe(201);
  return id;
}

/** Waits until something holds; fails after a few seconds. */
export async function until(holds: () => boolean | Promise<boolean>, mostMs = 10_000) {
  for (const end = Date.now() + mostMs; Date.now() < end;) {
    if (await holds()) return;
    await new Promise((done) => setTimeout(done, 20));
  }
  throw new Error(`waited in vain: ${String(holds)}`);
}

/** Sends entries for the log of a cook. */
export const sendEntries = (url: string, id: string, entries: unknown[], more: object = {}) =>
  call(`${url}/api/cooks/${id}/entries`, 'POST', { entries, ...more });

/** One JSON call. */
export async function call(
  url: string,
  method = 'GET',
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<{ status: number; type: string; json: any; etag: string | null }> {
  const res = await fetch(url, {
    method,
    headers: {
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      ...headers,
    },
    body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
  });
  const text = await res.text();
  const type = res.headers.get('content-type') ?? '';
  return {
    status: res.status,
    type,
    etag: res.headers.get('etag'),
    json: type.includes('json') && text !== '' ? JSON.parse(text) : text,
  };
}
