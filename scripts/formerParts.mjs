/**
 * Parts of the page of earlier builds. A page that was opened before a new build asks for its own parts, by names that only
 * that build has: they stay beside the new ones for a while.
 */
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A tab stays open for days; after this long it is asked to load itself again, ms. */
const KEPT_MS = 14 * 86_400_000;
/** Where parts lie in an export; each has a name of its own content. */
const PARTS = path.join('_expo', 'static', 'js');

/** Copies the parts of the export in `dist` to a folder of the system; null where there is none. */
export function setAside(dist) {
  const parts = path.join(dist, PARTS);
  if (!existsSync(parts)) return null;
  const aside = mkdtempSync(path.join(tmpdir(), 'ostrin-parts-'));
  cpSync(parts, aside, { recursive: true, preserveTimestamps: true });
  return aside;
}

/** Puts parts that were set aside beside those of a new export, but for those that are there or too old by `nowMs`. */
export function bringBack(aside, dist, nowMs = Date.now()) {
  if (aside === null) return;
  for (const entry of readdirSync(aside, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile()) continue;
    const from = path.join(entry.parentPath ?? entry.path, entry.name);
    const to = path.join(dist, PARTS, path.relative(aside, from));
    if (existsSync(to) || nowMs - statSync(from).mtimeMs > KEPT_MS) continue;
    cpSync(from, to, { preserveTimestamps: true });
  }
  rmSync(aside, { recursive: true, force: true });
}
