/** Loads the demo world once: a database that already has cooks is left as it is. */
import { foldLog } from '@ostrin/core';
import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { cookStore } from '../store/cooks';
import { savedPlanStore, shelfStore } from '../store/savedPlans';
import { pitStore } from '../store/pits';
import { savedPlans, SHELF } from './savedPlans';
import { playStory } from './playStory';
import { stories } from './world';
import { BOSUN, OTHER_PITS } from './yard';

/** Returns how many cooks were added. All of the world is stored, or nothing. */
export async function loadDemo(db: Knex, nowMs: number): Promise<number> {
  const hasPits = (await pitStore(db).list()).length > 0;
  const hasCooks = (await cookStore(db).list()).length > 0;
  const told = hasCooks ? [] : stories(nowMs);
  // What takes long comes before the write begins.
  const docs = told.map((story) => playStory(story, randomUUID));
  await db.transaction(async (trx) => {
    if (!hasPits) for (const pit of [BOSUN, ...OTHER_PITS]) await pitStore(trx).put(pit);
    if (hasCooks) return;
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
  return docs.length;
}
