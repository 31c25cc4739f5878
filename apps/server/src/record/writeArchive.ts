/** Everything that a server keeps as one ZIP: JSON and CSV for each cook, pits, plans, shelf, instruments, photographs. */
import type { ArchiveHead, Reading, Versioned } from '@ostrin/contract';
import { Readable, type Writable } from 'node:stream';
import { finished, pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { actionsText, cookJson, listText, readingsText } from './cookTexts';
import type { PhotographStore } from '../photographs/photographStore';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import type { InstrumentStore } from '../store/instruments';
import type { PitStore } from '../store/pits';
import type { KeptStore, ShelfStore } from '../store/savedPlans';

/** Everything that goes into an archive and comes out of it. */
export interface RecordStores {
  cooks: CookStore;
  pits: PitStore;
  plans: KeptStore;
  shelf: ShelfStore;
  instruments: InstrumentStore;
  photographs: PhotographStore;
}

/** Names of the files in an archive. */
export const FILES = {
  head: 'record.json',
  cook: (id: string): string => `cooks/${id}.json`,
  /** What follows of a long record, counted from 2. */
  part: (id: string, n: number): string => `cooks/${id}.readings-${n}.json`,
  csv: (id: string, of: 'readings' | 'actions'): string => `cooks/${id}.${of}.csv`,
  photograph: (id: string): string => `photographs/${id}.jpg`,
};

const withoutVersion = <T extends object>({ version: _version, ...record }: Versioned<T>) => record;

/** The head: everything but the cooks and the files of their photographs. */
async function headOf(stores: RecordStores): Promise<ArchiveHead> {
  const { version: _version, ...shelf } = await stores.shelf.get();
  return {
    ostrin: 'record/1',
    pits: (await stores.pits.list()).map(withoutVersion),
    plans: (await stores.plans.list()).map(withoutVersion),
    shelf,
    instruments: (await stores.instruments.list()).map(
      // What was heard last is no part of a record, nor the id that this yard has for its pit.
      ({
        version: _,
        pitId: _pitId,
        heardAt: _heard,
        battery: _battery,
        values: _values,
        impossible: _impossible,
        ...record
      }) => record,
    ),
    // A record that was restored without its photographs has rows without files.
    photographs: (await stores.photographs.all()).filter(({ id }) => stores.photographs.has(id)),
  };
}

/** Readings of one file: what a reader checks in a moment, and of thirty probes still much less than a file may hold. */
const PART_READINGS = 10_000;

/** One cook: its document, what follows of a long record, and its CSV files. */
async function addCook(
  store: CookStore,
  cook: CookHead,
  add: (name: string, text: string | AsyncIterable<string>) => Promise<void>,
): Promise<void> {
  const slices = store.readingSlices(cook);
  let left: IteratorResult<Reading[], void> = await slices.next();
  /** Whole slices until a file is full. */
  async function* part(): AsyncGenerator<Reading[]> {
    for (let n = 0; !left.done && n < PART_READINGS; left = await slices.next()) {
      n += left.value.length;
      yield left.value;
    }
  }
  await add(FILES.cook(cook.id), cookJson(store, cook, part()));
  for (let n = 2; !left.done; n++) await add(FILES.part(cook.id, n), listText(part()));
  await add(FILES.csv(cook.id, 'readings'), readingsText(store, cook));
  await add(FILES.csv(cook.id, 'actions'), await actionsText(store, cook));
}

/**
 * Writes the archive to a stream, a slice of a cook after another, so that the memory holds one at a time. `onCook` hears how
 * many cooks of how many are in it.
 */
export async function writeArchive(
  stores: RecordStores,
  to: Writable,
  onCook: (done: number, all: number) => void = () => undefined,
): Promise<void> {
  const zip = new ZipFile();
  const through = pipeline(zip.outputStream, to);
  const failed = new Promise<never>((_done, fail) => {
    zip.on('error', fail);
    through.catch(fail);
  });
  failed.catch(() => undefined);
  const add = async (name: string, text: string | AsyncIterable<string>): Promise<void> => {
    const file = Readable.from(typeof text === 'string' ? [text] : text);
    zip.addReadStream(file, name);
    await Promise.race([finished(file), failed]);
  };
  const head = await headOf(stores);
  await add(FILES.head, JSON.stringify(head));
  const ids = (await stores.cooks.list()).map((c) => c.id);
  for (const [i, id] of ids.entries()) {
    const cook = await stores.cooks.head(id);
    if (cook) await addCook(stores.cooks, cook, add);
    onCook(i + 1, ids.length);
  }
  for (const { id } of head.photographs) {
    // A JPEG is as small as it gets.
    zip.addFile(stores.photographs.fileOf(id), FILES.photograph(id), { compress: false });
  }
  zip.end();
  await Promise.race([through, failed]);
}
