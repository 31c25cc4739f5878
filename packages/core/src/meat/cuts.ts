/** Cuts: one catalogue entry each. Numbers marked "guess" want a cook's log behind them. */
import type { Composition } from './properties';

/** What makes meat safe goes by this. */
export type Kind = 'red' | 'poultry' | 'minced';

export interface Cut {
  id: string;
  name: string;
  plural: string;
  /** As it is called beside its line in a chart. */
  short: string;
  composition: Composition;
  /** Mass at which `radiusMm` was taken, kg, and the power of mass that the radius goes with. */
  atKg: number;
  massPower: number;
  radiusMm: number;
  /** Shape: face area goes with r to this power (0 slab, 1 cylinder, 2 sphere). */
  shape: number;
  /** Share of the face covered by fat or bone. */
  cap: number;
  /** How thick that cap is, mm: fat left after trimming, a bone plate, a bird's skin (common practice). */
  capMm: number;
  /** What makes it safe: red meat has its own table, poultry and minced meat a temperature. */
  kind: Kind;
  /** Minutes at 93 C that make the centre probe tender; Infinity for cuts done by temperature. */
  tenderMin: number;
  /** Share of the cooked piece that is eaten: bone and hard fat off (common practice). */
  edibleShare: number;
  /** Cooked over trimmed raw mass, usual range (common practice). */
  yieldRange: readonly [number, number];
  /** Sensible masses of one piece, kg. */
  massRange: readonly [number, number];
  doneRangeC: readonly [number, number];
}

export const CUTS: Readonly<Record<string, Cut>> = {
  'mutton-shoulder': {
    id: 'mutton-shoulder',
    name: 'mutton shoulder',
    plural: 'mutton shoulders',
    short: 'mutton',
    // Composition, radius and tenderness are guesses between lamb and pork.
    composition: { water: 0.64, protein: 0.18, fat: 0.165, ash: 0.015 },
    atKg: 2.5,
    massPower: 0.33,
    radiusMm: 49,
    shape: 1.2,
    cap: 0.25,
    capMm: 3,
    kind: 'red',
    tenderMin: 60,
    edibleShare: 0.78,
    yieldRange: [0.55, 0.68],
    massRange: [1.2, 4.5],
    doneRangeC: [90, 97],
  },
  'pork-shoulder': {
    id: 'pork-shoulder',
    name: 'pork shoulder',
    plural: 'pork shoulders',
    short: 'pork',
    composition: { water: 0.66, protein: 0.175, fat: 0.15, ash: 0.015 },
    atKg: 3.8,
    massPower: 0.33,
    radiusMm: 67.4,
    shape: 1.79,
    cap: 0.5,
    capMm: 3,
    kind: 'red',
    tenderMin: 75,
    edibleShare: 0.85,
    yieldRange: [0.55, 0.68],
    massRange: [1.5, 6],
    doneRangeC: [91, 97],
  },
  'lamb-shoulder': {
    id: 'lamb-shoulder',
    name: 'lamb shoulder',
    plural: 'lamb shoulders',
    short: 'lamb',
    composition: { water: 0.65, protein: 0.18, fat: 0.155, ash: 0.015 },
    atKg: 2,
    massPower: 0.33,
    radiusMm: 46,
    shape: 1.2,
    cap: 0.23,
    capMm: 2,
    kind: 'red',
    tenderMin: 35,
    edibleShare: 0.78,
    yieldRange: [0.55, 0.68],
    massRange: [1, 3.5],
    doneRangeC: [88, 96],
  },
  brisket: {
    id: 'brisket',
    name: 'brisket',
    plural: 'briskets',
    short: 'brisket',
    composition: { water: 0.65, protein: 0.19, fat: 0.145, ash: 0.015 },
    atKg: 6,
    massPower: 0.33,
    radiusMm: 36.3,
    shape: 0.54,
    cap: 0.44,
    capMm: 6,
    kind: 'red',
    tenderMin: 80,
    edibleShare: 0.9,
    yieldRange: [0.52, 0.68],
    massRange: [2, 8],
    doneRangeC: [90, 97],
  },
  chuck: {
    id: 'chuck',
    name: 'chuck roast',
    plural: 'chuck roasts',
    short: 'chuck',
    composition: { water: 0.66, protein: 0.19, fat: 0.135, ash: 0.015 },
    atKg: 2,
    massPower: 0.33,
    radiusMm: 42,
    shape: 0.9,
    cap: 0.1,
    capMm: 3,
    kind: 'red',
    tenderMin: 70,
    edibleShare: 0.92,
    yieldRange: [0.52, 0.68],
    massRange: [0.8, 4],
    doneRangeC: [90, 97],
  },
  'beef-short-ribs': {
    id: 'beef-short-ribs',
    name: 'rack of beef short ribs',
    plural: 'racks of beef short ribs',
    short: 'short ribs',
    composition: { water: 0.53, protein: 0.18, fat: 0.21, ash: 0.08 },
    atKg: 2.2,
    massPower: 0.2,
    radiusMm: 33.5,
    shape: 0.6,
    cap: 0.45,
    capMm: 8,
    kind: 'red',
    tenderMin: 97,
    edibleShare: 0.62,
    yieldRange: [0.6, 0.78],
    massRange: [1, 4],
    doneRangeC: [91, 97],
  },
  'beef-cheek': {
    id: 'beef-cheek',
    name: 'beef cheek',
    plural: 'beef cheeks',
    short: 'cheek',
    // A guess.
    composition: { water: 0.7, protein: 0.19, fat: 0.1, ash: 0.01 },
    atKg: 0.45,
    massPower: 0.33,
    radiusMm: 25,
    shape: 0.8,
    cap: 0.1,
    capMm: 3,
    kind: 'red',
    tenderMin: 90,
    edibleShare: 0.95,
    yieldRange: [0.5, 0.65],
    massRange: [0.2, 0.8],
    doneRangeC: [92, 98],
  },
  'beef-shin': {
    id: 'beef-shin',
    name: 'beef shin',
    plural: 'beef shins',
    short: 'shin',
    // A guess.
    composition: { water: 0.72, protein: 0.21, fat: 0.06, ash: 0.01 },
    atKg: 2,
    massPower: 0.33,
    radiusMm: 38,
    shape: 1,
    cap: 0.1,
    capMm: 5,
    kind: 'red',
    tenderMin: 110,
    edibleShare: 0.75,
    yieldRange: [0.5, 0.65],
    massRange: [0.8, 4],
    doneRangeC: [92, 98],
  },
  'rib-roast': {
    id: 'rib-roast',
    name: 'rib roast',
    plural: 'rib roasts',
    short: 'roast',
    composition: { water: 0.62, protein: 0.19, fat: 0.175, ash: 0.015 },
    atKg: 2.3,
    massPower: 0.2,
    radiusMm: 43.9,
    shape: 1.19,
    cap: 0.4,
    capMm: 10,
    kind: 'red',
    tenderMin: Infinity,
    edibleShare: 0.95,
    yieldRange: [0.78, 0.9],
    massRange: [1, 6],
    doneRangeC: [48, 60],
  },
  'pork-belly': {
    id: 'pork-belly',
    name: 'pork belly',
    plural: 'pork bellies',
    short: 'belly',
    // A guess.
    composition: { water: 0.5, protein: 0.14, fat: 0.35, ash: 0.01 },
    atKg: 3,
    massPower: 0.2,
    radiusMm: 27,
    shape: 0.2,
    cap: 0.5,
    capMm: 8,
    kind: 'red',
    tenderMin: 45,
    edibleShare: 0.95,
    yieldRange: [0.55, 0.72],
    massRange: [1, 5],
    doneRangeC: [88, 96],
  },
  'spare-ribs': {
    id: 'spare-ribs',
    name: 'rack of spare ribs',
    plural: 'racks of spare ribs',
    short: 'spare ribs',
    composition: { water: 0.6, protein: 0.17, fat: 0.2, ash: 0.03 },
    atKg: 1.2,
    massPower: 0.2,
    radiusMm: 17,
    shape: 0.2,
    cap: 0.145,
    capMm: 6,
    kind: 'red',
    tenderMin: 86,
    edibleShare: 0.6,
    yieldRange: [0.6, 0.78],
    massRange: [0.7, 2.2],
    doneRangeC: [88, 96],
  },
  'back-ribs': {
    id: 'back-ribs',
    name: 'rack of back ribs',
    plural: 'racks of back ribs',
    short: 'back ribs',
    composition: { water: 0.6, protein: 0.17, fat: 0.2, ash: 0.03 },
    atKg: 1,
    massPower: 0.2,
    radiusMm: 16,
    shape: 0.2,
    cap: 0.14,
    capMm: 6,
    kind: 'red',
    tenderMin: 60,
    edibleShare: 0.58,
    yieldRange: [0.6, 0.78],
    massRange: [0.5, 1.6],
    doneRangeC: [86, 95],
  },
  'goat-leg': {
    id: 'goat-leg',
    name: 'goat leg',
    plural: 'goat legs',
    short: 'goat',
    // A guess.
    composition: { water: 0.73, protein: 0.2, fat: 0.06, ash: 0.01 },
    atKg: 2.2,
    massPower: 0.33,
    radiusMm: 42,
    shape: 1.1,
    cap: 0.1,
    capMm: 2,
    kind: 'red',
    tenderMin: 60,
    edibleShare: 0.72,
    yieldRange: [0.55, 0.7],
    massRange: [1, 4],
    doneRangeC: [88, 96],
  },
  'whole-turkey': {
    id: 'whole-turkey',
    name: 'turkey',
    plural: 'turkeys',
    short: 'turkey',
    composition: { water: 0.74, protein: 0.22, fat: 0.03, ash: 0.01 },
    atKg: 5,
    massPower: 0.33,
    radiusMm: 50,
    shape: 1.1,
    cap: 0.6,
    capMm: 3,
    kind: 'poultry',
    tenderMin: Infinity,
    edibleShare: 0.6,
    yieldRange: [0.7, 0.82],
    massRange: [2.5, 9],
    doneRangeC: [74, 82],
  },
  'whole-chicken': {
    id: 'whole-chicken',
    name: 'chicken',
    plural: 'chickens',
    short: 'chicken',
    // Radius from the turkey's by mass.
    composition: { water: 0.74, protein: 0.22, fat: 0.03, ash: 0.01 },
    atKg: 5,
    massPower: 0.33,
    radiusMm: 50,
    shape: 1.1,
    cap: 0.6,
    capMm: 2,
    kind: 'poultry',
    tenderMin: Infinity,
    edibleShare: 0.62,
    yieldRange: [0.7, 0.82],
    massRange: [0.9, 3],
    doneRangeC: [74, 84],
  },
  goose: {
    id: 'goose',
    name: 'goose',
    plural: 'geese',
    short: 'goose',
    // A guess from the turkey, fatter.
    composition: { water: 0.6, protein: 0.18, fat: 0.21, ash: 0.01 },
    atKg: 5,
    massPower: 0.33,
    radiusMm: 50,
    shape: 1.1,
    cap: 0.6,
    capMm: 6,
    kind: 'poultry',
    tenderMin: Infinity,
    edibleShare: 0.5,
    yieldRange: [0.6, 0.75],
    massRange: [3, 6.5],
    doneRangeC: [74, 88],
  },
  sausages: {
    id: 'sausages',
    name: 'sausage',
    plural: 'sausages',
    short: 'sausage',
    // A guess.
    composition: { water: 0.57, protein: 0.16, fat: 0.24, ash: 0.03 },
    atKg: 0.12,
    massPower: 0.33,
    radiusMm: 15,
    shape: 1,
    cap: 0,
    capMm: 0.5,
    kind: 'minced',
    tenderMin: Infinity,
    edibleShare: 1,
    yieldRange: [0.8, 0.92],
    massRange: [0.05, 0.4],
    doneRangeC: [72, 78],
  },
};

/** The cut of that name. Throws RangeError for a name not in the catalogue. */
export function cutOf(id: string): Cut {
  const cut = CUTS[id];
  if (!cut) throw new RangeError(`cut: ${id} is not in the catalogue`);
  return cut;
}

/** Whole thickness through the thickest part expected of a piece of that mass, mm. */
export const thicknessMm = (cut: Cut, massKg: number): number =>
  2 * cut.radiusMm * Math.pow(massKg / cut.atKg, cut.massPower);

/** Whether a cut is done by how it feels; the others by a temperature. */
export const doneByFeel = (cut: Cut): boolean => Number.isFinite(cut.tenderMin);
