/** Bringing a whole archive into a server that has no cooks: all of it, or nothing. */
import { readArchiveHead, type ArchiveHead } from '@ostrin/contract';
import { leadMeat } from '@ostrin/core';
import type { Knex } from 'knex';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import { crc32 } from 'node:zlib';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { invalid, Problem } from '../http/problems';
import { parsed, valueOf } from '../http/read';
import { keptBefore } from '../photographs/shrink';
import { photographStore, type PhotographStore } from '../photographs/photographStore';
import { pastHead, putIn } from '../routes/imports';
import { cookStore, type CookStore } from '../store/cooks';
import { instrumentStore } from '../store/instruments';
import { NameTaken, pitStore, type PitStore } from '../store/pits';
import { savedPlanStore, shelfStore } from '../store/savedPlans';
import type { InTurn } from '../live/inTurn';
import type { Pools } from '../workers/pools';
import { FILES } from './writeArchive';

/** What one file that is read and all of them together may unfold to, bytes; and how many there may be. */
const MOST = { fileBytes: 25_000_000, allBytes: 8_000_000_000, files: 250_000 };

const wrong = (field: string, message: string): Problem => invalid([{ field, message }]);

/** The files of an archive by name. Throws a Problem where it is none, or unfolds to too much. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let bytes = 0;
  await new Promise<void>((done, fail) => {
    zip.on('entry', (entry: Entry) => {
      bytes += entry.uncompressedSize;
      const most = entry.fileName.endsWith('.csv') ? Infinity : MOST.fileBytes;
      if (entry.uncompressedSize > most || bytes > MOST.allBytes) {
        fail(wrong(entry.fileName.slice(0, 100), 'unfolds to more than may be read'));
      } else if (entries.size >= MOST.files) {
        fail(wrong('', `must have at most ${MOST.files} files`));
      } else if (entries.has(entry.fileName)) {
        fail(wrong(entry.fileName.slice(0, 100), 'is in the archive twice'));
      } else {
        entries.set(entry.fileName, entry);
        zip.readEntry();
      }
    });
    zip.on('end', done);
    zip.on('error', () => fail(wrong('', 'is damaged: its list of files cannot be read')));
    zip.readEntry();
  });
  return entries;
}

/** Reads files out of an open archive. */
class Archive {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: Map<string, Entry>,
  ) {}

  static async open(file: string): Promise<Archive> {
    const open = promisify<string, yauzl.Options, ZipFile>(yauzl.open);
    const zip = await open(file, { lazyEntries: true, autoClose: false }).catch(() => {
      throw wrong('', 'must be a ZIP archive');
    });
    return new Archive(zip, await entriesOf(zip));
  }

  close(): void {
    this.zip.close();
  }

  /** Ids of the cooks in it. */
  cooks(): string[] {
    const names = [...this.entries.keys()];
    return names.flatMap((name) => /^cooks\/([\w-]{1,64})\.json$/.exec(name)?.[1] ?? []);
  }

  has(name: string): boolean {
    return this.entries.has(name);
  }

  async read(name: string): Promise<Buffer> {
    const entry = this.entries.get(name);
    if (!entry) throw wrong(name, 'is not in the archive');
    try {
      const stream = await promisify<Entry, NodeJS.ReadableStream>(
        this.zip.openReadStream.bind(this.zip),
      )(entry);
      const data = await buffer(stream);
      if (crc32(data) !== entry.crc32) throw new Error('its checksum is another one');
      return data;
    } catch {
      throw wrong(name, 'is damaged');
    }
  }
}

/** Whatever is wrong with a file of an archive, under its name. */
async function named<T>(name: string, read: () => Promise<T>): Promise<T> {
  try {
    return await read();
  } catch (error) {
    if (!(error instanceof Problem) || error.errors.some((e) => e.field === name)) throw error;
    throw invalid(error.errors.map((e) => ({ ...e, field: `${name} ${e.field}`.trim() })));
  }
}

/** The head of an archive, checked. */
const headOf = (archive: Archive): Promise<ArchiveHead> =>
  named(FILES.head, async () => {
    const text = (await archive.read(FILES.head)).toString('utf8');
    return valueOf(parsed(text, readArchiveHead));
  });

/** Brings one cook of an archive in, out of sight, a file of its readings after the other. */
async function bringCook(
  cooks: CookStore,
  archive: Archive,
  id: string,
  pools: Pools,
): Promise<void> {
  const name = FILES.cook(id);
  const past = await named(name, async () => {
    const read = await pools.readImport(await archive.read(name));
    if (read.doc.id !== id) throw wrong(name, 'holds a cook of another id');
    return read;
  });
  await putIn(cooks, past);
  await cooks.addWritten(id, past.readings.texts);
  const { startMs, plan, entries } = past.doc;
  let { count: before, lastMs } = past.readings;
  for (let n = 2; archive.has(FILES.part(id, n)); n++) {
    const file = FILES.part(id, n);
    const of = { startMs, firstMeat: leadMeat(plan).id, before, afterMs: lastMs ?? -Infinity };
    const more = await named(file, async () => pools.readPart(await archive.read(file), of));
    await cooks.addWritten(id, more.texts);
    before += more.count;
    lastMs = more.lastMs ?? lastMs;
  }
  if (before === past.readings.count) return;
  const { finishedAt, clockMs } = pastHead(past, lastMs);
  await cooks.setEnd(id, finishedAt!, clockMs);
  await cooks.refreshGlance({ id, plan }, entries);
}

/** What came in. */
export interface BroughtIn {
  cooks: number;
  pits: number;
  photographs: number;
}

/** What is brought in together at the end. */
interface Parts {
  archive: Archive;
  head: ArchiveHead;
  ids: readonly string[];
  /** Those that take the place of a deleted one. */
  replaced: readonly string[];
  files: PhotographStore;
  pools: Pools;
}

/** Shows the cooks that are in, with everything that belongs to them: all of it, or nothing. */
async function finish(
  trx: Knex.Transaction,
  { archive, head, ids, replaced, files, pools }: Parts,
): Promise<void> {
  const cooks = cookStore(trx);
  if ((await cooks.list()).length > 0) {
    throw new Problem(409, 'This server has cooks already: start with an empty one');
  }
  // One that was deleted is there until all of the archive is: it goes with the rest, or not at all.
  for (const id of replaced) await bringCook(cooks, archive, id, pools);
  await cooks.showHidden(ids);
  for (const pit of head.pits) await putPit(pitStore(trx), pit);
  for (const plan of head.plans) await savedPlanStore(trx).put(plan);
  await shelfStore(trx).put(head.shelf);
  for (const instrument of head.instruments) await instrumentStore(trx).put(instrument);
  for (const photo of head.photographs) await files.addRow(photo, trx);
}

/** Throws 409 where another pit of the yard has its name. */
async function putPit(pits: PitStore, pit: ArchiveHead['pits'][number]): Promise<void> {
  try {
    await pits.put(pit);
  } catch (error) {
    if (!(error instanceof NameTaken)) throw error;
    throw new Problem(409, `Another pit of this yard is called ${pit.name}: rename it first`, [
      { field: `${FILES.head} pits`, message: error.message },
    ]);
  }
}

interface ReadArchive {
  db: Knex;
  /** Where photographs lie. */
  folder: string;
  pools: Pools;
  inTurn: InTurn;
  /** Hears how many cooks of how many were read. */
  onCook: (done: number, all: number) => void;
}

/**
 * Brings the archive at `file` in. Throws a Problem where the server has cooks, or where anything of it is wrong; nothing
 * is stored then.
 */
export async function readArchive(
  file: string,
  { db, folder, pools, inTurn, onCook }: ReadArchive,
): Promise<BroughtIn> {
  const archive = await Archive.open(file);
  const written: string[] = [];
  /** Cooks that are in, out of sight. */
  const hidden: string[] = [];
  const files = photographStore(db, folder);
  try {
    const head = await headOf(archive);
    const ids = archive.cooks();
    head.photographs.forEach((p, i) => {
      if (!ids.includes(p.cookId))
        throw wrong(`${FILES.head} photographs[${i}].cookId`, 'is no cook of the archive');
    });
    for (const photo of head.photographs) {
      const { data } = await keptBefore(await archive.read(FILES.photograph(photo.id)));
      // One that is there already belongs to a cook that can still be brought back.
      if (files.has(photo.id)) throw wrong(FILES.photograph(photo.id), 'is kept here already');
      await files.writeFile(photo.id, data);
      written.push(photo.id);
    }
    const cooks = cookStore(db);
    const replaced: string[] = [];
    for (const [i, id] of ids.entries()) {
      onCook(i, ids.length);
      if (await cooks.isDeleted(id)) replaced.push(id);
      else {
        hidden.push(id);
        await bringCook(cooks, archive, id, pools);
      }
    }
    await inTurn(() =>
      db.transaction((trx) => finish(trx, { archive, head, ids, replaced, files, pools })),
    );
    return { cooks: ids.length, pits: head.pits.length, photographs: head.photographs.length };
  } catch (error) {
    for (const id of written) await files.removeFile(id);
    await cookStore(db).forgetHidden(hidden);
    throw error;
  } finally {
    archive.close();
  }
}
