/** Documents out of bodies: what was read, or what is wrong, wherever that is found out. */
import type { Checked } from '@ostrin/contract';
import { invalid, Problem } from './problems';

/** What was read, or what is wrong with it; `notJson` where it cannot be read at all, `status` where it is too much. */
export type Read<T> =
  | Checked<T>
  | { ok: false; notJson: string }
  | { ok: false; status: number; title: string };

/** What a text of JSON holds, read by `read`. */
export function parsed<T>(text: string, read: (plain: unknown) => Checked<T>): Read<T> {
  let plain: unknown;
  try {
    plain = JSON.parse(text);
  } catch (error) {
    return { ok: false, notJson: (error as Error).message.slice(0, 200) };
  }
  return read(plain);
}

/** What was read. Throws a Problem that says what is wrong with it. */
export function valueOf<T>(read: Read<T>): T {
  if (read.ok) return read.value;
  if ('title' in read) throw new Problem(read.status, read.title);
  if ('notJson' in read) {
    throw new Problem(400, 'The body is not JSON', [{ field: '', message: read.notJson }]);
  }
  throw invalid(read.problems);
}
