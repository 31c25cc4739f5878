/** Photographs of a cook: list, add, look at, let go. */
import { MOST_PHOTOGRAPHS } from '@ostrin/contract';
import express, { Router } from 'express';
import { randomUUID } from 'node:crypto';
import { missing, Problem } from '../http/problems';
import type { Hub } from '../live/hub';
import { PICTURE_TYPES, shrunk } from '../photographs/shrink';
import type { PhotographStore } from '../photographs/photographStore';
import type { CookStore } from '../store/cooks';

/** A picture of a phone has a few megabytes. */
const MOST_BYTES = 25_000_000;

interface Services {
  store: CookStore;
  photographs: PhotographStore;
  hub: Hub;
  inTurn: <T>(work: () => Promise<T>) => Promise<T>;
  now: () => number;
}

/** Routes under /api/cooks that take and give pictures; they come before those that read JSON. */
export function photographRoutes(services: Services): Router {
  const { store, photographs, hub, inTurn, now } = services;
  const router = Router();
  const changed = (): void => hub.tell({ type: 'changed', what: 'cooks' });
  const requireCook = async (id: string): Promise<void> => {
    if (!(await store.head(id))) throw missing('cook');
  };
  const requireRoom = async (cookId: string): Promise<void> => {
    const { length } = await photographs.list(cookId);
    if (length >= MOST_PHOTOGRAPHS) {
      throw new Problem(409, `A cook keeps ${MOST_PHOTOGRAPHS} photographs: let one go first`);
    }
  };
  router.get('/:id/photographs', async (req, res) => {
    await requireCook(req.params.id);
    res.json(await photographs.list(req.params.id));
  });
  router.post(
    '/:id/photographs',
    (req, _res, next) => {
      const known = PICTURE_TYPES.some((type) => req.is(type));
      next(known ? undefined : new Problem(415, 'Send a JPEG, PNG or WebP picture'));
    },
    express.raw({ type: PICTURE_TYPES, limit: MOST_BYTES }),
    async (req, res) => {
      const cookId = String(req.params.id);
      await requireCook(cookId);
      await requireRoom(cookId);
      const picture = await shrunk(Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0));
      const record = await inTurn(async () => {
        // Two phones may have sent the last one that there is room for.
        await requireCook(cookId);
        await requireRoom(cookId);
        return photographs.add({ id: randomUUID(), cookId, addedAt: now() }, picture);
      });
      changed();
      res.status(201).json(record);
    },
  );
  router.get('/:id/photographs/:photo', async (req, res) => {
    await requireCook(req.params.id);
    const known = await photographs.get(req.params.id, req.params.photo);
    if (!known) throw missing('photograph');
    res.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg');
    res.sendFile(photographs.fileOf(known.id), { cacheControl: false, dotfiles: 'allow' });
  });
  router.delete('/:id/photographs/:photo', async (req, res) => {
    const { id, photo } = req.params;
    await requireCook(id);
    if (!(await photographs.remove(id, photo))) throw missing('photograph');
    changed();
    res.json({ deleted: photo });
  });
  return router;
}
