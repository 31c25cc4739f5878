/** Masses of one piece as people choose them: in steps, typed, or from a handful. */
import { roundTo } from '@ostrin/core/quantity';
import { massStepKg, type Cut } from '@ostrin/core/catalogue';

/** A mass one step lighter or heavier, within the cut's sensible range. */
export function stepMass(cut: Cut, massKg: number, by: -1 | 1): number {
  const [low, high] = cut.massRange;
  const step = massStepKg(cut);
  return Math.min(high, Math.max(low, roundTo(massKg + by * step, step)));
}

/** A mass that was typed, weighed as finely as its cut is and within its sensible range, kg. */
export function withinMass(cut: Cut, kg: number): number {
  const [low, high] = cut.massRange;
  return Math.min(high, Math.max(low, roundTo(kg, 0.05)));
}

/** A handful of masses across the cut's sensible range. */
export function usualMasses(cut: Cut): number[] {
  const [low, high] = cut.massRange;
  const step = massStepKg(cut);
  const all = [0, 0.2, 0.4, 0.6, 0.8, 1].map((x) => roundTo(low + x * (high - low), step));
  return [...new Set(all)];
}
