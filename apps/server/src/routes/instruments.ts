/** Instruments: list, make or change, give a token, take out. */
import { readInstrument } from '@ostrin/contract';
import { Router } from 'express';
import { expectedVersion, sendVersioned, writing } from '../http/ifMatch';
import { requirePlainId } from '../http/plainId';
import { invalid, missing } from '../http/problems';
import type { Hub } from '../live/hub';
import type { CookStore } from '../store/cooks';
import type { InstrumentStore } from '../store/instruments';

/** Routes under /api/instruments. */
export function instrumentRoutes(store: InstrumentStore, cooks: CookStore, hub: Hub): Router {
  const router = Router();
  const changed = async (): Promise<void> => {
    hub.tell({ type: 'changed', what: 'instruments' });
    // Readings are corrected as they are read: those of cooks under way may be others now.
    for (const { id, fire } of await cooks.running()) {
      if (fire === 'real') hub.tell({ type: 'refresh', cookId: id });
    }
  };
  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });
  router.put('/:id', async (req, res) => {
    const { id } = req.params;
    requirePlainId(id);
    const checked = readInstrument(req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const known = await store.get(id);
    const stored = await writing(() => store.put({ id, ...checked.value }, expectedVersion(req)));
    await changed();
    sendVersioned(res.status(known ? 200 : 201), stored);
  });
  router.delete('/:id', async (req, res) => {
    const removed = await writing(() => store.remove(req.params.id, expectedVersion(req)));
    if (!removed) throw missing('instrument');
    await changed();
    res.json({ ok: true });
  });
  router.post('/:id/token', async (req, res) => {
    const token = await store.newToken(req.params.id);
    if (token === null) throw missing('instrument');
    res.status(201).json({ token });
  });
  return router;
}
