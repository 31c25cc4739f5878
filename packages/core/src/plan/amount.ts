/** How much meat for how many people, and whether it fits beside the fire. */
import { CENTRE_LINE_SHARE } from '../fire/snake';
import { thicknessMm, type Cut } from '../meat/cuts';
import { meatDensity } from '../meat/properties';
import type { Preset } from '../pit/types';

/** Room a piece wants round itself, and how tightly rounded pieces pack (common practice). */
const PACKING = 0.7;
/** Half the width of the strip over the snake where nothing may lie, m. */
const OVER_FIRE_M = 0.045;

/** Cooked, edible mass one raw piece gives, kg: low and high of the usual range. */
export const edibleKg = (cut: Cut, massKg: number): [number, number] => [
  massKg * cut.yieldRange[0] * cut.edibleShare,
  massKg * cut.yieldRange[1] * cut.edibleShare,
];

/** Pieces needed so that the middle of the yield range feeds everybody; at least one. */
export function piecesFor(people: number, appetiteG: number, cut: Cut, massKg: number): number {
  const [low, high] = edibleKg(cut, massKg);
  return Math.max(1, Math.ceil((people * appetiteG) / 1000 / ((low + high) / 2) - 0.05));
}

/** Ground a piece covers on the grate, m2. */
export function footprintM2(cut: Cut, massKg: number, thickness?: number): number {
  const volume = massKg / meatDensity(cut.composition, 5);
  return volume / ((thickness ?? thicknessMm(cut, massKg)) / 1000);
}

/** Most pieces that fit inside the ring of fire of a kettle. */
export function piecesThatFit(
  preset: Preset,
  cut: Cut,
  massKg: number,
  thickness?: number,
): number {
  const radius = (preset.pit.diameterM / 2) * CENTRE_LINE_SHARE - OVER_FIRE_M;
  return Math.floor((PACKING * Math.PI * radius * radius) / footprintM2(cut, massKg, thickness));
}
