/** The arrangements on offer: one line each. */
import { CHARCOALS, dafFraction } from '../fuel/catalogue';
import { bowl, coalBed, crescent, hopperFire, horseshoe, ring, sideBasket } from './heaps';
import { fuelPoolOf } from './fuelPool';
import { snake, snakePieces } from './snake';
import type { ArrangementId, FireSpec } from './fireSpec';
import type { Arrangement, FuelPool } from './arrangement';

/** What a fire needs to know of its cooker. */
interface FireRoom {
  diameterM: number;
}

/** Width of a basket or crescent twice as long as it is wide, m, from what it holds, kg daf. */
const basketWidthM = (kg: number): number => Math.cbrt(Math.max(kg, 0.3) / 300 / 2);

/** Fire bowls are narrower than the cooker; throat of a hopper's grate, m2. */
const BOWL_DIAMETER_FRACTION = 0.62;
const RING_DIAMETER_FRACTION = 0.8;
const THROAT_M2 = 0.02;

const BUILDERS: Readonly<
  Record<
    Exclude<ArrangementId, 'snake'>,
    (pit: FireRoom, kg: number, place: 'top' | 'middle') => Arrangement
  >
> = {
  'side-basket': (_, kg) => sideBasket(basketWidthM(kg)),
  crescent: (_, kg) => crescent(basketWidthM(kg)),
  horseshoe: (_, kg) => horseshoe(basketWidthM(kg)),
  bowl: (pit, _, place) => bowl(BOWL_DIAMETER_FRACTION * pit.diameterM, place),
  ring: (pit, _, place) => ring(RING_DIAMETER_FRACTION * pit.diameterM, place),
  'coal-bed': () => coalBed(),
  hopper: () => hopperFire(THROAT_M2),
};

export const ARRANGEMENTS: readonly ArrangementId[] = [
  'snake',
  ...(Object.keys(BUILDERS) as Exclude<ArrangementId, 'snake'>[]),
];

/** A fire as it is built: how it lies, what is lit, what is not, and its mass as bought, kg. */
interface BuiltFire {
  /** How the fire lies. */
  arrangement: Arrangement;
  /** Charcoal that glows. */
  lit: FuelPool;
  /** Charcoal that does not glow yet. */
  unlit: FuelPool;
  /** Charcoal in it, kg as bought. */
  boughtKg: number;
}

/** Charcoal of a fire, lit part included, kg as bought. */
export const fireLoadKg = (fire: FireSpec, diameterM: number): number =>
  fire.arrangement === 'snake'
    ? snakePieces(fire, diameterM) * CHARCOALS[fire.fuel].pieceKg
    : fire.massKg;

/** What of it is put in glowing, kg as bought. */
export const fireLitKg = (fire: FireSpec): number =>
  fire.arrangement === 'snake' ? fire.litPieces * CHARCOALS[fire.fuel].pieceKg : fire.litMassKg;

/** The fire of a scenario in that pit. */
export function buildFire(fire: FireSpec, pit: FireRoom): BuiltFire {
  const charcoal = CHARCOALS[fire.fuel];
  const load = fireLoadKg(fire, pit.diameterM);
  // A snake cannot glow beyond its end; a heap is at least what was poured in lit.
  const glowingKg =
    fire.arrangement === 'snake' ? Math.min(fireLitKg(fire), load) : fireLitKg(fire);
  const totalKg = Math.max(load, glowingKg);
  const daf = totalKg * dafFraction(charcoal);
  return {
    arrangement:
      fire.arrangement === 'snake'
        ? snake(fire, charcoal, pit.diameterM, daf)
        : BUILDERS[fire.arrangement](pit, daf, fire.litPlace),
    lit: fuelPoolOf(charcoal, glowingKg),
    unlit: fuelPoolOf(charcoal, totalKg - glowingKg),
    boughtKg: totalKg,
  };
}

/** Bricks of a horseshoe: five split fire bricks, kg, and what a kg of them stores, J/K (fireclay, from memory). */
const FIRE_BRICKS = { kg: 8, jPerKgK: 900 };

/** What stands in a cooker for a fire besides its charcoal stores so much heat, J/K. */
export const fireStoreJPerK = ({ arrangement }: FireSpec): number =>
  arrangement === 'horseshoe' ? FIRE_BRICKS.kg * FIRE_BRICKS.jPerKgK : 0;

/** Charcoal that a heap of each arrangement keeps and that does not light, kg as bought, on the safe side. */
const REMNANT_KG: Partial<Record<ArrangementId, number>> = {
  bowl: 0.35,
  ring: 0.25,
  'side-basket': 0.1,
  crescent: 0.1,
  horseshoe: 0.1,
  hopper: 0.15,
};

/** What is added to a load because it does not light, kg; a row of charcoal burns to its end. */
export const remnantKg = (arrangement: ArrangementId): number => REMNANT_KG[arrangement] ?? 0;
