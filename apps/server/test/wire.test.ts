/** Readings by wire: over HTTP with tokens, and over MQTT through real brokers. */
import type { Instrument } from '@ostrin/contract';
import fc from 'fast-check';
import { call, startServer, until, type TestServer } from './help';
import { channel, wiredAt } from './wired';

let clock = Date.UTC(2027, 4, 15, 10);
let server: TestServer;
beforeAll(async () => {
  server = await startServer(':memory:', () => clock);
});
afterAll(() => server.stop());

const wired = (channels: object[]) => wiredAt(server.url, channels);

it('takes packets of JSON and CSV into the cook on the pit, late, double and out of order', async () => {
  const { tell, readings } = await wired([channel('1', 'grate'), channel('2', 'dome')]);
  const at = (s: number): number => clock - 60_000 + 1000 * s;
  expect((await tell({ at: at(20), values: { 1: 121, 2: 140 } })).json).toEqual({
    stored: 2,
    impossible: 0,
  });
  const late = {
    packets: [
      { at: at(10), values: { 1: 120 } },
      { at: at(20), values: { 1: 99 } },
    ],
  };
  expect((await tell(late)).status).toBe(202);
  const csv = `at,channel,value,unit\n${new Date(at(30)).toISOString()},1,251.6,F\n`;
  expect((await tell(csv, 'text/csv')).status).toBe(202);
  expect(await readings()).toEqual([
    { at: at(10), pitC: 120, coreC: null },
    // What was told first of a moment stands.
    { at: at(20), pitC: 121, coreC: null, domeC: 140 },
    { at: at(30), pitC: 122, coreC: null },
  ]);
});

it('comes to the same readings whatever the order and however often packets are sent (property)', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.uniqueArray(
        fc.record({ s: fc.integer({ min: 1, max: 900 }), c: fc.integer({ min: 20, max: 200 }) }),
        {
          selector: (p) => p.s,
          minLength: 1,
          maxLength: 12,
        },
      ),
      fc.array(fc.nat(), { maxLength: 8 }),
      async (packets, again) => {
        const { tell, readings } = await wired([channel('1', 'grate')]);
        const packet = ({ s, c }: { s: number; c: number }) => ({
          at: clock - 1000 * s,
          values: { 1: c },
        });
        for (const p of packets) await tell(packet(p));
        for (const i of again) await tell(packet(packets[i % packets.length]!));
        expect(await readings()).toEqual(
          [...packets]
            .sort((a, b) => b.s - a.s)
            .map(({ s, c }) => ({ at: clock - 1000 * s, pitC: c, coreC: null })),
        );
      },
    ),
    { numRuns: 15 },
  );
});

it('corrects by what a channel reads too much, as that is known when it is read', async () => {
  const { url, tell, readings, id } = await wired([channel('1', 'grate')]);
  await tell({ at: clock, values: { 1: 125 } });
  const put = {
    name: id,
    pitName: `pit ${id}`,
    channels: [channel('1', 'grate', { offsetK: 4, checkedAt: clock })],
  };
  expect((await call(url, 'PUT', put)).status).toBe(200);
  expect(await readings()).toEqual([{ at: clock, pitC: 121, coreC: null }]);
  // Taken out, what it reported stays as it was corrected.
  expect((await call(url, 'DELETE')).status).toBe(200);
  expect(await readings()).toEqual([{ at: clock, pitC: 121, coreC: null }]);
});

it('learns channels as they are told, and uses them once somebody says where they hang', async () => {
  const { url, id, tell, readings } = await wired([]);
  expect((await tell({ values: { a: 60, b: 119 }, battery: 0.8 })).json.stored).toBe(0);
  const heard = (await call(`${server.url}/api/instruments`)).json.find(
    (i: { id: string }) => i.id === id,
  );
  expect(heard).toMatchObject({ heardAt: clock, battery: 0.8, values: { a: { value: 60 } } });
  expect(heard.channels.map((c: { spot: string }) => c.spot)).toEqual(['none', 'none']);
  const channels = [channel('a', 'meat', { piece: 1 }), channel('b', 'grate')];
  await call(url, 'PUT', { name: id, pitName: `pit ${id}`, channels });
  clock += 60_000;
  await tell({ values: { a: 61, b: 120, c: null } });
  expect(await readings()).toEqual([{ at: clock, pitC: 120, coreC: 61 }]);
});

it('leaves out what cannot be true, and refuses what cannot be read, naming the field', async () => {
  const { tell, readings } = await wired([channel('1', 'grate'), channel('2', 'fan')]);
  expect((await tell({ values: { 1: 2000, 2: 0.4 } })).json).toEqual({
    stored: 1,
    impossible: 1,
    why: 'Channel 1: the value is not possible there.',
  });
  const fieldOf = async (body: unknown, type?: string): Promise<string> => {
    const { status, json } = await tell(body, type);
    expect(status).toBe(422);
    return json.errors[0].field;
  };
  expect(await fieldOf({ values: { 1: 'hot' } })).toBe('values');
  expect(await fieldOf({ packets: [{ at: clock + 600_000, values: { 1: 1 } }] })).toBe(
    'packets[0].at',
  );
  expect(await fieldOf('channel,value\n1,hot\n', 'text/csv')).toBe('line 2 value');
  expect(await fieldOf('channel\n1\n', 'text/csv')).toBe('line 1');
  expect((await tell('{', 'application/json')).status).toBe(400);
  expect((await tell('x', 'text/plain')).status).toBe(415);
  expect((await tell({ values: { 1: 1 } }, 'application/json', 'x'.repeat(32))).status).toBe(401);
  expect(await readings()).toHaveLength(1);
});

it('makes a token void with the next one, and lets a token do nothing else', async () => {
  const { url, token, tell } = await wired([channel('1', 'grate')]);
  const next = (await call(`${url}/token`, 'POST', {})).json.token as string;
  expect((await tell({ values: { 1: 1 } })).status).toBe(401);
  expect((await tell({ values: { 1: 1 } }, undefined, next)).status).toBe(202);
  expect(token).not.toBe(next);
});

it('refuses an instrument with a wrong field, and one that somebody else changed', async () => {
  const put = (body: object, headers = {}) =>
    call(
      `${server.url}/api/instruments/x1`,
      'PUT',
      { name: 'x', pitName: 'p', channels: [], ...body },
      headers,
    );
  const fields = async (body: object): Promise<string[]> =>
    (await put(body)).json.errors.map((e: { field: string }) => e.field);
  expect(await fields({ name: ' ' })).toEqual(['name']);
  expect(await fields({ channels: [channel('1', 'moon')] })).toEqual(['channels[0].spot']);
  expect(await fields({ channels: [channel('1', 'meat')] })).toEqual(['channels[0].piece']);
  expect(await fields({ channels: [channel('1', 'grate'), channel('1', 'dome')] })).toEqual([
    'channels[1].key',
  ]);
  expect((await put({})).status).toBe(201);
  expect((await put({}, { 'If-Match': '"0"' })).status).toBe(412);
});

it('gives other readings than pit and first piece back as they came, through export and import', async () => {
  const { cookId, tell } = await wired([
    channel('dome', 'dome'),
    channel('wind', 'wind'),
    channel('fan', 'fan'),
  ]);
  await tell({ at: clock, values: { dome: 140, wind: 4, fan: 0.5 } });
  const url = `${server.url}/api/cooks/${cookId}`;
  const doc = (await call(`${url}/cook.json`)).json;
  expect(doc.readings).toEqual([
    { at: clock, pitC: null, coreC: null, domeC: 140, fanDuty: 0.5, weather: { windMps: 4 } },
  ]);
  const [actionsCsv, readingsCsv] = await Promise.all(
    ['actions', 'readings'].map(async (of) => (await call(`${url}/${of}.csv`)).json as string),
  );
  const other = await startServer();
  for (const body of [doc, { actionsCsv, readingsCsv }]) {
    expect([200, 201]).toContain((await call(`${other.url}/api/imports`, 'POST', body)).status);
  }
  expect((await call(`${other.url}/api/cooks/${cookId}/cook.json`)).json.readings).toEqual(
    doc.readings,
  );
  await other.stop();
});

it('tells watchers of readings and of what was heard', async () => {
  const { cookId, tell } = await wired([channel('1', 'grate')]);
  const stream = await fetch(`${server.url}/api/cooks/${cookId}/events`);
  const reader = stream.body!.getReader();
  let text = '';
  const pump = (async () => {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      text += new TextDecoder().decode(value);
    }
  })();
  await tell({ values: { 1: 118 } });
  await until(() => text.includes('"type":"readings"') && text.includes('"pitC":118'));
  await reader.cancel();
  await pump;
});

it('keeps kind, checks, due days and battery of an instrument, refuses wrong ones, and tells which told of a cook', async () => {
  const { cookId, tell } = await wired([channel('1', 'grate')]);
  await tell({ at: clock - 5_000, values: { 1: 121 } });
  const seen = (await call(`${server.url}/api/cooks/${cookId}`)).json as { instruments: string[] };
  expect(seen.instruments).toHaveLength(1);
  const at = `${server.url}/api/instruments/quick`;
  const check = { at: clock, against: 'ice', readsC: 1.5, trueC: 0 };
  const quick = {
    name: 'quick one',
    pitName: 'the Bosun',
    kind: 'instant-read',
    dueDays: 90,
    batteryChangedAt: clock,
    channels: [{ ...channel('reading', 'dome'), checks: [check] }],
  };
  expect((await call(at, 'PUT', quick)).status).toBe(201);
  const list = (await call(`${server.url}/api/instruments`)).json as { id: string }[];
  expect(list.find((i) => i.id === 'quick')).toMatchObject(quick);
  for (const [part, field] of [
    [{ kind: 'crystal ball' }, 'kind'],
    [{ dueDays: 0 }, 'dueDays'],
    [
      { channels: [{ ...quick.channels[0]!, checks: [{ ...check, against: 'tea' }] }] },
      'channels[0].checks[0].against',
    ],
    [
      { channels: [{ ...quick.channels[0]!, checks: Array(41).fill(check) }] },
      'channels[0].checks',
    ],
  ] as const) {
    const { status, json } = await call(at, 'PUT', { ...quick, ...part });
    expect([status, json.errors[0].field]).toEqual([422, field]);
  }
});

it('counts a value once, however often it is sent', async () => {
  const { tell } = await wired([channel('1', 'grate')]);
  const packet = { at: clock, values: { 1: 121 } };
  expect((await tell(packet)).json).toEqual({ stored: 1, impossible: 0 });
  const again = await tell({ packets: [packet, { at: clock + 1000, values: { 1: 122 } }] });
  expect(again.json).toEqual({
    stored: 1,
    impossible: 0,
    why: '1 value of moments that were there already.',
  });
});

it('keeps nothing of channels beyond those that an instrument may have, and says so', async () => {
  const { id, tell } = await wired([channel('1', 'grate')]);
  const many = (from: number) =>
    Object.fromEntries(Array.from({ length: 31 }, (_, i) => [`k${from + i}`, 20]));
  await tell({ at: clock, values: many(0) });
  const { json } = await tell({ at: clock + 1000, values: { 1: 121, ...many(100) } });
  expect(json).toMatchObject({ stored: 1, impossible: 0 });
  expect(json.why).toMatch(/k100, k101, .* and 25 more: an instrument has 32 channels at most/);
  const all: Instrument[] = (await call(`${server.url}/api/instruments`)).json;
  const kept = all.find((i) => i.id === id)!;
  expect(kept.channels).toHaveLength(32);
  expect(Object.keys(kept.values)).toHaveLength(32);
});
