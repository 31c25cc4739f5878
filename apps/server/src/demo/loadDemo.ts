/** Loads the demo world once, into a yard that nobody has used. */
import type { CookDoc } from '@ostrin/contract';
import { foldLog } from '@ostrin/core/log';
import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { cookStore } from '../store/cooks';
import { demoMarks } from '../store/demoMarks';
import { savedPlanStore, shelfStore } from '../store/savedPlans';
import { pitStore } from '../store/pits';
import { savedPlans, SHELF } from './savedPlans';
import { playStory } from './playStory';
import { stories } from './world';
import { BOSUN, OTHER_PITS } from './yard';

/**
 * Loads it at `nowMs`, where it never was and nobody has used this yard; returns how many cooks were added. All of the
 * world is stored, or nothing.
 */
export async function loadDemo(db: Knex, nowMs: number): Promise<number> {
  if (!(await demoMarks(db).mayLoad())) return 0;
  // What takes long comes before the write begins.
  const docs = stories(nowMs).map((story) => playStory(story, randomUUID));
  await storeWorld(db, docs, nowMs);
  return docs.length;
}

/** Stores the world's pits, cooks, plans and shelf, each marked as what it is. All or nothing. */
export const storeWorld = (db: Knex, docs: readonly CookDoc[], nowMs: number): Promise<void> =>
  db.transaction(async (trx) => {
    const { mark } = demoMarks(trx);
    await mark('loaded', '');
    for (const pit of [BOSUN, ...OTHER_PITS]) {
      await pitStore(trx).put(pit);
      await mark('pit', pit.id);
    }
    for (const plan of savedPlans(nowMs)) {
      await savedPlanStore(trx).put(plan);
      await mark('plan', plan.id);
    }
    const { version } = await shelfStore(trx).put(SHELF);
    await mark('shelf', String(version));
    for (const { id, name, pitName, startMs, plan, entries, readings } of docs) {
      const clockMs = readings.at(-1)!.at;
      const { finishedAt } = foldLog(entries);
      const fire = 'practice' as const;
      const head = { id, name, pitName, startMs, finishedAt, plan, fire, clockMs, speed: 1 };
      await cookStore(trx).create(head, entries, readings);
      await mark('cook', id);
    }
  });
