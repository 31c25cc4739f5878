/**
 * One server a database. A second file beside it is held open in an exclusive transaction of SQLite's own: the
 * operating system lets go of it when the process ends, however it ends.
 */
import Database from 'better-sqlite3';

/** Another server has the database open. */
export class InUse extends Error {}

/** Takes the lock of a database file; returns how to let it go. Throws `InUse`. */
export function lockDatabase(file: string): () => void {
  const lock = new Database(`${file}-lock`, { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw new InUse(file);
    throw error;
  }
  return () => lock.close();
}
