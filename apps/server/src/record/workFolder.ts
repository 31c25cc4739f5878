/** Where files are made before they are sent, and lie while they come in. */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Beside the database, which only one server has open at a time; null for a scratch one, which has none. */
const besideOf = (file: string | null): string | null =>
  file === null ? null : `${file.replace(/\.[^./\\]*$/, '')}-work`;

/** A new folder for one piece of work. */
export function workFolder(file: string | null): string {
  const beside = besideOf(file);
  if (beside) mkdirSync(beside, { recursive: true });
  return mkdtempSync(path.join(beside ?? tmpdir(), 'ostrin-'));
}

/** Removes what a server left that was killed in the middle of its work. */
export function clearWork(file: string): void {
  rmSync(besideOf(file)!, { recursive: true, force: true });
}
