/** Conduction against the series solutions for slab, cylinder and sphere, moisture switched off. */
import {
  centreTempC,
  createPiece,
  type Cut,
  cutOf,
  emptyFacePaths,
  meatConductivity,
  meatDensity,
  meatHeat,
  stepHeat,
} from '@ostrin/core/internals';
import { row, type Row } from './types';

const SOURCE =
  'series solutions of transient conduction (Incropera and DeWitt, ch. 5), from memory';
const TERMS = 30;

/** Bessel function of the first kind by its integral, exact enough with 200 points. */
function bessel(order: number, x: number): number {
  let sum = 0;
  for (let i = 0; i < 200; i++) {
    const t = (Math.PI * (i + 0.5)) / 200;
    sum += Math.cos(order * t - x * Math.sin(t));
  }
  return sum / 200;
}

/** Per shape: zero of this is an eigenvalue; then the coefficient and the profile at z r/R. */
const SHAPES = [
  {
    name: 'slab',
    zero: (z: number, bi: number) => z * Math.sin(z) - bi * Math.cos(z),
    factor: (z: number) => (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z)),
    profile: (x: number) => Math.cos(x),
  },
  {
    name: 'cylinder',
    zero: (z: number, bi: number) => z * bessel(1, z) - bi * bessel(0, z),
    factor: (z: number) => (2 / z) * (bessel(1, z) / (bessel(0, z) ** 2 + bessel(1, z) ** 2)),
    profile: (x: number) => bessel(0, x),
  },
  {
    name: 'sphere',
    zero: (z: number, bi: number) => (1 - bi) * Math.sin(z) - z * Math.cos(z),
    factor: (z: number) => (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z)),
    profile: (x: number) => (x < 1e-9 ? 1 : Math.sin(x) / x),
  },
] as const;
type Shape = (typeof SHAPES)[number];

/** First eigenvalues, by a walk and bisection. */
function eigenvalues(shape: Shape, bi: number): number[] {
  const found: number[] = [];
  for (let z = 1e-6; found.length < TERMS && z < 200; z += 0.01) {
    let [low, high] = [z, z + 0.01];
    if (shape.zero(low, bi) * shape.zero(high, bi) > 0) continue;
    for (let i = 0; i < 50; i++) {
      const mid = (low + high) / 2;
      if (shape.zero(low, bi) * shape.zero(mid, bi) <= 0) high = mid;
      else low = mid;
    }
    found.push(low);
  }
  return found;
}

/** Share of the first difference that is left at r/R after a Fourier number. */
const left = (shape: Shape, zs: readonly number[], fo: number, at: number): number =>
  zs.reduce((sum, z) => sum + shape.factor(z) * Math.exp(-z * z * fo) * shape.profile(z * at), 0);

/** What our cells keep, at the centre and at the face, after each Fourier number. */
function ours(shapeN: number, bi: number, fos: readonly number[]): [number, number][] {
  const cut: Cut = { ...cutOf('chuck'), shapeExponent: shapeN, coveredFraction: 0 };
  // One kelvin apart, properties hardly change on the way.
  const piece = createPiece(cut, 2, 20, { thicknessMm: 100 });
  const { composition } = cut;
  const k = meatConductivity(composition, composition.water, 20.5);
  const diffusivity =
    k / (meatDensity(composition, 5) * meatHeat(composition, composition.water, 20.5));
  const paths = { ...emptyFacePaths(), outsideWPerM2K: (bi * k) / piece.radiusM, drivingC: 21 };
  const dt = 5;
  let fo = 0;
  return fos.map((until) => {
    while (fo < until) {
      const step = Math.min(dt, ((until - fo) * piece.radiusM ** 2) / diffusivity + 1e-9);
      stepHeat(piece, paths, 101325, step);
      fo += (diffusivity * step) / piece.radiusM ** 2;
    }
    return [21 - centreTempC(piece), 21 - piece.faceC];
  });
}

/** Largest relative error over Biot and Fourier numbers, one row a shape; and the textbook's first terms. */
export function conductionRows(): Row[] {
  const fos = [0.1, 0.2, 0.5, 1];
  return SHAPES.flatMap((shape, n) => {
    let worst = 0;
    for (const bi of [0.5, 1, 4]) {
      const zs = eigenvalues(shape, bi);
      ours(n, bi, fos).forEach(([centre, face], i) => {
        const fo = fos[i]!;
        const expected = [left(shape, zs, fo, 0), left(shape, zs, fo, 1)];
        worst = Math.max(
          worst,
          Math.abs(centre / expected[0]! - 1),
          Math.abs(face / expected[1]! - 1),
        );
      });
    }
    const table = [
      [0.8603, 1.1191],
      [1.2558, 1.2071],
      [1.5708, 1.2732],
    ][n]!;
    const z1 = eigenvalues(shape, 1)[0]!;
    return [
      row(`P-conduction-${shape.name}`, `cooling of a ${shape.name}, Bi 0.5 to 4`, SOURCE, [
        { what: 'largest error %', value: 100 * worst, low: 0, high: 1, digits: 2 },
      ]),
      row(`P-term-${shape.name}`, `first term of the series for a ${shape.name}, Bi = 1`, SOURCE, [
        { what: 'z1', value: z1, low: table[0]! - 1e-4, high: table[0]! + 1e-4, digits: 4 },
        {
          what: 'C1',
          value: shape.factor(z1),
          low: table[1]! - 1e-4,
          high: table[1]! + 1e-4,
          digits: 4,
        },
      ]),
    ];
  });
}
