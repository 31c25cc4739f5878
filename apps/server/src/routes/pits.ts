/** Pits of the yard: list, look at, make or change. */
import { readPit } from '@ostrin/contract';
import { Router } from 'express';
import { expectedVersion, sendVersioned, writing } from '../http/ifMatch';
import { requirePlainId } from '../http/plainId';
import { invalid, missing } from '../http/problems';
import type { Hub } from '../live/hub';
import type { PitStore } from '../store/pits';

/** Routes under /api/pits. */
export function pitRoutes(store: PitStore, hub: Hub): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });
  router.get('/:id', async (req, res) => {
    const pit = await store.get(req.params.id);
    if (!pit) throw missing('pit');
    sendVersioned(res, pit);
  });
  router.put('/:id', async (req, res) => {
    const { id } = req.params;
    requirePlainId(id);
    const checked = readPit(req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const known = await store.get(id);
    if (known && known.preset !== checked.value.preset) {
      throw invalid([{ field: 'preset', message: 'cannot change: make another pit instead' }]);
    }
    const pit = await writing(() => store.put({ id, ...checked.value }, expectedVersion(req)));
    hub.tell({ type: 'changed', what: 'pits' });
    sendVersioned(res.status(known ? 200 : 201), pit);
  });
  return router;
}
