/** A disk that takes no more: it is said, nothing hangs, and everything goes on once there is room. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Knex } from 'knex';
import { begin, call, sendEntries, startServer, type TestServer } from './help';

let server: TestServer;
beforeAll(async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-full-'));
  server = await startServer(path.join(folder, 'ostrin.sqlite'));
});
afterAll(() => server.stop());

const send = (id: string, entries: object[]) => sendEntries(server.url, id, entries);
const entry = (part: object): object => ({
  id: randomUUID(),
  at: Date.UTC(2027, 4, 15, 8),
  ...part,
});
/** More than the pages that are left can hold. */
const notes = (): object[] =>
  Array.from({ length: 100 }, () => entry({ kind: 'note', text: 'x'.repeat(1000) }));
const clockOf = async (id: string) => (await call(`${server.url}/api/cooks/${id}`)).json.clock;

const pragma = async (db: Knex, text: string): Promise<number> => {
  const [row] = await db.raw<Record<string, number>[]>(`PRAGMA ${text}`);
  return Object.values(row!)[0]!;
};
const fill = async (): Promise<unknown> =>
  pragma(server.db, `max_page_count = ${await pragma(server.db, 'page_count')}`);
const makeRoom = () => pragma(server.db, 'max_page_count = 4294967294');

it('refuses what does not fit, keeps what it has, and takes it once there is room', async () => {
  const id = await begin(server.url);
  await fill();
  const sent = notes();
  const refused = await send(id, sent);
  expect([refused.status, refused.json.title]).toEqual([
    507,
    "The server's disk is full: nothing was stored, and nothing is lost",
  ]);
  expect((await call(`${server.url}/api/cooks/${id}`)).json.entries).toEqual([]);
  await makeRoom();
  expect((await send(id, sent)).status).toBe(201);
  expect((await call(`${server.url}/api/cooks/${id}`)).json.entries).toHaveLength(100);
});

it('lets a cook go on whose finish could not be stored', async () => {
  const id = await begin(server.url);
  const finish = [...notes(), entry({ kind: 'finish' })];
  const before = await clockOf(id);
  await fill();
  expect((await send(id, finish)).status).toBe(507);
  const after = await clockOf(id);
  expect(after.running).toBe(true);
  expect(after.cookMs).toBeGreaterThanOrEqual(before.cookMs);
  await makeRoom();
  expect((await send(id, finish)).status).toBe(201);
  expect((await clockOf(id)).running).toBe(false);
});
