/** Instruments that tell by wire, and what they reported: each value once, as it was told. */
import type {
  Channel,
  Instrument,
  InstrumentRecord,
  InstrumentSeen,
  ProbeMove,
  Versioned,
} from '@ostrin/contract';
import type { WireValue } from '@ostrin/core/log';
import type { Knex } from 'knex';
import { createHash, randomBytes } from 'node:crypto';
import { pitColumns, pitNamed, pitRefOf, type PitRow } from './pitOf';
import { addValues, OWN, seriesFor, seriesTexts, type ToldValue } from './series';
import { expectVersion, putVersioned, removeVersioned, type Expected } from './versions';

interface Row extends PitRow {
  id: string;
  name: string;
  channels: string;
  token_hash: string | null;
  heard_ms: number | null;
  battery: number | null;
  heard: string;
  impossible: string;
  kind: InstrumentRecord['kind'] | null;
  due_days: number | null;
  battery_changed_ms: number | null;
  version: number;
}

const fromRow = (r: Row): Versioned<Instrument> => ({
  id: r.id,
  name: r.name,
  ...pitRefOf(r),
  channels: JSON.parse(r.channels) as Channel[],
  heardAt: r.heard_ms,
  battery: r.battery,
  values: JSON.parse(r.heard) as InstrumentSeen['values'],
  impossible: JSON.parse(r.impossible) as InstrumentSeen['values'],
  ...(r.kind ? { kind: r.kind } : {}),
  ...(r.due_days === null ? {} : { dueDays: r.due_days }),
  ...(r.battery_changed_ms === null ? {} : { batteryChangedAt: r.battery_changed_ms }),
  version: r.version,
});

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/**
 * Puts a probe into a piece of a cook, the `piece`th, or out of all of them: what it sends from now on, and what it sent
 * since then; all or nothing.
 */
const moveProbe = (
  db: Knex,
  cookId: string,
  { instrument: id, channel: key, meat, from }: ProbeMove,
  piece: number | null,
): Promise<void> =>
  db.transaction(async (trx) => {
    const store = instrumentStore(trx);
    const instrument = (await store.get(id))!;
    const channels = instrument.channels.map((c) => (c.key === key ? placed(c, piece) : c));
    await store.put({ ...instrument, channels });
    const spot: WireValue['spot'] = meat === null ? 'none' : 'meat';
    const { no, others } = await seriesFor(trx, cookId, id, { channel: key, spot, meat });
    await trx('wire_values')
      .whereIn('series', others)
      .where('at', '>=', from)
      .update({ series: no });
  });

/**
 * Keeps values, each for the cook that it belongs to (null: none, it is not kept), what was heard last, and channels that were
 * named for the first time; all or nothing. What somebody else changed of the instrument stays. Returns how many values are
 * new.
 */
const keep = (
  db: Knex,
  seen: InstrumentSeen,
  ofCooks: readonly { cook: { id: string } | null; values: readonly ToldValue[] }[],
  fresh: readonly Channel[],
): Promise<number> =>
  db.transaction(async (trx) => {
    let stored = 0;
    for (const { cook, values } of ofCooks) {
      if (!cook || values.length === 0) continue;
      for (const text of seriesTexts(values)) {
        stored += await addValues(trx, cook.id, seen.id, text);
      }
    }
    const known = await instrumentStore(trx).get(seen.id);
    if (!known) return stored;
    const added = fresh.filter((f) => known.channels.every((c) => c.key !== f.key));
    await trx<Row>('instruments')
      .where({ id: seen.id })
      .update({
        heard_ms: seen.heardAt,
        battery: seen.battery,
        heard: JSON.stringify(seen.values),
        impossible: JSON.stringify(seen.impossible ?? {}),
        ...(added.length > 0 ? { channels: JSON.stringify([...known.channels, ...added]) } : {}),
      });
    return stored;
  });

/** A channel in a piece, counted from 1, or, with null, in none. */
const placed = ({ piece: _piece, ...c }: Channel, piece: number | null): Channel =>
  piece === null ? { ...c, spot: 'none' } : { ...c, spot: 'meat', piece };

/** What each channel reads too much now, K, by instrument and channel. */
export async function offsetsOf(db: Knex): Promise<Map<string, number>> {
  const rows = await db<Pick<Row, 'id' | 'channels'>>('instruments').select('id', 'channels');
  return new Map(
    rows.flatMap((r) =>
      (JSON.parse(r.channels) as Channel[]).map((c) => [`${r.id}/${c.key}`, c.offsetK] as const),
    ),
  );
}

/** The instruments that told of a cook, by their names; those that were taken out by their ids. */
export async function instrumentsOf(db: Knex, cookId: string): Promise<string[]> {
  const rows: { name: string }[] = await db('wire_series')
    .leftJoin('instruments', 'instruments.id', 'wire_series.instrument_id')
    .where({ cook_id: cookId })
    .whereNot({ instrument_id: OWN })
    .distinct(db.raw('coalesce(name, instrument_id) AS name'))
    .orderBy('name');
  return rows.map((r) => r.name);
}

/** The repository of instruments. */
export function instrumentStore(db: Knex) {
  const rows = (on: Knex = db) =>
    on<Row>('instruments').select<Row[]>('instruments.*', db.raw(pitColumns('instruments')));
  const get = async (id: string, on: Knex = db): Promise<Versioned<Instrument> | null> => {
    const [row] = await rows(on).where({ id });
    return row ? fromRow(row) : null;
  };
  return {
    list: async (): Promise<Versioned<Instrument>[]> => (await rows().orderBy('name')).map(fromRow),
    get,
    /** Makes or changes an instrument; what was heard of it stays. Throws `Stale`. */
    put: (record: InstrumentRecord, expected: Expected = null): Promise<Versioned<Instrument>> =>
      db.transaction(async (trx) => {
        const { id, name, pitName, channels, kind, dueDays, batteryChangedAt } = record;
        const row = {
          id,
          name,
          pit_id: (await pitNamed(trx, pitName)).pitId,
          pit_name: pitName,
          channels: JSON.stringify(channels),
          kind: kind ?? null,
          due_days: dueDays ?? null,
          battery_changed_ms: batteryChangedAt ?? null,
        };
        await putVersioned(trx, 'instruments', await get(id, trx), expected, row);
        return (await get(id, trx))!;
      }),
    /** Takes an instrument out; what it reported stays with the cooks, as it was corrected last. Throws `Stale`. */
    remove: (id: string, expected: Expected = null): Promise<boolean> =>
      db.transaction(async (trx) => {
        const known = await get(id, trx);
        expectVersion(known, expected);
        if (!known) return false;
        for (const { key, offsetK } of known.channels) {
          await trx('wire_series')
            .where({ instrument_id: id, channel: key })
            .update({ offset_k: offsetK });
        }
        return removeVersioned(trx, 'instruments', known);
      }),
    /** A new token for an instrument, told this once; the one before is void. Null where there is no such instrument. */
    async newToken(id: string): Promise<string | null> {
      // Hexadecimal: a token that began with a dash would read as an option of a command.
      const token = randomBytes(24).toString('hex');
      const changed = await db('instruments')
        .where({ id })
        .update({ token_hash: hashOf(token) });
      return changed > 0 ? token : null;
    },
    /** The instrument that shows a token; null where none does. */
    async withToken(token: string): Promise<Versioned<Instrument> | null> {
      const [row] = await rows().where({ token_hash: hashOf(token) });
      return row ? fromRow(row) : null;
    },
    /** Puts a probe into a piece of a cook, or out of all of them, since a moment. */
    moveProbe: moveProbe.bind(null, db),
    keep: keep.bind(null, db),
  };
}

export type InstrumentStore = ReturnType<typeof instrumentStore>;
