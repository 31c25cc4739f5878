/** The sixty cases pooled: by family and over all, each way beside the others. */
import { onlyPiece, onlyPit } from '@ostrin/core';
import { mean, quantile, type Family } from '@ostrin/core/internals';
import { runAllMethods, METHODS, type MethodName, type MethodOutcome } from './methods';
import { cases, SEED } from './requests';

/** What one way comes to over some cases. */
export interface Pooled {
  cases: number;
  rmsK: number;
  outOfBandFraction: number;
  /** The same from the minute the meat went on, with the faults of the bring-up. */
  sinceMeatOnRmsK: number;
  sinceMeatOnOutFraction: number;
  outOfBandMinPerCook: number;
  /** Median of loaded over needed fuel, and how many ran out. */
  loadedOverNeeded: number;
  ranOut: number;
  inWindowFraction: number;
  lateFraction: number;
  visits: number;
}

export interface Row {
  id: string;
  family: Family;
  words: string;
  went: Record<MethodName, MethodOutcome>;
}

const sum = (of: readonly number[]): number => of.reduce((n, v) => n + v, 0);
const round = (v: number, digits = 2): number => Number(v.toFixed(digits));

/** Pools what went. */
export function pool(went: readonly MethodOutcome[]): Pooled {
  const minutes = sum(went.map((w) => w.minutes));
  const onMinutes = sum(went.map((w) => w.onMinutes));
  const out = sum(went.map((w) => w.outMin));
  const ratios = went.map((w) => w.loadedKg / Math.max(w.neededKg, 1e-6)).sort((a, b) => a - b);
  return {
    cases: went.length,
    rmsK: round(Math.sqrt(sum(went.map((w) => w.squares)) / minutes)),
    outOfBandFraction: round(out / minutes, 3),
    sinceMeatOnRmsK: round(Math.sqrt(sum(went.map((w) => w.onSquares)) / onMinutes)),
    sinceMeatOnOutFraction: round(sum(went.map((w) => w.onOutMin)) / onMinutes, 3),
    outOfBandMinPerCook: round(out / went.length, 0),
    loadedOverNeeded: round(quantile(ratios, 0.5)),
    ranOut: went.filter((w) => w.ranOut).length,
    inWindowFraction: round(went.filter((w) => w.inWindow).length / went.length, 3),
    lateFraction: round(went.filter((w) => w.lateMin > 0).length / went.length, 3),
    visits: round(mean(went.map((w) => w.visits)), 1),
  };
}

/** Runs all cases of a seed; `told` hears of each as it is done. */
export function measure(seed = SEED, told?: (row: Row) => void) {
  const rows = cases(seed).map((c) => {
    const { cooker, pace, fire } = onlyPit(c.request);
    const meat = onlyPiece(c.request);
    const row: Row = {
      id: c.id,
      family: c.family,
      words: `${cooker.preset} ${fire.fuel}${fire.arrangement ? ` ${fire.arrangement}` : ''} ${pace.pitC} °C, ${meat.cut} ${meat.massKg} kg ${meat.wrap.with}`,
      went: runAllMethods(c),
    };
    told?.(row);
    return row;
  });
  const of = (list: readonly Row[]): Record<MethodName, Pooled> =>
    Object.fromEntries(METHODS.map((w) => [w, pool(list.map((r) => r.went[w]))])) as Record<
      MethodName,
      Pooled
    >;
  const families = [...new Set(rows.map((r) => r.family))];
  return {
    ostrin: 'bench-plans/1' as const,
    all: of(rows),
    families: Object.fromEntries(families.map((f) => [f, of(rows.filter((r) => r.family === f))])),
    rows,
  };
}

export type Measured = ReturnType<typeof measure>;
