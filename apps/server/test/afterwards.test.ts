/** What is done with a cook once it is over: another name, deleting it, bringing it back. */
import { DAY_MS } from '@ostrin/core';
import { randomUUID } from 'node:crypto';
import { cookStore } from '../src';
import { call, planFor, startServer, type TestServer } from './help';

let server: TestServer;
const cooks = (rest = ''): string => `${server.url}/api/cooks${rest}`;

beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

/** A cook that is begun, and finished where wished. */
async function begun(finished: boolean): Promise<string> {
  const id = randomUUID();
  const cook = { id, name: 'Regatta lunch', pitName: id, plan: planFor(), fire: 'practice' };
  expect((await call(cooks(), 'POST', { cooks: [cook] })).status).toBe(201);
  if (finished) {
    const at = Date.UTC(2027, 4, 15, 20);
    const entries = [{ id: randomUUID(), at, kind: 'finish' }];
    expect((await call(cooks(`/${id}/entries`), 'POST', { entries })).status).toBe(201);
  }
  return id;
}

const listed = async (): Promise<string[]> =>
  ((await call(cooks())).json as { id: string }[]).map((c) => c.id);

it('gives a cook another name, and refuses none at all', async () => {
  const id = await begun(true);
  expect((await call(cooks(`/${id}/name`), 'PUT', { name: '  Spring races ' })).json).toEqual({
    name: 'Spring races',
  });
  expect((await call(cooks(`/${id}`))).json).toMatchObject({ name: 'Spring races' });
  for (const name of ['', '   ', 'x'.repeat(61), 7, null]) {
    expect((await call(cooks(`/${id}/name`), 'PUT', { name })).status).toBe(422);
  }
  expect((await call(cooks(`/${id}`))).json).toMatchObject({ name: 'Spring races' });
  expect((await call(cooks(`/${randomUUID()}/name`), 'PUT', { name: 'x' })).status).toBe(404);
});

it('deletes a finished cook from every list, and brings it back whole', async () => {
  const id = await begun(true);
  const before = (await call(cooks(`/${id}`))).json as { entries: unknown; plan: unknown };
  expect((await call(cooks(`/${id}`), 'DELETE')).status).toBe(200);
  expect(await listed()).not.toContain(id);
  expect((await call(cooks(`/${id}`))).status).toBe(404);
  expect((await call(cooks(`/${id}`), 'DELETE')).status).toBe(404);
  expect((await call(cooks(`/${id}/restore`), 'POST', {})).status).toBe(200);
  expect(await listed()).toContain(id);
  const after = (await call(cooks(`/${id}`))).json as typeof before;
  expect([after.entries, after.plan]).toEqual([before.entries, before.plan]);
  expect((await call(cooks(`/${id}/restore`), 'POST', {})).status).toBe(404);
});

it('deletes no cook that is under way', async () => {
  const id = await begun(false);
  expect((await call(cooks(`/${id}`), 'DELETE')).status).toBe(409);
  expect(await listed()).toContain(id);
});

it('forgets what was deleted thirty days ago, with its log, and nothing else', async () => {
  const [old, young, kept] = [await begun(true), await begun(true), await begun(true)];
  const store = cookStore(server.db);
  const now = Date.now();
  await store.remove(old, now - 31 * DAY_MS);
  await store.remove(young, now - 29 * DAY_MS);
  expect(await store.forgetDeleted(now)).toBe(1);
  expect(await store.restore(old)).toBe(false);
  expect(await server.db('entries').where({ cook_id: old })).toEqual([]);
  expect(await store.restore(young)).toBe(true);
  expect(await listed()).toEqual(expect.arrayContaining([young, kept]));
});
