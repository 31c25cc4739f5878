import type { LiveEvent } from '@ostrin/contract';
import { randomUUID } from 'node:crypto';
import { call, planFor, sendEntries, startServer, type TestServer, until } from './help';

let clock = Date.UTC(2027, 4, 1);
let server: TestServer;
let other: TestServer;
const begin = async (pitName: string = randomUUID(), url = server.url): Promise<string> => {
  const id = randomUUID();
  const body = { name: 'Lunch', pitName, plan: planFor() };
  expect((await call(`${url}/api/cooks/${id}`, 'PUT', body)).status).toBe(201);
  return id;
};
const note = (text: string, at = Date.UTC(2027, 4, 15, 8)) => ({
  id: randomUUID(),
  at,
  kind: 'note',
  text,
});
const jobEntry = (jobId: string, action: object, at: number) => ({
  id: randomUUID(),
  at,
  kind: 'act',
  jobId,
  action,
});

beforeAll(async () => {
  server = await startServer(':memory:', () => clock);
  other = await startServer();
});
afterAll(async () => {
  await server.stop();
  await other.stop();
});

describe('beginning a cook', () => {
  it('begins it once, however often it is asked, and keeps its clock before the first job', async () => {
    const id = randomUUID();
    const body = { name: 'Lunch', pitName: 'once', plan: planFor() };
    const url = `${server.url}/api/cooks/${id}`;
    expect((await call(url, 'PUT', body)).status).toBe(201);
    expect((await call(url, 'PUT', body)).status).toBe(200);
    const { json } = await call(url);
    expect(json).toMatchObject({ ostrin: 'cook/1', name: 'Lunch', finishedAt: null, entries: [] });
    expect(json.clock.cookMs).toBeLessThan(json.startMs + json.plan.jobs[0].atMin * 60000);
    const list = (await call(`${server.url}/api/cooks`)).json as { id: string }[];
    expect(list.filter((c) => c.id === id)).toHaveLength(1);
  });

  it('refuses a second fire in the same pit and a reused id', async () => {
    const id = await begin('busy');
    const body = { name: 'Dinner', pitName: 'busy', plan: planFor() };
    const second = await call(`${server.url}/api/cooks/${randomUUID()}`, 'PUT', body);
    expect(second.status).toBe(409);
    expect(second.json.errors[0].field).toBe('pitName');
    expect((await call(`${server.url}/api/cooks/${id}`, 'PUT', body)).status).toBe(409);
    // A practice cook is not in the way of a real one on the same pit.
    const real = await call(`${server.url}/api/cooks/${randomUUID()}`, 'PUT', {
      ...body,
      fire: 'real',
    });
    expect(real.status).toBe(201);
  });
});

describe('a cook on a real fire', () => {
  it('goes by the real clock, is read by hand only, and comes out and in as it is', async () => {
    const id = randomUUID();
    const body = { name: 'Supper', pitName: 'real', plan: planFor(), fire: 'real' };
    const url = `${server.url}/api/cooks/${id}`;
    expect((await call(url, 'PUT', body)).status).toBe(201);
    expect((await call(url, 'PUT', body)).status).toBe(200);
    expect((await call(url)).json).toMatchObject({ fire: 'real', clock: { cookMs: clock } });
    clock += 3_600_000;
    const { json } = await call(url);
    expect(json.clock).toMatchObject({ cookMs: clock, speed: 1, running: true });
    expect(json.readings).toEqual([]);
    const fast = await call(`${url}/clock`, 'PUT', { speed: 60 });
    expect(fast.status).toBe(422);
    expect(fast.json.errors[0].field).toBe('speed');
    const read = (part: object) => ({
      id: randomUUID(),
      at: Date.UTC(2027, 4, 15, 8),
      kind: 'read',
      ...part,
    });
    const good = [
      read({ spot: 'dome', c: 141 }),
      read({ spot: 'meat', meat: json.plan.request.meats[0].id, c: 62.5 }),
    ];
    const sent = await call(`${url}/entries`, 'POST', { entries: good });
    expect(sent.status).toBe(201);
    const bad = [
      { part: { spot: 'meat', c: 60 }, field: 'entries[0].meat' },
      { part: { spot: 'meat', meat: 'nobody', c: 60 }, field: 'entries[0].meat' },
      { part: { spot: 'dome', meat: 'a', c: 60 }, field: 'entries[0].meat' },
      { part: { spot: 'dome', c: 9000 }, field: 'entries[0].c' },
      { part: { spot: 'shelf', c: 60 }, field: 'entries[0].spot' },
    ];
    for (const { part, field } of bad) {
      const refused = await call(`${url}/entries`, 'POST', { entries: [read(part)] });
      expect([refused.status, refused.json.errors[0].field]).toEqual([422, field]);
    }
    const doc = (await call(`${url}/cook.json`)).json;
    expect(doc.fire).toBe('real');
    expect(doc.entries).toMatchObject(good);
    const brought = await call(`${other.url}/api/imports`, 'POST', doc);
    expect(brought.status).toBe(201);
    expect((await call(`${other.url}/api/cooks/${id}/cook.json`)).json).toEqual(doc);
  });
});

describe('problems', () => {
  it('are told as problem details, each with its status and fields', async () => {
    const id = await begin();
    const entries = `${server.url}/api/cooks/${id}/entries`;
    const broken = await call(entries, 'POST', '{"entries": [');
    expect(broken.status).toBe(400);
    expect(broken.type).toContain('application/problem+json');
    const wrong = await call(entries, 'POST', {
      entries: [{ id: 'x', kind: 'note', at: 'now' }],
      more: 1,
    });
    expect(wrong.status).toBe(422);
    expect(wrong.json.errors.map((e: { field: string }) => e.field)).toEqual(
      expect.arrayContaining(['more', 'entries[0].id', 'entries[0].at', 'entries[0].text']),
    );
    const plain = await fetch(entries, {
      method: 'POST',
      body: 'hello',
      headers: { 'Content-Type': 'text/plain' },
    });
    expect(plain.status).toBe(415);
    const big = await call(entries, 'POST', { entries: [note('x'.repeat(1_200_000))] });
    expect(big.status).toBe(413);
    expect((await call(`${server.url}/api/cooks/${randomUUID()}`)).status).toBe(404);
    expect((await call(`${server.url}/api/nothing`)).status).toBe(404);
    expect((await call(`${server.url}/api/cooks/not-an-id`, 'PUT', {})).status).toBe(422);
    expect((await call(`${server.url}/api/cooks/${id}`)).json.entries).toEqual([]);
  });

  it('store nothing of a list in which one entry is wrong', async () => {
    const id = await begin();
    const url = `${server.url}/api/cooks/${id}/entries`;
    const undo = {
      id: randomUUID(),
      at: Date.UTC(2027, 4, 15),
      kind: 'undo',
      target: randomUUID(),
    };
    expect((await call(url, 'POST', { entries: [note('kept?'), undo] })).status).toBe(422);
    expect((await call(`${server.url}/api/cooks/${id}`)).json.entries).toEqual([]);
  });

  it('carries the headers of a careful server', async () => {
    const res = await fetch(`${server.url}/api/health`);
    expect(res.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(res.headers.get('x-powered-by')).toBeNull();
  });
});

describe('the log', () => {
  it('stores a tap once, however often it is sent, and refuses another under its id', async () => {
    const id = await begin();
    const url = `${server.url}/api/cooks/${id}/entries`;
    const tap = note('windy');
    expect((await call(url, 'POST', { entries: [tap] })).status).toBe(201);
    expect((await call(url, 'POST', { entries: [tap] })).status).toBe(200);
    expect((await call(url, 'POST', { entries: [{ ...tap, text: 'calm' }] })).status).toBe(409);
    const elsewhere = await begin();
    const foreign = await call(`${server.url}/api/cooks/${elsewhere}/entries`, 'POST', {
      entries: [tap],
    });
    expect(foreign.status).toBe(409);
    expect((await call(`${server.url}/api/cooks/${id}`)).json.entries).toEqual([tap]);
  });

  it('closes with a finish, after which only corrections and notes are taken', async () => {
    const id = await begin();
    const url = `${server.url}/api/cooks/${id}/entries`;
    const at = Date.UTC(2027, 4, 15, 12);
    expect(
      (await call(url, 'POST', { entries: [{ id: randomUUID(), at, kind: 'finish' }] })).status,
    ).toBe(201);
    expect((await call(`${server.url}/api/cooks/${id}`)).json).toMatchObject({
      finishedAt: at,
      clock: { running: false },
    });
    const late = jobEntry('hold', { do: 'lid-open', seconds: 5 }, at);
    expect((await call(url, 'POST', { entries: [late] })).status).toBe(409);
    expect((await call(url, 'POST', { entries: [note('forgot')] })).status).toBe(201);
    expect((await call(`${server.url}/api/cooks/${id}/clock`, 'PUT', { speed: 60 })).status).toBe(
      409,
    );
  });
});

describe('the simulated thermometer', () => {
  it('reads a cold pit, then the fire that was logged, and tells everybody who watches', async () => {
    const id = await begin();
    const view = (await call(`${server.url}/api/cooks/${id}`)).json;
    const watching = new AbortController();
    const events: LiveEvent[] = [];
    const stream = await fetch(`${server.url}/api/cooks/${id}/events`, { signal: watching.signal });
    expect(stream.headers.get('content-type')).toContain('text/event-stream');
    expect(stream.headers.get('content-encoding')).toBeNull();
    void (async () => {
      let text = '';
      for await (const chunk of stream.body!) {
        text += Buffer.from(chunk).toString();
        const parts = text.split('\n\n');
        text = parts.pop()!;
        for (const p of parts) {
          const data = p.split('\n').find((l) => l.startsWith('data: '));
          if (data) events.push(JSON.parse(data.slice(6)) as LiveEvent);
        }
      }
    })().catch(() => undefined);

    expect((await call(`${server.url}/api/cooks/${id}/clock`, 'PUT', { speed: 999 })).status).toBe(
      422,
    );
    const set = await call(`${server.url}/api/cooks/${id}/clock`, 'PUT', { speed: 240 });
    expect(set.json).toMatchObject({ speed: 240, running: true });
    const light = jobEntry(
      'light',
      { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 },
      view.clock.cookMs,
    );
    await sendEntries(server.url, id, [light]);
    clock += 15_000; // an hour of the cook
    let after: { readings: { at: number; pitC: number | null }[] } = { readings: [] };
    await until(async () => {
      after = (await call(`${server.url}/api/cooks/${id}`)).json as typeof after;
      return after.readings.length > 100;
    });
    watching.abort();
    const hot = after.readings.filter((r) => r.pitC !== null && r.pitC > 90);
    expect(hot.length).toBeGreaterThan(30);
    // Both probes may be silent at once: such a moment is not kept.
    const steps = after.readings.map((r) => (r.at - after.readings[0]!.at) / 30_000);
    expect(steps.every((s) => Number.isInteger(s))).toBe(true);
    expect(steps.at(-1)!).toBeLessThan(1.2 * steps.length);
    expect(events[0]!.type).toBe('hello');
    expect(events.some((e) => e.type === 'entries' && e.entries[0]!.id === light.id)).toBe(true);
    const told = events.flatMap((e) => (e.type === 'readings' ? e.readings : []));
    expect(told).toEqual(after.readings.slice(0, told.length));
  });
});

describe('taking out and bringing in', () => {
  it('makes an identical cook elsewhere from JSON and from the two CSV files', async () => {
    const id = await begin();
    const entries = [note('first, "quoted"\nline'), note('second')];
    await sendEntries(server.url, id, entries);
    clock += 200_000;
    await until(async () => (await call(`${server.url}/api/cooks/${id}`)).json.readings.length > 0);
    const finish = { id: randomUUID(), at: Date.UTC(2027, 4, 15, 20), kind: 'finish' };
    await sendEntries(server.url, id, [finish]);
    const from = `${server.url}/api/cooks/${id}`;
    const doc = (await call(`${from}/cook.json`)).json;
    expect(doc.readings.length).toBeGreaterThan(0);
    const imports = `${other.url}/api/imports`;
    expect((await call(imports, 'POST', doc)).status).toBe(201);
    expect((await call(`${other.url}/api/cooks/${id}/cook.json`)).json).toEqual(doc);
    const again = await call(imports, 'POST', doc);
    expect(again).toMatchObject({ status: 200, json: { already: true } });
    expect((await call(imports, 'POST', { ...doc, name: 'Else' })).status).toBe(409);

    const third = await startServer();
    const csv = {
      actionsCsv: (await call(`${from}/actions.csv`)).json as string,
      readingsCsv: (await call(`${from}/readings.csv`)).json as string,
    };
    expect((await call(`${third.url}/api/imports`, 'POST', csv)).status).toBe(201);
    expect((await call(`${third.url}/api/cooks/${id}/cook.json`)).json).toEqual(doc);
    await third.stop();
  });

  it('refuses a file with its lines and fields, and stores nothing', async () => {
    const bad = await call(`${other.url}/api/imports`, 'POST', {
      actionsCsv: 'id\r\n1\r\n',
      readingsCsv: '',
    });
    expect(bad.status).toBe(422);
    expect(bad.json.errors.length).toBeGreaterThan(2);
    const empty = await call(`${other.url}/api/imports`, 'POST', { ostrin: 'cook/1' });
    expect(empty.status).toBe(422);
    expect(empty.json.errors.map((e: { field: string }) => e.field)).toEqual(
      expect.arrayContaining(['id', 'name', 'plan', 'readings']),
    );
  });
});

it('describes itself at /api', async () => {
  const { status, json } = await call(`${server.url}/api`, 'GET');
  expect(status).toBe(200);
  expect(json).toMatchObject({ openapi: '3.1.0', info: { title: 'Ostrin' } });
});
