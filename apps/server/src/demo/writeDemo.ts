/** `node writeDemo.js FILE`: a new database with the demo world in it, for tests and pictures that begin with one. */
import { cookStore } from '../store/cooks';
import { closeDatabase, openDatabase } from '../store/db';
import { loadDemo } from './loadDemo';

const file = process.argv[2];
if (!file) throw new Error('say which file to write');
const db = await openDatabase(file);
await loadDemo(db, Date.now());
await cookStore(db).fillGlances((error) => {
  throw error;
});
// One file, with nothing of it left beside.
await db.raw('PRAGMA wal_checkpoint(TRUNCATE)');
await closeDatabase(db);
