/**
 * Fires that are heaps: the front goes through a cross-section instead of along a row. Masses are dry
 * and ash-free, lengths in m. Reachability after the trial model (basket 0.36, bowl 0.35).
 */
import type { Arrangement } from './arrangement';

/** Bulk density of charcoal as poured, gaps included, kg/m3 (200-420, from memory). */
export const POURED_KG_PER_M3 = 300;

/** What tells one heap from another. */
interface HeapShape {
  /** Cross-section that the front passes, m2. */
  frontM2: number;
  /** Share of it that the fire really reaches at once (0.1-0.6). */
  reachFraction: number;
  fullSpeedFrontKg: number;
  unreachableKg: number;
  exposedFraction: number;
  maxLitKg?: number;
  /** Wood is reached by depth, not by angle. */
  woodByDepth?: boolean;
}

/** Closures of the heaps; every number may be moved within its plausible range. */
export const HEAP_CLOSURES = {
  basketReach: 0.29,
  basketExposed: 0.85,
  horseshoeExposed: 0.6,
  bowlReach: 0.3,
  bowlExposed: 0.45,
  ringReach: 0.07,
  ringExposed: 0.6,
  bedExposed: 0.6,
  hopperExposed: 0.9,
};

function heap(shape: HeapShape): Arrangement {
  return {
    frontKgPerM: POURED_KG_PER_M3 * shape.frontM2 * shape.reachFraction,
    fullSpeedFrontKg: shape.fullSpeedFrontKg,
    unreachableKg: shape.unreachableKg,
    maxLitKg: shape.maxLitKg ?? Infinity,
    exposedFraction: shape.exposedFraction,
    frontDegrees: () => null,
    caughtFractionToReach: (place) =>
      shape.woodByDepth ? (place.depthFraction ?? 0) : Math.min((place.atArcDegrees ?? 0) / 180, 1),
  };
}

/** Charcoal heaped along the wall, lit at one end. */
const heapAlongWall = (frontM2: number, reach: number): Arrangement =>
  heap({
    frontM2,
    reachFraction: reach,
    fullSpeedFrontKg: 0.25,
    unreachableKg: 0.06,
    exposedFraction: HEAP_CLOSURES.basketExposed,
  });

/** A basket at one side, lit in one corner. `width` is its depth and height, m. */
export const sideBasket = (width: number): Arrangement =>
  heapAlongWall(width * width, HEAP_CLOSURES.basketReach);

/** A crescent along half the wall, lit at one end. */
export const crescent = (width: number): Arrangement =>
  heapAlongWall(width * width * 0.8, HEAP_CLOSURES.basketReach * 1.2);

/** A horseshoe between the wall and a row of fire bricks, lit at one end: a narrower front, and the bricks hide a part of it. */
export const horseshoe = (width: number): Arrangement => ({
  ...heapAlongWall(width * width * 0.72, HEAP_CLOSURES.basketReach * 1.2),
  exposedFraction: HEAP_CLOSURES.horseshoeExposed,
});

type LitPlace = 'top' | 'middle';

/** A round heap. Lit in the middle, fire goes outward and down; on top, down only. */
const roundHeap = (
  diameterM: number,
  litPlace: LitPlace,
  of: Pick<HeapShape, 'reachFraction' | 'unreachableKg' | 'exposedFraction'>,
): Arrangement =>
  heap({
    ...of,
    frontM2: (Math.PI / 4) * diameterM * diameterM,
    reachFraction: of.reachFraction * (litPlace === 'top' ? 1 : 1.2),
    fullSpeedFrontKg: 0.35,
    woodByDepth: true,
  });

/** A deep bowl of charcoal. */
export const bowl = (diameterM: number, litPlace: LitPlace): Arrangement =>
  roundHeap(diameterM, litPlace, {
    reachFraction: HEAP_CLOSURES.bowlReach,
    unreachableKg: 0.35,
    exposedFraction: HEAP_CLOSURES.bowlExposed,
  });

/** A wide shallow ring of charcoal under a smoker. */
export const ring = (diameterM: number, litPlace: LitPlace): Arrangement =>
  roundHeap(diameterM, litPlace, {
    reachFraction: HEAP_CLOSURES.ringReach,
    unreachableKg: 0.2,
    exposedFraction: HEAP_CLOSURES.ringExposed,
  });

/** Coals in a firebox: what is thrown on lies on glowing fuel and catches all over. */
export const coalBed = (): Arrangement =>
  heap({
    frontM2: 0.06,
    reachFraction: 0.9,
    fullSpeedFrontKg: 0.3,
    unreachableKg: 0.02,
    exposedFraction: HEAP_CLOSURES.bedExposed,
    woodByDepth: true,
  });

/** A hopper over a small grate: gravity brings fuel to the fire, the throat caps how much can glow. */
export const hopperFire = (throatM2: number): Arrangement =>
  heap({
    frontM2: throatM2,
    reachFraction: 0.6,
    fullSpeedFrontKg: 0.2,
    unreachableKg: 0.1,
    maxLitKg: 45 * throatM2,
    exposedFraction: HEAP_CLOSURES.hopperExposed,
    woodByDepth: true,
  });
