/** This browser's own database: taps that wait to be sent, the cooks it knows, and who holds what. */
import type { Entry } from '@ostrin/core/log';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { CookView } from '../api/queries';
import type { Tap } from '../outbox/tap';

/** A cook as it was last known, and when, epoch ms. */
export interface SavedCook {
  id: string;
  savedAt: number;
  view: CookView;
}

interface Schema extends DBSchema {
  /** One tap one record, in the order in which they were made. */
  taps: { key: number; value: Tap; indexes: { entryId: Entry['id'] } };
  /** The last that was known of each cook, for when the server is away. */
  cooks: { key: string; value: SavedCook };
  /** Who holds a lock, and until when, epoch ms: for browsers without locks of their own. */
  leases: { key: string; value: { name: string; holder: string; until: number } };
}

type OwnDatabase = IDBPDatabase<Schema>;

let opened: Promise<OwnDatabase> | null = null;

/** Opens the database. Rejects where this browser has none, or refuses it. */
export function ownDatabase(): Promise<OwnDatabase> {
  opened ??= openDB<Schema>('ostrin', 1, {
    upgrade(db) {
      db.createObjectStore('taps', { keyPath: 'seq', autoIncrement: true }).createIndex(
        'entryId',
        'entry.id',
        { unique: true },
      );
      db.createObjectStore('cooks', { keyPath: 'id' });
      db.createObjectStore('leases', { keyPath: 'name' });
    },
    // A newer version in another tab may go on; this one opens anew when it needs it.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    terminated() {
      opened = null;
    },
  });
  const mine = opened;
  mine.catch(() => {
    if (opened === mine) opened = null;
  });
  return mine;
}
