/** A start that fails says in one sentence what to do, and leaves what was there as it was. */
import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
  existsSync,
} from 'node:fs';
import net from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { closeDatabase, openDatabase } from '../src';
import { startProblem } from '../src/start/startProblem';

const root = path.resolve(__dirname, '../../..');
const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-start-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** What a start says on standard error, and its status. */
function start(env: Record<string, string>): { said: string; status: number | null } {
  const { stderr, status } = spawnSync(process.execPath, ['apps/server/dist/main.js'], {
    cwd: root,
    env: { ...process.env, PORT: '0', LOG_LEVEL: 'silent', ...env },
    timeout: 20_000,
    encoding: 'utf8',
  });
  return { said: stderr.trim(), status };
}

/** One sentence: it ends with a full stop, stands on one line and shows no inside. */
function expectSentence(said: string, words: RegExp): void {
  expect(said).toMatch(words);
  expect(said.split('\n')).toHaveLength(1);
  expect(said).toMatch(/\.$/);
  expect(said).not.toMatch(/at .*\(|node_modules/);
}

it('where another server has the database open, also after that one was killed', async () => {
  const file = path.join(folder, 'two.sqlite');
  const db = await openDatabase(file);
  const { said, status } = start({ OSTRIN_DB: file });
  expect(status).toBe(1);
  expectSentence(said, /Another server has .*two\.sqlite open: stop that one/);
  await closeDatabase(db);
  await closeDatabase(await openDatabase(file));
});

it('where the port is in use', async () => {
  const taken = net.createServer().listen(0, '127.0.0.1');
  await new Promise((done) => taken.once('listening', done));
  const { port } = taken.address() as net.AddressInfo;
  const file = path.join(folder, 'taken.sqlite');
  // What a server left that was killed while it made a file.
  const left = path.join(folder, 'taken-work/ostrin-x/record.zip');
  mkdirSync(path.dirname(left), { recursive: true });
  writeFileSync(left, 'half');
  const { said, status } = start({ OSTRIN_DB: file, PORT: String(port) });
  expect(existsSync(left)).toBe(false);
  expect(status).toBe(1);
  expectSentence(said, new RegExp(`Port ${port} is in use: stop`));
  taken.close();
  // What it wrote meanwhile is for its owner's eyes alone.
  expect((statSync(file).mode & 0o777).toString(8)).toBe('600');
});

it('where the file is no database, or a folder, or in no folder', () => {
  const text = path.join(folder, 'text.sqlite');
  writeFileSync(text, 'shopping: charcoal, cherry\n'.repeat(50));
  expectSentence(start({ OSTRIN_DB: text }).said, /is not a database/);
  expect(readFileSync(text, 'utf8')).toMatch(/^shopping/);
  const dir = path.join(folder, 'dir.sqlite');
  mkdirSync(dir);
  expectSentence(start({ OSTRIN_DB: dir }).said, /cannot be opened/);
  expectSentence(start({ OSTRIN_DB: path.join(text, 'x.sqlite') }).said, /cannot be opened/);
});

it('where the database is of a newer version, or damaged', async () => {
  const newer = path.join(folder, 'newer.sqlite');
  const db = await openDatabase(newer);
  await db('knex_migrations').insert({ name: '2199-01-01-later', batch: 9 });
  await closeDatabase(db);
  expectSentence(start({ OSTRIN_DB: newer }).said, /made by a newer version/);

  const damaged = path.join(folder, 'damaged.sqlite');
  const whole = await openDatabase(damaged);
  await closeDatabase(whole);
  const bytes = readFileSync(damaged);
  bytes.fill(0x5a, 4096, 4096 * 5);
  writeFileSync(damaged, bytes);
  expectSentence(start({ OSTRIN_DB: damaged }).said, /is damaged .*backup/);
});

it('of each kind that this machine cannot bring about', () => {
  const of = (code: string): string =>
    startProblem({ code, message: 'x' }, { file: 'a.sqlite', port: 80, host: '127.0.0.1' });
  expectSentence(of('SQLITE_FULL'), /disk .* is full/);
  expectSentence(of('ENOSPC'), /disk .* is full/);
  expectSentence(of('SQLITE_READONLY'), /read-only/);
  expectSentence(of('EACCES'), /may not be written/);
  expectSentence(of('WHO_KNOWS'), /could not start: x/);
});

it('opens an old file that lies beside a lock of a killed server', () => {
  const file = path.join(folder, 'old.sqlite');
  new Database(`${file}-lock`).close();
  chmodSync(`${file}-lock`, 0o600);
  const db = new Database(file);
  db.close();
  const { said } = start({ OSTRIN_DB: file, PORT: '99999' });
  expect(said).not.toMatch(/Another server/);
});
