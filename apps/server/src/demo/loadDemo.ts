/** Loads the demo world once: a database that already has cooks is left as it is. */
import type { CookDoc } from '@ostrin/contract';
import { foldLog } from '@ostrin/core/log';
import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { cookStore } from '../store/cooks';
import { savedPlanStore, shelfStore } from '../store/savedPlans';
import { pitStore } from '../store/pits';
import { savedPlans, SHELF } from './savedPlans';
import { playStory } from './playStory';
import { stories } from './world';
import { BOSUN, OTHER_PITS } from './yard';

/** Loads it at `nowMs`; returns how many cooks were added. All of the world is stored, or nothing. */
export async function loadDemo(db: Knex, nowMs: number): Promise<number> {
  const hasCooks = (await cookStore(db).list()).length > 0;
  // What takes long comes before the write begins.
  const docs = hasCooks ? [] : stories(nowMs).map((story) => playStory(story, randomUUID));
  await storeWorld(db, docs, nowMs);
  return docs.length;
}

/** Stores the world's pits where there are none, and with its cooks its plans and its shelf. All or nothing. */
export const storeWorld = (db: Knex, docs: readonly CookDoc[], nowMs: number): Promise<void> =>
  db.transaction(async (trx) => {
    const hasPits = (await pitStore(trx).list()).length > 0;
    if (!hasPits) for (const pit of [BOSUN, ...OTHER_PITS]) await pitStore(trx).put(pit);
    if (docs.length === 0) return;
    for (const plan of savedPlans(nowMs)) await savedPlanStore(trx).put(plan);
    await shelfStore(trx).put(SHELF);
    for (const { id, name, pitName, startMs, plan, entries, readings } of docs) {
      const clockMs = readings.at(-1)!.at;
      const { finishedAt } = foldLog(entries);
      const fire = 'practice' as const;
      const head = { id, name, pitName, startMs, finishedAt, plan, fire, clockMs, speed: 1 };
      await cookStore(trx).create(head, entries, readings);
    }
  });
