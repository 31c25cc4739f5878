/** Bringing a cook back from its JSON document or its two CSV files. */
import { leadMeat } from '@ostrin/core';
import { foldLog } from '@ostrin/core/log';
import { Router } from 'express';
import isEqual from 'lodash/isEqual.js';
import { Problem } from '../http/problems';
import type { InTurn } from '../live/inTurn';
import type { CookStore } from '../store/cooks';
import { ReadingsDigest } from '../store/ownReadings';
import type { NewHead } from '../store/heads';
import type { PastCook } from '../workers/documents.worker';
import type { CookServices } from './cooks';

/** POST /api/imports. An identical cook is left as it is; a different one of that id is refused. */
export function importRoutes(
  { store, pools, hub, inTurn }: CookServices,
  { values }: { values: number },
): Router {
  const router = Router();
  /** Cooks that are on their way in. */
  const onTheWay = new Set<string>();
  router.post('/', async (req, res) => {
    const bytes = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
    const past = await pools.readImport({ bytes, mostValues: values });
    const { id } = past.doc;
    if (onTheWay.has(id)) throw new Problem(409, 'That cook is being brought in');
    onTheWay.add(id);
    try {
      const already = await isThere(store, past);
      if (!already) {
        await bringIn(store, past, inTurn);
        hub.tell({ type: 'changed', what: 'cooks' });
      }
      res.status(already ? 200 : 201).json({ id, already });
    } catch (error) {
      await store.forgetHidden([id]);
      throw error;
    } finally {
      onTheWay.delete(id);
    }
  });
  return router;
}

/** Whether that very cook is there. Throws 409 where another one has its id. */
async function isThere(store: CookStore, { doc, digest }: PastCook): Promise<boolean> {
  const known = await store.head(doc.id);
  if (!known) return false;
  if (isEqual(await store.unread(known), doc)) {
    const kept = new ReadingsDigest(leadMeat(known.plan).id);
    for await (const slice of store.readingSlices(known)) kept.add(slice);
    if (kept.hex() === digest) return true;
  }
  throw new Problem(409, 'A different cook of that id is already in the log');
}

/** Stores a cook of the past: all of it, or nothing. */
async function bringIn(store: CookStore, past: PastCook, inTurn: InTurn): Promise<void> {
  const { doc, glance, readings } = past;
  if (await store.isDeleted(doc.id)) {
    await refuseForeign(store, past);
    const head = pastHead(past, readings.lastMs);
    await store.replaceDeleted(head, doc.entries, glance, readings.texts);
    return;
  }
  await inTurn(() => putIn(store, past));
  await store.addWritten(doc.id, readings.texts);
  await store.showHidden([doc.id]);
}

/** The head of a cook of the past: what comes in is over, finished or not. `lastMs` is when it was read last. */
export function pastHead({ doc }: Pick<PastCook, 'doc'>, lastMs: number | null): NewHead {
  const { id, name, pitName, startMs, plan, entries, fire = 'practice' } = doc;
  const clockMs = lastMs ?? startMs;
  const finishedAt =
    foldLog(entries).finishedAt ?? entries.reduce((ms, e) => Math.max(ms, e.at), clockMs);
  return { id, name, pitName, startMs, finishedAt, plan, fire, clockMs, speed: 1 };
}

/** Puts a cook of the past in, out of sight and without its readings. Throws 409 where its entries are another's. */
export async function putIn(store: CookStore, past: PastCook): Promise<void> {
  await refuseForeign(store, past);
  await store.addHidden(pastHead(past, past.readings.lastMs), past.doc.entries, past.glance);
}

/** Throws 409 where entries of a cook of the past are another's. */
async function refuseForeign(store: CookStore, { doc }: PastCook): Promise<void> {
  const ids = doc.entries.map((e) => e.id);
  const foreign = await store.foreignEntries(doc.id, ids);
  if (foreign.length > 0) throw new Problem(409, 'Its entries belong to another cook in the log');
}
