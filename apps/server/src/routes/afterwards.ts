/** Routes for what is done with a cook once it is over: another name, deleting it, bringing it back. */
import { CookNameDto, validate } from '@ostrin/contract';
import type { Router } from 'express';
import { invalid, missing, Problem } from '../http/problems';
import type { Hub } from '../live/hub';
import type { CookStore } from '../store/cooks';

interface Services {
  store: CookStore;
  hub: Hub;
  /** Writes that belong together wait for each other here. */
  inTurn: <T>(work: () => Promise<T>) => Promise<T>;
}

/** Adds them to the routes under /api/cooks. */
export function addAfterwards(router: Router, { store, hub, inTurn }: Services): void {
  const changed = (): void => hub.tell({ type: 'changed', what: 'cooks' });
  router.put('/:id/name', async (req, res) => {
    const checked = validate(CookNameDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const name = checked.value.name.trim();
    if (!(await store.rename(req.params.id, name))) throw missing('cook');
    changed();
    res.json({ name });
  });
  router.delete('/:id', async (req, res) => {
    await inTurn(async () => {
      const head = await store.head(req.params.id);
      if (!head) throw missing('cook');
      if (head.finishedAt === null) {
        throw new Problem(409, 'This cook is still under way: finish it before it is deleted');
      }
      await store.remove(head.id, Date.now());
    });
    changed();
    res.json({ deleted: req.params.id });
  });
  router.post('/:id/restore', async (req, res) => {
    if (!(await store.restore(req.params.id))) throw missing('deleted cook');
    changed();
    res.json({ restored: req.params.id });
  });
}
