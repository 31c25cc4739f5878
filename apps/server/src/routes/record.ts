/** The whole record as one file: the database itself, or an archive that other programs read too. */
import { randomUUID } from 'node:crypto';
import { createWriteStream, rmSync } from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router, type Response } from 'express';
import type { Knex } from 'knex';
import { Problem } from '../http/problems';
import type { Hub } from '../live/hub';
import type { InTurn } from '../live/inTurn';
import { readArchive } from '../record/readArchive';
import { workFolder } from '../record/workFolder';
import { writeArchive, type RecordStores } from '../record/writeArchive';
import { copyDatabase, withoutKeys } from '../store/backup';
import type { Pools } from '../workers/pools';

/** An archive that is brought in has at most so many bytes. */
const MOST_BYTES = 4_000_000_000;

interface Services {
  db: Knex;
  /** File of the database; null for a scratch one. */
  file: string | null;
  /** Where photographs lie. */
  folder: string;
  stores: RecordStores;
  pools: Pools;
  hub: Hub;
  now: () => number;
  inTurn: InTurn;
}

/** Makes a file in a folder of its own and sends it; the folder is gone afterwards. */
async function sendMade(
  res: Response,
  database: string | null,
  name: string,
  make: (file: string) => Promise<void>,
): Promise<void> {
  const folder = workFolder(database);
  const gone = (): void => rmSync(folder, { recursive: true, force: true });
  const file = path.join(folder, name);
  try {
    await make(file);
  } catch (error) {
    gone();
    throw error;
  }
  res.download(file, name, gone);
}

/** Lets so many bytes through, and not one more. */
const atMost = (bytes: number): Transform => {
  let seen = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length;
      if (seen > bytes) done(new Problem(413, 'The archive is too large'));
      else done(null, chunk);
    },
  });
};

/** Routes under /api/record; they come before those that read JSON. */
export function recordRoutes(services: Services): Router {
  const { db, file, folder, stores, pools, hub, now, inTurn } = services;
  const router = Router();
  /** Whether an archive is on its way in: two of them would be each other's cooks. */
  let busy = false;
  const progress =
    (way: 'out' | 'in') =>
    (done: number, all: number): void =>
      hub.tell({ type: 'archive', way, done, all });
  const day = (): string => new Date(now()).toISOString().slice(0, 10);
  router.get('/', async (_req, res) => {
    if (file === null) throw new Problem(409, 'This server keeps nothing on disk');
    res.type('application/vnd.sqlite3');
    await sendMade(res, file, `ostrin-record-${day()}.sqlite`, async (copy) => {
      await copyDatabase(file, copy);
      withoutKeys(copy);
    });
  });
  router.get('/archive', async (_req, res) => {
    res.type('application/zip');
    await sendMade(res, file, `ostrin-record-${day()}.zip`, (made) =>
      writeArchive(stores, createWriteStream(made), progress('out')),
    );
  });
  router.post('/archive', async (req, res) => {
    if (!req.is('application/zip')) throw new Problem(415, 'Send the archive as application/zip');
    if ((await stores.cooks.list()).length > 0) {
      throw new Problem(409, 'This server has cooks already: start with an empty one');
    }
    if (busy) throw new Problem(409, 'An archive is being brought in');
    busy = true;
    const parts = workFolder(file);
    const archive = path.join(parts, `${randomUUID()}.zip`);
    try {
      await pipeline(req, atMost(MOST_BYTES), createWriteStream(archive));
      const brought = await readArchive(archive, {
        db,
        folder,
        pools,
        inTurn,
        onCook: progress('in'),
      });
      for (const what of ['cooks', 'pits', 'plans', 'shelf', 'instruments'] as const) {
        hub.tell({ type: 'changed', what });
      }
      res.status(201).json(brought);
    } finally {
      rmSync(parts, { recursive: true, force: true });
      busy = false;
    }
  });
  return router;
}
