/** Notes in the log of a cook: written by touch, and read as the server has them. */
import { expect, type Page } from '@playwright/test';

/** The log of the one cook under way, as the page gets it from its server now: what its notes say. */
const notesOf = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const get = async (at: string): Promise<unknown> => (await fetch(at)).json();
    // With a question mark nothing that the browser kept answers for the server.
    const cooks = (await get('/api/cooks?now')) as { id: string; finishedAt: number | null }[];
    const { id } = cooks.find((c) => c.finishedAt === null)!;
    const { entries } = (await get(`/api/cooks/${id}`)) as {
      entries: { kind: string; text?: string }[];
    };
    return entries.flatMap((e) => (e.kind === 'note' ? [e.text!] : []));
  });

/** Waits until the log has just these notes in this order; the page may be opened anew meanwhile. */
export const expectNotes = (page: Page, texts: readonly string[]): Promise<void> =>
  expect(async () => expect(await notesOf(page)).toEqual(texts)).toPass();

/** The same where two tabs wrote, and either may have come first. */
export const expectNotesOfTwo = (page: Page, texts: readonly string[]): Promise<void> =>
  expect(async () => expect((await notesOf(page)).sort()).toEqual([...texts].sort())).toPass();

/** Logs a note by touch and waits until it is shown as logged. */
export async function note(page: Page, text: string): Promise<void> {
  await page.getByTestId('pad-note').click();
  await page.getByTestId('write-note').click();
  await page.getByTestId('note-text').fill(text);
  await page.getByTestId('note-save').click();
  await expect(page.getByTestId('last-tap')).toContainText(text);
}
