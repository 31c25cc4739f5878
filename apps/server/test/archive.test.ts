/** Everything as one ZIP, and back into an empty server. */
import { cookFromCsv } from '@ostrin/contract';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import isEqual from 'lodash/isEqual.js';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import sharp from 'sharp';
import yauzl from 'yauzl';
import { ZipFile } from 'yazl';
import { call, demoCopy, sendEntries, startServer, type TestServer } from './help';
import { channel, wiredAt } from './wired';

const scratch = mkdtempSync(path.join(tmpdir(), 'ostrin-archive-test-'));
afterAll(() => rmSync(scratch, { recursive: true, force: true }));

/** A server with its photographs in a folder of its own. */
const withFolder = (name: string, file = ':memory:', now?: () => number): Promise<TestServer> =>
  startServer(file, now, { photographFolder: path.join(scratch, name) });

/** During the cook of the instrument. */
const NOON = Date.UTC(2027, 4, 15, 12);

/** The files of a ZIP by name. */
async function unzipped(zip: Buffer): Promise<Record<string, Buffer>> {
  const file = path.join(scratch, `${randomUUID()}.zip`);
  writeFileSync(file, zip);
  const open = promisify<string, yauzl.Options, yauzl.ZipFile>(yauzl.open);
  const archive = await open(file, { lazyEntries: true, autoClose: false });
  const files: Record<string, Buffer> = {};
  await new Promise<void>((done, fail) => {
    archive.on('entry', (entry: yauzl.Entry) => {
      archive.openReadStream(entry, (error, stream) => {
        if (error) fail(error);
        else
          void buffer(stream).then((data) => {
            files[entry.fileName] = data;
            archive.readEntry();
          });
      });
    });
    archive.on('end', done);
    archive.readEntry();
  });
  archive.close();
  return files;
}

async function zipped(files: Record<string, Buffer | string>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, data] of Object.entries(files)) zip.addBuffer(Buffer.from(data), name);
  zip.end();
  return buffer(zip.outputStream);
}

const take = async (server: TestServer): Promise<Buffer> => {
  const res = await fetch(`${server.url}/api/record/archive`);
  expect([res.status, res.headers.get('content-type')]).toEqual([200, 'application/zip']);
  return Buffer.from(await res.arrayBuffer());
};
async function bring(server: TestServer, zip: Buffer, type = 'application/zip') {
  const res = await fetch(`${server.url}/api/record/archive`, {
    method: 'POST',
    headers: { 'Content-Type': type },
    body: new Uint8Array(zip),
  });
  return { status: res.status, json: await res.json() };
}

/** A ZIP with one bit of a stored file turned over. */
function damaged(whole: Buffer, stored: Buffer): Buffer {
  const copy = Buffer.from(whole);
  const at = copy.indexOf(stored.subarray(20, 60)) + 30;
  copy[at]! ^= 1;
  return copy;
}

let full: TestServer;
let zip: Buffer;
beforeAll(async () => {
  full = await withFolder('full', demoCopy(), () => NOON);
  const [cook] = (await call(`${full.url}/api/cooks`)).json as { id: string; finishedAt: number }[];
  const wired = await wiredAt(full.url, [
    channel('1', 'grate'),
    channel('2', 'meat', { piece: 1, offsetK: 2 }),
    channel('3', 'wind'),
  ]);
  const packets = [0, 1, 2].map((s) => ({
    at: NOON - 1000 * s,
    values: { 1: 120 + s, 2: 60.5, 3: 4 },
  }));
  expect((await wired.tell({ packets })).json.stored).toBe(9);
  await sendEntries(full.url, wired.cookId, [{ id: randomUUID(), at: NOON, kind: 'finish' }]);
  const picture = await sharp({
    create: { width: 80, height: 60, channels: 3, background: '#2d1' },
  })
    .jpeg()
    .toBuffer();
  const sent = await fetch(`${full.url}/api/cooks/${cook!.id}/photographs`, {
    method: 'POST',
    headers: { 'Content-Type': 'image/jpeg' },
    body: new Uint8Array(picture),
  });
  expect(sent.status).toBe(201);
  const entries = [
    { kind: 'verdict', meat: 'mutton', verdict: 'dry' },
    { kind: 'next-time', about: 'pit', text: 'Lay the snake a quarter longer' },
  ].map((e) => ({ id: randomUUID(), at: cook!.finishedAt, ...e }));
  const told = await sendEntries(full.url, cook!.id, entries);
  if (told.status !== 201) throw new Error(JSON.stringify(told.json));
  zip = await take(full);
}, 120_000);
afterAll(() => full.stop());

it('brings everything into an empty server, and takes the same out of it', async () => {
  const empty = await withFolder('empty');
  const progress: string[] = [];
  empty.hub.hear((e) => {
    if (e.type === 'archive') progress.push(`${e.way} ${e.done} of ${e.all}`);
  });
  try {
    const { status, json } = await bring(empty, zip);
    expect([status, json]).toEqual([201, { cooks: 9, pits: 4, photographs: 1 }]);
    const [a, b] = [await unzipped(zip), await unzipped(await take(empty))];
    const counted = (way: string, from: number): string[] =>
      Array.from({ length: 9 }, (_, i) => `${way} ${from + i} of 9`);
    expect(progress).toEqual([...counted('in', 0), ...counted('out', 1)]);
    expect(Object.keys(b).sort()).toEqual(Object.keys(a).sort());
    expect(Object.keys(a).filter((n) => n.endsWith('.csv'))).toHaveLength(18);
    const plainOf = (files: Record<string, Buffer>, name: string): unknown => {
      const text = files[name]!.toString(name.endsWith('.jpg') ? 'latin1' : 'utf8');
      if (name.endsWith('.json')) return JSON.parse(text) as unknown;
      // Cells with documents in them may list their fields in another order.
      return name.endsWith('.actions.csv')
        ? cookFromCsv(text, files[name.replace('actions', 'readings')]!.toString())
        : text;
    };
    const changed = Object.keys(a).filter((n) => !isEqual(plainOf(b, n), plainOf(a, n)));
    expect(changed).toEqual([]);
    const lists = ['cooks', 'pits', 'next-time', 'instruments'];
    for (const of of lists) {
      const plain = async (s: TestServer): Promise<unknown> =>
        // What was heard last is no part of a record.
        ((await call(`${s.url}/api/${of}`)).json as object[]).map((x) => ({
          ...x,
          version: 0,
          heardAt: null,
          values: null,
        }));
      expect(await plain(empty)).toEqual(await plain(full));
    }
  } finally {
    await empty.stop();
  }
}, 120_000);

it('refuses what is wrong, names it, and stores nothing', async () => {
  const empty = await withFolder('refused');
  try {
    const files = await unzipped(zip);
    const head = JSON.parse(files['record.json']!.toString());
    const cook = Object.keys(files).find((n) => /^cooks.*json$/.test(n))!;
    const photo = Object.keys(files).find((n) => n.startsWith('photographs/'))!;
    const withPlace = await sharp(files[photo])
      .withExif({ IFD3: { GPSLatitude: '46/1 3/1 0/1' } })
      .toBuffer();
    const without = (name: string): Record<string, Buffer> =>
      Object.fromEntries(Object.entries(files).filter(([n]) => n !== name));
    const bad: [string, Record<string, Buffer | string> | Buffer, number, string][] = [
      ['no ZIP', Buffer.from('hello'), 422, ''],
      ['no head', without('record.json'), 422, 'record.json'],
      ['a torn head', { ...files, 'record.json': '{' }, 422, 'record.json'],
      [
        'a foreign pit',
        { ...files, 'record.json': JSON.stringify({ ...head, pits: [{ id: 'x', name: 1 }] }) },
        422,
        'record.json pits[0].name',
      ],
      ['a torn cook', { ...files, [cook]: '{}' }, 422, `${cook} ostrin`],
      ['no photograph', without(photo), 422, photo],
      ['a bit that fell over', damaged(zip, files[photo]!), 422, photo],
      ['a photograph with its place', { ...files, [photo]: withPlace }, 422, 'photograph'],
      ['a bomb', { ...files, 'x.bin': Buffer.alloc(26_000_000) }, 422, 'x.bin'],
    ];
    for (const [what, of, status, field] of bad) {
      const body = Buffer.isBuffer(of) ? of : await zipped(of);
      const got = await bring(empty, body);
      expect([what, got.status, got.json.errors?.[0]?.field]).toEqual([what, status, field]);
    }
    expect((await bring(empty, zip, 'application/json')).status).toBe(415);
    for (const of of ['cooks', 'pits', 'plans']) {
      expect([of, (await call(`${empty.url}/api/${of}`)).json]).toEqual([of, []]);
    }
    const folder = path.join(scratch, 'refused');
    expect(readdirSync(folder)).toEqual([]);
  } finally {
    await empty.stop();
  }
}, 120_000);

it('brings nothing into a server that has cooks', async () => {
  const before = (await call(`${full.url}/api/cooks`)).json;
  expect((await bring(full, zip)).status).toBe(409);
  expect((await call(`${full.url}/api/cooks`)).json).toEqual(before);
  expect(
    readFileSync(path.join(scratch, 'full', readdirSync(path.join(scratch, 'full'))[0]!)).length,
  ).toBeGreaterThan(100);
});

it('is written of what is there: photographs without a file are left out, after a restore without them', async () => {
  const folder = path.join(scratch, 'full');
  const [name] = readdirSync(folder).filter((n) => n.endsWith('.jpg'));
  renameSync(path.join(folder, name!), path.join(scratch, name!));
  const files = await unzipped(await take(full));
  expect(JSON.parse(files['record.json']!.toString()).photographs).toEqual([]);
  expect(Object.keys(files).filter((n) => n.endsWith('.jpg'))).toEqual([]);
  renameSync(path.join(scratch, name!), path.join(folder, name!));
});
