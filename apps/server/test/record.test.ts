/** The record holds: against far dates, clocks that jump, two writers, and documents that cannot be run. */
import { randomUUID } from 'node:crypto';
import { DAY_MS, HOUR_MS } from '@ostrin/core/quantity';
import type { CookDoc } from '@ostrin/contract';
import type { Entry } from '@ostrin/core/log';
import type { Plan } from '@ostrin/core';
import pino from 'pino';
import { closeDatabase, cookStore, createApp, openDatabase, Pools } from '../src';
import { begin, call, planFor, sendEntries, startServer, until, type TestServer } from './help';

let clock = Date.UTC(2027, 4, 1);
let server: TestServer;
const START = Date.UTC(2027, 4, 15, 8);
const at = (id: string, part = ''): string => `${server.url}/api/cooks/${id}${part}`;
const send = (id: string, entries: unknown[], more: object = {}) =>
  sendEntries(server.url, id, entries, more);
const entry = (part: object): any => ({ id: randomUUID(), at: START, ...part });
const lid = (part: object = {}) =>
  entry({ kind: 'act', action: { do: 'lid-open', seconds: 5 }, ...part });
const read = async (id: string): Promise<any> => (await call(at(id))).json;
const fieldsOf = (res: { json: any }): string[] =>
  res.json.errors.map((e: { field: string }) => e.field);

beforeAll(async () => {
  server = await startServer(':memory:', () => clock);
});
afterAll(() => server.stop());

describe('a finish', () => {
  it('is taken back: the cook goes on from where its clock stood', async () => {
    const id = await begin(server.url);
    const finish = entry({ kind: 'finish', at: START + HOUR_MS });
    await send(id, [finish]);
    const stood = (await read(id)).clock.cookMs;
    expect((await send(id, [entry({ kind: 'undo', target: finish.id })])).status).toBe(201);
    const again = await read(id);
    expect(again).toMatchObject({ finishedAt: null, clock: { running: true } });
    expect(again.clock.cookMs).toBeLessThanOrEqual(stood);
    expect((await send(id, [lid({ at: START + 2 * HOUR_MS })])).status).toBe(201);
  });

  it('is not taken back while another cook is on its pit', async () => {
    const id = await begin(server.url, { pitName: 'one pit' });
    const finish = entry({ kind: 'finish' });
    await send(id, [finish]);
    await begin(server.url, { pitName: 'one pit' });
    const undo = await send(id, [entry({ kind: 'undo', target: finish.id })]);
    expect(undo.status).toBe(409);
    expect((await read(id)).finishedAt).toBe(START);
  });

  it('lets in what is dated before it, and what is dated later when that is confirmed', async () => {
    const id = await begin(server.url);
    await send(id, [entry({ kind: 'finish' })]);
    expect((await send(id, [lid({ at: START - 1 })])).status).toBe(201);
    const late = lid({ at: START + 1 });
    expect((await send(id, [late])).status).toBe(409);
    expect((await send(id, [late], { confirmed: true })).status).toBe(201);
    expect((await read(id)).entries).toHaveLength(3);
  });
});

describe('two phones', () => {
  it('that log the same are asked, not doubled', async () => {
    const id = await begin(server.url);
    const [mine, theirs] = [randomUUID(), randomUUID()];
    const first = lid({ device: mine, by: 'Anka' });
    await send(id, [first]);
    const second = lid({ device: theirs, at: START + 40_000 });
    const asked = await send(id, [second]);
    expect(asked.status).toBe(409);
    expect(asked.json.already).toMatchObject({ id: first.id, by: 'Anka' });
    expect((await read(id)).entries).toHaveLength(1);
    // Not the same: the same phone again, another minute, another deed, or a confirmed second time.
    expect((await send(id, [lid({ device: mine })])).status).toBe(201);
    expect((await send(id, [lid({ device: theirs, at: START + 120_000 })])).status).toBe(201);
    const rake = entry({ kind: 'act', action: { do: 'rake' }, device: theirs });
    expect((await send(id, [rake])).status).toBe(201);
    expect((await send(id, [second], { confirmed: true })).status).toBe(201);
  });

  it('that do one job do it once, however late the second comes', async () => {
    const id = await begin(server.url);
    const job = (device: string, ms: number) =>
      entry({ kind: 'job', jobId: 'salt', device, at: ms });
    expect((await send(id, [job(randomUUID(), START)])).status).toBe(201);
    expect((await send(id, [job(randomUUID(), START + HOUR_MS)])).status).toBe(409);
  });
});

describe('dates', () => {
  it('far from the cook are refused, and its clock never follows one', async () => {
    const id = await begin(server.url);
    const before = (await read(id)).clock.cookMs;
    for (const ms of [Date.UTC(2000, 0, 2), Date.UTC(2199, 0), START + 40 * DAY_MS]) {
      expect(fieldsOf(await send(id, [lid({ at: ms })]))).toEqual(['entries[0].at']);
    }
    const good = lid({ at: START + 20 * DAY_MS });
    expect((await send(id, [good])).status).toBe(201);
    const retime = entry({ kind: 'retime', target: good.id, to: Date.UTC(2100, 0) });
    expect(fieldsOf(await send(id, [retime]))).toEqual(['entries[0].to']);
    expect((await read(id)).clock.cookMs).toBe(before);
  });

  it.each(['1960-05-15T18:00', '2260-05-15T18:00'])(
    'of a plan are of our time: %s',
    async (day) => {
      const plan = { ...planFor(), lightAt: day, serveAt: day };
      const body = { name: 'Old', pitName: 'old', plan };
      const res = await call(at(randomUUID()), 'PUT', body);
      expect(fieldsOf(res)).toEqual(expect.arrayContaining(['plan.lightAt', 'plan.serveAt']));
    },
  );

  it('a machine that slept is caught up with in slices, and the clock stops where a cook must be over', async () => {
    const id = await begin(server.url);
    await call(at(id, '/clock'), 'PUT', { speed: 240 });
    const light = { do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 1 };
    const { clock: was } = await read(id);
    await send(id, [entry({ kind: 'act', jobId: 'light', action: light, at: was.cookMs })]);
    clock += 8 * HOUR_MS;
    const waits: number[] = [];
    await until(async () => {
      const began = performance.now();
      const { clock: now, readings, startMs } = await read(id);
      waits.push(performance.now() - began);
      expect(now.cookMs).toBeLessThanOrEqual(startMs + 7 * DAY_MS);
      return readings.length > 0 && now.cookMs - readings.at(-1).at < 31_000;
    }, 30_000);
    expect(waits.length).toBeGreaterThan(5);
    // A page gets so long a record in steps: all of it is in its file.
    const all = ((await call(at(id, '/cook.json'))).json as CookDoc).readings;
    // A slice is 120 readings. A thermometer falls silent for twelve at most, now and then for a second time at once.
    const missing = all.slice(1).map((r, i) => (r.at - all[i]!.at) / 30_000 - 1);
    expect(missing.every((n) => Number.isInteger(n) && n >= 0 && n < 60)).toBe(true);
    expect(all.length).toBeGreaterThan(0.9 * ((all.at(-1)!.at - all[0]!.at) / 30_000));
  }, 60_000);

  it('a clock that is set back moves no cook back', async () => {
    const id = await begin(server.url);
    clock += 60_000;
    const before = (await read(id)).clock.cookMs;
    clock -= DAY_MS;
    expect((await read(id)).clock.cookMs).toBe(before);
    clock += 60_000;
    expect((await read(id)).clock.cookMs).toBe(before + 60_000);
  });
});

describe('documents that cannot be run', () => {
  const start = (plan: object) =>
    call(at(randomUUID()), 'PUT', { name: 'Bad', pitName: randomUUID(), plan });
  const changed = (change: (plan: any) => void): Plan => {
    const plan = planFor();
    change(plan);
    return plan;
  };

  it('are refused with their fields, or filled in and run', async () => {
    expect(fieldsOf(await start(changed((p) => (p.jobs = []))))).toEqual(['plan.jobs']);
    const nested = changed((p) => (p.scenarios[0].weather = [[p.scenarios[0].weather]]));
    expect((await start(nested)).status).toBe(422);
    expect((await start(changed((p) => (p.jobs[0].logs = [[]])))).status).toBe(422);
    const bare = changed(
      (p) => (p.scenarios[0].fire = { arrangement: 'side-basket', fuel: 'lump', woodChunks: [] }),
    );
    expect((await start(bare)).json).toMatchObject({ id: expect.any(String) });
  });

  it('fuel named by its wood is stored as the engine burns it, and unknown pieces are refused', async () => {
    const id = await begin(server.url);
    const oak = entry({ kind: 'act', action: { do: 'add-fuel', fuel: 'oak', pieces: 2 } });
    expect((await send(id, [oak])).status).toBe(201);
    expect((await read(id)).entries[0].action).toMatchObject({
      fuel: 'splits',
      species: 'oak',
      pieces: 2,
    });
    // A retry of the same words is the same entry.
    expect((await send(id, [oak])).status).toBe(200);
    const nobody = entry({ kind: 'act', action: { do: 'meat-on', meat: 'nobody' } });
    expect(fieldsOf(await send(id, [nobody]))).toEqual(['entries[0].action.meat']);
  });
});

describe('several cooks begun together', () => {
  it('begin all or none, and each once however often they are asked for', async () => {
    const cook = (pitName: string) => ({
      id: randomUUID(),
      name: 'Table',
      pitName,
      plan: planFor(),
    });
    const [a, b] = [cook('left'), cook('right')];
    await begin(server.url, { pitName: 'right' });
    const refused = await call(`${server.url}/api/cooks`, 'POST', { cooks: [a, b] });
    expect(refused.status).toBe(409);
    expect((await call(at(a.id))).status).toBe(404);
    const c = cook('middle');
    const together = { cooks: [a, c] };
    expect((await call(`${server.url}/api/cooks`, 'POST', together)).status).toBe(201);
    expect((await call(`${server.url}/api/cooks`, 'POST', together)).status).toBe(200);
    const other = { ...a, plan: { ...a.plan, members: a.plan.members + 1 } };
    const changed = await call(at(a.id), 'PUT', {
      name: a.name,
      pitName: a.pitName,
      plan: other.plan,
    });
    expect(changed.status).toBe(409);
  });
});

describe('records that two change', () => {
  it('are written only by who has seen how they stand', async () => {
    const url = `${server.url}/api/pits/tom`;
    const tom = { name: 'Tom', preset: 'offset-heavy', overrides: {} };
    const made = await call(url, 'PUT', tom, { 'If-Match': '"0"' });
    expect(made.etag).toBe('"1"');
    expect((await call(url)).etag).toBe('"1"');
    const renamed = await call(url, 'PUT', { ...tom, name: 'Tim' }, { 'If-Match': '"1"' });
    expect(renamed).toMatchObject({ status: 200, etag: '"2"' });
    for (const old of ['"1"', '"0"', '"x"', 'nonsense']) {
      const stale = await call(
        url,
        'PUT',
        { ...tom, overrides: { leakCm2: 20 } },
        { 'If-Match': old },
      );
      expect(stale.status).toBe(412);
      expect(stale.json.current).toMatchObject({ name: 'Tim', version: 2 });
    }
    expect((await call(url)).json).toMatchObject({ name: 'Tim', overrides: {} });
    const shelf = `${server.url}/api/shelf`;
    const empty = { fuelOnHand: [], prices: [] };
    expect((await call(shelf, 'PUT', empty, { 'If-Match': '"1"' })).status).toBe(200);
    expect((await call(shelf, 'PUT', empty, { 'If-Match': '"1"' })).status).toBe(412);
  });
});

it('answers HEAD on a stream with its headers alone', async () => {
  const res = await fetch(`${server.url}/api/events`, { method: 'HEAD' });
  expect(res.status).toBe(200);
  expect(res.headers.get('content-type')).toContain('text/event-stream');
});

it('keeps an old database with far dates and unrunnable deeds going', async () => {
  const db = await openDatabase(':memory:');
  const store = cookStore(db);
  const plan = planFor();
  const head = {
    name: 'Old',
    startMs: START,
    finishedAt: null,
    plan,
    fire: 'practice' as const,
    clockMs: START,
    speed: 240,
  };
  const act = (ms: number, action: object, jobId?: string): Entry =>
    entry({ kind: 'act', action, at: ms, ...(jobId ? { jobId } : {}) });
  const vents = { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 };
  await store.create({ ...head, id: randomUUID(), pitName: 'far' }, [
    act(Date.UTC(2000, 0, 2), vents, 'light'),
    act(Date.UTC(2190, 0, 2), vents),
  ]);
  await store.create({ ...head, id: randomUUID(), pitName: 'odd' }, [
    act(START, vents, 'light'),
    act(START + 60_000, { do: 'add-fuel', fuel: 'granite', pieces: 3, lit: false }),
  ]);
  const good = randomUUID();
  await store.create({ ...head, id: good, pitName: 'good' }, [act(START, vents, 'light')]);
  const pools = new Pools(() => undefined);
  let now = 0;
  const { clocks } = createApp({ db, pools, logger: pino({ level: 'silent' }), now: () => now });
  await clocks.start();
  now += 60_000;
  await until(async () => (await store.readings({ ...head, id: good })).length > 400);
  expect((await store.readings({ ...head, id: good })).some((r) => (r.pitC ?? 0) > 60)).toBe(true);
  await clocks.stop();
  await pools.close();
  await closeDatabase(db);
});
