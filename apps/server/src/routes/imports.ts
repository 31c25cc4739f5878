/** Bringing a cook back from its JSON document or its two CSV files. */
import { leadMeat } from '@ostrin/core';
import { foldLog } from '@ostrin/core/log';
import { Router } from 'express';
import type { Knex } from 'knex';
import isEqual from 'lodash/isEqual.js';
import { Problem } from '../http/problems';
import type { InTurn } from '../live/inTurn';
import { cookStore, type CookStore } from '../store/cooks';
import { ReadingsDigest } from '../store/ownReadings';
import type { NewHead } from '../store/heads';
import type { PastCook } from '../workers/documents.worker';
import type { CookServices } from './cooks';

/** POST /api/imports. An identical cook is left as it is; a different one of that id is refused. */
export function importRoutes({ store, pools, hub, inTurn }: CookServices): Router {
  const router = Router();
  /** Cooks that are on their way in. */
  const onTheWay = new Set<string>();
  router.post('/', async (req, res) => {
    const bytes = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
    const past = await pools.readImport(bytes);
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

/** Stores a cook of the past: all of it, or nothing. One that was deleted is there until all of this one is. */
async function bringIn(store: CookStore, past: PastCook, inTurn: InTurn): Promise<void> {
  const { id } = past.doc;
  const rest = async (cooks: CookStore): Promise<void> => {
    await cooks.addWritten(id, past.readings.texts);
    await cooks.showHidden([id]);
  };
  if (await store.isDeleted(id)) {
    const atOnce = async (trx: Knex): Promise<void> => {
      const cooks = cookStore(trx);
      await putIn(cooks, past);
      await rest(cooks);
    };
    await inTurn(() => store.atOnce(atOnce));
  } else {
    await inTurn(() => putIn(store, past));
    await rest(store);
  }
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
  const { doc, glance, readings } = past;
  const ids = doc.entries.map((e) => e.id);
  const foreign = await store.foreignEntries(doc.id, ids);
  if (foreign.length > 0) throw new Problem(409, 'Its entries belong to another cook in the log');
  await store.addHidden(pastHead(past, readings.lastMs), doc.entries, glance);
}
