/** A database of before is brought up to date, and every step can be taken back. */
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { closeDatabase, cookStore, openDatabase } from '../src';
import { STEP_NAMES } from '../src/store/migrations';
import { planFor } from './help';

let db: Knex;
beforeEach(async () => {
  db = await openDatabase(':memory:');
});
afterEach(() => closeDatabase(db));

/** Takes steps back until the one of that name is undone. */
async function backBefore(name: string): Promise<void> {
  for (const step of [...STEP_NAMES].reverse()) {
    await db.migrate.down({ name: step });
    if (step === name) return;
  }
}

it('keeps every reading and every value told by wire when they are stored shorter', async () => {
  const readings = [
    { at: 1_800_000_000_000, pitC: 121.4, coreC: null },
    {
      at: 1_800_000_030_000,
      pitC: null,
      coreC: 61.25,
      domeC: 140,
      meatC: { b: 58.5 },
      fanDuty: 0.25,
      weather: { airC: 12, windMps: 3, rainMmPerH: 0 },
    },
  ];
  const ids = [randomUUID(), randomUUID()];
  for (const id of ids) {
    const head = {
      id,
      name: 'Lunch',
      pitName: id,
      startMs: 1_800_000_000_000,
      finishedAt: 1_800_000_900_000,
      plan: planFor(),
      fire: 'real' as const,
      clockMs: 1_800_000_900_000,
      speed: 1,
    };
    await cookStore(db).create(head, [], readings);
  }
  const told = [
    { channel: '1', at: 1_800_000_010_000, spot: 'grate', meat: null, value: 118 },
    { channel: '2', at: 1_800_000_010_000, spot: 'meat', meat: 'mutton', value: 55.5 },
  ];
  await backBefore('2026-11-29-short-readings');
  const row = { cook_id: ids[0], instrument_id: 'probes', offset_k: 2 };
  await db('wire').insert(told.map((t) => ({ ...row, ...t })));
  expect(await db('readings').where({ cook_id: ids[1] })).toHaveLength(2);
  await db.migrate.latest();
  const [first, second] = await Promise.all(ids.map((id) => cookStore(db).head(id)));
  const after = await cookStore(db).readings(first!);
  expect(after.map((r) => [r.at - 1_800_000_000_000, r.pitC, r.coreC])).toEqual([
    [0, 121.4, null],
    [10_000, 116, 53.5],
    [30_000, null, 61.25],
  ]);
  expect(await cookStore(db).readings(second!)).toEqual(readings);
  await db('cooks').where({ id: ids[0] }).delete();
  // What the other one read: pit, two pieces, dial, fan, and three of the weather.
  expect(await db('wire_values')).toHaveLength(8);
});

it('takes every step back', async () => {
  await backBefore(STEP_NAMES[0]!);
  const tables: { name: string }[] = await db('sqlite_master').where({ type: 'table' }).select();
  const left = tables.map((t) => t.name).filter((n) => !/^(knex|sqlite)_/.test(n));
  expect(left).toEqual([]);
  await db.migrate.latest();
  expect(await cookStore(db).list()).toEqual([]);
});
