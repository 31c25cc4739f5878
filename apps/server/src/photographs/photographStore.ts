/** Photographs of cooks: rows in the database, files beside it. A row stands only for a file that is whole. */
import type { PhotographRecord } from '@ostrin/contract';
import type { Knex } from 'knex';
import { existsSync } from 'node:fs';
import { mkdir, open, readdir, readFile, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import type { Photograph } from './shrink';

interface Row {
  id: string;
  cook_id: string;
  added_ms: number;
  width: number;
  height: number;
  bytes: number;
}

const fromRow = (r: Row): PhotographRecord => ({
  id: r.id,
  cookId: r.cook_id,
  addedAt: r.added_ms,
  width: r.width,
  height: r.height,
  bytes: r.bytes,
});

/** Writes a file whole or not at all: under another name first, and through to the disk. */
async function writeWhole(file: string, data: Buffer): Promise<void> {
  const part = `${file}.part`;
  try {
    const handle = await open(part, 'w');
    try {
      await handle.writeFile(data);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

/** Names of photographs, and of what a writing leaves that was cut off. */
const PHOTOGRAPH_NAME = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\.jpg$/;
const PART_NAME = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\.jpg\.part$/;
/** Where photographs go that no row stands for. */
export const ASIDE = 'without-a-cook';

/** The repository of photographs; `folder` is where their files lie. */
export function photographStore(db: Knex, folder: string) {
  const rows = (on: Knex = db) => on<Row>('photographs');
  const fileOf = (id: string): string => path.join(folder, `${id}.jpg`);
  return {
    fileOf,
    /** Whether the file of a photograph is there. */
    has: (id: string): boolean => existsSync(fileOf(id)),
    async list(cookId: string): Promise<PhotographRecord[]> {
      const found = await rows()
        .where({ cook_id: cookId })
        .orderBy([{ column: 'added_ms' }, { column: 'id' }]);
      return found.map(fromRow);
    },
    async get(cookId: string, id: string): Promise<PhotographRecord | null> {
      const row = await rows().where({ id, cook_id: cookId }).first();
      return row ? fromRow(row) : null;
    },
    /** All photographs of cooks that are not deleted. */
    async all(): Promise<PhotographRecord[]> {
      const found = await rows()
        .whereIn('cook_id', db('cooks').whereNull('deleted_ms').select('id'))
        .orderBy([{ column: 'cook_id' }, { column: 'added_ms' }, { column: 'id' }]);
      return found.map(fromRow);
    },
    /** Writes the file of a photograph; its row comes after it. */
    async writeFile(id: string, data: Buffer): Promise<void> {
      await mkdir(folder, { recursive: true });
      await writeWhole(fileOf(id), data);
    },
    removeFile: (id: string): Promise<void> => rm(fileOf(id), { force: true }),
    /** Adds a row to a file that was written. */
    addRow: async (
      { id, cookId, addedAt, width, height, bytes }: PhotographRecord,
      trx: Knex = db,
    ): Promise<void> => {
      await rows(trx).insert({ id, cook_id: cookId, added_ms: addedAt, width, height, bytes });
    },
    /** Keeps a photograph: its file and its row, or nothing. */
    async add(
      of: Pick<PhotographRecord, 'id' | 'cookId' | 'addedAt'>,
      { data, width, height }: Photograph,
    ): Promise<PhotographRecord> {
      const record = { ...of, width, height, bytes: data.length };
      await this.writeFile(of.id, data);
      try {
        await this.addRow(record);
      } catch (error) {
        await this.removeFile(of.id);
        throw error;
      }
      return record;
    },
    /** Says whether there was one. */
    async remove(cookId: string, id: string): Promise<boolean> {
      const removed = await rows().where({ id, cook_id: cookId }).delete();
      if (removed > 0) await this.removeFile(id);
      return removed > 0;
    },
    /**
     * Copies photographs in from a folder that several databases shared; what lies there stays. Returns how many it has
     * copied.
     */
    async adopt(shared: string): Promise<number> {
      let copied = 0;
      for (const { id } of await rows().select('id')) {
        const from = path.join(shared, `${id}.jpg`);
        if (existsSync(fileOf(id)) || !existsSync(from)) continue;
        await mkdir(folder, { recursive: true });
        await writeWhole(fileOf(id), await readFile(from));
        copied++;
      }
      return copied;
    },
    /**
     * Puts photographs that no row stands for aside, into a folder of their own, and lets go of what a writing left that
     * was cut off. What it does not know by its name stays where it is. Returns how many it has put aside.
     */
    async tidy(): Promise<number> {
      if (!existsSync(folder)) return 0;
      const known = new Set((await rows().select('id')).map((r) => `${r.id}.jpg`));
      const names = (await readdir(folder)).filter((name) => !known.has(name));
      for (const name of names.filter((n) => PART_NAME.test(n)))
        await rm(path.join(folder, name), { force: true });
      const stray = names.filter((n) => PHOTOGRAPH_NAME.test(n));
      if (stray.length > 0) await mkdir(path.join(folder, ASIDE), { recursive: true });
      for (const name of stray) {
        await rename(path.join(folder, name), path.join(folder, ASIDE, name));
      }
      return stray.length;
    },
  };
}

export type PhotographStore = ReturnType<typeof photographStore>;
