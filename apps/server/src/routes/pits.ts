/** Pits of the yard: list, look at, make, change, take out. */
import { readPit } from '@ostrin/contract';
import { Router } from 'express';
import { expectedVersion, sendVersioned, writing } from '../http/ifMatch';
import { requirePlainId } from '../http/plainId';
import { invalid, missing, Problem } from '../http/problems';
import type { Hub } from '../live/hub';
import type { CookStore } from '../store/cooks';
import { NameTaken, type PitStore } from '../store/pits';

/** Routes under /api/pits. */
export function pitRoutes(store: PitStore, cooks: CookStore, hub: Hub): Router {
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
    const pit = await writing(() =>
      store.put({ id, ...checked.value }, expectedVersion(req)),
    ).catch((error: unknown) => {
      throw error instanceof NameTaken
        ? invalid([{ field: 'name', message: 'is the name of another pit' }])
        : error;
    });
    hub.tell({ type: 'changed', what: 'pits' });
    if (known && known.name !== pit.name) {
      for (const what of ['cooks', 'instruments'] as const) hub.tell({ type: 'changed', what });
    }
    sendVersioned(res.status(known ? 200 : 201), pit);
  });
  router.delete('/:id', async (req, res) => {
    const { id } = req.params;
    const pit = await store.get(id);
    if (!pit) throw missing('pit');
    const busy = (await cooks.running()).find((c) => c.pitId === id);
    if (busy) throw new Problem(409, `${busy.name} is under way on it: finish that first`);
    await writing(() => store.remove(id, expectedVersion(req)));
    hub.tell({ type: 'changed', what: 'pits' });
    res.json({ id });
  });
  return router;
}
