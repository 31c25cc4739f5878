/** Steps of the database that belong to the log of past cooks, the oldest first. */
import type { Step } from './step';

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
];
