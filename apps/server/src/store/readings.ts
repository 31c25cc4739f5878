/** What was read during a cook: by instruments, and its own record (the simulated thermometer, or what was brought in). */
import type { Reading } from '@ostrin/contract';
import { MOST_VALUES, STEPS, wireReadings, type WireValue } from '@ostrin/core/log';
import { DAY_MS, MINUTE_MS } from '@ostrin/core/quantity';
import type { Knex } from 'knex';
import { setImmediate as otherRequests } from 'node:timers/promises';
import { offsetsOf } from './instruments';
import { writtenReadings } from './ownReadings';
import { addValues, OWN } from './series';

/** What a cook's rows need to know of it: its first piece has a place of its own in a row. */
export interface ReadCook {
  id: string;
  firstMeat: string;
}

/** A series as it is stored. */
interface SeriesRow {
  no: number;
  spot: WireValue['spot'];
  /** Empty where it was in none. */
  meat: string;
  /** Empty for the cook's own record. */
  instrument_id: string;
  channel: string;
  offset_k: number;
}

/** A value of a series. */
interface ValueRow {
  at: number;
  value: number;
}

/**
 * The first value of a series in each step of a span, by seeking from step to step: the rows between are not read. Steps begin
 * at whole multiples of their length since 1970.
 */
const IN_STEPS = `WITH RECURSIVE pick(at) AS (
    SELECT min(at) FROM wire_values WHERE series = :no AND at >= :fromMs AND at < :toMs
    UNION ALL
    SELECT (SELECT min(at) FROM wire_values
      WHERE series = :no AND at >= (pick.at / :stepMs + 1) * :stepMs AND at < :toMs)
    FROM pick WHERE pick.at IS NOT NULL)
  SELECT v.at, v.value FROM pick JOIN wire_values v ON v.series = :no AND v.at = pick.at`;

/** Adds readings to a cook's own record; those of moments that are there already are passed over. */
export async function addReadings(
  trx: Knex,
  { id, firstMeat }: ReadCook,
  readings: readonly Reading[],
): Promise<void> {
  for (const text of writtenReadings(readings, firstMeat)) await addValues(trx, id, OWN, text);
}

/** Whether more was read of a cook than the pit at its grate and its first piece. */
export async function readMore(db: Knex, { id, firstMeat }: ReadCook): Promise<boolean> {
  const more: unknown = await db('wire_series')
    .where({ cook_id: id })
    .whereNotIn('spot', ['grate', 'none'])
    .whereRaw(`NOT (spot = 'meat' AND meat = ?)`, [firstMeat])
    .whereRaw('EXISTS (SELECT 1 FROM wire_values WHERE series = no)')
    .first('no');
  return more !== undefined;
}

/** The whole time. */
const EVER = [-8.64e15, 8.64e15] as const;

/** When the first value of a cook at or after a moment was, or its last, epoch ms; null where there is none. */
async function momentOf(db: Knex, id: string, fromMs: number | 'last'): Promise<number | null> {
  const seek =
    fromMs === 'last'
      ? db.raw('(SELECT max(at) FROM wire_values WHERE series = no) AS at')
      : db.raw('(SELECT min(at) FROM wire_values WHERE series = no AND at >= ?) AS at', [fromMs]);
  const rows: { at: number | null }[] = await db('wire_series').where({ cook_id: id }).select(seek);
  const found = rows.flatMap(({ at }) => at ?? []);
  if (found.length === 0) return null;
  return fromMs === 'last' ? Math.max(...found) : Math.min(...found);
}

/** When the last reading of a cook was, cook's clock, epoch ms; null where there is none. */
export const lastReadingMs = (db: Knex, id: string): Promise<number | null> =>
  momentOf(db, id, 'last');

/** Whether a cook has more values within a span than that. */
async function isLong(
  db: Knex,
  id: string,
  span: readonly [number, number],
  most: number,
): Promise<boolean> {
  const [{ n }] = (await db.raw(
    `SELECT count(*) AS n FROM (SELECT 1 FROM wire_series JOIN wire_values ON series = no
      WHERE cook_id = ? AND at >= ? AND at < ? LIMIT ?)`,
    [id, ...span, most + 1],
  )) as [{ n: number }];
  return n > most;
}

/** A series with what its channel reads too much: now, or when its instrument was removed. */
type Series = Pick<WireValue, 'spot' | 'meat' | 'offsetK'> & { no: number };

/** The series of a cook that have a place; what an instrument read stands over the cook's own record, and comes later. */
async function seriesOf(db: Knex, cook: ReadCook): Promise<Series[]> {
  const offsets = await offsetsOf(db);
  const rows: SeriesRow[] = await db('wire_series')
    .where({ cook_id: cook.id })
    .whereNot({ spot: 'none' })
    .orderBy(['instrument_id', 'no']);
  return rows.map(({ no, spot, meat, instrument_id, channel, offset_k }) => ({
    no,
    spot,
    meat: meat || null,
    offsetK:
      instrument_id === OWN ? null : (offsets.get(`${instrument_id}/${channel}`) ?? offset_k),
  }));
}

/** Rows in order of time of what `read` finds of each series. */
async function rowsOf(
  series: readonly Series[],
  cook: ReadCook,
  read: (no: number) => Promise<ValueRow[]>,
): Promise<{ rows: Reading[]; values: number }> {
  const values: WireValue[] = [];
  for (const { no, ...of } of series) {
    for (const { at, value } of await read(no)) values.push({ at, value, ...of });
  }
  return { rows: wireReadings(values, cook.firstMeat), values: values.length };
}

/** Every value of a series within [from, to). */
const valuesIn = (
  db: Knex,
  [fromMs, toMs]: readonly [number, number],
): ((series: number) => Promise<ValueRow[]>) => {
  return (series) =>
    db('wire_values')
      .where({ series })
      .where('at', '>=', fromMs)
      .where('at', '<', toMs)
      .select('at', 'value');
};

/** Every reading of a cook within [from, to), in order of time. */
async function readingsBetween(
  db: Knex,
  cook: ReadCook,
  span: readonly [number, number],
): Promise<Reading[]> {
  return (await rowsOf(await seriesOf(db, cook), cook, valuesIn(db, span))).rows;
}

async function pickedReadings(
  db: Knex,
  cook: ReadCook,
  steps: readonly { fromMs: number; toMs: number; stepMs: number }[],
): Promise<Reading[]> {
  const picked = await rowsOf(await seriesOf(db, cook), cook, async (no) => {
    const rows: ValueRow[] = [];
    for (const step of steps) {
      rows.push(...(await db.raw<ValueRow[]>(IN_STEPS, { no, ...step })));
      await otherRequests();
    }
    return rows;
  });
  return picked.rows;
}

/** The readings of a cook, in order of time: all of them, or, of a long record, one of each channel in each step. */
export async function readingsOf(
  db: Knex,
  cook: ReadCook,
): Promise<{ readings: Reading[]; inSteps: boolean }> {
  if (!(await isLong(db, cook.id, EVER, MOST_VALUES)))
    return { readings: await readingsBetween(db, cook, EVER), inSteps: false };
  const last = (await lastReadingMs(db, cook.id))!;
  let toMs = last + 1;
  const steps = STEPS.map(({ untilAgoMs, stepMs }) => {
    const fromMs = Math.max(last - untilAgoMs, EVER[0]);
    const step = { fromMs, toMs, stepMs };
    toMs = fromMs;
    return step;
  });
  return { readings: await pickedReadings(db, cook, steps), inSteps: true };
}

/** Readings in [from, to) for a strip of that span: all of them where they are few, else about so many of each channel. */
export async function readingsShown(
  db: Knex,
  cook: ReadCook,
  span: readonly [number, number],
  most: number,
): Promise<Reading[]> {
  if (!(await isLong(db, cook.id, span, 2 * most))) return readingsBetween(db, cook, span);
  const [fromMs, toMs] = span;
  return pickedReadings(db, cook, [{ fromMs, toMs, stepMs: Math.ceil((toMs - fromMs) / most) }]);
}

/** So much of a cook is read at once: values, as many as take a few thousandths of a second, and time, ms. */
const SLICE = { values: 2_000, firstMs: 10 * MINUTE_MS, longestMs: DAY_MS };

/** Every reading of a cook, a slice of time after another; other requests have their turn between. */
export async function* readingSlices(db: Knex, cook: ReadCook): AsyncGenerator<Reading[]> {
  const series = await seriesOf(db, cook);
  let sliceMs = SLICE.firstMs;
  let fromMs = await momentOf(db, cook.id, EVER[0]);
  while (fromMs !== null) {
    const toMs: number = fromMs + sliceMs;
    const { rows, values } = await rowsOf(series, cook, valuesIn(db, [fromMs, toMs]));
    if (rows.length > 0) yield rows;
    await otherRequests();
    if (values > 2 * SLICE.values) sliceMs /= 2;
    else if (values < SLICE.values / 2) sliceMs = Math.min(2 * sliceMs, SLICE.longestMs);
    // Where nothing was read for long, on to the next.
    fromMs = values > 0 ? toMs : await momentOf(db, cook.id, toMs);
  }
}
