/** What a strip shows, apart from how it is drawn. Times are epoch ms, temperatures C. */

export interface Point {
  t: number;
  c: number | null;
}

export interface FanPoint extends Point {
  low: number | null;
  high: number | null;
}

/** One trace: what happened, what is expected, and its name. */
export interface Trace {
  key: string;
  label: string;
  colour: string;
  past: readonly Point[];
  future: readonly FanPoint[];
  width: number;
}

export type MarkKind = 'fuel' | 'vents' | 'lid' | 'meat' | 'note' | 'watch';

/** A remark at its minute: solid when done, hollow when expected. */
export interface Mark {
  key: string;
  t: number;
  kind: MarkKind;
  label: string;
  done: boolean;
  /** Set when it can be touched to correct it. */
  entryId?: string;
}

export interface StripData {
  from: number;
  to: number;
  now: number | null;
  bandC: readonly [number, number];
  rangeC: readonly [number, number];
  traces: readonly Trace[];
  marks: readonly Mark[];
}

/** Every n-th point so that at most `most` are left; ends and gaps are kept. */
export function thin(points: readonly Point[], most: number): Point[] {
  if (points.length <= most) return [...points];
  const every = Math.ceil(points.length / most);
  return points.filter(
    (p, i) =>
      i % every === 0 ||
      i === points.length - 1 ||
      p.c === null ||
      points[i - 1]?.c === null ||
      points[i + 1]?.c === null,
  );
}

/**
 * Moves labels apart along one axis: returns positions at least `gap` apart, inside `low`..`high`
 * where there is room, each as near to where it wants to be as its neighbours allow. Order is kept.
 */
export function spreadLabels(
  wanted: readonly number[],
  gap: number,
  low: number,
  high: number,
): number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => wanted[a]! - wanted[b]!);
  const at = new Array<number>(wanted.length);
  let edge = low;
  for (const i of order) {
    at[i] = Math.max(wanted[i]!, edge);
    edge = at[i] + gap;
  }
  edge = high;
  for (const i of [...order].reverse()) {
    at[i] = Math.min(at[i]!, edge);
    edge = at[i] - gap;
  }
  return at;
}

/** A temperature range on round numbers that holds all values and the band. */
export function rangeOf(
  values: readonly (number | null)[],
  bandC: readonly [number, number],
): [number, number] {
  let low = Math.min(20, bandC[0]);
  let high = bandC[1] + 15;
  for (const v of values) {
    if (v === null) continue;
    low = Math.min(low, v);
    high = Math.max(high, v);
  }
  return [Math.floor(low / 20) * 20, Math.ceil(high / 20) * 20];
}

/** The last point with a value at or before `t`. */
export function lastValue(points: readonly Point[], t = Infinity): Point | null {
  for (let i = points.length - 1; i >= 0; i--) {
    const p = points[i]!;
    if (p.t <= t && p.c !== null) return p;
  }
  return null;
}
