/** Bringing a cook back from its JSON document or its two CSV files. */
import type { CookDoc } from '@ostrin/contract';
import { foldLog } from '@ostrin/core/log';
import { Router } from 'express';
import isEqual from 'lodash/isEqual.js';
import { Problem } from '../http/problems';
import type { CookStore } from '../store/cooks';
import type { CookServices } from './cooks';

/** POST /api/imports. An identical cook is left as it is; a different one of that id is refused. */
export function importRoutes({ store, pools, hub, inTurn }: CookServices): Router {
  const router = Router();
  router.post('/', async (req, res) => {
    const doc = await pools.readImport(req.body as string);
    const already = await inTurn(() => bringIn(store, doc));
    if (!already) hub.tell({ type: 'changed', what: 'cooks' });
    res.status(already ? 200 : 201).json({ id: doc.id, already });
  });
  return router;
}

/** Stores a cook of the past. True where that very cook is there already. */
export async function bringIn(store: CookStore, doc: CookDoc): Promise<boolean> {
  const known = await store.doc(doc.id);
  if (known) {
    if (isEqual(known, doc)) return true;
    throw new Problem(409, 'A different cook of that id is already in the log');
  }
  const ids = doc.entries.map((e) => e.id);
  const foreign = await store.foreignEntries(doc.id, ids);
  if (foreign.length > 0) throw new Problem(409, 'Its entries belong to another cook in the log');
  const last = doc.readings.at(-1)?.at ?? doc.startMs;
  const { id, name, pitName, startMs, plan, entries, readings, fire = 'practice' } = doc;
  // What comes in is a cook of the past, finished or not.
  const finishedAt =
    foldLog(entries).finishedAt ?? entries.reduce((ms, e) => Math.max(ms, e.at), last);
  const head = { id, name, pitName, startMs, finishedAt, plan, fire, clockMs: last, speed: 1 };
  await store.create(head, entries, readings);
  return false;
}
