import { randomUUID } from 'node:crypto';
import { begin, call, sendEntries, startServer, type TestServer } from './help';

let server: TestServer;
const at = (id = ''): string => `${server.url}/api/pits${id && `/${id}`}`;
const TOM = { name: 'Long Tom', preset: 'offset-heavy', overrides: { leakCm2: 18 } };

beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

it('makes a pit, lists it, changes it and gives it back', async () => {
  expect((await call(at())).json).toEqual([]);
  const made = await call(at('long-tom'), 'PUT', TOM);
  expect(made.status).toBe(201);
  expect(made.json).toEqual({ id: 'long-tom', ...TOM, ventWay: 'quarters', version: 1 });
  const changed = { ...TOM, overrides: { leakCm2: 22, wallMm: 5 }, ventWay: 'fingers' };
  expect((await call(at('long-tom'), 'PUT', changed)).status).toBe(200);
  expect((await call(at('long-tom'))).json).toEqual({ id: 'long-tom', ...changed, version: 2 });
  expect((await call(at())).json).toHaveLength(1);
});

it('refuses what a pit cannot be, field by field, and keeps what was there', async () => {
  const kept = { ...TOM, name: 'the Keeper' };
  await call(at('kept'), 'PUT', kept);
  const bad = await call(at('kept'), 'PUT', {
    name: '',
    preset: 'bonfire',
    overrides: { leakCm2: -3, colour: 1 },
    ventWay: 'guess',
  });
  expect(bad.status).toBe(422);
  const named = bad.json.errors.map((e: { field: string }) => e.field);
  expect(named).toEqual(
    expect.arrayContaining(['name', 'preset', 'overrides.leakCm2', 'overrides.colour', 'ventWay']),
  );
  const other = await call(at('kept'), 'PUT', { ...kept, preset: 'kamado-46' });
  expect(other.json.errors).toEqual([
    { field: 'preset', message: expect.stringMatching(/another pit/) },
  ]);
  expect((await call(at('Not an id'), 'PUT', TOM)).status).toBe(422);
  expect((await call(at('kept'))).json.preset).toBe('offset-heavy');
  expect((await call(at('nobody'))).status).toBe(404);
});

it('renames a pit with its cooks, and lets no two have one name', async () => {
  const name = 'the Old Drum';
  await call(at('drum'), 'PUT', { ...TOM, name, kind: 'drum smoker' });
  expect((await call(at('drum'))).json).toMatchObject({ kind: 'drum smoker' });
  const cook = await begin(server.url, { pitName: name });
  const renamed = {
    ...TOM,
    name: 'the New Drum',
    kind: 'drum smoker',
    putAwayAt: 1_800_000_000_000,
  };
  expect((await call(at('drum'), 'PUT', renamed)).json).toMatchObject(renamed);
  expect((await call(`${server.url}/api/cooks/${cook}`)).json.pitName).toBe('the New Drum');
  // The name is read from the pit: nothing of the cook was written anew.
  const row = await server.db('cooks').where({ id: cook }).first('pit_id', 'pit_name');
  expect(row).toEqual({ pit_id: 'drum', pit_name: name });
  const taken = await call(at('other-drum'), 'PUT', { ...TOM, name: 'the New Drum' });
  expect([taken.status, taken.json.errors[0].field]).toEqual([422, 'name']);
  expect((await call(at('other-drum'))).status).toBe(404);
});

it('takes a pit out once nothing is under way on it; its cooks stay', async () => {
  await call(at('leaving'), 'PUT', { ...TOM, name: 'the Leaver' });
  const cook = await begin(server.url, { pitName: 'the Leaver' });
  expect((await call(at('leaving'), 'DELETE')).status).toBe(409);
  const finish = { id: randomUUID(), at: Date.UTC(2027, 4, 15, 20), kind: 'finish' };
  await sendEntries(server.url, cook, [finish]);
  expect((await call(at('leaving'), 'DELETE')).status).toBe(200);
  expect((await call(at('leaving'), 'DELETE')).status).toBe(404);
  expect((await call(`${server.url}/api/cooks/${cook}`)).json.pitName).toBe('the Leaver');
  // A pit of that name that comes in later has its cooks again.
  await call(at('back'), 'PUT', { ...TOM, name: 'the Leaver' });
  const list = (await call(`${server.url}/api/cooks`)).json as { id: string; pitId: string }[];
  expect(list.find((c) => c.id === cook)?.pitId).toBe('back');
});

it('a pit that is made anew is not the one that somebody read before', async () => {
  const pit = { ...TOM, name: 'the Again' };
  const read = (await call(at('again'), 'PUT', pit)).json as { version: number };
  const changed = (await call(at('again'), 'PUT', { ...pit, ventWay: 'fingers' })).json;
  expect(changed.version).toBe(read.version + 1);
  await call(at('again'), 'DELETE');
  const anew = (await call(at('again'), 'PUT', pit)).json as { version: number };
  expect(anew.version).toBeGreaterThan(changed.version);
  const late = await call(
    at('again'),
    'PUT',
    { ...pit, ventWay: 'fingers' },
    {
      'If-Match': `"${read.version}"`,
    },
  );
  expect([late.status, late.json.current.version]).toEqual([412, anew.version]);
});
