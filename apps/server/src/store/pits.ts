/** The yard's pits. */
import type { PitRecord } from '@ostrin/contract';
import type { Knex } from 'knex';

interface Row {
  id: string;
  name: string;
  preset: string;
  overrides: string;
  vent_way: PitRecord['ventWay'];
}

const fromRow = (r: Row): PitRecord => ({
  id: r.id,
  name: r.name,
  preset: r.preset,
  overrides: JSON.parse(r.overrides) as PitRecord['overrides'],
  ventWay: r.vent_way,
});

/** The repository of pits. */
export function pitStore(db: Knex) {
  return {
    async list(): Promise<PitRecord[]> {
      return (await db<Row>('pits').orderBy('name')).map(fromRow);
    },
    async get(id: string): Promise<PitRecord | null> {
      const row = await db<Row>('pits').where({ id }).first();
      return row ? fromRow(row) : null;
    },
    async put(pit: PitRecord): Promise<void> {
      const { ventWay, overrides, ...rest } = pit;
      await db<Row>('pits')
        .insert({ ...rest, overrides: JSON.stringify(overrides), vent_way: ventWay })
        .onConflict('id')
        .merge();
    },
  };
}

export type PitStore = ReturnType<typeof pitStore>;
