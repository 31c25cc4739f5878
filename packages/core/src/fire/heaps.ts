/**
 * Fires that are heaps: the front goes through a cross-section instead of along a row. Masses are dry
 * and ash-free, lengths in m. Reachability after the trial model (basket 0.36, bowl 0.35).
 */
import type { Arrangement } from './types';

/** Bulk density of dry ash-free fuel as poured, gaps included, kg/m3 (200-420, from memory). */
const POURED = 300;

/** What tells one heap from another. */
interface HeapShape {
  /** Cross-section that the front passes, m2. */
  frontM2: number;
  /** Share of it that the fire really reaches at once (0.1-0.6). */
  reach: number;
  strongFrontKg: number;
  remnantKg: number;
  exposed: number;
  mostLitKg?: number;
  /** Wood is reached by depth, not by angle. */
  byDepth?: boolean;
}

/** Closures of the heaps; every number may be moved within its plausible range. */
export const HEAPS = {
  basketReach: 0.29,
  basketExposed: 0.85,
  bowlReach: 0.3,
  bowlExposed: 0.45,
  ringReach: 0.07,
  ringExposed: 0.6,
  bedExposed: 1,
  hopperExposed: 0.9,
};

function heap(shape: HeapShape): Arrangement {
  return {
    kgPerM: POURED * shape.frontM2 * shape.reach,
    strongFrontKg: shape.strongFrontKg,
    remnantKg: shape.remnantKg,
    mostLitKg: shape.mostLitKg ?? Infinity,
    exposed: shape.exposed,
    frontDegrees: () => null,
    reachedAt: (place) =>
      shape.byDepth ? (place.depthFraction ?? 0) : Math.min((place.atArcDegrees ?? 0) / 180, 1),
  };
}

/** Charcoal heaped along the wall, lit at one end. */
const alongWall = (frontM2: number, reach: number): Arrangement =>
  heap({ frontM2, reach, strongFrontKg: 0.25, remnantKg: 0.06, exposed: HEAPS.basketExposed });

/** A basket at one side, lit in one corner. `width` is its depth and height, m. */
export const sideBasket = (width: number): Arrangement =>
  alongWall(width * width, HEAPS.basketReach);

/** A crescent along half the wall, lit at one end. */
export const crescent = (width: number): Arrangement =>
  alongWall(width * width * 0.8, HEAPS.basketReach * 1.2);

type LitPlace = 'top' | 'middle';

/** A round heap. Lit in the middle, fire goes outward and down; on top, down only. */
const roundHeap = (
  diameterM: number,
  litPlace: LitPlace,
  of: Pick<HeapShape, 'reach' | 'remnantKg' | 'exposed'>,
): Arrangement =>
  heap({
    ...of,
    frontM2: (Math.PI / 4) * diameterM * diameterM,
    reach: of.reach * (litPlace === 'top' ? 1 : 1.2),
    strongFrontKg: 0.35,
    byDepth: true,
  });

/** A deep bowl of charcoal. */
export const bowl = (diameterM: number, litPlace: LitPlace): Arrangement =>
  roundHeap(diameterM, litPlace, {
    reach: HEAPS.bowlReach,
    remnantKg: 0.35,
    exposed: HEAPS.bowlExposed,
  });

/** A wide shallow ring of charcoal under a smoker. */
export const ring = (diameterM: number, litPlace: LitPlace): Arrangement =>
  roundHeap(diameterM, litPlace, {
    reach: HEAPS.ringReach,
    remnantKg: 0.2,
    exposed: HEAPS.ringExposed,
  });

/** Coals in a firebox: what is thrown on lies on glowing fuel and catches all over. */
export const coalBed = (): Arrangement =>
  heap({
    frontM2: 0.06,
    reach: 0.9,
    strongFrontKg: 0.3,
    remnantKg: 0.02,
    exposed: HEAPS.bedExposed,
    byDepth: true,
  });

/** A hopper over a small grate: gravity brings fuel to the fire, the throat caps how much can glow. */
export const hopperFire = (throatM2: number): Arrangement =>
  heap({
    frontM2: throatM2,
    reach: 0.6,
    strongFrontKg: 0.2,
    remnantKg: 0.1,
    mostLitKg: 45 * throatM2,
    exposed: HEAPS.hopperExposed,
    byDepth: true,
  });
