/** What is known of a cut. */
import type { Composition } from './properties';

/** What makes meat safe goes by this. */
export type SafetyKind = 'red' | 'poultry' | 'minced';

export interface Cut {
  /** Its name in documents. */
  id: string;
  /** What it is called. */
  name: string;
  /** What several are called. */
  plural: string;
  /** As it is called beside its line in a chart. */
  short: string;
  /** What it is made of. */
  composition: Composition;
  /** Mass at which `radiusMm` was taken, kg, and the power of mass that the radius goes with. */
  referenceKg: number;
  /** How its radius grows with its mass: exponent. */
  radiusExponent: number;
  /** Half its thickness at the reference mass, mm. */
  referenceRadiusMm: number;
  /** Shape: face area goes with r to this power (0 slab, 1 cylinder, 2 sphere). */
  shapeExponent: number;
  /** Share of the face covered by fat or bone. */
  coveredFraction: number;
  /** How thick that cap is, mm: fat left after trimming, a bone plate, a bird's skin (common practice). */
  coverMm: number;
  /** What makes it safe: red meat has its own table, poultry and minced meat a temperature. */
  safetyKind: SafetyKind;
  /** Minutes at 93 C that make the centre probe tender; Infinity for cuts done by temperature. */
  tenderAt93CMin: number;
  /** Share of the cooked piece that is eaten: bone and hard fat off (common practice). */
  edibleFraction: number;
  /** Cooked over trimmed raw mass, usual range (common practice). */
  yieldRange: readonly [number, number];
  /** Share of the raw piece that trimming takes, usual range (common practice). */
  trimRange: readonly [number, number];
  /** Length over width as it lies on the grate (common practice, by eye). */
  lengthOverWidth: number;
  /** Sensible masses of one piece, kg. */
  massRange: readonly [number, number];
  /** Middles at which it may be called done, C: those done by feel up to where a wet piece boils (common practice 90 to 99). */
  doneRangeC: readonly [number, number];
}

/** Whole thickness through the thickest part expected of a piece of that mass, mm. */
export const usualThicknessMm = (cut: Cut, massKg: number): number =>
  2 * cut.referenceRadiusMm * Math.pow(massKg / cut.referenceKg, cut.radiusExponent);

/** Whether a cut is done by how it feels; the others by a temperature. */
export const doneByFeel = (cut: Cut): boolean => Number.isFinite(cut.tenderAt93CMin);

/** Share of fat from which a cut drips enough of it to burn (common practice: birds and lean roasts do not). */
const FAT_DRIPS = 0.08;

/** Whether a cut drips enough fat to burn. */
export const dripsFat = ({ composition }: Pick<Cut, 'composition'>): boolean =>
  composition.fat >= FAT_DRIPS;
