/** The yard's pits. */
import type { PitRecord, Versioned } from '@ostrin/contract';
import type { Knex } from 'knex';
import { putVersioned, type Expected } from './versions';

interface Row {
  id: string;
  name: string;
  preset: string;
  overrides: string;
  vent_way: PitRecord['ventWay'];
  vent_scales: string | null;
  learned: string | null;
  version: number;
}

const fromRow = (r: Row): Versioned<PitRecord> => ({
  id: r.id,
  name: r.name,
  preset: r.preset,
  overrides: JSON.parse(r.overrides) as PitRecord['overrides'],
  ventWay: r.vent_way,
  ...(r.vent_scales ? { ventScales: JSON.parse(r.vent_scales) as PitRecord['ventScales'] } : {}),
  ...(r.learned ? { learned: JSON.parse(r.learned) as PitRecord['learned'] } : {}),
  version: r.version,
});

/** The repository of pits. */
export function pitStore(db: Knex) {
  const get = async (id: string, on: Knex = db): Promise<Versioned<PitRecord> | null> => {
    const row = await on<Row>('pits').where({ id }).first();
    return row ? fromRow(row) : null;
  };
  return {
    async list(): Promise<Versioned<PitRecord>[]> {
      return (await db<Row>('pits').orderBy('name')).map(fromRow);
    },
    get,
    /** Makes or changes a pit; returns it with its new version. Throws `Stale`. */
    put: (pit: PitRecord, expected: Expected = null): Promise<Versioned<PitRecord>> =>
      db.transaction(async (trx) => {
        const { ventWay, ventScales, learned, overrides, ...rest } = pit;
        const row = {
          ...rest,
          overrides: JSON.stringify(overrides),
          vent_way: ventWay,
          vent_scales: ventScales ? JSON.stringify(ventScales) : null,
          learned: learned?.length ? JSON.stringify(learned) : null,
        };
        const known = await get(pit.id, trx);
        return { ...pit, version: await putVersioned(trx, 'pits', known, expected, row) };
      }),
  };
}

export type PitStore = ReturnType<typeof pitStore>;
