/**
 * Which pit of the yard something belongs to: by its id, so that a new name of the pit changes nothing else. What belongs
 * to a pit that is in no yard is known by the name it was given.
 */
import type { Knex } from 'knex';

/** A pit as cooks and instruments know it. */
export interface PitRef {
  /** Its id in the yard; null where the yard has none of that name. */
  pitId: string | null;
  /** What it is called now or, where it is in no yard, what it was called. */
  pitName: string;
}

/** Tables whose rows belong to a pit. */
const TABLES = ['cooks', 'instruments'] as const;

/** Columns of a row of `table` that say which pit it belongs to, for a `select`. */
export const pitColumns = (table: (typeof TABLES)[number]): string =>
  `${table}.pit_id, coalesce((SELECT p.name FROM pits p WHERE p.id = ${table}.pit_id), ${table}.pit_name) AS pit_called`;

/** Those columns as they come back. */
export interface PitRow {
  pit_id: string | null;
  pit_called: string;
}

export const pitRefOf = (r: PitRow): PitRef => ({ pitId: r.pit_id, pitName: r.pit_called });

/** Whether two things belong to one pit. */
export const onSamePit = (a: PitRef, b: PitRef): boolean =>
  a.pitId === b.pitId && (a.pitId !== null || a.pitName === b.pitName);

/** The pit of that name. */
export async function pitNamed(db: Knex, pitName: string): Promise<PitRef> {
  const pit = await db<{ id: string; name: string }>('pits').where({ name: pitName }).first('id');
  return { pitId: pit?.id ?? null, pitName };
}

/** A pit that came into the yard takes in what was known by its name alone. */
export async function adopt(trx: Knex.Transaction, id: string, name: string): Promise<void> {
  for (const table of TABLES)
    await trx(table).whereNull('pit_id').where({ pit_name: name }).update({ pit_id: id });
}

/** What belongs to a pit that leaves the yard is known by its last name from then on. */
export async function release(trx: Knex.Transaction, id: string, name: string): Promise<void> {
  for (const table of TABLES)
    await trx(table).where({ pit_id: id }).update({ pit_id: null, pit_name: name });
}
