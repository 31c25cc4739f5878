/** The yard's pits. */
import type { PitRecord, Versioned } from '@ostrin/contract';
import type { Knex } from 'knex';
import { adopt, release } from './pitOf';
import { expectVersion, putVersioned, removeVersioned, type Expected } from './versions';

interface Row {
  id: string;
  name: string;
  preset: string;
  overrides: string;
  vent_way: PitRecord['ventWay'];
  vent_scales: string | null;
  learned: string | null;
  kind: string | null;
  put_away_ms: number | null;
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
  ...(r.kind ? { kind: r.kind } : {}),
  ...(r.put_away_ms === null ? {} : { putAwayAt: r.put_away_ms }),
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
        const { ventWay, ventScales, learned, overrides, kind, putAwayAt, ...rest } = pit;
        const row = {
          ...rest,
          kind: kind ?? null,
          put_away_ms: putAwayAt ?? null,
          overrides: JSON.stringify(overrides),
          vent_way: ventWay,
          vent_scales: ventScales ? JSON.stringify(ventScales) : null,
          learned: learned?.length ? JSON.stringify(learned) : null,
        };
        const known = await get(pit.id, trx);
        if (known?.name !== pit.name) await refuseTakenName(trx, pit);
        const version = await putVersioned(trx, 'pits', known, expected, row);
        await adopt(trx, pit.id, pit.name);
        return { ...pit, version };
      }),
    /** Takes a pit out of the yard; its cooks stay in the log under its name. Says whether there was one. Throws `Stale`. */
    remove: (id: string, expected: Expected = null): Promise<boolean> =>
      db.transaction(async (trx) => {
        const known = await get(id, trx);
        expectVersion(known, expected);
        if (!known) return false;
        await release(trx, id, known.name);
        return removeVersioned(trx, 'pits', known);
      }),
  };
}

/** Another pit of the yard has that name: a cook or an instrument is given its pit by it. */
export class NameTaken extends Error {}

async function refuseTakenName(trx: Knex.Transaction, pit: PitRecord): Promise<void> {
  const other = await trx<Row>('pits').where({ name: pit.name }).whereNot({ id: pit.id }).first();
  if (other) throw new NameTaken(`another pit is called ${pit.name}`);
}

export type PitStore = ReturnType<typeof pitStore>;
