/** One dated step of the database. */
import type { Knex } from 'knex';

export interface Step {
  name: string;
  up(knex: Knex): Promise<void>;
  down(knex: Knex): Promise<void>;
}
