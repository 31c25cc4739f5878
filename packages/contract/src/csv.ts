/**
 * A cook as two CSV files (RFC 4180): its readings, and its actions headed by the cook itself.
 * What is written reads back into an identical cook.
 */
import Papa from 'papaparse';
import type { FieldProblem } from './problems';
import type { Checked } from './validate';
import { exportedCook } from './exported';
import { readCookDoc } from './readCook';
import type { CookDoc, Reading } from './types';
import { entryWords } from '@ostrin/wording/tending';

const READING_FIELDS = ['at', 'pit_c', 'core_c'];
/** What not every cook has: a file of before, or a cook without, leaves them out. */
const MORE_FIELDS = ['dome_c', 'fan_duty', 'meat_c', 'weather'];
const ACTION_FIELDS = ['id', 'at', 'kind', 'job', 'in_words', 'detail'];
const CRLF = { newline: '\r\n' };
/** A cell that a spreadsheet would take for a formula gets an apostrophe in front; so does one that has one already. */
const FORMULA = /^['=+\-@\t\r]/;
/** A cell without the apostrophe that kept it from being a formula. */
const plainCell = (text: string): string => (/^'[=+\-@\t\r']/.test(text) ? text.slice(1) : text);

const iso = (ms: number): string => new Date(ms).toISOString();

/** Columns of a file of readings: what only some cooks have gets columns where this one has it. */
export const readingColumns = (hasMore: boolean): string[] =>
  hasMore ? [...READING_FIELDS, ...MORE_FIELDS] : READING_FIELDS;

/** Lines of a file of readings, one each; empty cells where the thermometer said nothing. Times are UTC. */
export function readingLines(readings: readonly Reading[], columns: readonly string[]): string {
  if (readings.length === 0) return '';
  const data = readings.map((r) => readingCells(r).slice(0, columns.length));
  return `${Papa.unparse(data, CRLF)}\r\n`;
}

/** Readings as a file of their own. */
export function readingsCsv(readings: readonly Reading[]): string {
  const columns = readingColumns(readings.some(hasMore));
  return `${columns.join(',')}\r\n${readingLines(readings, columns)}`;
}

/** Whether a reading tells of more than pit and first piece. */
const hasMore = (r: Reading): boolean => Object.keys(r).length > READING_FIELDS.length;

const readingCells = ({ at, pitC, coreC, domeC, fanDuty, meatC, weather }: Reading) => [
  iso(at),
  pitC ?? '',
  coreC ?? '',
  domeC ?? '',
  fanDuty ?? '',
  meatC ? JSON.stringify(meatC) : '',
  weather ? JSON.stringify(weather) : '',
];

/** Actions, one row each, with a first row for the cook itself (its name, pit, start and plan). */
export function actionsCsv(cook: CookDoc): string {
  const { entries, readings: _readings, ...head } = exportedCook(cook);
  const rows = [
    [cook.id, iso(cook.startMs), 'cook', '', `Cook: ${cook.name}`, JSON.stringify(head)],
    ...entries.map((e) => {
      const { id, at, jobId, kind, ...detail } = e;
      return [id, iso(at), kind, jobId ?? '', entryWords(e), JSON.stringify(detail)];
    }),
  ];
  return (
    Papa.unparse({ fields: ACTION_FIELDS, data: rows }, { ...CRLF, escapeFormulae: FORMULA }) +
    '\r\n'
  );
}

function table(csv: string, fields: string[], file: string, problems: FieldProblem[]) {
  const parsed = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
    delimiter: ',',
  });
  for (const e of parsed.errors.slice(0, 20)) {
    problems.push({ field: `${file} line ${(e.row ?? 0) + 2}`, message: e.message });
  }
  for (const f of fields) {
    if (!parsed.meta.fields?.includes(f)) {
      problems.push({ field: `${file} line 1`, message: `the column ${f} is missing` });
    }
  }
  return parsed.data;
}

const instant = (text: string): number => Date.parse(text);

/** The cook that an actions file and a readings file came from, or every problem with its line. */
export function cookFromCsv(actions: string, readings: string): Checked<CookDoc> {
  const problems: FieldProblem[] = [];
  const rows = table(actions, ACTION_FIELDS, 'actions', problems);
  const values = table(readings, READING_FIELDS, 'readings', problems);
  if (problems.length > 0) return { ok: false, problems };
  const json = (text: string, line: number, of = 'actions', column = 'detail') => {
    try {
      const value: unknown = JSON.parse(text);
      if (typeof value === 'object' && value !== null) return value as Record<string, unknown>;
    } catch {
      // told below, with its line
    }
    problems.push({ field: `${of} line ${line} ${column}`, message: 'is not a JSON object' });
    return {};
  };
  const first = rows[0];
  if (first?.kind !== 'cook') {
    problems.push({ field: 'actions line 2', message: 'must be the row of kind cook' });
    return { ok: false, problems };
  }
  const head = json(first.detail!, 2);
  const entries = rows.slice(1).map((r, i) => ({
    ...json(r.detail!, i + 3),
    id: r.id,
    at: instant(r.at!),
    kind: r.kind,
    ...(r.job ? { jobId: plainCell(r.job) } : {}),
  }));
  const number = (text: string, line: number, column: string): number | null => {
    if (text === '') return null;
    const value = Number(text);
    if (!Number.isFinite(value)) {
      problems.push({ field: `readings line ${line} ${column}`, message: 'is not a number' });
    }
    return value;
  };
  const list = values.map((r, i) => ({
    at: instant(r.at!),
    pitC: number(r.pit_c!, i + 2, 'pit_c'),
    coreC: number(r.core_c!, i + 2, 'core_c'),
    ...(r.dome_c ? { domeC: number(r.dome_c, i + 2, 'dome_c') } : {}),
    ...(r.fan_duty ? { fanDuty: number(r.fan_duty, i + 2, 'fan_duty') } : {}),
    ...(r.meat_c ? { meatC: json(r.meat_c, i + 2, 'readings', 'meat_c') } : {}),
    ...(r.weather ? { weather: json(r.weather, i + 2, 'readings', 'weather') } : {}),
  }));
  if (problems.length > 0) return { ok: false, problems };
  return readCookDoc({ ...head, entries, readings: list });
}
