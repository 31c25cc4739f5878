/** Steps of the database that belong to the log of past cooks, the oldest first. */
import { liftPlan } from '@ostrin/contract';
import type { Plan } from '@ostrin/core';
import { wordPlan } from '@ostrin/wording';
import type { Knex } from 'knex';
import { OWN_SERIES_STEP } from './ownSeriesStep';
import type { Step } from './step';

/** Rewrites the plan of every cook, one after the other: they are long. */
async function changePlans(knex: Knex, change: (plan: unknown) => unknown): Promise<void> {
  const ids = await knex('cooks').pluck<string[]>('id');
  for (const id of ids) {
    const row = await knex('cooks').where({ id }).first<{ plan: string }>('plan');
    const plan = JSON.stringify(change(JSON.parse(row.plan)));
    await knex('cooks').where({ id }).update({ plan });
  }
}

export const LOG_STEPS: Step[] = [
  {
    // What the list shows of a finished cook, and a quick way to the entries of one kind.
    name: '2026-11-29-glances',
    async up(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.text('glance');
      });
      await knex.raw(`CREATE INDEX entries_kind ON entries (body ->> '$.kind')`);
    },
    async down(knex) {
      await knex.raw('DROP INDEX entries_kind');
      await knex.schema.alterTable('cooks', (t) => {
        t.dropColumn('glance');
      });
    },
  },
  {
    // Readings named their cook by its whole id, and stood twice: in the table and in its index.
    name: '2026-11-29-short-readings',
    async up(knex) {
      await knex.raw('ALTER TABLE cooks ADD COLUMN no INTEGER');
      await knex.raw('UPDATE cooks SET no = rowid');
      await knex.raw('CREATE UNIQUE INDEX cooks_no ON cooks (no)');
      await knex.raw('ALTER TABLE readings RENAME TO long_readings');
      await knex.raw(
        `CREATE TABLE readings (
          cook_no INTEGER NOT NULL REFERENCES cooks (no) ON DELETE CASCADE,
          at INTEGER NOT NULL, pit_c FLOAT, core_c FLOAT, more TEXT,
          PRIMARY KEY (cook_no, at)) WITHOUT ROWID`,
      );
      await knex.raw(
        `INSERT INTO readings SELECT cooks.no, at, pit_c, core_c, more
          FROM long_readings JOIN cooks ON cooks.id = long_readings.cook_id`,
      );
      await knex.raw('DROP TABLE long_readings');
    },
    async down(knex) {
      await knex.raw('ALTER TABLE readings RENAME TO short_readings');
      await knex.schema.createTable('readings', (t) => {
        t.text('cook_id').notNullable().references('cooks.id').onDelete('CASCADE');
        t.integer('at').notNullable();
        t.float('pit_c');
        t.float('core_c');
        t.text('more');
        t.primary(['cook_id', 'at']);
      });
      await knex.raw(
        `INSERT INTO readings SELECT cooks.id, at, pit_c, core_c, more
          FROM short_readings JOIN cooks ON cooks.no = short_readings.cook_no`,
      );
      await knex.raw('DROP TABLE short_readings');
      await knex.raw('DROP INDEX cooks_no');
      await knex.raw('ALTER TABLE cooks DROP COLUMN no');
    },
  },
  {
    // Photographs: the files lie beside the database.
    name: '2026-11-29-photographs',
    async up(knex) {
      await knex.schema.createTable('photographs', (t) => {
        t.text('id').primary();
        t.text('cook_id').notNullable().references('cooks.id').onDelete('CASCADE').index();
        t.integer('added_ms').notNullable();
        t.integer('width').notNullable();
        t.integer('height').notNullable();
        t.integer('bytes').notNullable();
      });
    },
    async down(knex) {
      await knex.schema.dropTableIfExists('photographs');
    },
  },
  {
    // A kind that the catalogue does not have, and pits that are put away.
    name: '2026-11-29-kinds-of-pits',
    async up(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.text('kind');
        t.integer('put_away_ms');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.dropColumns('kind', 'put_away_ms');
      });
    },
  },
  {
    // Instruments that are read by hand too, how often each is checked, and its battery.
    name: '2026-11-29-kinds-of-instruments',
    async up(knex) {
      await knex.schema.alterTable('instruments', (t) => {
        t.text('kind');
        t.integer('due_days');
        t.integer('battery_changed_ms');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('instruments', (t) => {
        t.dropColumns('kind', 'due_days', 'battery_changed_ms');
      });
    },
  },
  {
    // Values told by wire named cook, instrument, channel and place in full, and stood twice.
    name: '2026-11-29-short-wire',
    async up(knex) {
      await knex.raw(
        `CREATE TABLE wire_series (
          no INTEGER PRIMARY KEY,
          cook_id TEXT NOT NULL REFERENCES cooks (id) ON DELETE CASCADE,
          instrument_id TEXT NOT NULL, channel TEXT NOT NULL, spot TEXT NOT NULL,
          meat TEXT NOT NULL DEFAULT '', offset_k FLOAT NOT NULL,
          UNIQUE (cook_id, instrument_id, channel, spot, meat))`,
      );
      await knex.raw(
        `CREATE TABLE wire_values (
          series INTEGER NOT NULL REFERENCES wire_series (no) ON DELETE CASCADE,
          at INTEGER NOT NULL, value FLOAT NOT NULL,
          PRIMARY KEY (series, at)) WITHOUT ROWID`,
      );
      await knex.raw(
        `INSERT OR IGNORE INTO wire_series
            (cook_id, instrument_id, channel, spot, meat, offset_k)
          SELECT cook_id, instrument_id, channel, spot, coalesce(meat, ''), max(offset_k)
          FROM wire GROUP BY 1, 2, 3, 4, 5`,
      );
      await knex.raw(
        `INSERT INTO wire_values
          SELECT s.no, w.at, w.value FROM wire w JOIN wire_series s
            ON s.cook_id = w.cook_id AND s.instrument_id = w.instrument_id
            AND s.channel = w.channel AND s.spot = w.spot AND s.meat = coalesce(w.meat, '')`,
      );
      await knex.raw('DROP TABLE wire');
    },
    async down(knex) {
      await knex.schema.createTable('wire', (t) => {
        t.text('cook_id').notNullable().references('cooks.id').onDelete('CASCADE');
        t.text('instrument_id').notNullable();
        t.text('channel').notNullable();
        t.integer('at').notNullable();
        t.text('spot').notNullable();
        t.text('meat');
        t.float('value').notNullable();
        t.float('offset_k').notNullable();
        t.primary(['cook_id', 'instrument_id', 'channel', 'at']);
      });
      await knex.raw(
        `INSERT INTO wire
          SELECT cook_id, instrument_id, channel, at, spot, nullif(meat, ''), value, offset_k
          FROM wire_series JOIN wire_values ON series = no`,
      );
      await knex.raw('DROP TABLE wire_values');
      await knex.raw('DROP TABLE wire_series');
    },
  },
  {
    // A plan was kept with its sentences, in the units of whoever made it.
    name: '2026-12-01-plans-as-figures',
    up: (knex) => changePlans(knex, liftPlan),
    // The sentences are made from the figures, which plans of before have no room for.
    // Every plan that is kept was checked when it came in.
    down: (knex) => changePlans(knex, (plan) => wordPlan(plan as Plan)),
  },
  {
    // Cooks and instruments were known to their pit by its name: a new name rewrote them all.
    name: '2026-12-01-pits-by-id',
    async up(knex) {
      for (const table of ['cooks', 'instruments']) {
        await knex.schema.alterTable(table, (t) => {
          t.text('pit_id');
        });
        await knex(table).update({
          pit_id: knex.raw('(SELECT p.id FROM pits p WHERE p.name = pit_name)'),
        });
      }
    },
    async down(knex) {
      for (const table of ['cooks', 'instruments']) {
        await knex(table)
          .whereNotNull('pit_id')
          .update({
            pit_name: knex.raw(
              'coalesce((SELECT p.name FROM pits p WHERE p.id = pit_id), pit_name)',
            ),
          });
        await knex.raw(`ALTER TABLE ${table} DROP COLUMN pit_id`);
      }
    },
  },
  {
    // What an instrument read that cannot be true: somebody has to see it.
    name: '2026-12-01-impossible-readings',
    async up(knex) {
      await knex.schema.alterTable('instruments', (t) => {
        t.text('impossible').notNullable().defaultTo('{}');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('instruments', (t) => {
        t.dropColumn('impossible');
      });
    },
  },
  {
    // The demo data came back when its cooks were deleted, over what had been made since.
    name: '2026-12-01-demo-marks',
    async up(knex) {
      await knex.schema.createTable('demo', (t) => {
        t.text('what').notNullable();
        t.text('id').notNullable();
        t.primary(['what', 'id']);
      });
      const used = (await knex('cooks').first('id')) ?? (await knex('pits').first('id'));
      if (used) await knex('demo').insert({ what: 'loaded', id: '' });
    },
    async down(knex) {
      await knex.schema.dropTableIfExists('demo');
    },
  },
  OWN_SERIES_STEP,
  {
    // A clock that jumped a year ahead made every deleted cook too old to keep.
    name: '2026-12-02-days',
    async up(knex) {
      await knex.schema.createTable('days', (t) => {
        t.integer('day').primary();
      });
    },
    async down(knex) {
      await knex.schema.dropTableIfExists('days');
    },
  },
];
