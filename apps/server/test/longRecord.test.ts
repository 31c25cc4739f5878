/** A record of many days: pages get it in steps, files have all of it, and it comes back whole. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { CookDoc, Reading } from '@ostrin/contract';
import { leadMeat, type PlanLog } from '@ostrin/core';
import { glanceOf } from '@ostrin/core/afterwards';
import { MOST_VALUES, type Entry } from '@ostrin/core/log';
import { DAY_MS, HOUR_MS } from '@ostrin/core/quantity';
import isEqual from 'lodash/isEqual.js';
import { closeDatabase, cookStore, openDatabase } from '../src';
import { writtenReadings } from '../src/store/ownReadings';
import { call, planFor, sendEntries, startServer, type TestServer } from './help';

const START = Date.UTC(2027, 4, 15, 8);
/** A reading every thirty seconds for four days: more than one file of an archive holds. */
const READINGS: Reading[] = Array.from({ length: 11_520 }, (_, i) => ({
  at: START + 30_000 * i,
  pitC: 121 + Math.round(50 * Math.sin(i / 100)) / 10,
  coreC: i % 2 === 0 ? 60 + i / 500 : null,
  ...(i % 6 === 0 ? { meatC: { b: 55.5 } } : {}),
}));
const LAST = READINGS.at(-1)!.at;

const act = (when: number, action: PlanLog, jobId: string): Entry => ({
  id: randomUUID(),
  at: when,
  kind: 'act',
  action,
  jobId,
});

const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-long-'));
const doc: CookDoc = {
  ostrin: 'cook/1',
  id: randomUUID(),
  name: 'Four days',
  pitName: 'pit',
  startMs: START,
  plan: planFor(),
  entries: [
    act(START, { do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 1 }, 'light'),
    act(START + HOUR_MS, { do: 'meat-on', meat: 'mutton' }, 'meat-on'),
    act(LAST - HOUR_MS, { do: 'meat-off', meat: 'mutton' }, 'off'),
    { id: randomUUID(), at: LAST, kind: 'finish' },
  ],
  readings: READINGS,
};
const server = (name: string): Promise<TestServer> =>
  startServer(':memory:', () => LAST, { photographFolder: path.join(folder, name) });

let full: TestServer;
beforeAll(async () => {
  full = await server('full');
  expect((await call(`${full.url}/api/imports`, 'POST', doc)).status).toBe(201);
});
afterAll(async () => {
  await full.stop();
  rmSync(folder, { recursive: true, force: true });
});

const at = (part = ''): string => `${full.url}/api/cooks/${doc.id}${part}`;

it('is told in steps, closely near its end, and says so', async () => {
  const view = (await call(at())).json as CookDoc & { inSteps?: boolean };
  expect(view.inSteps).toBe(true);
  expect(JSON.stringify(view.readings).length).toBeLessThan(300_000);
  const { readings } = view;
  expect(readings.at(-1)).toEqual(READINGS.at(-1));
  const near = (r: Reading): boolean => r.at > LAST - HOUR_MS;
  expect(readings.filter(near)).toEqual(READINGS.filter(near));
  // What is told was read, value by value.
  const read = new Map(READINGS.map((r) => [r.at, r]));
  for (const { at: when, pitC, coreC } of readings) {
    if (pitC !== null) expect(pitC).toBe(read.get(when)!.pitC);
    if (coreC !== null) expect(coreC).toBe(read.get(when)!.coreC);
  }
});

it('is told closely where a strip asks for it', async () => {
  const from = START + DAY_MS;
  const close = (await call(at(`/readings?from=${from}&to=${from + HOUR_MS}`))).json;
  expect(close).toEqual(READINGS.filter((r) => r.at >= from && r.at < from + HOUR_MS));
  const wide = (await call(at(`/readings?from=${START}&to=${LAST}`))).json as Reading[];
  expect(wide.length).toBeGreaterThan(899);
  expect(wide.length).toBeLessThan(4_000);
  const wrong = await call(at(`/readings?from=${from}&to=${from}`));
  expect([wrong.status, wrong.json.errors[0].field]).toEqual([422, 'to']);
  const none = (await call(at('/readings?from=x'))).json.errors as { field: string }[];
  expect([...new Set(none.map((e) => e.field))]).toEqual(['from', 'to']);
});

it('goes out whole, and an identical one is left as it is when it comes in again', async () => {
  const out = (await call(at('/cook.json'))).json as CookDoc;
  expect(isEqual(out.readings, READINGS)).toBe(true);
  const csv = (await call(at('/readings.csv'))).json as string;
  expect(csv.trimEnd().split('\r\n')).toHaveLength(READINGS.length + 1);
  expect(csv.split('\r\n')[0]).toBe('at,pit_c,core_c,dome_c,fan_duty,meat_c,weather');
  const again = await call(`${full.url}/api/imports`, 'POST', out);
  expect([again.status, again.json.already]).toEqual([200, true]);
  const last = { ...out.readings.at(-1)!, pitC: 99 };
  const other = { ...out, readings: [...out.readings.slice(0, -1), last] };
  expect((await call(`${full.url}/api/imports`, 'POST', other)).status).toBe(409);
  expect(READINGS.length * 1.6).toBeGreaterThan(MOST_VALUES);
});

it('is in an archive in several files, and comes back whole', async () => {
  const zip = await fetch(`${full.url}/api/record/archive`);
  const empty = await server('empty');
  try {
    const back = await fetch(`${empty.url}/api/record/archive`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: new Uint8Array(await zip.arrayBuffer()),
    });
    expect([back.status, await back.json()]).toMatchObject([201, { cooks: 1 }]);
    const out = (await call(`${empty.url}/api/cooks/${doc.id}/cook.json`)).json as CookDoc;
    expect(isEqual(out.readings, READINGS)).toBe(true);
    const [was, is] = await Promise.all(
      [full, empty].map(async (s) => (await call(`${s.url}/api/cooks`)).json),
    );
    expect(is[0].finishedAt).toBe(was[0].finishedAt);
    expect(is[0].glance.inBandFraction).toBeCloseTo(was[0].glance.inBandFraction, 2);
  } finally {
    await empty.stop();
  }
});

it('names a reading that is wrong by its place, however far down, and stores nothing', async () => {
  const readings = READINGS.map((r, i) => (i === 9_876 ? { ...r, pitC: 9_000 } : r));
  const wrong = { ...doc, id: randomUUID(), entries: [], readings };
  const res = await call(`${full.url}/api/imports`, 'POST', wrong);
  expect([res.status, res.json.errors[0].field]).toEqual([422, 'readings[9876].pitC']);
  expect((await call(`${full.url}/api/cooks/${wrong.id}`)).status).toBe(404);
});

it('takes the place of a deleted one at once, or not at all', async () => {
  const small = { ...doc, id: randomUUID(), entries: [], readings: READINGS.slice(0, 10) };
  await call(`${full.url}/api/imports`, 'POST', small);
  const url = `${full.url}/api/cooks/${small.id}`;
  const remove = async (): Promise<void> => expect((await call(url, 'DELETE')).status).toBe(200);
  await remove();
  const theirs = { ...small, entries: doc.entries };
  expect((await call(`${full.url}/api/imports`, 'POST', theirs)).status).toBe(409);
  expect((await call(`${url}/restore`, 'POST', {})).status).toBe(200);
  await remove();
  const changed = { ...small, readings: READINGS.slice(0, 20) };
  expect((await call(`${full.url}/api/imports`, 'POST', changed)).status).toBe(201);
  expect((await call(url)).json.readings).toHaveLength(20);
});

it('takes a note after its end, and keeps its place in the list', async () => {
  const note = { id: randomUUID(), at: START + 1, kind: 'note', text: 'thin blue' };
  const glance = async (): Promise<unknown> =>
    (await call(`${full.url}/api/cooks`)).json.at(-1).glance;
  const before = await glance();
  expect((await sendEntries(full.url, doc.id, [note])).status).toBe(201);
  expect(await glance()).toEqual(before);
});

it('leaves nothing where it was broken off in the middle: the next start forgets it', async () => {
  const db = await openDatabase(':memory:');
  const store = cookStore(db);
  const { id, name, pitName, startMs, plan, entries } = doc;
  const head = { id, name, pitName, startMs, plan, finishedAt: LAST, clockMs: LAST, speed: 1 };
  await store.addHidden({ ...head, fire: 'real' }, entries, glanceOf(plan, entries, []));
  await store.addWritten(id, writtenReadings(READINGS.slice(0, 5000), leadMeat(plan).id));
  expect([await store.head(id), await store.list(), await store.isDeleted(id)]).toEqual([
    null,
    [],
    false,
  ]);
  await store.forgetDeleted(LAST);
  expect([await db('cooks'), await db('entries'), await db('wire_values')]).toEqual([[], [], []]);
  await closeDatabase(db);
});
