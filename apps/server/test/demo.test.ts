import { readCookDoc } from '@ostrin/contract';
import { foldLog } from '@ostrin/core/log';
import { summarise } from '@ostrin/core/afterwards';
import { closeDatabase, cookStore, loadDemo, openDatabase, storeWorld } from '../src';
import { BOSUN } from '../src/demo/yard';
import { pitStore } from '../src/store/pits';
import { shelfStore } from '../src/store/savedPlans';
import { begin, call, demoCopy, startServer } from './help';

it('loads at least three past cooks, played by the engine, one gone wrong, and only once', async () => {
  const db = await openDatabase(demoCopy());
  expect(await loadDemo(db, Date.now())).toBe(0);
  const store = cookStore(db);
  const figures = [];
  for (const { id } of await store.list()) {
    const doc = (await store.doc(id))!;
    const read = readCookDoc(JSON.parse(JSON.stringify(doc)));
    expect(read).toMatchObject({ ok: true });
    expect(doc.readings.length).toBeGreaterThan(400);
    expect(doc.readings.some((r) => r.pitC === null || r.coreC === null)).toBe(true);
    figures.push(summarise(doc.plan, foldLog(doc.entries), doc.readings));
  }
  const inBand = figures.map((f) => f.inBandFraction!).sort((a, b) => a - b);
  expect(inBand[0]).toBeLessThan(0.5);
  expect(inBand.length).toBeGreaterThanOrEqual(3);
  expect(inBand.at(-1)).toBeGreaterThan(0.6);
  await closeDatabase(db);
}, 60_000);

it('stores the whole demo world or nothing of it', async () => {
  const ready = await openDatabase(demoCopy());
  const [first] = await cookStore(ready).list();
  const doc = (await cookStore(ready).doc(first!.id))!;
  await closeDatabase(ready);
  const db = await openDatabase(':memory:');
  await db.raw(
    `CREATE TRIGGER broken BEFORE INSERT ON wire_values BEGIN SELECT RAISE(ABORT, 'power cut'); END`,
  );
  // The driver's errors belong to whichever test file of this process loaded it first: only their words are sure.
  await expect(storeWorld(db, [doc], Date.UTC(2027, 4, 15))).rejects.toMatchObject({
    message: expect.stringMatching(/power cut/),
  });
  for (const table of ['pits', 'cooks', 'entries', 'kept_plans', 'fuels']) {
    expect([table, await db(table).select()]).toEqual([table, []]);
  }
  await db.destroy();
});

it('is loaded once, into a yard that nobody has used: what was deleted or made since stays as it is', async () => {
  const db = await openDatabase(demoCopy());
  await db('cooks').delete();
  await shelfStore(db).put({ fuelOnHand: [{ fuel: 'lump', massKg: 7 }], prices: [] });
  expect(await loadDemo(db, Date.now())).toBe(0);
  expect(await cookStore(db).list()).toEqual([]);
  expect((await shelfStore(db).get()).fuelOnHand).toEqual([{ fuel: 'lump', massKg: 7 }]);
  await closeDatabase(db);
  const own = await openDatabase(':memory:');
  await pitStore(own).put({ ...BOSUN, id: 'mine', name: 'mine' });
  expect(await loadDemo(own, Date.now())).toBe(0);
  expect((await pitStore(own).list()).map((p) => p.id)).toEqual(['mine']);
  await closeDatabase(own);
});

it('goes with one request, but for what was changed and what own cooks use', async () => {
  const file = demoCopy();
  const server = await startServer(file);
  const { db, url } = server;
  const all = (await pitStore(db).list()).map((p) => p.name);
  const [changed] = (await pitStore(db).list()).filter((p) => p.id !== BOSUN.id);
  await pitStore(db).put({ ...changed!, overrides: { leakCm2: 9 } });
  const id = await begin(url);
  expect((await call(`${url}/api/demo`)).json.left).toBeGreaterThan(all.length);
  const removed = await call(`${url}/api/demo`, 'DELETE');
  expect(removed.json).toMatchObject({ cooks: expect.any(Number), plans: 2 });
  expect((await cookStore(db).list()).map((c) => c.id)).toEqual([id]);
  const usedBy = (await cookStore(db).head(id))!.pitName;
  const left = (await pitStore(db).list()).map((p) => p.name);
  expect(left).toContain(changed!.name);
  for (const name of left) expect([changed!.name, usedBy]).toContain(name);
  expect((await shelfStore(db).get()).fuelOnHand).toEqual([]);
  expect((await call(`${url}/api/demo`)).json).toEqual({ left: 0 });
  expect(await loadDemo(db, Date.now())).toBe(0);
  await server.stop();
}, 60_000);
