/** Cooks, their logs and readings, in and out of the database. */
import type { CookDoc, CookSummary, Reading } from '@ostrin/contract';
import type { Entry, Plan } from '@ostrin/core';
import type { Knex } from 'knex';

export interface CookHead {
  id: string;
  name: string;
  pitName: string;
  startMs: number;
  finishedAt: number | null;
  plan: Plan;
  clockMs: number;
  speed: number;
}

interface CookRow {
  id: string;
  name: string;
  pit_name: string;
  start_ms: number;
  finished_ms: number | null;
  plan: string;
  clock_ms: number;
  speed: number;
}

interface EntryRow {
  seq?: number;
  cook_id?: string;
  id: string;
  at: number;
  body: string;
}

interface ReadingRow {
  cook_id?: string;
  at: number;
  pit_c: number | null;
  core_c: number | null;
}

/** Rows that fit in one INSERT under SQLite's limit of bound values. */
const BATCH = 200;

const headOf = (row: CookRow): CookHead => ({
  id: row.id,
  name: row.name,
  pitName: row.pit_name,
  startMs: row.start_ms,
  finishedAt: row.finished_ms,
  plan: JSON.parse(row.plan) as Plan,
  clockMs: row.clock_ms,
  speed: row.speed,
});

const entryOf = (row: EntryRow): Entry =>
  ({ id: row.id, at: row.at, ...(JSON.parse(row.body) as object) }) as Entry;

function entryRow(cookId: string, entry: Entry) {
  const { id, at, ...body } = entry;
  return { id, cook_id: cookId, at, body: JSON.stringify(body) };
}

const readingRow = (cookId: string, r: Reading) => ({
  cook_id: cookId,
  at: r.at,
  pit_c: r.pitC,
  core_c: r.coreC,
});

/** The repository of cooks. Every method that writes returns only when the write is on disk. */
export const cookStore = (db: Knex) => ({ ...readsOf(db), ...writesOf(db) });

/** What is read. */
function readsOf(db: Knex) {
  const headsWhere = async (where: (q: Knex.QueryBuilder) => void): Promise<CookHead[]> => {
    const query = db<CookRow>('cooks').orderBy('start_ms', 'desc');
    where(query);
    return (await query).map(headOf);
  };

  return {
    /** All cooks, newest first. */
    async list(): Promise<CookSummary[]> {
      return (await headsWhere(() => undefined)).map(({ plan, ...h }) => ({
        id: h.id,
        name: h.name,
        pitName: h.pitName,
        startMs: h.startMs,
        finishedAt: h.finishedAt,
        people: plan.request.people,
        cut: plan.request.meats[0]!.cut,
        pieces: plan.pieces,
      }));
    },

    async head(id: string): Promise<CookHead | null> {
      return (await headsWhere((q) => void q.where({ id })))[0] ?? null;
    },

    /** Cooks that have not been finished. */
    running: (): Promise<CookHead[]> => headsWhere((q) => void q.whereNull('finished_ms')),

    async entries(id: string): Promise<Entry[]> {
      const rows = await db<EntryRow>('entries').where({ cook_id: id }).orderBy('seq');
      return rows.map(entryOf);
    },

    async readings(id: string): Promise<Reading[]> {
      const rows = await db<ReadingRow>('readings').where({ cook_id: id }).orderBy('at');
      return rows.map((r) => ({ at: r.at, pitC: r.pit_c, coreC: r.core_c }));
    },

    /** The whole cook as one document, or null. */
    async doc(id: string): Promise<CookDoc | null> {
      const head = await this.head(id);
      if (!head) return null;
      const [entries, readings] = [await this.entries(id), await this.readings(id)];
      return {
        ostrin: 'cook/1',
        id,
        name: head.name,
        pitName: head.pitName,
        startMs: head.startMs,
        plan: head.plan,
        entries,
        readings,
      };
    },

    /** Which of these entry ids belong to another cook. */
    async foreignEntries(id: string, ids: readonly string[]): Promise<string[]> {
      const rows = await db<EntryRow>('entries')
        .whereIn('id', [...ids])
        .whereNot({ cook_id: id })
        .select('id');
      return rows.map((r) => r.id);
    },
  };
}

async function insert(
  trx: Knex.Transaction,
  head: CookHead,
  entries: Entry[],
  readings: Reading[],
): Promise<void> {
  await trx('cooks').insert({
    id: head.id,
    name: head.name,
    pit_name: head.pitName,
    start_ms: head.startMs,
    finished_ms: head.finishedAt,
    plan: JSON.stringify(head.plan),
    clock_ms: head.clockMs,
    speed: head.speed,
  });
  for (const e of entries) await trx('entries').insert(entryRow(head.id, e));
  await trx.batchInsert(
    'readings',
    readings.map((r) => readingRow(head.id, r)),
    BATCH,
  );
}

/** What is written. */
const writesOf = (db: Knex) => ({
  /** Stores a new cook with all it has, or nothing. */
  create: (head: CookHead, entries: Entry[] = [], readings: Reading[] = []): Promise<void> =>
    db.transaction((trx) => insert(trx, head, entries, readings)),

  /** Adds entries; those whose id is already there are passed over. Returns the new ones. */
  append: (id: string, entries: readonly Entry[], finishedMs: number | null): Promise<Entry[]> =>
    db.transaction(async (trx) => {
      const added: Entry[] = [];
      for (const e of entries) {
        const known = await trx('entries').where({ id: e.id }).first('id');
        if (known) continue;
        await trx('entries').insert(entryRow(id, e));
        added.push(e);
      }
      if (finishedMs !== null) await trx('cooks').where({ id }).update({ finished_ms: finishedMs });
      return added;
    }),

  /** Adds readings and remembers where the clock stands, in one write. */
  addReadings: (id: string, readings: readonly Reading[], clockMs: number): Promise<void> =>
    db.transaction(async (trx) => {
      await trx.batchInsert(
        'readings',
        readings.map((r) => readingRow(id, r)),
        BATCH,
      );
      await trx('cooks').where({ id }).update({ clock_ms: clockMs });
    }),

  async setClock(id: string, clockMs: number, speed: number): Promise<void> {
    await db('cooks').where({ id }).update({ clock_ms: clockMs, speed });
  },
});

export type CookStore = ReturnType<typeof cookStore>;
