/** Versions in headers: `ETag` with what is read, `If-Match` with what is written. */
import type { Request, Response } from 'express';
import { Stale, type Expected } from '../store/versions';
import { Problem } from './problems';

/** The version that a request expects; null where it expects none. One that cannot be ours never matches. */
export function expectedVersion(req: Request): Expected {
  const text = req.get('If-Match');
  if (text === undefined || text.trim() === '*') return null;
  const number = /^(?:W\/)?"(\d{1,15})"$/.exec(text.trim())?.[1];
  return number === undefined ? -1 : Number(number);
}

/** Answers with a record and its version. */
export function sendVersioned(res: Response, record: { version: number }): void {
  res.set('ETag', `"${record.version}"`).json(record);
}

/** Runs a write; one that expects an old version is told how the record stands now. */
export async function writing<T>(write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (error) {
    if (!(error instanceof Stale)) throw error;
    throw new Problem(412, 'It was changed elsewhere since it was read', [], {
      current: error.current,
    });
  }
}
