/**
 * What was read during a cook, value by value. Values of one channel in one place are a series: each is stored with a number
 * of its series, its time and nothing else, and the table is its own index. A cook's own record is series too, of no
 * instrument.
 */
import type { OwnValue } from '@ostrin/core/log';
import type { Knex } from 'knex';

/** The instrument of a cook's own record. */
export const OWN = '';

/** A value with the channel that it came from. */
export interface ToldValue extends OwnValue {
  channel: string;
}

/** What a series is of. */
export type SeriesKey = Pick<ToldValue, 'channel' | 'spot' | 'meat'>;

/** Values of a series, ready for the database: JSON of pairs of time, epoch ms, and value. */
export interface SeriesText extends SeriesKey {
  pairs: string;
}

/** Values that are written in one statement: a few thousandths of a second. */
const MOST_AT_ONCE = 2_000;

/** Values by their series, each as texts of a few thousand. */
export function seriesTexts(values: readonly ToldValue[]): SeriesText[] {
  const series = new Map<string, { key: SeriesKey; pairs: [number, number][] }>();
  for (const { channel, spot, meat, at, value } of values) {
    const name = JSON.stringify([channel, spot, meat]);
    const of = series.get(name) ?? { key: { channel, spot, meat }, pairs: [] };
    series.set(name, of);
    of.pairs.push([at, value]);
  }
  return [...series.values()].flatMap(({ key, pairs }) =>
    Array.from({ length: Math.ceil(pairs.length / MOST_AT_ONCE) }, (_, i) => ({
      ...key,
      pairs: JSON.stringify(pairs.slice(i * MOST_AT_ONCE, (i + 1) * MOST_AT_ONCE)),
    })),
  );
}

/** The number of a series of a cook, made where it is not there yet; the other series of its channel beside it. */
export async function seriesFor(
  trx: Knex,
  cookId: string,
  instrumentId: string,
  { channel, spot, meat }: SeriesKey,
): Promise<{ no: number; others: number[] }> {
  const of = { cook_id: cookId, instrument_id: instrumentId, channel };
  const place = { spot, meat: meat ?? '' };
  const all: { no: number; spot: string; meat: string }[] = await trx('wire_series')
    .where(of)
    .select('no', 'spot', 'meat');
  const found = all.find((s) => s.spot === place.spot && s.meat === place.meat);
  const others = all.flatMap((s) => (s === found ? [] : [s.no]));
  if (found) return { no: found.no, others };
  const [made] = await trx('wire_series')
    .insert({ ...of, ...place, offset_k: 0 })
    .returning<{ no: number }[]>('no');
  return { no: made!.no, others };
}

/** Adds many values in one statement; what a channel told of a moment before is left as it is, wherever it was then. */
const ADD_VALUES = `INSERT OR IGNORE INTO wire_values (series, at, value)
  SELECT ?, value ->> 0, value ->> 1 FROM json_each(?) AS told`;
const WHERE_NOT_ELSEWHERE = ` WHERE NOT EXISTS (SELECT 1 FROM wire_values v
  WHERE v.series IN (SELECT value FROM json_each(?)) AND v.at = told.value ->> 0)`;

/** Adds values that belong to a cook; returns how many of them are new. */
export async function addValues(
  trx: Knex,
  cookId: string,
  instrumentId: string,
  { pairs, ...key }: SeriesText,
): Promise<number> {
  const { no, others } = await seriesFor(trx, cookId, instrumentId, key);
  const { changes } = await (others.length === 0
    ? trx.raw<Changed>(ADD_VALUES, [no, pairs])
    : trx.raw<Changed>(ADD_VALUES + WHERE_NOT_ELSEWHERE, [no, pairs, JSON.stringify(others)]));
  return changes;
}

/** What the driver says of a statement that writes. */
interface Changed {
  changes: number;
}
