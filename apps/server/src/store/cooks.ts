/** Cooks, their logs and readings, in and out of the database. */
import type { CookDoc, CookFire, CookSummary, Reading } from '@ostrin/contract';
import { leadMeat, type PitPlan } from '@ostrin/core';
import { foldLog, mergedRows, wireReadings, type Entry } from '@ostrin/core/log';
import { planAsChanged } from '@ostrin/core/tending';
import type { Glance } from '@ostrin/core/afterwards';
import { glanceOf } from '@ostrin/core/afterwards';
import type { Knex } from 'knex';
import { afterwards } from './afterwards';
import { spansOf, type CookSpan } from './cookOfMoment';
import { glances } from './glances';
import { instrumentsOf, valuesOf } from './instruments';
import { onSamePit, pitColumns, pitNamed, pitRefOf, type PitRef, type PitRow } from './pitOf';
import { addReadings, lastReadingMs, readingsOf } from './readings';

export interface CookHead extends PitRef {
  id: string;
  name: string;
  startMs: number;
  finishedAt: number | null;
  plan: PitPlan;
  /** What burns. */
  fire: CookFire;
  clockMs: number;
  speed: number;
}

/** A cook to be stored: its pit is known by the name that the yard has for it. */
export type NewHead = Omit<CookHead, 'pitId'>;

/** What the list shows of a cook. */
interface ListRow extends PitRow {
  id: string;
  name: string;
  start_ms: number;
  finished_ms: number | null;
  fire: CookFire;
  people: number;
  cut: string;
  pieces: number;
  /** What the list shows of a finished one, JSON; null until it is worked out. */
  glance: string | null;
}

interface CookRow extends ListRow {
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

/** Adds many entries in one statement. */
const ADD_ENTRIES = `INSERT INTO entries (id, cook_id, at, body)
  SELECT value ->> '$.id', ?, value ->> '$.at', value ->> '$.body' FROM json_each(?)`;

const headOf = (row: CookRow): CookHead => ({
  id: row.id,
  name: row.name,
  ...pitRefOf(row),
  startMs: row.start_ms,
  finishedAt: row.finished_ms,
  plan: JSON.parse(row.plan) as PitPlan,
  fire: row.fire,
  clockMs: row.clock_ms,
  speed: row.speed,
});

const entryOf = (row: EntryRow): Entry =>
  ({ id: row.id, at: row.at, ...(JSON.parse(row.body) as object) }) as Entry;

const addEntries = (trx: Knex.Transaction, cookId: string, entries: readonly Entry[]) =>
  trx.raw(ADD_ENTRIES, [
    cookId,
    JSON.stringify(entries.map(({ id, at, ...body }) => ({ id, at, body: JSON.stringify(body) }))),
  ]);

/** The repository of cooks. Every method that writes returns only when the write is on disk. */
export function cookStore(db: Knex) {
  const reads = readsOf(db);
  return {
    ...reads,
    ...writesOf(db),
    ...afterwards(db),
    ...glances(db, reads),
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

    async readings(id: string): Promise<Reading[]> {
      const stored = await readingsOf(db, id);
      const told = await valuesOf(db, id);
      if (told.length === 0) return stored;
      const head = await this.head(id);
      return mergedRows(stored, wireReadings(told, leadMeat(head!.plan).id));
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
        ...(head.fire === 'real' ? { fire: head.fire } : {}),
        plan: head.plan,
        entries,
        readings,
      };
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

async function insert(
  trx: Knex.Transaction,
  head: NewHead,
  entries: Entry[],
  readings: Reading[],
): Promise<void> {
  // What was deleted under that id is gone for good once the like comes in again.
  await trx('cooks').where({ id: head.id }).whereNotNull('deleted_ms').delete();
  await trx('cooks').insert({
    id: head.id,
    name: head.name,
    pit_id: (await pitNamed(trx, head.pitName)).pitId,
    pit_name: head.pitName,
    start_ms: head.startMs,
    finished_ms: head.finishedAt,
    fire: head.fire,
    plan: JSON.stringify(head.plan),
    clock_ms: head.clockMs,
    speed: head.speed,
    people: head.plan.request.people,
    cut: leadMeat(head.plan).cut,
    pieces: head.plan.pieces,
    // A cook of the past comes with its end, and is listed at a glance from then on.
    glance:
      head.finishedAt === null ? null : JSON.stringify(glanceOf(head.plan, entries, readings)),
    no: trx('cooks').select(trx.raw('coalesce(max(no), 0) + 1')),
  });
  if (entries.length > 0) await addEntries(trx, head.id, entries);
  if (readings.length > 0) await addReadings(trx, head.id, readings);
}

/** What is written. */
const writesOf = (db: Knex) => ({
  /** Stores a new cook with all it has, or nothing. */
  create: (head: NewHead, entries: Entry[] = [], readings: Reading[] = []): Promise<void> =>
    inOne(db, (trx) => insert(trx, head, entries, readings)),

  /** Stores several new cooks, or none. */
  createAll: (heads: readonly NewHead[]): Promise<void> =>
    inOne(db, async (trx) => {
      for (const head of heads) await insert(trx, head, [], []);
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
    of: readonly { id: string; readings: readonly Reading[]; clockMs: number }[],
  ): Promise<void> =>
    inOne(db, async (trx) => {
      for (const { id, readings, clockMs } of of) {
        await addReadings(trx, id, readings);
        await trx('cooks').where({ id }).update({ clock_ms: clockMs });
      }
    }),

  async setClock(id: string, clockMs: number, speed: number): Promise<void> {
    await db('cooks').where({ id }).update({ clock_ms: clockMs, speed });
  },
});

export type CookStore = ReturnType<typeof cookStore>;
