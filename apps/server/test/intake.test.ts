/** What becomes of the readings of instruments: the cook of their time, the piece of a probe, and what cannot be true. */
import { readCookDoc } from '@ostrin/contract';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { call, planFor, startServer, type TestServer } from './help';
import { channel, wiredAt } from './wired';

let clock = Date.UTC(2027, 4, 15, 10);
let server: TestServer;
beforeAll(async () => {
  server = await startServer(':memory:', () => clock);
});
afterAll(() => server.stop());

const wired = (channels: object[]) => wiredAt(server.url, channels);

it('says why nothing was stored, and shows what cannot be true until a true value comes', async () => {
  const { tell, id, cookId } = await wired([channel('m', 'meat', { piece: 1 })]);
  const shown = async () =>
    (await call(`${server.url}/api/instruments`)).json.find((i: { id: string }) => i.id === id)
      .impossible;
  const cold = await tell({ values: { m: -40, new: 20 } });
  expect(cold.json).toEqual({
    stored: 0,
    impossible: 1,
    why: 'Channel new: set under Yard, Sensors where it measures. Channel m: the value is not possible there.',
  });
  expect(await shown()).toEqual({ m: { at: clock, value: -40 } });
  clock += 60_000;
  expect((await tell({ values: { m: 12 } })).json).toEqual({ stored: 1, impossible: 0 });
  expect(await shown()).toEqual({});
  const finish = { id: randomUUID(), at: clock, kind: 'finish' };
  const entries = `${server.url}/api/cooks/${cookId}/entries`;
  expect((await call(entries, 'POST', { entries: [finish] })).status).toBe(201);
  clock += 60_000;
  expect((await tell({ values: { m: 13 } })).json.why).toBe(
    `No cook on a real fire was under way at pit ${id} then.`,
  );
});

it('puts late readings into the cook of their time, also where a batch is of two', async () => {
  const { tell, id, cookId, readings } = await wired([channel('1', 'grate')]);
  const day = 86_400_000;
  const first = `${server.url}/api/cooks/${cookId}`;
  const entry = (at: number, kind: string) => ({ id: randomUUID(), at, kind });
  const log = (url: string, ...entries: object[]) => call(`${url}/entries`, 'POST', { entries });
  const [lit, over] = [clock, clock + day / 4];
  await log(first, { ...entry(lit, 'note'), text: 'lit' });
  await log(first, entry(over, 'finish'));
  clock += day;
  const next = randomUUID();
  const plan = planFor({ serveAt: new Date(clock + day / 2).toISOString().slice(0, 16) });
  const second = `${server.url}/api/cooks/${next}`;
  const begun = { name: 'Supper', pitName: `pit ${id}`, plan, fire: 'real' };
  expect((await call(second, 'PUT', begun)).status).toBe(201);
  await log(second, { ...entry(clock - 60_000, 'note'), text: 'lit' });
  const at = [lit + 3_600_000, clock - 30_000];
  const sent = await tell({ packets: at.map((t, i) => ({ at: t, values: { 1: 100 + i } })) });
  expect(sent.json).toEqual({ stored: 2, impossible: 0 });
  expect(await readings()).toEqual([{ at: at[0], pitC: 100, coreC: null }]);
  expect((await call(second)).json.readings).toEqual([{ at: at[1], pitC: 101, coreC: null }]);
});

it('puts what a probe read from a moment on into another piece, added food too, and nothing else', async () => {
  const { tell, readings, id, cookId } = await wired([
    channel('1', 'grate'),
    channel('m', 'meat', { piece: 1 }),
  ]);
  const cook = `${server.url}/api/cooks/${cookId}`;
  const food = { ...planFor().scenarios[0].meats[0], id: 'wings' };
  const add = { id: randomUUID(), at: clock, kind: 'add-food', food, offAt: clock + 3_600_000 };
  expect((await call(`${cook}/entries`, 'POST', { entries: [add] })).status).toBe(201);
  const at = (min: number): number => clock - 60_000 * min;
  for (const min of [30, 20, 10]) await tell({ at: at(min), values: { 1: 121, m: 60 - min } });
  const move = (part: object) =>
    call(`${cook}/probes`, 'POST', {
      instrument: id,
      channel: 'm',
      meat: 'wings',
      from: at(20),
      ...part,
    });
  expect((await move({})).status).toBe(200);
  await tell({ at: at(0), values: { m: 61 } });
  expect(await readings()).toEqual([
    { at: at(30), pitC: 121, coreC: 30 },
    { at: at(20), pitC: 121, coreC: null, meatC: { wings: 40 } },
    { at: at(10), pitC: 121, coreC: null, meatC: { wings: 50 } },
    { at: at(0), pitC: null, coreC: null, meatC: { wings: 61 } },
  ]);
  // Out of all of them, and back where it was: nothing that was read is lost.
  await move({ meat: null, from: at(5) });
  expect((await readings()).at(-1)).toMatchObject({ at: at(10) });
  await move({ meat: planFor().request.meats[0].id, from: at(40) });
  expect((await readings()).map((r) => r.coreC)).toEqual([30, 40, 50, 61]);
  const field = async (part: object): Promise<string> => (await move(part)).json.errors[0].field;
  expect(await field({ meat: 'goat' })).toBe('meat');
  expect(await field({ channel: 'x' })).toBe('channel');
  expect(await field({ instrument: 'x' })).toBe('instrument');
  expect(await field({ from: 'now' })).toBe('from');
});

it('takes nothing that a cook could not be brought back with (property)', async () => {
  const spots = ['grate', 'dome', 'air', 'wind', 'rain', 'fan'];
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...spots),
      fc.double({ min: -1000, max: 3000, noNaN: true }),
      fc.integer({ min: -60, max: 60 }),
      fc.integer({ min: 0, max: 31 * 24 * 60 - 5 }),
      async (spot, value, offsetK, minAgo) => {
        const { tell, cookId } = await wired([channel('1', spot, { offsetK })]);
        const sent = await tell({ at: clock - 60_000 * minAgo, values: { 1: value } });
        expect(sent.status).toBe(202);
        const doc = (await call(`${server.url}/api/cooks/${cookId}/cook.json`)).json;
        expect(readCookDoc(doc)).toMatchObject({ ok: true });
      },
    ),
    { numRuns: 12 },
  );
});
