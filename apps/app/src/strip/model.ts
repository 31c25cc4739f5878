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

/** A line of the plan behind what happened. */
export interface Ghost {
  key: string;
  colour: string;
  points: readonly Point[];
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

/** A band from a time on, epoch ms. */
export interface BandSpan {
  from: number;
  bandC: readonly [number, number];
}

export interface StripData {
  from: number;
  to: number;
  now: number | null;
  /** The bands that the pit is held in, one after another; the first holds from the beginning, the last to the end. */
  bands: readonly BandSpan[];
  rangeC: readonly [number, number];
  traces: readonly Trace[];
  /** The plan behind them; none when left out. */
  ghosts?: readonly Ghost[];
  marks: readonly Mark[];
}

/** The first place in a list ordered by time from which on times are `t` or later. */
export function firstFrom<T>(list: readonly T[], t: number, timeOf: (item: T) => number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (timeOf(list[middle]!) < t) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** What of a long list is read as points: its part between two times, and how a point is read from an entry. */
interface Sampling<T> {
  from: number;
  to: number;
  timeOf: (item: T) => number;
  valueOf: (item: T) => number | null;
  /** Spans of equal time that it is told in at most. */
  spans: number;
}

/**
 * Points of a list ordered by time, as few as a screen can show: of each span its lowest and its highest value, so that
 * no peak is lost, and a gap where a span has none. One point more on either side, so that lines run to the edge.
 */
export function sampled<T>(list: readonly T[], s: Sampling<T>): Point[] {
  const { from, to, timeOf, valueOf, spans } = s;
  const first = Math.max(firstFrom(list, from, timeOf) - 1, 0);
  const end = Math.min(firstFrom(list, to, timeOf) + 1, list.length);
  const points: Point[] = [];
  if (end - first <= 2 * spans) {
    for (let i = first; i < end; i++) points.push({ t: timeOf(list[i]!), c: valueOf(list[i]!) });
    return points;
  }
  const width = (to - from) / spans;
  let i = first;
  while (i < end) {
    const until = from + (Math.floor((timeOf(list[i]!) - from) / width) + 1) * width;
    let [low, high] = [-1, -1];
    let [lowC, highC] = [Infinity, -Infinity];
    const began = i;
    for (; i < end; i++) {
      const item = list[i]!;
      if (timeOf(item) >= until) break;
      const c = valueOf(item);
      if (c === null) continue;
      if (c < lowC) [low, lowC] = [i, c];
      if (c > highC) [high, highC] = [i, c];
    }
    if (i === began) i++;
    const kept =
      low < 0 ? [began] : low === high ? [low] : [Math.min(low, high), Math.max(low, high)];
    for (const k of kept) points.push({ t: timeOf(list[k]!), c: valueOf(list[k]!) });
  }
  return points;
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
  bands: readonly BandSpan[],
): [number, number] {
  let low = Math.min(20, ...bands.map((b) => b.bandC[0]));
  let high = Math.max(80, ...bands.map((b) => b.bandC[1] + 15));
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

/** The field of the traces, px. */
export interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}
