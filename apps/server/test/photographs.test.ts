/** Photographs of cooks: what is taken in, what is refused, and what is left of them. */
import { DAY_MS } from '@ostrin/core/quantity';
import { randomUUID } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { cookStore, openDatabase } from '../src';
import { ASIDE, photographStore } from '../src/photographs/photographStore';
import { begin, call, startServer, type TestServer } from './help';

let server: TestServer;
const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-photographs-'));

beforeAll(async () => {
  server = await startServer(':memory:', undefined, { photographFolder: folder });
});
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#a0522d' } });

/** A picture as a phone writes it: lying on its side, with the place where it was taken. */
const fromPhone = (width = 3000, height = 2000): Promise<Buffer> =>
  plain(width, height)
    .withExif({
      IFD0: { Make: 'Nobody' },
      IFD3: { GPSLatitude: '46/1 3/1 0/1', GPSLatitudeRef: 'N' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

async function send(
  cook: string,
  body: Buffer,
  type = 'image/jpeg',
): Promise<{ status: number; json: any }> {
  const res = await fetch(`${server.url}/api/cooks/${cook}/photographs`, {
    method: 'POST',
    headers: { 'Content-Type': type },
    body: new Uint8Array(body),
  });
  return { status: res.status, json: (await res.json()) as unknown };
}

const listOf = async (cook: string): Promise<{ id: string; width: number; height: number }[]> =>
  (await call(`${server.url}/api/cooks/${cook}/photographs`)).json as never;

it('keeps a photograph upright, at a screen’s size, without its place and its camera', async () => {
  const cook = await begin(server.url);
  const picture = await fromPhone();
  expect((await sharp(picture).metadata()).exif).toBeDefined();
  const { status, json } = await send(cook, picture);
  expect([status, json.width, json.height]).toEqual([201, 1365, 2048]);
  const got = await fetch(`${server.url}/api/cooks/${cook}/photographs/${json.id}`);
  expect(got.headers.get('content-type')).toBe('image/jpeg');
  const kept = Buffer.from(await got.arrayBuffer());
  const { exif, xmp, iptc, orientation } = await sharp(kept).metadata();
  expect([exif, xmp, iptc, orientation]).toEqual([undefined, undefined, undefined, undefined]);
  expect(kept.includes('GPS') || kept.includes('Nobody')).toBe(false);
  expect(await listOf(cook)).toEqual([json]);
});

it('takes PNG and WebP too', async () => {
  const cook = await begin(server.url);
  expect((await send(cook, await plain(40, 30).png().toBuffer(), 'image/png')).status).toBe(201);
  expect((await send(cook, await plain(40, 30).webp().toBuffer(), 'image/webp')).status).toBe(201);
  expect((await listOf(cook)).map((p) => [p.width, p.height])).toEqual([
    [40, 30],
    [40, 30],
  ]);
});

it('refuses what is no picture, is of another kind, is damaged or unfolds to too much', async () => {
  const cook = await begin(server.url);
  const jpeg = await fromPhone(600, 400);
  const bomb = await plain(12_000, 12_000).png({ compressionLevel: 9 }).toBuffer();
  expect(bomb.length).toBeLessThan(2_000_000);
  const thread = await plain(40_000, 1).png().toBuffer();
  const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
  const bad: [string, Buffer, string, number][] = [
    ['text', Buffer.from('not a picture'), 'image/jpeg', 422],
    ['nothing', Buffer.alloc(0), 'image/jpeg', 422],
    ['a drawing', svg, 'image/png', 422],
    ['a GIF', await plain(9, 9).gif().toBuffer(), 'image/png', 422],
    ['a torn one', jpeg.subarray(0, jpeg.length / 2), 'image/jpeg', 422],
    ['a bomb', bomb, 'image/png', 422],
    ['a thread', thread, 'image/png', 422],
    ['a film', jpeg, 'video/mp4', 415],
    ['JSON', Buffer.from('{}'), 'application/json', 415],
    ['a huge file', Buffer.alloc(26_000_000), 'image/jpeg', 413],
  ];
  for (const [what, body, type, status] of bad) {
    expect([what, (await send(cook, body, type)).status]).toEqual([what, status]);
  }
  expect(await listOf(cook)).toEqual([]);
  expect(readdirSync(folder).filter((n) => n.endsWith('.part'))).toEqual([]);
  expect((await send(randomUUID(), jpeg)).status).toBe(404);
}, 60_000);

it('keeps ten of a cook at most, also when they come at once', async () => {
  const cook = await begin(server.url);
  const small = await plain(20, 20).jpeg().toBuffer();
  const sent = await Promise.all(Array.from({ length: 12 }, () => send(cook, small)));
  expect(sent.map((s) => s.status).sort((a, b) => a - b)).toEqual([
    ...Array(10).fill(201),
    409,
    409,
  ]);
  const [first] = await listOf(cook);
  const url = `${server.url}/api/cooks/${cook}/photographs/${first!.id}`;
  expect((await call(url, 'DELETE')).status).toBe(200);
  expect((await call(url)).status).toBe(404);
  expect(existsSync(path.join(folder, `${first!.id}.jpg`))).toBe(false);
  expect((await send(cook, small)).status).toBe(201);
});

it('tells a full disk, and loses nothing', async () => {
  const cook = await begin(server.url);
  const small = await plain(20, 20).jpeg().toBuffer();
  await send(cook, small);
  const before = await listOf(cook);
  // The last step of writing a file answers as a full disk does.
  const noRoom = Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
  const write = jest
    .spyOn(jest.requireActual<typeof import('node:fs/promises')>('node:fs/promises'), 'rename')
    .mockRejectedValue(noRoom);
  try {
    const { status, json } = await send(cook, small);
    expect([status, json.title]).toEqual([
      507,
      "The server's disk is full: nothing was stored, and nothing is lost",
    ]);
  } finally {
    write.mockRestore();
  }
  expect(await listOf(cook)).toEqual(before);
  expect(readdirSync(folder).filter((n) => n.endsWith('.part'))).toEqual([]);
  expect((await send(cook, small)).status).toBe(201);
});

it('puts photographs aside that no row stands for, and touches nothing that it does not know', async () => {
  const cook = await begin(server.url);
  const { json } = await send(cook, await plain(20, 20).jpeg().toBuffer());
  const stray = randomUUID();
  writeFileSync(path.join(folder, `${stray}.jpg`), 'left over');
  writeFileSync(path.join(folder, `${randomUUID()}.jpg.part`), 'cut off');
  writeFileSync(path.join(folder, 'wedding.jpg'), 'of somebody');
  mkdirSync(path.join(folder, 'album'));
  const store = photographStore(server.db, folder);
  expect(await store.tidy()).toBe(1);
  expect(readdirSync(folder).filter((n) => n.endsWith('.part'))).toEqual([]);
  expect(readdirSync(folder)).toEqual(
    expect.arrayContaining([`${json.id}.jpg`, 'wedding.jpg', 'album']),
  );
  expect(readFileSync(path.join(folder, ASIDE, `${stray}.jpg`), 'utf8')).toBe('left over');
  // Another database, or none, takes nothing away.
  const other = await openDatabase(':memory:');
  const shared = path.join(folder, 'shared');
  mkdirSync(shared);
  writeFileSync(path.join(shared, `${json.id}.jpg`), 'shared');
  await photographStore(other, shared).adopt(shared);
  await other.destroy();
  const own = path.join(folder, 'own');
  expect(await photographStore(server.db, own).adopt(shared)).toBe(1);
  expect(existsSync(path.join(shared, `${json.id}.jpg`))).toBe(true);
  expect(existsSync(path.join(own, `${json.id}.jpg`))).toBe(true);
});

it('lets the photographs of a cook go once that is forgotten', async () => {
  const cook = await begin(server.url);
  const { json } = await send(cook, await plain(20, 20).jpeg().toBuffer());
  const store = cookStore(server.db);
  await store.remove(cook, Date.now() - 31 * DAY_MS);
  for (let day = 0; day < 30; day++) await store.noteDay(Date.now() - day * DAY_MS);
  expect((await store.forgetDeleted(Date.now())).photographs).toEqual([json.id]);
  expect(await store.head(cook)).toBeNull();
});
