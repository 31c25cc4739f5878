/** Copies of the record: whole while it is written to, rotated, without keys, and restored into an empty server. */
import SqliteDatabase from 'better-sqlite3';
import fc from 'fast-check';
import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { accessStore, closeDatabase, openDatabase } from '../src';
import { copyOfToday, keptDays, restoreRecord } from '../src/store/backup';
import { InUse } from '../src/store/lock';
import { begin, call, startServer } from './help';

const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-backup-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const DAY_MS = 86_400_000;

/** A file in a folder that is there. */
function mk(file: string): string {
  mkdirSync(path.dirname(file), { recursive: true });
  return file;
}

it('takes the whole record along in one file, and an empty server has it all', async () => {
  const file = path.join(folder, 'first.sqlite');
  const server = await startServer(file);
  await accessStore(server.db, Date.now).setPasscode('larch-tongs-9');
  const pit = { name: 'Long Tom', preset: 'offset-heavy', overrides: { leakCm2: 18 } };
  await call(`${server.url}/api/pits/tom`, 'PUT', pit);
  const id = await begin(server.url);
  const doc = (await call(`${server.url}/api/cooks/${id}/cook.json`)).json;
  const res = await fetch(`${server.url}/api/record`);
  expect(res.headers.get('content-disposition')).toMatch(/ostrin-record-.*\.sqlite/);
  const record = path.join(folder, 'taken.sqlite');
  writeFileSync(record, Buffer.from(await res.arrayBuffer()));
  await server.stop();
  // What was deleted is not left behind in the file either.
  expect(readFileSync(file).includes('$argon2id$')).toBe(true);
  expect(readFileSync(record).includes('$argon2id$')).toBe(false);

  const elsewhere = path.join(folder, 'elsewhere.sqlite');
  await closeDatabase(await openDatabase(elsewhere));
  const before = restoreRecord(record, elsewhere, 1_000)!;
  // What was there before lies beside it.
  expect(before).toBe(`${elsewhere}.before-1000`);
  await closeDatabase(await openDatabase(before));
  const other = await startServer(elsewhere);
  expect((await call(`${other.url}/api/cooks/${id}/cook.json`)).json).toMatchObject({
    id,
    plan: doc.plan,
    entries: doc.entries,
  });
  expect((await call(`${other.url}/api/pits/tom`)).json).toMatchObject(pit);
  // The keys of the other house do not come along.
  expect(await accessStore(other.db, Date.now).hasPasscode()).toBe(false);
  await other.stop();
  // What has cooks is never written over, and what is no record is refused.
  expect(() => restoreRecord(record, file, 0)).toThrow(/holds 1 cooks/);
  const text = path.join(folder, 'text.sqlite');
  writeFileSync(text, 'a shopping list');
  expect(() => restoreRecord(text, path.join(folder, 'new.sqlite'), 0)).toThrow(/cannot be read/);
  expect(() => restoreRecord('nowhere', file, 0)).toThrow(/no file/);
  const { stderr } = spawnSync(
    process.execPath,
    ['apps/server/dist/main.js', '--restore', 'nowhere'],
    {
      cwd: path.resolve(__dirname, '../../..'),
      env: { ...process.env, OSTRIN_DB: path.join(folder, 'x.sqlite'), PORT: '0' },
      encoding: 'utf8',
      timeout: 20_000,
    },
  );
  expect(stderr.trim()).toBe('Nothing was restored: there is no file nowhere.');
});

it('makes each copy one closed file named after its database, and clears what was left beside earlier ones', async () => {
  const file = mk(path.join(folder, 'closed/yard.sqlite'));
  const backups = path.join(folder, 'closed/backups');
  const server = await startServer(file);
  await begin(server.url);
  const first = (await copyOfToday(file, 0))!;
  expect(path.basename(first)).toBe('yard-1970-01-01.sqlite');
  for (const rest of ['-wal', '-shm', '.part', '.part-journal'])
    writeFileSync(`${first}${rest}`, 'left over');
  writeFileSync(path.join(backups, 'holiday.sqlite-wal'), 'of somebody');
  await copyOfToday(file, DAY_MS);
  await server.stop();
  expect(readdirSync(backups).sort()).toEqual([
    'holiday.sqlite-wal',
    'yard-1970-01-01.sqlite',
    'yard-1970-01-02.sqlite',
  ]);
  // Read-only, and nothing comes up beside it.
  const copy = new SqliteDatabase(first, { readonly: true });
  expect(copy.prepare('SELECT count(*) AS n FROM cooks').get()).toEqual({ n: 1 });
  copy.close();
  expect(readdirSync(backups)).toHaveLength(3);
});

it('copies once a day while it is written to, and each copy opens', async () => {
  const file = path.join(folder, 'nightly/live.sqlite');
  const server = await startServer(mk(file));
  const now = Date.UTC(2027, 4, 15, 3);
  const writing = Promise.all(Array.from({ length: 8 }, () => begin(server.url)));
  const copy = await copyOfToday(file, now);
  expect(await copyOfToday(file, now + 3_600_000)).toBeNull();
  await writing;
  for (let day = 1; day <= 30; day++) await copyOfToday(file, now + day * DAY_MS);
  await server.stop();
  const db = await openDatabase(copy!.replace('05-15', '06-14'));
  expect(await db('cooks').select('id')).toHaveLength(8);
  await closeDatabase(db);
  const left = readdirSync(path.join(folder, 'nightly/backups')).filter((f) =>
    f.endsWith('.sqlite'),
  );
  expect(left.length).toBeGreaterThanOrEqual(10);
  expect(left.length).toBeLessThanOrEqual(12);
});

it('keeps the last days and one of each week before them', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 400 }), { maxLength: 200 }), (list) => {
      const days = list.map((n) =>
        new Date(Date.UTC(2027, 0, 1) + n * DAY_MS).toISOString().slice(0, 10),
      );
      const kept = keptDays(days);
      const newest = [...days].sort().reverse();
      for (const day of newest.slice(0, 7)) expect(kept.has(day)).toBe(true);
      expect(kept.size).toBeLessThanOrEqual(15);
      const weeks = newest
        .filter((d) => kept.has(d))
        .slice(7)
        .map((d) => Math.floor(Date.parse(d) / (7 * DAY_MS)));
      expect(new Set(weeks).size).toBe(weeks.length);
    }),
  );
});

it('a copy is not seen until it is whole', async () => {
  const file = mk(path.join(folder, 'whole/db.sqlite'));
  await closeDatabase(await openDatabase(file));
  const copy = await copyOfToday(file, 0);
  expect(readFileSync(copy!).subarray(0, 15).toString()).toBe('SQLite format 3');
  expect(readdirSync(path.dirname(copy!)).filter((f) => f.endsWith('.part'))).toEqual([]);
});

it('restores what a killed server left in its write-ahead log, from a medium that cannot be written too', async () => {
  const file = mk(path.join(folder, 'killed/live.sqlite'));
  const server = await startServer(file);
  const ids = [await begin(server.url), await begin(server.url)];
  // As the disk stands in mid-run: the cooks are in the log beside the file alone.
  const record = mk(path.join(folder, 'killed/copy/record.sqlite'));
  for (const side of ['', '-wal']) copyFileSync(`${file}${side}`, `${record}${side}`);
  expect(statSync(`${record}-wal`).size).toBeGreaterThan(0);
  await server.stop();
  const medium = path.dirname(record);
  for (const name of readdirSync(medium)) chmodSync(path.join(medium, name), 0o444);
  chmodSync(medium, 0o555);
  const to = path.join(folder, 'killed/new.sqlite');
  expect(restoreRecord(record, to, 0)).toBeNull();
  chmodSync(medium, 0o755);
  const db = await openDatabase(to);
  expect((await db('cooks').pluck<string[]>('id')).sort()).toEqual([...ids].sort());
  await closeDatabase(db);
  expect(readdirSync(path.dirname(to)).filter((n) => n.includes('restoring'))).toEqual([]);
});

it('restores nothing under a server that runs', async () => {
  const file = mk(path.join(folder, 'running/live.sqlite'));
  const record = path.join(folder, 'running/record.sqlite');
  await closeDatabase(await openDatabase(record));
  const server = await startServer(file);
  expect(() => restoreRecord(record, file, 0)).toThrow(InUse);
  const id = await begin(server.url);
  await server.stop();
  const db = await openDatabase(file);
  expect(await db('cooks').pluck('id')).toEqual([id]);
  await closeDatabase(db);
});
