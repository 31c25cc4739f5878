/** The cook that a request names. */
import type { Request } from 'express';
import { missing } from '../http/problems';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';

/** The cook of the `id` in the path. Throws 404 where there is none. */
export async function headOf(
  { store }: { store: Pick<CookStore, 'head'> },
  { params: { id } }: Request,
): Promise<CookHead> {
  const head = await store.head(String(id));
  if (!head) throw missing('cook');
  return head;
}
