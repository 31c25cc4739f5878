import { readCookDoc } from '@ostrin/contract';
import { foldLog } from '@ostrin/core/log';
import { summarise } from '@ostrin/core/afterwards';
import { closeDatabase, cookStore, loadDemo, openDatabase, storeWorld } from '../src';
import { demoCopy } from './help';

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
    `CREATE TRIGGER broken BEFORE INSERT ON readings BEGIN SELECT RAISE(ABORT, 'power cut'); END`,
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
