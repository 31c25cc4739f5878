/** Runs every check. Rows known not to be met are listed here with how far off they were. */
import { conductionRows } from './conduction';
import { fireRows } from './fire';
import { foodRows } from './food';
import { meatRows } from './meat';
import { kamadoRows } from './pit/kamado';
import { kettleRows } from './pit/kettle';
import { offsetRows } from './pit/offset';
import { publishedRows } from './published';
import type { Row } from './types';

/**
 * Known not to be met, with the largest distance from the expected range that is not "worse".
 * A row that passes while listed here fails the test run too, so that the list stays true.
 */
export const NOT_MET: Readonly<Record<string, number>> = {
  // A split's flame still comes and goes more than practice says: +-18 C where good pits keep +-10 to 15.
  'T8-swing': 3.5,
  // Brisket keeps 69 % of its mass in paper where practice says 68 at most.
  'M11-brisket': 0.012,
};

/** The rows that the fire and pit engine answers for. */
export const pitRows = (): Row[] => [...kettleRows(), ...kamadoRows(), ...offsetRows()];

/** All rows, with what is known of them. */
export function runFacts(): Row[] {
  return [
    ...pitRows(),
    ...meatRows(),
    ...foodRows(),
    ...conductionRows(),
    ...publishedRows(),
    ...fireRows(),
  ].map((r) => (r.id in NOT_MET ? { ...r, known: true } : r));
}

/** What is wrong with a row beyond what is known, or null. */
export function complaint(r: Row): string | null {
  const allowed = NOT_MET[r.id];
  if (allowed === undefined) return r.pass ? null : `${r.id}: expected ${r.expected}, got ${r.got}`;
  if (r.pass) return `${r.id}: is met now (${r.got}); take it off the list of rows not met`;
  return r.miss <= allowed
    ? null
    : `${r.id}: got worse: expected ${r.expected}, got ${r.got} (off by ${r.miss.toFixed(3)}, listed ${allowed})`;
}

/** The rows as a table for a terminal. */
export function factsTable(rows: readonly Row[]): string {
  const lines = rows.map(
    (r) =>
      `${r.pass ? 'met    ' : 'NOT MET'}  ${r.id.padEnd(14)} ${r.name} [${r.source}]\n` +
      `         expected ${r.expected}\n         got      ${r.got}`,
  );
  const met = rows.filter((r) => r.pass).length;
  return `${lines.join('\n')}\n\n${met} of ${rows.length} met\n`;
}
