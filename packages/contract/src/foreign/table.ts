/** A table of readings from anywhere: its separator, its heading, its rows. Nothing is known of who wrote it. */
import Papa from 'papaparse';

export interface ForeignTable {
  /** Names of the columns; `Column 1` and so on where the file names none. */
  columns: string[];
  /** The cells of each row, as many as there are columns. */
  rows: string[][];
  /** Line of the file in which each row stands, counted from 1. */
  lines: number[];
  /** What parts the cells. */
  delimiter: string;
}

/** Rows of a file at most. */
export const MOST_ROWS = 200_000;
/** A heading is looked for in so many rows; loggers write some lines about themselves before it. */
const HEADING_WITHIN = 30;
const DELIMITERS = [',', ';', '\t', '|'];

/** A cell that holds a number, whichever comma it has. */
const NUMBER =
  /^[-+]?\d{1,3}(?:[., ' ]?\d{3})*(?:[.,]\d+)?\s*°?\s*[CFcf]?$|^[-+]?\d+(?:[.,]\d+)?\s*°?\s*[CFcf]?$/;
export const isNumberCell = (cell: string): boolean => NUMBER.test(cell.trim());

/** Whether a row holds readings: something with a digit that may be a time, and something else that is a number. */
const isReadingRow = (row: readonly string[]): boolean =>
  row.length > 1 &&
  row.filter((cell) => /\d/.test(cell)).length > 1 &&
  row.some((cell) => isNumberCell(cell));

interface Parsed {
  rows: string[][];
  delimiter: string;
}

/** A file cut into cells by one separator. */
function cut(text: string, delimiter: string): Parsed {
  const { data } = Papa.parse<string[]>(text, { delimiter, preview: MOST_ROWS + HEADING_WITHIN });
  return { rows: data, delimiter };
}

/** A cell that is a number, a time, or empty: nothing of its neighbours is left in it. */
const isCleanCell = (cell: string): boolean =>
  cell.trim() === '' || isNumberCell(cell) || /^[\d ./:+apmTZ-]+$/i.test(cell.trim());

/** The separator that leaves the most cells clean, in rows of one length; of two alike the one that makes more cells. */
function bestCut(text: string): Parsed {
  const head = text.split(/\r?\n/, 400).join('\n');
  const worth = (delimiter: string): number => {
    const rows = cut(head, delimiter).rows.filter(isReadingRow);
    if (rows.length === 0) return 0;
    const counts = new Map<number, number>();
    for (const row of rows) counts.set(row.length, (counts.get(row.length) ?? 0) + 1);
    const [width, times] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a));
    const cells = rows.flat();
    const clean = cells.filter(isCleanCell).length / cells.length;
    return clean * (times / rows.length) + Math.min(width, 30) / 1000;
  };
  const [best] = DELIMITERS.map((d) => ({ d, worth: worth(d) })).sort((a, b) => b.worth - a.worth);
  return cut(text, best!.d);
}

/**
 * Reads a file of readings. Throws an Error with a sentence for people where it holds none, or too many.
 */
export function readTable(text: string): ForeignTable {
  const { rows, delimiter } = bestCut(text.replace(/^\uFEFF/, ''));
  const first = rows.findIndex(isReadingRow);
  if (first < 0 || first > HEADING_WITHIN) {
    throw new Error('No readings were found in it: it needs a column of times and one of numbers.');
  }
  const width = rows[first]!.length;
  const before = rows[first - 1];
  const named =
    before !== undefined &&
    before.length >= width - 1 &&
    before.some((cell) => cell.trim() !== '') &&
    !isReadingRow(before);
  const columns = Array.from(
    { length: width },
    (_, i) => (named ? before[i]?.trim() : '') || `Column ${i + 1}`,
  );
  const kept: string[][] = [];
  const lines: number[] = [];
  for (let i = first; i < rows.length; i++) {
    const row = rows[i]!;
    if (row.every((cell) => cell.trim() === '')) continue;
    if (kept.length >= MOST_ROWS) throw new Error(`It has more than ${MOST_ROWS} rows.`);
    kept.push(Array.from({ length: width }, (_, c) => (row[c] ?? '').trim()));
    lines.push(i + 1);
  }
  return { columns, rows: kept, lines, delimiter };
}
