/**
 * The value below which a share `p` (0..1) of `sorted` lies, linear between neighbours
 * (Hyndman and Fan type 7). NaN for an empty list; `sorted` must be ascending.
 */
export function quantile(sorted: readonly number[], p: number): number {
  if (sorted.length === 0) return NaN;
  const at = (sorted.length - 1) * p;
  const low = Math.floor(at);
  const a = sorted[low]!;
  const b = sorted[Math.min(low + 1, sorted.length - 1)]!;
  return a === b || at === low ? a : a + (b - a) * (at - low);
}

/** Ascending copy without NaN and infinities. */
export const ascending = (values: readonly number[]): number[] =>
  values.filter(Number.isFinite).sort((a, b) => a - b);

/** Arithmetic mean; NaN when empty. */
export const mean = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;

/** Root mean square; NaN when empty. */
export const rms = (values: readonly number[]): number =>
  Math.sqrt(mean(values.map((v) => v ** 2)));

/** p10, p50 and p90 of a list; NaN entries count as later than all. */
export function p10p50p90(values: readonly number[]): [number, number, number] {
  const late = values.length - values.filter(Number.isFinite).length;
  const sorted = [...ascending(values), ...Array<number>(late).fill(Infinity)];
  return [quantile(sorted, 0.1), quantile(sorted, 0.5), quantile(sorted, 0.9)];
}

/** The same of values that count by their weights; NaN entries count as later than all. */
export function weightedP10p50p90(
  values: readonly { value: number; weight: number }[],
): [number, number, number] {
  const sorted = values
    .map(({ value, weight }) => ({ v: Number.isFinite(value) ? value : Infinity, weight }))
    .sort((a, b) => a.v - b.v);
  const all = sorted.reduce((sum, { weight }) => sum + weight, 0);
  const at = (p: number): number => {
    let sum = 0;
    for (const { v, weight } of sorted) {
      sum += weight;
      if (sum >= p * all) return v;
    }
    return sorted.at(-1)?.v ?? NaN;
  };
  return [at(0.1), at(0.5), at(0.9)];
}

/**
 * Share of a standard normal that lies below `z`, within 0.001, by the logistic curve that lies nearest.
 * (S. R. Bowling and others, Journal of Industrial Engineering and Management 2 (2009), from memory.)
 */
export const normalShareBelow = (z: number): number =>
  1 / (1 + Math.exp(-(0.07056 * z ** 3 + 1.5976 * z)));
