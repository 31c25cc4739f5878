/** Readings out of a foreign table: what each column is, in which unit and with which comma; nothing is made up. */
import { DAY_MS, toC } from '@ostrin/core/quantity';
import type { ReadingRow } from '@ostrin/core/log';
import { isNumberCell, type ForeignTable } from './table';
import {
  guessTimeFormat,
  PAST_MIDNIGHT_MS,
  timeOf,
  type TimeFormat,
  type TimeSettings,
} from './times';

/** What a column tells. */
export const COLUMN_ROLES = ['time', 'date', 'pit', 'core', 'dome', 'air', 'none'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** How a table is read. */
export interface TableMapping extends TimeSettings {
  /** What each column tells. */
  roles: ColumnRole[];
  timeFormat: TimeFormat;
  unit: 'C' | 'F';
  decimal: ',' | '.';
}

/** What a table was read as. */
export interface TableRead {
  readings: ReadingRow[];
  /** Rows without a time that can be read, by their lines in the file. */
  skipped: number[];
}

const ROLE_WORDS: readonly [ColumnRole, RegExp][] = [
  ['date', /^date$|^day$|^datum$/i],
  ['time', /time|date|clock|stamp|elapsed|zeit|heure|hora|minutes|seconds|^t$/i],
  [
    'none',
    /set|target|goal|alarm|alert|batt|akku|fan|blower|signal|humid|delta|\b(?:low|high|min|max)\b/i,
  ],
  ['dome', /dome|lid|hood/i],
  ['air', /outside|outdoor|weather|^air/i],
  ['pit', /pit|grill|grate|ambient|chamber|smoker|oven|kettle|barbecue|bbq|cooker/i],
  ['core', /meat|food|core|internal|probe|brisket|pork|butt|shoulder|ribs?\b|turkey|chicken/i],
];

/** What a column's name says that it tells; null where it says nothing. */
const roleByName = (name: string): ColumnRole | null =>
  ROLE_WORDS.find(([, words]) => words.test(name))?.[0] ?? null;

const FAHRENHEIT = /fahrenheit|°\s*f\b|\bf\b|\(f\)|_f$/i;
const CELSIUS = /celsius|°\s*c\b|\bc\b|\(c\)|_c$/i;
/** Meat that is hotter than this is given in Fahrenheit, C. */
const NO_MEAT_SO_HOT = 112;
/** A probe that tells more than this is broken or not in, of either unit. */
const BROKEN_FROM = 310;
/** No pit that smokes is hotter than this, C. */
const NO_PIT_SO_HOT = 180;

/** A cell as a number of the mapping's unit; null where it is empty or no number. */
function numberIn(cell: string, decimal: ',' | '.'): number | null {
  if (!isNumberCell(cell)) return null;
  const bare = cell.replace(/°?\s*[CFcf]$/, '').replace(/[\s'\u00A0\u202F]/g, '');
  const text = decimal === ',' ? bare.replace(/\./g, '').replace(',', '.') : bare.replace(/,/g, '');
  const value = Number(text);
  return text !== '' && Number.isFinite(value) ? value : null;
}

/** Whether numbers are written with a comma: where some have one that parts no thousands. */
function guessDecimal({ rows }: ForeignTable, numeric: readonly number[]): ',' | '.' {
  const cells = rows.slice(0, 2000).flatMap((row) => numeric.map((c) => row[c]!));
  const comma = cells.filter((c) => /^[-+]?\d+,\d{1,2}\D*$/.test(c)).length;
  const point = cells.filter((c) => /^[-+]?\d+\.\d+\D*$/.test(c)).length;
  return comma > point ? ',' : '.';
}

const valuesOf = (table: ForeignTable, column: number, decimal: ',' | '.'): number[] =>
  table.rows.flatMap((row) => numberIn(row[column]!, decimal) ?? []);

/** How a table is most likely to be read; `settings` says where and when it was written. Throws where no column holds times. */
export function guessMapping(table: ForeignTable, settings: TimeSettings): TableMapping {
  const { columns, rows } = table;
  const roles = columns.map((name) => roleByName(name));
  const texts = (c: number): string[] => rows.map((row) => row[c]!);
  const dated = roles.indexOf('date');
  const withDate = (c: number): string[] =>
    dated < 0 || dated === c ? texts(c) : rows.map((row) => `${row[dated]} ${row[c]}`);
  const candidates = [
    ...columns.map((_, c) => c).filter((c) => roles[c] === 'time'),
    ...columns.map((_, c) => c).filter((c) => roles[c] === null || roles[c] === 'date'),
  ];
  const found = candidates
    .map((c) => ({ c, format: guessTimeFormat(withDate(c), settings) }))
    .find((x) => x.format !== null);
  if (!found) throw new Error('No column of times was found in it.');
  const time = found.c;
  const numeric = columns
    .map((_, c) => c)
    .filter((c) => c !== time && c !== dated && rows.some((row) => isNumberCell(row[c]!)));
  const decimal = guessDecimal(table, numeric);
  const known = columns.map((_, c): ColumnRole => {
    if (c === time) return 'time';
    if (c === dated && dated !== time) return 'date';
    const role = roles[c];
    return role && role !== 'time' && role !== 'date' && numeric.includes(c) ? role : 'none';
  });
  const unnamed = numeric.filter((c) => roles[c] === null || roles[c] === 'core');
  return {
    ...settings,
    roles: withPitAndCore(table, known, unnamed, decimal),
    timeFormat: minutesOrSeconds(found.format!, columns[time]!),
    unit: guessUnit(table, known, numeric, decimal),
    decimal,
  };
}

/** Plain numbers that count from a start are minutes where their heading says so. */
const minutesOrSeconds = (format: TimeFormat, name: string): TimeFormat =>
  format === 'elapsed-s' && /min/i.test(name) ? 'elapsed-min' : format;

/** Where no name says which is the pit: the column that is hottest in its first half is; the next one is the meat. */
function withPitAndCore(
  table: ForeignTable,
  known: readonly ColumnRole[],
  free: readonly number[],
  decimal: ',' | '.',
): ColumnRole[] {
  const roles = onlyFirst(known);
  const early = (c: number): number => {
    const values = valuesOf(
      { ...table, rows: table.rows.slice(0, table.rows.length / 2 + 1) },
      c,
      decimal,
    );
    return values.length === 0 ? -Infinity : values.reduce((a, b) => a + b, 0) / values.length;
  };
  // What never changes is no thermometer in a fire.
  const lively = free.filter((c) => new Set(table.rows.map((row) => row[c])).size > 1);
  const byHeat = [...lively].sort((a, b) => early(b) - early(a));
  if (!roles.includes('pit')) {
    const pit = byHeat.find((c) => roles[c] === 'none' || byHeat.length > 1);
    if (pit !== undefined) roles[pit] = 'pit';
  }
  if (!roles.includes('core')) {
    const core = byHeat.find((c) => roles[c] === 'none');
    if (core !== undefined) roles[core] = 'core';
  }
  return roles;
}

/** One column a role: later ones of the same name are left out until somebody says. */
const onlyFirst = (roles: readonly ColumnRole[]): ColumnRole[] =>
  roles.map((r, i) => (r === 'none' || roles.indexOf(r) === i ? r : 'none'));

function guessUnit(
  table: ForeignTable,
  roles: readonly ColumnRole[],
  numeric: readonly number[],
  decimal: ',' | '.',
): 'C' | 'F' {
  const names = numeric.map((c) => table.columns[c]!);
  if (names.some((n) => FAHRENHEIT.test(n))) return 'F';
  if (names.some((n) => CELSIUS.test(n))) return 'C';
  if (table.rows.some((row) => numeric.some((c) => /F$/i.test(row[c]!)))) return 'F';
  const core = roles.indexOf('core');
  const hottest = (c: number): number =>
    valuesOf(table, c, decimal)
      .filter((v) => v < BROKEN_FROM)
      .reduce((a, b) => Math.max(a, b), -Infinity);
  if (core >= 0) return hottest(core) > NO_MEAT_SO_HOT ? 'F' : 'C';
  return numeric.some((c) => hottest(c) > NO_PIT_SO_HOT) ? 'F' : 'C';
}

/** What can be read, C: beyond it a probe is broken or was not in. */
const BOUNDS = { pit: [-60, 700], core: [-60, 300], dome: [-60, 700], air: [-60, 60] } as const;

/** Reads a table. Rows come in order of time, each moment once; rows without a time are told by their lines. */
export function readingsOfTable(table: ForeignTable, mapping: TableMapping): TableRead {
  const { roles, timeFormat, unit, decimal } = mapping;
  const at = (role: ColumnRole): number => roles.indexOf(role);
  const [time, date] = [at('time'), at('date')];
  const rows = new Map<number, ReadingRow>();
  const skipped: number[] = [];
  let days = 0;
  let last = -Infinity;
  const value = (row: readonly string[], role: keyof typeof BOUNDS): number | null => {
    const column = at(role);
    const told = column < 0 ? null : numberIn(row[column]!, decimal);
    if (told === null) return null;
    const c = Math.round(100 * toC(told, unit)) / 100;
    return c >= BOUNDS[role][0] && c <= BOUNDS[role][1] ? c : null;
  };
  table.rows.forEach((row, i) => {
    const text = time < 0 ? '' : date < 0 ? row[time]! : `${row[date]} ${row[time]}`;
    const told = timeOf(text, timeFormat, mapping);
    if (told === null) {
      skipped.push(table.lines[i]!);
      return;
    }
    if (timeFormat === 'clock' && told + days * DAY_MS < last - PAST_MIDNIGHT_MS) days++;
    last = Math.round(told + days * DAY_MS);
    const [domeC, airC] = [value(row, 'dome'), value(row, 'air')];
    const reading: ReadingRow = {
      at: last,
      pitC: value(row, 'pit'),
      coreC: value(row, 'core'),
      ...(domeC === null ? {} : { domeC }),
      ...(airC === null ? {} : { weather: { airC } }),
    };
    const empty =
      reading.pitC === null && reading.coreC === null && domeC === null && airC === null;
    if (!empty) rows.set(last, { ...rows.get(last), ...reading });
  });
  return { readings: [...rows.values()].sort((a, b) => a.at - b.at), skipped };
}
