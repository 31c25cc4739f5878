/** Cooks and entries that are new. */
import type { Reading } from '@ostrin/contract';
import { leadMeat } from '@ostrin/core';
import { glanceOf, type Glance } from '@ostrin/core/afterwards';
import type { Entry } from '@ostrin/core/log';
import type { Knex } from 'knex';
import { readCook, type NewHead } from './heads';
import { pitNamed } from './pitOf';
import { addReadings } from './readings';

/** Adds many entries in one statement. */
const ADD_ENTRIES = `INSERT INTO entries (id, cook_id, at, body)
  SELECT value ->> '$.id', ?, value ->> '$.at', value ->> '$.body' FROM json_each(?)`;

/** Adds entries to the log of a cook. */
export const addEntries = (trx: Knex.Transaction, cookId: string, entries: readonly Entry[]) =>
  trx.raw(ADD_ENTRIES, [
    cookId,
    JSON.stringify(entries.map(({ id, at, ...body }) => ({ id, at, body: JSON.stringify(body) }))),
  ]);

/** What a new cook comes with. */
interface Contents {
  entries?: readonly Entry[];
  readings?: readonly Reading[];
  /** What the list shows of it, where that was worked out already. */
  glance?: Glance;
  /** Whether it is put away until all of it is there. */
  hidden?: boolean;
}

/** When something was put away that nobody has seen yet: the next start forgets it. */
export const HIDDEN_MS = 0;

/** Adds a cook. What was deleted under its id is gone for good then. */
export async function insertCook(
  trx: Knex.Transaction,
  head: NewHead,
  { entries = [], readings = [], glance, hidden = false }: Contents = {},
): Promise<void> {
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
      head.finishedAt === null
        ? null
        : JSON.stringify(glance ?? glanceOf(head.plan, entries, readings)),
    ...(hidden ? { deleted_ms: HIDDEN_MS } : {}),
    no: trx('cooks').select(trx.raw('coalesce(max(no), 0) + 1')),
  });
  if (entries.length > 0) await addEntries(trx, head.id, entries);
  if (readings.length > 0) await addReadings(trx, readCook(head), readings);
}
