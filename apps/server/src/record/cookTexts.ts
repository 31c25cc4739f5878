/** A cook as texts, a piece after another: a week at one reading a second is never in the memory as a whole. */
import {
  actionsCsv,
  exportedCook,
  readingColumns,
  readingLines,
  type Reading,
} from '@ostrin/contract';
import type { CookHead } from '../store/heads';
import type { CookStore } from '../store/cooks';

/** The document of a cook with the readings that are given, slice by slice. */
export async function* cookJson(
  store: CookStore,
  head: CookHead,
  slices: AsyncIterable<readonly Reading[]>,
): AsyncGenerator<string> {
  const { readings: _none, ...doc } = exportedCook({ ...(await store.unread(head)), readings: [] });
  yield `${JSON.stringify(doc).slice(0, -1)},"readings":`;
  yield* listText(slices);
  yield '}';
}

/** Slices as one list of JSON. */
export async function* listText(slices: AsyncIterable<readonly Reading[]>): AsyncGenerator<string> {
  let before = '[';
  for await (const slice of slices) {
    if (slice.length === 0) continue;
    yield before + JSON.stringify(slice).slice(1, -1);
    before = ',';
  }
  yield before === '[' ? '[]' : ']';
}

/** Its readings as CSV. */
export async function* readingsText(store: CookStore, head: CookHead): AsyncGenerator<string> {
  const columns = readingColumns(await store.readMore(head));
  yield `${columns.join(',')}\r\n`;
  for await (const slice of store.readingSlices(head)) yield readingLines(slice, columns);
}

/** Its log as CSV. */
export const actionsText = async (store: CookStore, head: CookHead): Promise<string> =>
  actionsCsv({ ...(await store.unread(head)), readings: [] });
