/** Plain, dated steps. A step that has shipped is never edited; a new one is added below. */
import type { Knex } from 'knex';
import { LOG_STEPS } from './logSteps';
import type { Step } from './step';

const STEPS: Step[] = [
  {
    name: '2026-11-23-first',
    async up(knex) {
      await knex.schema.createTable('pits', (t) => {
        t.text('id').primary();
        t.text('name').notNullable();
        t.text('preset').notNullable();
        t.text('overrides').notNullable();
      });
      await knex.schema.createTable('cooks', (t) => {
        t.text('id').primary();
        t.text('name').notNullable();
        t.text('pit_name').notNullable();
        t.integer('start_ms').notNullable();
        t.integer('finished_ms');
        t.text('plan').notNullable();
        t.integer('clock_ms').notNullable();
        t.float('speed').notNullable();
      });
      await knex.schema.createTable('entries', (t) => {
        t.increments('seq');
        t.text('id').notNullable().unique();
        t.text('cook_id').notNullable().references('cooks.id').onDelete('CASCADE').index();
        t.integer('at').notNullable();
        t.text('body').notNullable();
      });
      await knex.schema.createTable('readings', (t) => {
        t.text('cook_id').notNullable().references('cooks.id').onDelete('CASCADE');
        t.integer('at').notNullable();
        t.float('pit_c');
        t.float('core_c');
        t.primary(['cook_id', 'at']);
      });
    },
    async down(knex) {
      for (const table of ['readings', 'entries', 'cooks', 'pits']) {
        await knex.schema.dropTableIfExists(table);
      }
    },
  },
  {
    name: '2026-11-23-vent-way',
    async up(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.text('vent_way').notNullable().defaultTo('quarters');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.dropColumn('vent_way');
      });
    },
  },
  {
    name: '2026-11-24-kept-plans-and-shelf',
    async up(knex) {
      await knex.schema.createTable('kept_plans', (t) => {
        t.text('id').primary();
        t.text('name').notNullable();
        t.boolean('favourite').notNullable();
        t.text('request').notNullable();
        t.integer('changed_ms').notNullable();
      });
      await knex.schema.createTable('fuels', (t) => {
        t.text('fuel').primary();
        t.float('on_hand_kg');
        t.float('bag_kg');
        t.float('each');
      });
    },
    async down(knex) {
      await knex.schema.dropTableIfExists('fuels');
      await knex.schema.dropTableIfExists('kept_plans');
    },
  },
  {
    name: '2026-11-28-versions',
    async up(knex) {
      for (const table of ['pits', 'kept_plans']) {
        await knex.schema.alterTable(table, (t) => {
          t.integer('version').notNullable().defaultTo(1);
        });
      }
      await knex.schema.createTable('versions', (t) => {
        t.text('of').primary();
        t.integer('version').notNullable();
      });
      await knex('versions').insert({ of: 'shelf', version: 1 });
    },
    async down(knex) {
      await knex.schema.dropTableIfExists('versions');
      for (const table of ['pits', 'kept_plans']) {
        await knex.schema.alterTable(table, (t) => {
          t.dropColumn('version');
        });
      }
    },
  },
  {
    // What the list of cooks shows, so that it can be told without reading every plan.
    name: '2026-11-28-cook-list',
    async up(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.integer('people').notNullable().defaultTo(1);
        t.text('cut').notNullable().defaultTo('');
        t.integer('pieces').notNullable().defaultTo(1);
      });
      await knex('cooks').update({
        people: knex.raw("json_extract(plan, '$.request.people')"),
        cut: knex.raw("json_extract(plan, '$.request.meats[0].cut')"),
        pieces: knex.raw("json_extract(plan, '$.pieces')"),
      });
    },
    async down(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.dropColumns('people', 'cut', 'pieces');
      });
    },
  },
  {
    name: '2026-11-28-access',
    async up(knex) {
      await knex.schema.createTable('access', (t) => {
        t.text('of').primary();
        t.text('hash').notNullable();
      });
      await knex.schema.createTable('sessions', (t) => {
        t.text('id').primary();
        t.text('token_hash').notNullable().unique();
        t.text('device').notNullable();
        t.text('name').notNullable();
        t.text('role').notNullable();
        t.integer('created_ms').notNullable();
        t.integer('seen_ms').notNullable();
      });
      await knex.schema.createTable('invites', (t) => {
        t.text('code_hash').primary();
        t.text('role').notNullable();
        t.integer('until_ms').notNullable();
      });
    },
    async down(knex) {
      for (const table of ['invites', 'sessions', 'access']) {
        await knex.schema.dropTableIfExists(table);
      }
    },
  },
  {
    // Cooks on a real fire beside those on a simulated one: all of before were practice.
    name: '2026-11-28-cook-fire',
    async up(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.text('fire').notNullable().defaultTo('practice');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.dropColumn('fire');
      });
    },
  },
  {
    // What instruments tell by wire, as they reported it, and what else a reading may hold beside pit and first piece.
    name: '2026-11-28-instruments',
    async up(knex) {
      await knex.schema.createTable('instruments', (t) => {
        t.text('id').primary();
        t.text('name').notNullable();
        t.text('pit_name').notNullable();
        t.text('channels').notNullable();
        t.text('token_hash').unique();
        t.integer('heard_ms');
        t.float('battery');
        t.text('heard').notNullable().defaultTo('{}');
        t.integer('version').notNullable().defaultTo(1);
      });
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
      await knex.schema.alterTable('readings', (t) => {
        t.text('more');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('readings', (t) => {
        t.dropColumn('more');
      });
      await knex.schema.dropTableIfExists('wire');
      await knex.schema.dropTableIfExists('instruments');
    },
  },
  {
    name: '2026-11-29-vent-scales',
    async up(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.text('vent_scales');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.dropColumn('vent_scales');
      });
    },
  },
  {
    name: '2026-11-29-learned-pits',
    async up(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.text('learned');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('pits', (t) => {
        t.dropColumn('learned');
      });
    },
  },
  {
    name: '2026-11-29-deleted-cooks',
    async up(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.integer('deleted_ms');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('cooks', (t) => {
        t.dropColumn('deleted_ms');
      });
    },
  },
  ...LOG_STEPS,
];

/** Names of all steps, the oldest first. */
export const STEP_NAMES: readonly string[] = STEPS.map((s) => s.name);

/** A static list for Knex: no directory is scanned. */
export const migrationSource: Knex.MigrationSource<Step> = {
  getMigrations: () => Promise.resolve(STEPS),
  getMigrationName: (step) => step.name,
  getMigration: (step) => Promise.resolve(step),
};
