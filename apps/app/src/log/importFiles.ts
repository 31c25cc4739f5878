/** What was chosen to be imported: a document, the files of an export, or a table of another program. */
import type { ForeignFile } from './foreignCook';

/** How the actions of an export begin. */
const OWN_ACTIONS = /^\uFEFF?"?id"?,"?at"?,"?kind\b/;

/** The body to send for the chosen files, or what is wrong with the choice. */
export async function importBody(
  files: readonly File[],
): Promise<{ body: unknown } | { wrong: string }> {
  const json = files.find((f) => f.name.toLowerCase().endsWith('.json'));
  if (json && files.length === 1) {
    try {
      return { body: JSON.parse(await json.text()) as unknown };
    } catch {
      return { wrong: `${json.name} is not a JSON document.` };
    }
  }
  const texts = await Promise.all(
    files.filter((f) => f.name.toLowerCase().endsWith('.csv')).map((f) => f.text()),
  );
  const actions = texts.find((t) => OWN_ACTIONS.test(t));
  const readings = texts.find((t) => /^\uFEFF?"?at"?,/.test(t));
  if (files.length === 2 && actions !== undefined && readings !== undefined) {
    return { body: { actionsCsv: actions, readingsCsv: readings } };
  }
  return {
    wrong:
      'Choose one JSON document, the actions and the readings CSV of an export together, or one CSV of another program.',
  };
}

/** A single table that is no export of Ostrin's: of another program. Null for anything else. */
export async function foreignFile(files: readonly File[]): Promise<ForeignFile | null> {
  const [file] = files;
  if (files.length !== 1 || !file || !/\.(csv|tsv|txt)$/i.test(file.name)) return null;
  const text = await file.text();
  return OWN_ACTIONS.test(text) ? null : { name: file.name, text };
}
