/** Loads the demo world once: a database that already has cooks is left as it is. */
import { foldLog } from '@ostrin/core';
import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { cookStore } from '../store/cooks';
import { savedPlanStore, shelfStore } from '../store/savedPlans';
import { pitStore } from '../store/pits';
import { savedPlans, SHELF } from './savedPlans';
import { playStory } from './playStory';
import { BOSUN, OTHER_PITS, stories } from './world';

/** Returns how many cooks were added. */
export async function loadDemo(db: Knex, nowMs: number): Promise<number> {
  const cooks = cookStore(db);
  const pits = pitStore(db);
  if ((await pits.list()).length === 0) {
    for (const pit of [BOSUN, ...OTHER_PITS]) await pits.put(pit);
  }
  if ((await cooks.list()).length > 0) return 0;
  for (const plan of savedPlans(nowMs)) await savedPlanStore(db).put(plan);
  await shelfStore(db).put(SHELF);
  const told = stories(nowMs);
  for (const story of told) {
    const doc = playStory(story, randomUUID);
    await cooks.create(
      {
        id: doc.id,
        name: doc.name,
        pitName: doc.pitName,
        startMs: doc.startMs,
        finishedAt: foldLog(doc.entries).finishedAt,
        plan: doc.plan,
        clockMs: doc.readings.at(-1)!.at,
        speed: 1,
      },
      doc.entries,
      doc.readings,
    );
  }
  return told.length;
}
