/** The yard's pits. */
import type { Knex } from 'knex';

export interface PitRecord {
  id: string;
  name: string;
  preset: string;
  overrides: Record<string, number>;
}

/** The repository of pits. */
export function pitStore(db: Knex) {
  return {
    async list(): Promise<PitRecord[]> {
      const rows = await db<{ id: string; name: string; preset: string; overrides: string }>(
        'pits',
      ).orderBy('name');
      return rows.map((r) => ({
        ...r,
        overrides: JSON.parse(r.overrides) as Record<string, number>,
      }));
    },
    async put(pit: PitRecord): Promise<void> {
      await db('pits')
        .insert({ ...pit, overrides: JSON.stringify(pit.overrides) })
        .onConflict('id')
        .merge();
    },
  };
}

export type PitStore = ReturnType<typeof pitStore>;
