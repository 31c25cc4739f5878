/** One SQLite file, written through before anything is acknowledged. */
import knexFactory, { type Knex } from 'knex';
import { migrationSource } from './migrations';

interface Connection {
  pragma(text: string): unknown;
}

/** Opens (and creates or brings up to date) the database at `file`; `:memory:` for a scratch one. */
export async function openDatabase(file: string): Promise<Knex> {
  const db = knexFactory({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    migrations: { migrationSource },
    pool: {
      min: 1,
      max: 1,
      afterCreate(connection: Connection, done: (error: Error | null, c: Connection) => void) {
        connection.pragma('journal_mode = WAL');
        connection.pragma('synchronous = FULL');
        connection.pragma('foreign_keys = ON');
        connection.pragma('busy_timeout = 5000');
        done(null, connection);
      },
    },
  });
  await db.migrate.latest();
  return db;
}
