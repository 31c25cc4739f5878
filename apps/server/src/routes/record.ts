/** The whole record as one file. */
import { Router } from 'express';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Problem } from '../http/problems';
import { copyDatabase, withoutKeys } from '../store/backup';

/** GET /api/record: the database as it stands, without what lets devices in. `file` is null for a scratch one. */
export function recordRoutes(file: string | null, now: () => number): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    if (file === null) throw new Problem(409, 'This server keeps nothing on disk');
    const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-record-'));
    const gone = (): void => rmSync(folder, { recursive: true, force: true });
    const copy = path.join(folder, 'record.sqlite');
    try {
      await copyDatabase(file, copy);
      withoutKeys(copy);
    } catch (error) {
      gone();
      throw error;
    }
    const day = new Date(now()).toISOString().slice(0, 10);
    res.type('application/vnd.sqlite3');
    res.download(copy, `ostrin-record-${day}.sqlite`, gone);
  });
  return router;
}
