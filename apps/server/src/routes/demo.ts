/** The demo data: how much of it is left, and removing it. */
import { Router } from 'express';
import type { Knex } from 'knex';
import type { Hub } from '../live/hub';
import type { PhotographStore } from '../photographs/photographStore';
import { demoMarks } from '../store/demoMarks';

/** Routes under /api/demo. */
export function demoRoutes(db: Knex, photographs: PhotographStore, hub: Hub): Router {
  const router = Router();
  const marks = demoMarks(db);
  router.get('/', async (_req, res) => {
    res.json({ left: await marks.left() });
  });
  router.delete('/', async (_req, res) => {
    const { photographs: files, ...removed } = await marks.remove();
    for (const id of files) await photographs.removeFile(id);
    for (const what of ['cooks', 'pits', 'plans', 'shelf'] as const) {
      hub.tell({ type: 'changed', what });
    }
    res.json(removed);
  });
  return router;
}
