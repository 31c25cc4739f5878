/** Where files are made before they are sent, and lie while they come in. */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { besideDatabase } from '../store/beside';

/** The folder of all such work on a database, which only one server has open at a time. */
const workOf = (file: string): string => besideDatabase(file, 'work');

/** A new folder for one piece of work; a scratch database (null) has none beside it. */
export function workFolder(file: string | null): string {
  const folder = file === null ? tmpdir() : workOf(file);
  mkdirSync(folder, { recursive: true });
  return mkdtempSync(path.join(folder, 'ostrin-'));
}

/** Removes what a server left that was killed in the middle of its work. */
export const clearWork = (file: string): void =>
  rmSync(workOf(file), { recursive: true, force: true });
