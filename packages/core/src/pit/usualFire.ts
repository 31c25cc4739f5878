/** What is usually done with a preset: the fire built in it and how it is brought up (common practice). */
import type { ArrangementId, FireSpec } from '../fire/fireSpec';
import { MAX_ARC_DEGREES } from '../fire/snake';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';

/** Whether a firebox is a small one: lighter splits, more often (skin under 0.8 m2, common practice). */
export const hasSmallFirebox = ({ parameters: pit }: Pick<Preset, 'parameters'>): boolean =>
  pit.fireWallM2 < 0.8;

/** Usual length of splits, cm (common practice). */
const SPLIT_CM = { light: 25, heavy: 40 };
/** Length of splits that a pit's firebox takes, cm. */
export const splitLengthCm = (pit: CookerParameters): number =>
  SPLIT_CM[hasSmallFirebox({ parameters: pit }) ? 'light' : 'heavy'];

/** Dry wood with its moisture, kg/m3 (Wood Handbook: oak 0.63-0.68 oven-dry over volume at 12 %, from memory). */
const SPLIT_KG_M3 = 720;
/** Thickness of a split of that mass and length, cm: it is about square across. */
export const splitThicknessCm = (kg: number, lengthCm: number): number =>
  100 * Math.sqrt(kg / SPLIT_KG_M3 / (lengthCm / 100));

/** Lit fuel that fires are usually started with, kg as bought (common practice). */
const LIT_KG: Readonly<Record<Exclude<ArrangementId, 'snake'>, number>> = {
  'side-basket': 0.31,
  crescent: 0.31,
  horseshoe: 0.31,
  bowl: 0.15,
  ring: 0.4,
  'coal-bed': Infinity,
  hopper: 0.25,
};
const SNAKE_LIT_PIECES = 12;
/** Charcoal that an offset's fire is started on, share of what its firebox holds. */
const COAL_BED_FRACTION = 0.32;

/** The fire usually built in a preset: its arrangement and charcoal, full load; no smoke wood. */
export function usualFire(preset: Preset, arrangement = preset.fire.arrangement): FireSpec {
  const { fuel } = preset.fire;
  if (arrangement === 'snake') {
    return {
      arrangement,
      fuel: 'briquette',
      side: 2,
      layers: 2,
      arcDegrees: MAX_ARC_DEGREES,
      litPieces: SNAKE_LIT_PIECES,
      litAtMin: 0,
      woodChunks: [],
    };
  }
  const massKg =
    arrangement === 'coal-bed' ? COAL_BED_FRACTION * preset.fullLoadKg : preset.fullLoadKg;
  return {
    arrangement,
    fuel,
    massKg,
    litMassKg: Math.min(LIT_KG[arrangement], massKg),
    litPlace: 'top',
    litAtMin: 0,
    woodChunks: [],
  };
}
