/** Cooks, their logs and readings, in and out of the database. */
import type { CookDoc, CookSummary, Reading } from '@ostrin/contract';
import { foldLog, type Entry } from '@ostrin/core/log';
import { planAsChanged } from '@ostrin/core/tending';
import type { Glance } from '@ostrin/core/afterwards';
import type { Knex } from 'knex';
import { afterwards } from './afterwards';
import { spansOf, type CookSpan } from './cookOfMoment';
import { glances } from './glances';
import { bringingIn } from './bringingIn';
import {
  headOf,
  readCook,
  type CookHead,
  type CookRow,
  type ListRow,
  type NewHead,
  type Planned,
} from './heads';
import { instrumentsOf } from './instruments';
import { addEntries, insertCook } from './newCook';
import { onSamePit, pitColumns, pitNamed, pitRefOf, type PitRef } from './pitOf';
import {
  addReadings,
  lastReadingMs,
  readMore,
  readingSlices,
  readingsOf,
  readingsShown,
} from './readings';

interface EntryRow {
  seq?: number;
  cook_id?: string;
  id: string;
  at: number;
  body: string;
}

const LIST_COLUMNS = [
  'id',
  'name',
  'start_ms',
  'finished_ms',
  'fire',
  'people',
  'cut',
  'pieces',
  'glance',
] as const;

const entryOf = (row: EntryRow): Entry =>
  ({ id: row.id, at: row.at, ...(JSON.parse(row.body) as object) }) as Entry;

/** A cook without what was read. */
export type UnreadDoc = Omit<CookDoc, 'readings'>;

/** A strip is drawn in this many steps at most: more than it has points. */
const STRIP_STEPS = 900;

/** The repository of cooks. Every method that writes returns only when the write is on disk. */
export function cookStore(db: Knex) {
  const reads = readsOf(db);
  return {
    ...reads,
    ...writesOf(db),
    ...afterwards(db),
    ...glances(db, reads),
    ...bringingIn(db),
    /** Does something in one transaction: all of it is written, or nothing. */
    atOnce: <T>(work: (trx: Knex) => Promise<T>): Promise<T> => inOne(db, work),
    pitNamed: (name: string) => pitNamed(db, name),
    realCooks: (pit: PitRef, notOverAtMs: number) => realCooks(db, pit, notOverAtMs),
  };
}

/** Cooks that answer to a condition, the one begun last first. */
async function headsWhere(db: Knex, where: (q: Knex.QueryBuilder) => void): Promise<CookHead[]> {
  const query = db<CookRow>('cooks')
    .whereNull('deleted_ms')
    .orderBy('start_ms', 'desc')
    .select<CookRow[]>('cooks.*', db.raw(pitColumns('cooks')));
  where(query);
  return (await query).map(headOf);
}

/** Cooks on a real fire on a pit that were not over by then, with the time that each took. */
async function realCooks(db: Knex, pit: PitRef, notOverAtMs: number): Promise<CookSpan[]> {
  const heads = await headsWhere(db, (q) => {
    void q
      .where({ pit_id: pit.pitId, fire: 'real' })
      .whereRaw('coalesce(finished_ms, ?) >= ?', [notOverAtMs, notOverAtMs]);
  });
  return spansOf(
    db,
    heads.filter((h) => onSamePit(h, pit)),
  );
}

/** What is read. */
function readsOf(db: Knex) {
  return {
    /** All cooks, newest first. */
    async list(): Promise<CookSummary[]> {
      const rows = await db<CookRow>('cooks')
        .whereNull('deleted_ms')
        .orderBy('start_ms', 'desc')
        .select<ListRow[]>(...LIST_COLUMNS, db.raw(pitColumns('cooks')));
      return rows.map((r) => ({
        id: r.id,
        name: r.name,
        ...pitRefOf(r),
        startMs: r.start_ms,
        finishedAt: r.finished_ms,
        fire: r.fire,
        people: r.people,
        cut: r.cut,
        pieces: r.pieces,
        glance: r.glance === null ? null : (JSON.parse(r.glance) as Glance),
      }));
    },

    async head(id: string): Promise<CookHead | null> {
      return (await headsWhere(db, (q) => void q.where({ id })))[0] ?? null;
    },

    /** Cooks that have not been finished. */
    running: (): Promise<CookHead[]> => headsWhere(db, (q) => void q.whereNull('finished_ms')),

    async entries(id: string): Promise<Entry[]> {
      const rows = await db<EntryRow>('entries').where({ cook_id: id }).orderBy('seq');
      return rows.map(entryOf);
    },

    /** The pieces of a cook, planned and added, in the order in which they are counted. */
    async pieceIds({ id, plan }: Pick<CookHead, 'id' | 'plan'>): Promise<string[]> {
      const rows = await db<EntryRow>('entries')
        .where({ cook_id: id })
        .whereRaw(`body ->> '$.kind' IN ('add-food', 'undo', 'retime')`)
        .orderBy('seq');
      return planAsChanged(plan, foldLog(rows.map(entryOf))).request.meats.map((m) => m.id);
    },

    /** Names of the instruments that told of a cook. */
    instruments: (id: string): Promise<string[]> => instrumentsOf(db, id),

    lastReadingMs: (id: string): Promise<number | null> => lastReadingMs(db, id),

    /** What was read, in order of time, and whether that is in steps (`core/instruments/steps`): a long record is. */
    readingsGiven: (cook: Planned): Promise<{ readings: Reading[]; inSteps: boolean }> =>
      readingsOf(db, readCook(cook)),

    /** The same, without whether. */
    readings: async (cook: Planned): Promise<Reading[]> =>
      (await readingsOf(db, readCook(cook))).readings,

    /** What a strip shows of a span [from, to), epoch ms. */
    readingsShown: (cook: Planned, span: readonly [number, number]): Promise<Reading[]> =>
      readingsShown(db, readCook(cook), span, STRIP_STEPS),

    /** Whether more than the pit and the first piece was read. */
    readMore: (cook: Planned): Promise<boolean> => readMore(db, readCook(cook)),

    /** Everything that was read, slice by slice. */
    readingSlices: (cook: Planned): AsyncGenerator<Reading[]> => readingSlices(db, readCook(cook)),

    /** A cook as a document, but for what was read. */
    async unread({ id, name, pitName, startMs, fire, plan }: CookHead): Promise<UnreadDoc> {
      return {
        ostrin: 'cook/1',
        id,
        name,
        pitName,
        startMs,
        ...(fire === 'real' ? { fire } : {}),
        plan,
        entries: await this.entries(id),
      };
    },

    /** The whole cook as one document, a long record in steps; or null. */
    async doc(id: string): Promise<CookDoc | null> {
      const head = await this.head(id);
      return head && { ...(await this.unread(head)), readings: await this.readings(head) };
    },

    /** Which of these entry ids belong to another cook. */
    async foreignEntries(id: string, ids: readonly string[]): Promise<string[]> {
      const rows = await db<EntryRow>('entries')
        .whereRaw('id IN (SELECT value FROM json_each(?))', [JSON.stringify(ids)])
        .whereNot({ cook_id: id })
        .select('id');
      return rows.map((r) => r.id);
    },
  };
}

/** One transaction; within another one, a part of that. */
const inOne = <T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>): Promise<T> =>
  db.isTransaction ? work(db as Knex.Transaction) : db.transaction(work);

/** What is written. */
const writesOf = (db: Knex) => ({
  /** Stores a new cook with all it has, or nothing. */
  create: (head: NewHead, entries: Entry[] = [], readings: Reading[] = []): Promise<void> =>
    inOne(db, (trx) => insertCook(trx, head, { entries, readings })),

  /** Stores several new cooks, or none. */
  createAll: (heads: readonly NewHead[]): Promise<void> =>
    inOne(db, async (trx) => {
      for (const head of heads) await insertCook(trx, head);
    }),

  /**
   * Adds new entries, and what they make of the cook: when it was finished (null while it goes on) and, where it
   * is given, where its clock stands.
   */
  append: (
    id: string,
    fresh: readonly Entry[],
    cook: { finishedMs: number | null; clockMs?: number | null },
  ): Promise<void> =>
    inOne(db, async (trx) => {
      if (fresh.length > 0) await addEntries(trx, id, fresh);
      await trx<CookRow>('cooks')
        .where({ id })
        .update({
          finished_ms: cook.finishedMs,
          ...(cook.clockMs == null ? {} : { clock_ms: cook.clockMs }),
        });
    }),

  /** Adds readings of cooks and remembers where their clocks stand, in one write. */
  addReadings: (
    of: readonly { cook: Planned; readings: readonly Reading[]; clockMs: number }[],
  ): Promise<void> =>
    inOne(db, async (trx) => {
      for (const { cook, readings, clockMs } of of) {
        await addReadings(trx, readCook(cook), readings);
        await trx('cooks').where({ id: cook.id }).update({ clock_ms: clockMs });
      }
    }),

  async setClock(id: string, clockMs: number, speed: number): Promise<void> {
    await db('cooks').where({ id }).update({ clock_ms: clockMs, speed });
  },
});

export type CookStore = ReturnType<typeof cookStore>;
