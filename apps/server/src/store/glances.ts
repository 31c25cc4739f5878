/** What the list shows of finished cooks, kept beside them; and the notes for next time out of their logs. */
import type { CookDoc, NextTime, Reading } from '@ostrin/contract';
import type { Entry } from '@ostrin/core/log';
import { glanceOf } from '@ostrin/core/afterwards';
import type { Knex } from 'knex';
import { pitColumns, pitRefOf, type PitRow } from './pitOf';

interface NoteRow extends PitRow {
  id: string;
  body: string;
  cook_id: string;
  name: string;
  start_ms: number;
}

/** What is needed of the rest of the repository. */
interface Reads {
  doc(id: string): Promise<CookDoc | null>;
  readings(cook: Pick<CookDoc, 'id' | 'plan'>): Promise<Reading[]>;
}

/** The part of the repository of cooks that tells of them at a glance. */
export const glances = (db: Knex, reads: Reads) => {
  const keep = async (id: string, ...of: Parameters<typeof glanceOf>): Promise<void> => {
    await db('cooks')
      .where({ id })
      .update({ glance: JSON.stringify(glanceOf(...of)) });
  };
  return {
    /** Works out anew what the list shows of a finished cook whose log is now this. */
    async refreshGlance(
      { id, plan }: Pick<CookDoc, 'id' | 'plan'>,
      entries: readonly Entry[],
    ): Promise<void> {
      await keep(id, plan, entries, await reads.readings({ id, plan }));
    },

    /**
     * Works it out for finished cooks that a version of before left without, one after another. One that cannot be worked
     * out is told and stands in the list without it. Returns how many there were.
     */
    async fillGlances(onError: (error: unknown, cookId: string) => void): Promise<number> {
      const without: { id: string }[] = await db('cooks')
        .whereNotNull('finished_ms')
        .whereNull('glance')
        .select('id');
      for (const { id } of without) {
        try {
          const cook = await reads.doc(id);
          if (cook) await keep(id, cook.plan, cook.entries, cook.readings);
        } catch (error) {
          onError(error, id);
        }
      }
      return without.length;
    },

    /** The notes for next time that hold, of all cooks, the newest cook first. */
    async nextTime(): Promise<NextTime[]> {
      const rows: NoteRow[] = await db('entries')
        .join('cooks', 'cooks.id', 'entries.cook_id')
        .whereNull('cooks.deleted_ms')
        .whereRaw(`entries.body ->> '$.kind' = 'next-time'`)
        .whereRaw(
          `entries.id NOT IN (SELECT body ->> '$.target' FROM entries WHERE body ->> '$.kind' = 'undo')`,
        )
        .orderBy([{ column: 'cooks.start_ms', order: 'desc' }, { column: 'entries.seq' }])
        .select('entries.id', 'body', 'cook_id', 'name', 'start_ms', db.raw(pitColumns('cooks')));
      return rows.map((r) => {
        const { about, cut, text } = JSON.parse(r.body) as Pick<NextTime, 'about' | 'cut' | 'text'>;
        return {
          id: r.id,
          about,
          text,
          ...(cut === undefined ? {} : { cut }),
          cookId: r.cook_id,
          cookName: r.name,
          ...pitRefOf(r),
          startMs: r.start_ms,
        };
      });
    },
  };
};
