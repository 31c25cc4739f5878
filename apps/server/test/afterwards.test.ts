/** What is done with a cook once it is over: another name, deleting it, bringing it back. */
import { DAY_MS } from '@ostrin/core/quantity';
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

it('lists a finished cook at a glance, anew after every verdict; one that cannot be summed up stops nobody', async () => {
  const [id, torn] = [await begun(true), await begun(true)];
  const listed = async (of: string) =>
    ((await call(cooks())).json as { id: string; glance: any }[]).find((c) => c.id === of)!.glance;
  expect(await listed(id)).toMatchObject({ verdict: null, cuts: ['mutton-shoulder'] });
  const meat = planFor().request.meats[0].id;
  const at = Date.UTC(2027, 4, 15, 20);
  const say = (verdict: string) =>
    call(cooks(`/${id}/entries`), 'POST', {
      entries: [{ id: randomUUID(), at, kind: 'verdict', meat, verdict }],
    });
  expect((await say('dry')).status).toBe(201);
  expect((await listed(id)).verdict).toEqual({ asWished: false, faults: ['dry'] });
  expect((await say('moist')).status).toBe(201);
  expect((await listed(id)).verdict).toEqual({ asWished: true, faults: [] });
  for (const [part, field] of [
    [{ kind: 'verdict', meat, verdict: 'delicious' }, 'entries[0].verdict'],
    [{ kind: 'verdict', meat: 'nobody', verdict: 'dry' }, 'entries[0].meat'],
    [{ kind: 'weighed', what: 'fuel-left', meat, kg: 1 }, 'entries[0].meat'],
    [{ kind: 'weighed', what: 'cooked', meat, kg: -1 }, 'entries[0].kg'],
    [{ kind: 'next-time', about: 'cut', text: 'x' }, 'entries[0].cut'],
    [{ kind: 'next-time', about: 'pit', text: '  ' }, 'entries[0].text'],
  ] as const) {
    const entries = [{ id: randomUUID(), at, ...part }];
    const { status, json } = await call(cooks(`/${id}/entries`), 'POST', { entries });
    expect([field, status, json.errors[0].field]).toEqual([field, 422, field]);
  }
  // A plan that another version wrote.
  await server.db('cooks').where({ id: torn }).update({ glance: null, plan: '{}' });
  await server.db('cooks').where({ id }).update({ glance: null });
  const failed: string[] = [];
  await cookStore(server.db).fillGlances((_error, cookId) => failed.push(cookId));
  expect(failed).toEqual([torn]);
  expect((await listed(id)).verdict).toEqual({ asWished: true, faults: [] });
  await server.db('cooks').where({ id: torn }).delete();
});

it('forgets what was deleted thirty days ago, with its log, and nothing else', async () => {
  const [old, young, kept] = [await begun(true), await begun(true), await begun(true)];
  const store = cookStore(server.db);
  const now = Date.now();
  await store.remove(old, now - 31 * DAY_MS);
  await store.remove(young, now - 28 * DAY_MS);
  await store.noteDay(now);
  // The clock of the machine says so, and the server ran on one of the days.
  expect((await store.forgetDeleted(now)).cooks).toBe(0);
  for (let day = 1; day < 30; day++) await store.noteDay(now - day * DAY_MS);
  expect((await store.forgetDeleted(now)).cooks).toBe(1);
  expect(await store.restore(old)).toBe(false);
  expect(await server.db('entries').where({ cook_id: old })).toEqual([]);
  await store.noteDay(now + 400 * DAY_MS);
  expect((await store.forgetDeleted(now + 400 * DAY_MS)).cooks).toBe(0);
  expect(await store.restore(young)).toBe(true);
  expect(await listed()).toEqual(expect.arrayContaining([young, kept]));
});
