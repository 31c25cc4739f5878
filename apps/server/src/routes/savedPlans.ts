/** Kept plans: list, keep, let go; and the shelf of fuel. */
import { readSavedPlan, readShelf } from '@ostrin/contract';
import { isUUID } from 'class-validator';
import { Router } from 'express';
import { invalid, missing } from '../problems';
import type { KeptStore, ShelfStore } from '../store/savedPlans';

/** Routes under /api/plans. */
export function savedPlanRoutes(store: KeptStore, now: () => number): Router {
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
    res.status((await store.put(plan)) ? 201 : 200).json(plan);
  });
  router.delete('/:id', async (req, res) => {
    if (!(await store.remove(req.params.id))) throw missing('kept plan');
    res.json({ id: req.params.id });
  });
  return router;
}

/** Routes under /api/shelf. */
export function shelfRoutes(store: ShelfStore): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    res.json(await store.get());
  });
  router.put('/', async (req, res) => {
    const checked = readShelf(req.body);
    if (!checked.ok) throw invalid(checked.problems);
    await store.put(checked.value);
    res.json(await store.get());
  });
  return router;
}
