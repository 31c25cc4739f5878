/** A start that failed, in one sentence that says what to do. */
import { NotRestored } from '../store/backup';
import { DamagedDatabase, NewerDatabase } from '../store/db';
import { InUse } from '../store/lock';
import type { Settings } from './settings';

interface SystemError {
  code?: string;
  message?: string;
}

/** Why the server could not start, and what to do about it. */
export function startProblem(
  error: unknown,
  { file, port, host }: Pick<Settings, 'file' | 'port' | 'host'>,
): string {
  const folder = 'set OSTRIN_DB to a file in a folder that you can write to';
  if (error instanceof InUse) {
    return `Another server has ${file} open: stop that one, or set OSTRIN_DB to another file.`;
  }
  if (error instanceof NotRestored) return `Nothing was restored: ${error.message}.`;
  if (error instanceof NewerDatabase) {
    return `${file} was made by a newer version: start that version, or set OSTRIN_DB to another file.`;
  }
  if (error instanceof DamagedDatabase) {
    return `${file} is damaged (${error.message}): put the newest copy from the folder "backups" beside it in its place, as docs/backup.md tells.`;
  }
  const { code = '', message = String(error) } = error as SystemError;
  switch (code) {
    case 'EADDRINUSE':
      return `Port ${port} is in use: stop what uses it, or set PORT to another.`;
    case 'EACCES':
      return message.includes('listen')
        ? `Port ${port} may not be used: set PORT to one over 1023.`
        : `${file} may not be written: ${folder}.`;
    case 'EADDRNOTAVAIL':
      return `This machine has no address ${host}: set OSTRIN_HOST to one of its own.`;
    case 'ENOSPC':
    case 'SQLITE_FULL':
      return `The disk with ${file} is full: make room on it and start again.`;
    case 'SQLITE_NOTADB':
      return `${file} is not a database: set OSTRIN_DB to another file.`;
    case 'SQLITE_CORRUPT':
      return startProblem(new DamagedDatabase('SQLite cannot read it'), { file, port, host });
    case 'EROFS':
    case 'EPERM':
    case 'SQLITE_READONLY':
    case 'SQLITE_READONLY_DIRECTORY':
    case 'SQLITE_READONLY_DBMOVED':
      return `${file} is read-only: make it writable, or set OSTRIN_DB to another file.`;
    case 'ENOTDIR':
    case 'EEXIST':
    case 'ENOENT':
    case 'EISDIR':
    case 'SQLITE_CANTOPEN':
    case 'SQLITE_CANTOPEN_ISDIR':
      return `${file} cannot be opened: ${folder}.`;
    default:
      return `The server could not start: ${message}.`;
  }
}
