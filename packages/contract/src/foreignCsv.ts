/** Reading tables of other programs; for the page that does, and for nobody else's load. */
export { readTable, type ForeignTable } from './foreign/table';
export { needsStart, TIME_FORMATS, type TimeFormat } from './foreign/times';
export {
  COLUMN_ROLES,
  guessMapping,
  readingsOfTable,
  type ColumnRole,
  type TableMapping,
  type TableRead,
} from './foreign/readings';
