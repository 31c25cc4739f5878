/** Bringing a whole archive into a server that has no cooks: all of it, or nothing. */
import { readArchiveHead, type ArchiveHead, type CookDoc } from '@ostrin/contract';
import type { Knex } from 'knex';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import { crc32 } from 'node:zlib';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { invalid, Problem } from '../http/problems';
import { keptBefore } from '../photographs/shrink';
import { photographStore } from '../photographs/photographStore';
import { bringIn } from '../routes/imports';
import { cookStore } from '../store/cooks';
import { instrumentStore } from '../store/instruments';
import { pitStore } from '../store/pits';
import { savedPlanStore, shelfStore } from '../store/savedPlans';
import type { Pools } from '../workers/pools';
import { FILES } from './writeArchive';

/** What one file of an archive and all of them together may unfold to, bytes; and how many there may be. */
const MOST = { fileBytes: 25_000_000, allBytes: 8_000_000_000, files: 250_000 };

const wrong = (field: string, message: string): Problem => invalid([{ field, message }]);

/** The files of an archive by name. Throws a Problem where it is none, or unfolds to too much. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let bytes = 0;
  await new Promise<void>((done, fail) => {
    zip.on('entry', (entry: Entry) => {
      bytes += entry.uncompressedSize;
      if (entry.uncompressedSize > MOST.fileBytes || bytes > MOST.allBytes) {
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

/** The head of an archive, checked. */
async function headOf(archive: Archive): Promise<ArchiveHead> {
  let plain: unknown;
  try {
    plain = JSON.parse((await archive.read(FILES.head)).toString('utf8'));
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw wrong(FILES.head, 'is not JSON');
  }
  const head = readArchiveHead(plain);
  if (head.ok) return head.value;
  throw invalid(head.problems.map((p) => ({ ...p, field: `${FILES.head} ${p.field}`.trim() })));
}

/** One cook of an archive, checked, under the name of its file. */
async function cookOf(archive: Archive, id: string, pools: Pools): Promise<CookDoc> {
  const name = FILES.cook(id);
  const text = (await archive.read(name)).toString('utf8');
  try {
    const doc = await pools.readImport(text);
    if (doc.id !== id) throw wrong(name, 'holds a cook of another id');
    return doc;
  } catch (error) {
    if (!(error instanceof Problem) || error.errors.some((e) => e.field === name)) throw error;
    throw invalid(error.errors.map((e) => ({ ...e, field: `${name} ${e.field}`.trim() })));
  }
}

/** What came in. */
export interface BroughtIn {
  cooks: number;
  pits: number;
  photographs: number;
}

/**
 * Brings the archive at `file` in. Throws a Problem where the server has cooks, or where anything of it is wrong; nothing
 * is stored then. `folder` is where photographs lie.
 */
export async function readArchive(
  file: string,
  { db, folder, pools }: { db: Knex; folder: string; pools: Pools },
): Promise<BroughtIn> {
  const archive = await Archive.open(file);
  const written: string[] = [];
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
    await db.transaction(async (trx) => {
      const cooks = cookStore(trx);
      if ((await cooks.list()).length > 0) {
        throw new Problem(409, 'This server has cooks already: start with an empty one');
      }
      for (const pit of head.pits) await pitStore(trx).put(pit);
      for (const plan of head.plans) await savedPlanStore(trx).put(plan);
      await shelfStore(trx).put(head.shelf);
      for (const instrument of head.instruments) await instrumentStore(trx).put(instrument);
      // The order of the list is that of their lighting; where two are alike, that of coming in.
      for (const id of ids) await bringIn(cooks, await cookOf(archive, id, pools));
      for (const photo of head.photographs) await files.addRow(photo, trx);
    });
    return { cooks: ids.length, pits: head.pits.length, photographs: head.photographs.length };
  } catch (error) {
    for (const id of written) await files.removeFile(id);
    throw error;
  } finally {
    archive.close();
  }
}
