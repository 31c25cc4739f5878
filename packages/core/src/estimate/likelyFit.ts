/** The most probable values of unknowns that are spread normally, given residuals, and how sure they are. */
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';

/** Step of the differences that a fit and its doubt are made from, sd. */
const Z_STEP = 0.05;
/** No unknown is taken further from its usual value, sd. */
const FARTHEST_SD = 3.5;

/** How a fit is run. */
interface FitOptions {
  /** Steps at most. */
  maxIterations: number;
  /** Step of the differences, sd; a noisy computation needs a longer one. */
  step?: number;
}

/** What was fitted, all in standard deviations of the spreads. */
export interface LikelyFit {
  /** The most probable values. */
  z: number[];
  /** Matrix whose product with independent normals gives the doubt. */
  covarianceFactor: number[][];
  /** The residuals there, without those of the spreads themselves. */
  residuals: number[];
}

/**
 * Fits `unknowns` standard normals to residuals that are made independent and of one sd each. The spreads count as
 * residuals of their own, so that what the data do not tell stays at its usual value.
 */
export function fitLikely(
  unknowns: number,
  residualsAt: (z: readonly number[]) => number[],
  { maxIterations, step = Z_STEP }: FitOptions,
): LikelyFit {
  const of = (z: readonly number[]): number[] => [...residualsAt(z), ...z];
  const none = Array<number>(unknowns).fill(0);
  const count = of(none).length;
  const fit = levenbergMarquardt(
    { x: Array.from({ length: count }, (_, i) => i), y: Array<number>(count).fill(0) },
    (z: number[]) => {
      const r = of(z);
      return (i: number) => r[i]!;
    },
    {
      initialValues: none,
      minValues: none.map(() => -FARTHEST_SD),
      maxValues: none.map(() => FARTHEST_SD),
      gradientDifference: step,
      damping: 0.3,
      maxIterations,
      errorTolerance: 1e-6,
    },
  );
  const z = fit.parameterValues;
  const best = of(z);
  const columns = z.map((v, k) => {
    const moved = of(z.map((u, i) => (i === k ? v + step : u)));
    return moved.map((r, i) => (r - best[i]!) / step);
  });
  const jacobian = new Matrix(columns).transpose();
  // With H = L L', normals times the inverse of L' have the covariance that is H's inverse.
  const certainty = new CholeskyDecomposition(jacobian.transpose().mmul(jacobian));
  const covarianceFactor = inverse(certainty.lowerTriangularMatrix).transpose();
  return {
    z,
    covarianceFactor: covarianceFactor.to2DArray(),
    residuals: best.slice(0, count - unknowns),
  };
}

/**
 * Residuals made independent and of one sd each: `sdK` is theirs, and `keeps(i)` how much of the one before hangs on in
 * the `i`th (0 to 1; the first stands alone).
 */
export const independent = (
  offs: readonly number[],
  sdK: number,
  keeps: (i: number) => number,
): number[] =>
  offs.map((off, i) => {
    const rho = i > 0 ? keeps(i) : 0;
    return (off - rho * (i > 0 ? offs[i - 1]! : 0)) / (sdK * Math.sqrt(1 - rho * rho));
  });

/** One sd of the doubt about unknown `i`, in sd of its spread: 1 where the data say nothing. */
export const doubtOf = (
  { covarianceFactor }: Pick<LikelyFit, 'covarianceFactor'>,
  i: number,
): number => Math.hypot(...covarianceFactor[i]!);

/** Values drawn from what is known; `normals` are independent, one for each unknown. */
export const drawnFrom = (
  { z, covarianceFactor }: Pick<LikelyFit, 'z' | 'covarianceFactor'>,
  normals: readonly number[],
): number[] =>
  z.map((v, i) => v + covarianceFactor[i]!.reduce((s, l, k) => s + l * normals[k]!, 0));
