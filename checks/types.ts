/** A check against the outside world: what is expected, what we get. */

export interface Row {
  id: string;
  name: string;
  source: string;
  expected: string;
  got: string;
  pass: boolean;
  /** Known not to be met; how far off it was when listed. A row that gets worse fails the test run. */
  known?: boolean;
  /** Distance from the expected range, in the row's own unit; 0 when inside. */
  miss: number;
}

export interface Part {
  what: string;
  value: number | null;
  low: number;
  high: number;
  digits?: number;
}

/** Sources of rows that no publication stands behind. */
export const COMMON = 'common practice';
export const MEMORY = 'common practice, from memory';

/** A measured part of a row, with its range. */
export const part = (
  what: string,
  value: number | null,
  low: number,
  high: number,
  digits = 2,
): Part => ({ what, value, low, high, digits });

const missOf = (p: Part): number =>
  p.value === null ? Infinity : Math.max(p.low - p.value, p.value - p.high, 0);

/** One row from its measured parts; it passes when every part lies in its range. */
export function row(id: string, name: string, source: string, parts: readonly Part[]): Row {
  const say = (v: number | null, digits = 1): string =>
    v === null ? 'never' : v === Infinity ? 'more' : String(Number(v.toFixed(digits)));
  const span = (p: Part): string =>
    p.high === Infinity
      ? `at least ${say(p.low, p.digits)}`
      : p.low === -Infinity
        ? `at most ${say(p.high, p.digits)}`
        : `${say(p.low, p.digits)} to ${say(p.high, p.digits)}`;
  const miss = Math.max(...parts.map(missOf));
  return {
    id,
    name,
    source,
    expected: parts.map((p) => `${p.what} ${span(p)}`).join('; '),
    got: parts.map((p) => `${p.what} ${say(p.value, p.digits)}`).join('; '),
    pass: miss === 0,
    miss,
  };
}
