/** Copies of the whole database: each night beside it, and one file for whoever takes the record along. */
import { DAY_MS, HOUR_MS } from '@ostrin/core/quantity';
import SqliteDatabase from 'better-sqlite3';
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
} from 'node:fs';
import path from 'node:path';
import { lockDatabase } from './lock';

/** Copies that stay: the last days, and before them one of each week. */
const KEPT = { days: 7, weeks: 8 };
/** Whether it is time for a copy is looked at so often, ms. */
const LOOK_MS = HOUR_MS;

/**
 * Writes a copy of a database to a file, page by page and whole: SQLite's own way, while it is in use. What is
 * there under that name is replaced when the copy is complete.
 */
export async function copyDatabase(source: string, to: string): Promise<void> {
  const part = `${to}.part`;
  rmSync(part, { force: true });
  const from = new SqliteDatabase(source, { readonly: true, fileMustExist: true });
  try {
    await from.backup(part);
  } finally {
    from.close();
  }
  // One closed file, which nothing beside it belongs to.
  const copy = new SqliteDatabase(part);
  copy.pragma('journal_mode = DELETE');
  copy.close();
  renameSync(part, to);
}

/** Takes out of a copy what lets devices in: the record travels, the keys of the house do not. */
export function withoutKeys(file: string): void {
  const db = new SqliteDatabase(file);
  // What is deleted is overwritten in the file, which a record need not be written anew for.
  db.pragma('secure_delete = ON');
  db.exec(
    'DELETE FROM sessions; DELETE FROM invites; DELETE FROM access; UPDATE instruments SET token_hash = NULL;',
  );
  db.close();
}

/** The folder of nightly copies beside a database. */
const backupFolder = (file: string): string => path.join(path.dirname(file), 'backups');

/** What the copies of a database are called: after it, since several may lie in one folder. */
const copyName = (file: string, day: string): string =>
  `${path.basename(file, path.extname(file))}-${day}.sqlite`;

/** Copies of a database in a folder, the newest first, by their day; and what was left beside them. */
function copiesIn(folder: string, file: string): { copies: Copy[]; left: string[] } {
  const [before, after] = copyName(file, '\0').split('\0') as [string, string];
  const copies: Copy[] = [];
  const left: string[] = [];
  for (const name of readdirSync(folder)) {
    if (!name.startsWith(before)) continue;
    const [day, rest] = [name.slice(before.length).slice(0, 10), name.slice(before.length + 10)];
    if (!/^\d{4}-\d\d-\d\d$/.test(day)) continue;
    if (rest === after) copies.push({ day, file: path.join(folder, name) });
    else if (LEFT_OVER.test(rest)) left.push(path.join(folder, name));
  }
  return { copies: copies.sort((a, b) => (a.day < b.day ? 1 : -1)), left };
}

interface Copy {
  day: string;
  file: string;
}

/** What a copying leaves that was cut off, and what SQLite leaves beside a copy that somebody opened. */
const LEFT_OVER = /^\.sqlite(\.part)?(-wal|-shm|-journal)?$/;

/** Which of these days' copies stay: the last ones, and before them the newest of each week. */
export function keptDays(days: readonly string[]): Set<string> {
  const newest = [...days].sort().reverse();
  const kept = new Set(newest.slice(0, KEPT.days));
  const weeks = new Set<number>();
  for (const day of newest.slice(KEPT.days)) {
    const week = Math.floor(Date.parse(day) / (7 * DAY_MS));
    if (weeks.has(week) || weeks.size >= KEPT.weeks) continue;
    weeks.add(week);
    kept.add(day);
  }
  return kept;
}

/** Makes today's copy where there is none, and lets old ones go. Returns its file, or null where it was there. */
export async function copyOfToday(file: string, nowMs: number): Promise<string | null> {
  const folder = backupFolder(file);
  mkdirSync(folder, { recursive: true });
  const today = new Date(nowMs).toISOString().slice(0, 10);
  const copy = path.join(folder, copyName(file, today));
  for (const name of copiesIn(folder, file).left) rmSync(name, { force: true });
  if (existsSync(copy)) return null;
  await copyDatabase(file, copy);
  const { copies } = copiesIn(folder, file);
  const kept = keptDays(copies.map((c) => c.day));
  for (const { day, file: old } of copies) if (!kept.has(day)) rmSync(old);
  return copy;
}

/** Makes a copy a day while the server runs. Returns how to stop. */
export function keepCopies(file: string, onError: (error: unknown) => void): () => void {
  const look = (): void => void copyOfToday(file, Date.now()).catch(onError);
  look();
  const timer = setInterval(look, LOOK_MS);
  return () => clearInterval(timer);
}

/** Why a record cannot be restored. */
export class NotRestored extends Error {}

/** How many cooks a database holds, deleted ones too. Throws what SQLite says; `file` is brought into one closed file. */
function settled(file: string): number {
  const db = new SqliteDatabase(file);
  try {
    if (db.pragma('quick_check', { simple: true }) !== 'ok') throw new Error('is damaged');
    const { n } = db.prepare('SELECT count(*) AS n FROM cooks').get() as { n: number };
    db.pragma('wal_checkpoint(TRUNCATE)');
    return n;
  } finally {
    db.close();
  }
}

const SIDES = ['', '-wal', '-shm'];

/** Copies a file; one that lies on a read-only medium can be written to afterwards. */
function copyWritable(from: string, to: string): void {
  copyFileSync(from, to);
  chmodSync(to, 0o600);
}

/**
 * Puts a record, with what its write-ahead log holds, in the place of a database that is not there, or has no cooks; that
 * one stays beside it under another name, which is returned (null where there was none). Throws `InUse` where a server has
 * the database open, and `NotRestored` where there is something to lose, or the record is none; nothing is changed then.
 */
export function restoreRecord(record: string, file: string, nowMs: number): string | null {
  if (!existsSync(record)) throw new NotRestored(`there is no file ${record}`);
  mkdirSync(path.dirname(file), { recursive: true });
  const unlock = lockDatabase(file);
  const part = `${file}.restoring`;
  const check = (name: string, what: string, shown: string): number => {
    try {
      return settled(name);
    } catch (error) {
      throw new NotRestored(`${what} ${shown} cannot be read: ${(error as Error).message}`);
    }
  };
  try {
    for (const side of SIDES) rmSync(`${part}${side}`, { force: true });
    copyWritable(record, part);
    if (existsSync(`${record}-wal`)) copyWritable(`${record}-wal`, `${part}-wal`);
    check(part, 'the record', record);
    const before = existsSync(file) ? `${file}.before-${nowMs}` : null;
    if (before !== null) {
      const cooks = check(file, 'the database', file);
      if (cooks > 0)
        throw new NotRestored(`${file} holds ${cooks} cooks: set OSTRIN_DB to a new file`);
      renameSync(file, before);
    }
    for (const side of ['-wal', '-shm']) rmSync(`${file}${side}`, { force: true });
    renameSync(part, file);
    return before;
  } finally {
    for (const side of SIDES) rmSync(`${part}${side}`, { force: true });
    unlock();
  }
}
