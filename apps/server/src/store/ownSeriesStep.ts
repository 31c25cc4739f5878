/** The step of the database by which a cook's own readings became series, as what instruments read had been before. */
import { wireReadings } from '@ostrin/core/log';
import type { Knex } from 'knex';
import type { Step } from './step';

/** Everything that rows of readings told, a value each. The first piece of each cook is looked up once: plans are long. */
const VALUES = `WITH firsts AS MATERIALIZED
    (SELECT no, id, plan ->> '$.request.meats[0].id' AS meat FROM cooks),
  told AS (
    SELECT cook_no, at, 'grate' AS spot, NULL AS meat, pit_c AS value FROM readings
    UNION ALL SELECT cook_no, at, 'meat', firsts.meat, core_c
      FROM readings JOIN firsts ON firsts.no = cook_no
    UNION ALL SELECT cook_no, at, 'dome', NULL, more ->> '$.domeC' FROM readings
    UNION ALL SELECT cook_no, at, 'fan', NULL, more ->> '$.fanDuty' FROM readings
    UNION ALL SELECT cook_no, at, 'air', NULL, more ->> '$.weather.airC' FROM readings
    UNION ALL SELECT cook_no, at, 'wind', NULL, more ->> '$.weather.windMps' FROM readings
    UNION ALL SELECT cook_no, at, 'rain', NULL, more ->> '$.weather.rainMmPerH' FROM readings
    UNION ALL SELECT cook_no, at, 'meat', m.key, m.value
      FROM readings, json_each(readings.more, '$.meatC') m),
  own AS (
    SELECT firsts.id AS cook_id, spot || '/' || coalesce(told.meat, '') AS channel, spot,
      coalesce(told.meat, '') AS meat, at, value
    FROM told JOIN firsts ON firsts.no = cook_no WHERE value IS NOT NULL)`;

const ROWS = `INSERT INTO readings (cook_no, at, pit_c, core_c, more)
  SELECT ?, value ->> '$.at', value ->> '$.pitC', value ->> '$.coreC',
    nullif(json_remove(value, '$.at', '$.pitC', '$.coreC'), '{}')
  FROM json_each(?)`;

interface OwnRow {
  at: number;
  spot: Parameters<typeof wireReadings>[0][number]['spot'];
  meat: string;
  value: number;
}

/** A cook's own record back in rows. */
async function rowsBack(knex: Knex, cook: { no: number; id: string; meat: string }): Promise<void> {
  const values: OwnRow[] = await knex('wire_series')
    .join('wire_values', 'series', 'no')
    .where({ cook_id: cook.id, instrument_id: '' })
    .select('at', 'spot', 'meat', 'value');
  const rows = wireReadings(
    values.map((v) => ({ ...v, meat: v.meat || null, offsetK: null })),
    cook.meat,
  );
  await knex.raw(ROWS, [cook.no, JSON.stringify(rows)]);
}

export const OWN_SERIES_STEP: Step = {
  name: '2026-12-02-own-series',
  async up(knex) {
    await knex.raw(
      `${VALUES} INSERT INTO wire_series (cook_id, instrument_id, channel, spot, meat, offset_k)
        SELECT DISTINCT cook_id, '', channel, spot, meat, 0 FROM own`,
    );
    await knex.raw(
      `${VALUES} INSERT OR IGNORE INTO wire_values (series, at, value)
        SELECT s.no, at, value FROM own JOIN wire_series s
          ON s.cook_id = own.cook_id AND s.instrument_id = '' AND s.channel = own.channel`,
    );
    await knex.raw('DROP TABLE readings');
  },
  async down(knex) {
    await knex.raw(
      `CREATE TABLE readings (
        cook_no INTEGER NOT NULL REFERENCES cooks (no) ON DELETE CASCADE,
        at INTEGER NOT NULL, pit_c FLOAT, core_c FLOAT, more TEXT,
        PRIMARY KEY (cook_no, at)) WITHOUT ROWID`,
    );
    const cooks: { no: number; id: string; meat: string }[] = await knex('cooks').select(
      'no',
      'id',
      knex.raw(`plan ->> '$.request.meats[0].id' AS meat`),
    );
    for (const cook of cooks) await rowsBack(knex, cook);
    await knex('wire_series').where({ instrument_id: '' }).delete();
  },
};
