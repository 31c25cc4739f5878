/** Kept plans: list, keep, let go; and the shelf of fuel. */
import { readSavedPlan, readShelf } from '@ostrin/contract';
import { isUUID } from 'class-validator';
import { Router } from 'express';
import { expectedVersion, sendVersioned, writing } from '../http/ifMatch';
import { invalid, missing } from '../http/problems';
import type { Hub } from '../live/hub';
import type { KeptStore, ShelfStore } from '../store/savedPlans';

/** Routes under /api/plans. */
export function savedPlanRoutes(store: KeptStore, hub: Hub, now: () => number): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });
  router.put('/:id', async (req, res) => {
    const { id } = req.params;
    if (!isUUID(id)) throw invalid([{ field: 'id', message: 'must be a UUID' }]);
    const checked = readSavedPlan(req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const plan = { id, ...checked.value, changedAt: now() };
    const kept = await writing(() => store.put(plan, expectedVersion(req)));
    hub.tell({ type: 'changed', what: 'plans' });
    sendVersioned(res.status(kept.version === 1 ? 201 : 200), kept);
  });
  router.delete('/:id', async (req, res) => {
    const { id } = req.params;
    if (!(await writing(() => store.remove(id, expectedVersion(req))))) throw missing('kept plan');
    hub.tell({ type: 'changed', what: 'plans' });
    res.json({ id });
  });
  return router;
}

/** Routes under /api/shelf. */
export function shelfRoutes(store: ShelfStore, hub: Hub): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    sendVersioned(res, await store.get());
  });
  router.put('/', async (req, res) => {
    const checked = readShelf(req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const shelf = await writing(() => store.put(checked.value, expectedVersion(req)));
    hub.tell({ type: 'changed', what: 'shelf' });
    sendVersioned(res, shelf);
  });
  return router;
}
