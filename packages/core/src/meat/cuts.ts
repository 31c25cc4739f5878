/** Shoulder cuts: one catalogue entry each. Numbers marked "guess" want a cook's log behind them. */
import type { Composition } from './properties';

export interface Cut {
  id: string;
  name: string;
  plural: string;
  composition: Composition;
  /** Mass at which `radiusMm` was taken, kg; radius goes with mass to the power 0.33. */
  atKg: number;
  radiusMm: number;
  /** Shape: face area goes with r to this power (0 slab, 1 cylinder, 2 sphere). */
  shape: number;
  /** Share of the face covered by fat or bone. */
  cap: number;
  /** Minutes at 93 C that make the centre probe tender. */
  tenderMin: number;
  /** Share of the cooked piece that is eaten: bone and hard fat off (common practice). */
  edibleShare: number;
  /** Cooked over trimmed raw mass, usual range (common practice). */
  yieldRange: readonly [number, number];
  /** Sensible masses of one piece, kg. */
  massRange: readonly [number, number];
  doneRangeC: readonly [number, number];
}

const COOKED_YIELD = [0.55, 0.68] as const;

export const CUTS: Readonly<Record<string, Cut>> = {
  'mutton-shoulder': {
    id: 'mutton-shoulder',
    name: 'mutton shoulder',
    plural: 'mutton shoulders',
    // Composition, radius and tenderness are guesses between lamb and pork.
    composition: { water: 0.64, protein: 0.18, fat: 0.165, ash: 0.015 },
    atKg: 2.5,
    radiusMm: 47,
    shape: 1.15,
    cap: 0.3,
    tenderMin: 60,
    edibleShare: 0.78,
    yieldRange: COOKED_YIELD,
    massRange: [1.2, 4.5],
    doneRangeC: [90, 97],
  },
  'pork-shoulder': {
    id: 'pork-shoulder',
    name: 'pork shoulder',
    plural: 'pork shoulders',
    composition: { water: 0.66, protein: 0.175, fat: 0.15, ash: 0.015 },
    atKg: 3.8,
    radiusMm: 65.5,
    shape: 1.5,
    cap: 0.35,
    tenderMin: 75,
    edibleShare: 0.85,
    yieldRange: COOKED_YIELD,
    massRange: [1.5, 6],
    doneRangeC: [91, 97],
  },
  'lamb-shoulder': {
    id: 'lamb-shoulder',
    name: 'lamb shoulder',
    plural: 'lamb shoulders',
    composition: { water: 0.65, protein: 0.18, fat: 0.155, ash: 0.015 },
    atKg: 2,
    radiusMm: 44,
    shape: 1.15,
    cap: 0.3,
    tenderMin: 35,
    edibleShare: 0.78,
    yieldRange: COOKED_YIELD,
    massRange: [1, 3.5],
    doneRangeC: [88, 96],
  },
};

/** Cuts the format knows but this version cannot compute yet. */
export const NOT_YET_CUTS: readonly string[] = [
  'brisket',
  'chuck',
  'beef-short-ribs',
  'beef-cheek',
  'beef-shin',
  'rib-roast',
  'pork-belly',
  'spare-ribs',
  'back-ribs',
  'goat-leg',
  'whole-turkey',
  'whole-chicken',
  'goose',
  'sausages',
];

/** The cut of that name. Throws RangeError for a name not in the catalogue. */
export function cutOf(id: string): Cut {
  const cut = CUTS[id];
  if (!cut) throw new RangeError(`cut: ${id} is not in the catalogue`);
  return cut;
}

/** Whole thickness through the thickest part expected of a piece of that mass, mm. */
export const thicknessMm = (cut: Cut, massKg: number): number =>
  2 * cut.radiusMm * Math.pow(massKg / cut.atKg, 0.33);
