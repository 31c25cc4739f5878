import { randomUUID } from 'node:crypto';
import { request } from '@ostrin/testing';
import { call, startServer, type TestServer } from './help';

let server: TestServer;
let clock = 1_000;
const plans = (id = ''): string => `${server.url}/api/plans${id && `/${id}`}`;
const shelf = (): string => `${server.url}/api/shelf`;
const SUPPER = { name: ' Harvest supper ', favourite: false, request: request() };

beforeAll(async () => {
  server = await startServer(':memory:', () => (clock += 1));
});
afterAll(() => server.stop());

it('keeps a plan, renames it, puts favourites first and lets one go', async () => {
  expect((await call(plans())).json).toEqual([]);
  const [a, b] = [randomUUID(), randomUUID()];
  const made = await call(plans(a), 'PUT', SUPPER);
  expect(made.status).toBe(201);
  expect(made.json).toMatchObject({ id: a, name: 'Harvest supper', favourite: false });
  expect(made.json.request).toEqual(request());
  await call(plans(b), 'PUT', { ...SUPPER, name: 'Again' });
  expect((await call(plans())).json.map((p: { id: string }) => p.id)).toEqual([b, a]);
  const renamed = { ...SUPPER, name: 'Lunch for the crew', favourite: true };
  expect((await call(plans(a), 'PUT', renamed)).status).toBe(200);
  const list = (await call(plans())).json;
  expect(list.map((p: { name: string }) => p.name)).toEqual(['Lunch for the crew', 'Again']);
  expect((await call(plans(b), 'DELETE')).status).toBe(200);
  expect((await call(plans(b), 'DELETE')).status).toBe(404);
  expect((await call(plans())).json).toHaveLength(1);
});

it('refuses a plan that cannot be, naming the field, and keeps what was there', async () => {
  const id = randomUUID();
  await call(plans(id), 'PUT', SUPPER);
  const meat = { ...request().meats[0], pit: 'nowhere', lie: [{ x: 9, y: 0 }] };
  const bad = await call(plans(id), 'PUT', {
    name: ' ',
    favourite: 'yes',
    request: request({ people: 0, meats: [meat] }),
  });
  expect(bad.status).toBe(422);
  expect(bad.json.errors.map((e: { field: string }) => e.field)).toEqual(
    expect.arrayContaining(['name', 'favourite', 'request.people', 'request.meats[0].lie[0].x']),
  );
  const lost = await call(plans(id), 'PUT', {
    ...SUPPER,
    request: request({ meats: [{ ...meat, lie: undefined }] }),
  });
  expect(lost.json.errors[0].field).toBe('request.meats[0].pit');
  expect((await call(plans('short'), 'PUT', SUPPER)).status).toBe(422);
  const kept = (await call(plans())).json.find((p: { id: string }) => p.id === id);
  expect(kept.request).toEqual(request());
});

it('holds the shelf: what is there, what it costs, nothing twice', async () => {
  expect((await call(shelf())).json).toEqual({ fuelOnHand: [], prices: [], version: 1 });
  const full = {
    fuelOnHand: [
      { fuel: 'briquette', massKg: 6.5 },
      { fuel: 'splits', massKg: 0 },
    ],
    prices: [{ fuel: 'lump', bagKg: 8, each: 19.5 }],
  };
  expect((await call(shelf(), 'PUT', full)).json).toEqual({ ...full, version: 2 });
  const bad = await call(shelf(), 'PUT', {
    fuelOnHand: [
      { fuel: 'lump', massKg: -1 },
      { fuel: 'lump', massKg: 2 },
    ],
    prices: [{ fuel: 'coal', bagKg: 0, each: 1 }],
  });
  expect(bad.status).toBe(422);
  expect(bad.json.errors.map((e: { field: string }) => e.field)).toEqual(
    expect.arrayContaining(['fuelOnHand[0].massKg', 'prices[0].fuel', 'prices[0].bagKg']),
  );
  const twice = await call(shelf(), 'PUT', {
    fuelOnHand: [full.fuelOnHand[0], full.fuelOnHand[0]],
    prices: [],
  });
  expect(twice.json.errors).toEqual([{ field: 'fuelOnHand[1].fuel', message: expect.any(String) }]);
  expect((await call(shelf())).json).toEqual({ ...full, version: 2 });
});
