/** One SQLite file, written through before anything is acknowledged. */
import knexFactory, { type Knex } from 'knex';
import { lockDatabase } from './lock';
import { migrationSource, STEP_NAMES } from './migrations';

interface Connection {
  pragma(text: string): unknown;
}

/** The database was made by a newer version of this program. */
export class NewerDatabase extends Error {}
/** Pages of the database contradict each other; `found` is what SQLite says first. */
export class DamagedDatabase extends Error {}

const locks = new WeakMap<Knex, () => void>();

/**
 * Opens (and creates or brings up to date) the database at `file`; `:memory:` for a scratch one. Throws `InUse`,
 * `NewerDatabase`, `DamagedDatabase`, or what SQLite says; the file is then as it was.
 */
export async function openDatabase(file: string): Promise<Knex> {
  const unlock = file === ':memory:' ? () => undefined : lockDatabase(file);
  const db = knexFactory({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    migrations: { migrationSource },
    pool: {
      min: 1,
      max: 1,
      afterCreate(connection: Connection, done: (error: Error | null, c: Connection) => void) {
        try {
          connection.pragma('journal_mode = WAL');
          connection.pragma('synchronous = FULL');
          connection.pragma('foreign_keys = ON');
          connection.pragma('busy_timeout = 5000');
          done(null, connection);
        } catch (error) {
          done(error as Error, connection);
        }
      },
    },
  });
  locks.set(db, unlock);
  try {
    await refuseDamaged(db);
    await refuseNewer(db);
    await db.migrate.latest();
  } catch (error) {
    await closeDatabase(db);
    throw error;
  }
  return db;
}

/** Closes a database and lets others open it. */
export async function closeDatabase(db: Knex): Promise<void> {
  await db.destroy();
  locks.get(db)?.();
}

async function refuseDamaged(db: Knex): Promise<void> {
  const [first] = await db.raw<{ quick_check: string }[]>('PRAGMA quick_check(1)');
  if (first && first.quick_check !== 'ok') {
    throw new DamagedDatabase(first.quick_check.replace(/\s*\n\s*/g, ', '));
  }
}

async function refuseNewer(db: Knex): Promise<void> {
  if (!(await db.schema.hasTable('knex_migrations'))) return;
  const done = await db<{ name: string }>('knex_migrations').select('name');
  const unknown = done.find((step) => !STEP_NAMES.includes(step.name));
  if (unknown) throw new NewerDatabase(unknown.name);
}
