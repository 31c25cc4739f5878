/** The arrangements on offer: one line each. */
import { CHARCOALS, dafShare } from '../fuel/catalogue';
import { bowl, coalBed, crescent, hopperFire, ring, sideBasket } from './heaps';
import { poolOf } from './pool';
import { snake, snakePieces } from './snake';
import type { ArrangementId, FireSpec } from './spec';
import type { Arrangement, Pool } from './types';

/** What a fire needs to know of its cooker. */
interface Room {
  diameterM: number;
}

/** Width of a basket or crescent twice as long as it is wide, m, from what it holds, kg daf. */
const widthFor = (kg: number): number => Math.cbrt(Math.max(kg, 0.3) / 300 / 2);

/** Fire bowls are narrower than the cooker; throat of a hopper's grate, m2. */
const BOWL_SHARE = 0.62;
const RING_SHARE = 0.8;
const THROAT_M2 = 0.02;

const HEAPS: Readonly<
  Record<
    Exclude<ArrangementId, 'snake'>,
    (pit: Room, kg: number, place: 'top' | 'middle') => Arrangement
  >
> = {
  'side-basket': (_, kg) => sideBasket(widthFor(kg)),
  crescent: (_, kg) => crescent(widthFor(kg)),
  bowl: (pit, _, place) => bowl(BOWL_SHARE * pit.diameterM, place),
  ring: (pit, _, place) => ring(RING_SHARE * pit.diameterM, place),
  'coal-bed': () => coalBed(),
  hopper: () => hopperFire(THROAT_M2),
};

export const ARRANGEMENTS: readonly ArrangementId[] = [
  'snake',
  ...(Object.keys(HEAPS) as Exclude<ArrangementId, 'snake'>[]),
];

/** A fire as it is built: how it lies, what is lit, what is not, and its mass as bought, kg. */
export interface BuiltFire {
  arrangement: Arrangement;
  lit: Pool;
  unlit: Pool;
  boughtKg: number;
}

/** Charcoal of a fire, lit part included, kg as bought. */
export const loadKg = (fire: FireSpec, diameterM: number): number =>
  fire.arrangement === 'snake'
    ? snakePieces(fire, diameterM) * CHARCOALS[fire.fuel].pieceKg
    : fire.massKg;

/** What of it is put in glowing, kg as bought. */
export const litKg = (fire: FireSpec): number =>
  fire.arrangement === 'snake' ? fire.litPieces * CHARCOALS[fire.fuel].pieceKg : fire.litMassKg;

/** The fire of a scenario in that pit. */
export function buildFire(fire: FireSpec, pit: Room): BuiltFire {
  const charcoal = CHARCOALS[fire.fuel];
  const load = loadKg(fire, pit.diameterM);
  // A snake cannot glow beyond its end; a heap is at least what was poured in lit.
  const glowingKg = fire.arrangement === 'snake' ? Math.min(litKg(fire), load) : litKg(fire);
  const totalKg = Math.max(load, glowingKg);
  const daf = totalKg * dafShare(charcoal);
  return {
    arrangement:
      fire.arrangement === 'snake'
        ? snake(fire, charcoal, pit.diameterM, daf)
        : HEAPS[fire.arrangement](pit, daf, fire.litPlace),
    lit: poolOf(charcoal, glowingKg),
    unlit: poolOf(charcoal, totalKg - glowingKg),
    boughtKg: totalKg,
  };
}
