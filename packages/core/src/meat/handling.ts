/**
 * How each cut is handled by hand, from the butcher's counter to the plate: what is only said, as codes and figures.
 * All of it is common practice unless a source is named. A new cut is one entry here.
 */

import type { WrapId } from './wraps';

/** What is trimmed besides the fat cap. */
export type TrimId =
  | 'hard-fat'
  | 'silver-skin'
  | 'loose-ends'
  | 'thin-edges'
  | 'skin'
  | 'rib-flap'
  | 'giblets'
  | 'wing-tips'
  | 'loose-fat';

/** Where a piece is probed. */
export type SpotId =
  | 'thickest'
  | 'flat'
  | 'point'
  | 'between-bones'
  | 'beside-blade'
  | 'along-bone'
  | 'both-ends'
  | 'breast'
  | 'thigh';

/** What shows besides the probe that it is done. */
export type DoneSignId =
  | 'blade-turns'
  | 'folds'
  | 'bend-cracks'
  | 'bone-ends'
  | 'toothpick'
  | 'quivers'
  | 'leg-moves'
  | 'no-pink';

/** How it is parted at the table. */
export type ServingId =
  | 'part-flat-and-point'
  | 'across-the-grain'
  | 'pull'
  | 'between-bones'
  | 'off-the-bone'
  | 'carve-bird'
  | 'whole';

/** Which way a piece lies in its wrap. */
export type SideInWrap = 'fat-up' | 'bones-down' | 'meat-down';

interface Handling {
  /** Fat left on after trimming, mm; null where there is no cap to trim. */
  fatLeftMm: number | null;
  /** Whether some take all of that fat off: more bark, a drier face. */
  fatMayGo?: boolean;
  /** What else is trimmed. */
  trim: readonly TrimId[];
  /** The skin over the bones: none, one that holds the piece together, or one that is pulled off. */
  membrane: 'none' | 'stays' | 'off';
  /** Whether what is cut off is worth cooking apart, as an early treat. */
  treat: boolean;
  /** Salt, g for each kg of trimmed meat; null where it is salted already. */
  saltGPerKg: number | null;
  /** Ribs and thin pieces are never salted longer than an hour ahead. */
  saltWithinHour: boolean;
  /** Injected, ml for each kg; null where that is not done. */
  injectMlPerKg: number | null;
  /** Where it is probed, each of them. */
  spots: readonly SpotId[];
  /** What else shows that it is done. */
  signs: readonly DoneSignId[];
  /** How it is parted. */
  serving: readonly ServingId[];
}

/** Big pieces done by feel, salted overnight. */
const BIG: Pick<Handling, 'membrane' | 'treat' | 'saltGPerKg' | 'saltWithinHour'> = {
  membrane: 'none',
  treat: false,
  saltGPerKg: 12,
  saltWithinHour: false,
};

/** Racks of pork ribs. */
const PORK_RIBS: Omit<Handling, 'trim' | 'treat'> = {
  fatLeftMm: 3,
  membrane: 'off',
  saltGPerKg: 8,
  saltWithinHour: true,
  injectMlPerKg: null,
  spots: ['between-bones'],
  signs: ['bend-cracks', 'bone-ends', 'toothpick'],
  serving: ['between-bones'],
};

/** Whole birds. */
const BIRD: Handling = {
  ...BIG,
  fatLeftMm: null,
  trim: ['giblets', 'wing-tips'],
  injectMlPerKg: 80,
  spots: ['breast', 'thigh'],
  signs: ['leg-moves', 'no-pink'],
  serving: ['carve-bird'],
};

/** A shoulder with its blade. */
const SHOULDER: Handling = {
  ...BIG,
  fatLeftMm: 3,
  trim: ['loose-ends'],
  injectMlPerKg: 80,
  spots: ['beside-blade', 'thickest'],
  signs: ['blade-turns'],
  serving: ['pull'],
};

const HANDLING: Readonly<Record<string, Handling>> = {
  'mutton-shoulder': { ...SHOULDER, trim: ['hard-fat', 'loose-ends'] },
  'pork-shoulder': SHOULDER,
  'lamb-shoulder': { ...SHOULDER, trim: ['hard-fat', 'loose-ends'], injectMlPerKg: null },
  brisket: {
    ...BIG,
    fatLeftMm: 6,
    trim: ['hard-fat', 'silver-skin', 'thin-edges'],
    treat: true,
    injectMlPerKg: 80,
    spots: ['flat', 'point'],
    signs: ['folds'],
    serving: ['part-flat-and-point', 'across-the-grain'],
  },
  chuck: {
    ...BIG,
    fatLeftMm: 6,
    trim: ['silver-skin', 'loose-ends'],
    injectMlPerKg: null,
    spots: ['thickest', 'both-ends'],
    signs: ['quivers'],
    serving: ['across-the-grain', 'pull'],
  },
  'beef-short-ribs': {
    ...BIG,
    fatLeftMm: 6,
    fatMayGo: true,
    trim: ['silver-skin'],
    membrane: 'stays',
    saltWithinHour: true,
    injectMlPerKg: null,
    spots: ['between-bones'],
    signs: ['bone-ends', 'quivers'],
    serving: ['between-bones'],
  },
  'beef-cheek': {
    ...BIG,
    fatLeftMm: null,
    trim: ['silver-skin', 'loose-ends'],
    injectMlPerKg: null,
    spots: ['thickest'],
    signs: ['quivers'],
    serving: ['across-the-grain', 'pull'],
  },
  'beef-shin': {
    ...BIG,
    fatLeftMm: null,
    trim: ['silver-skin'],
    injectMlPerKg: null,
    spots: ['along-bone', 'thickest'],
    signs: ['quivers'],
    serving: ['off-the-bone', 'pull'],
  },
  'rib-roast': {
    ...BIG,
    fatLeftMm: 6,
    trim: ['silver-skin'],
    injectMlPerKg: null,
    spots: ['thickest'],
    signs: [],
    serving: ['off-the-bone', 'across-the-grain'],
  },
  'pork-belly': {
    ...BIG,
    fatLeftMm: null,
    trim: ['skin', 'thin-edges'],
    treat: true,
    injectMlPerKg: null,
    spots: ['thickest', 'both-ends'],
    signs: ['quivers'],
    serving: ['across-the-grain'],
  },
  'spare-ribs': { ...PORK_RIBS, trim: ['rib-flap', 'thin-edges'], treat: true },
  'back-ribs': { ...PORK_RIBS, trim: ['loose-ends'], treat: false },
  'goat-leg': {
    ...BIG,
    fatLeftMm: null,
    trim: ['hard-fat', 'silver-skin'],
    injectMlPerKg: null,
    spots: ['along-bone', 'thickest'],
    signs: ['quivers'],
    serving: ['off-the-bone', 'pull'],
  },
  'whole-turkey': BIRD,
  'whole-chicken': { ...BIRD, injectMlPerKg: null },
  goose: { ...BIRD, trim: ['giblets', 'wing-tips', 'loose-fat'], injectMlPerKg: null },
  sausages: {
    fatLeftMm: null,
    trim: [],
    membrane: 'none',
    treat: false,
    saltGPerKg: null,
    saltWithinHour: true,
    injectMlPerKg: null,
    spots: ['thickest'],
    signs: ['no-pink'],
    serving: ['whole'],
  },
};

/** How a cut of the catalogue is handled. Throws RangeError for one that it does not have. */
export function handlingOf(cut: string): Handling {
  const known = HANDLING[cut];
  if (!known) throw new RangeError(`no cut ${cut}`);
  return known;
}

/** Which way a piece lies in its wrap: racks on their meat, in its juice, but for an open one; null where it does not matter. */
export function sideInWrap(cut: string, wrap: WrapId): SideInWrap | null {
  const { membrane, fatLeftMm } = handlingOf(cut);
  if (membrane === 'off') return wrap === 'boat' ? 'bones-down' : 'meat-down';
  if (membrane === 'stays') return 'bones-down';
  return fatLeftMm === null ? null : 'fat-up';
}

/** The membrane of pork ribs may stay from this pit temperature on: heat makes it crisp, C (common practice). */
export const MEMBRANE_STAYS_FROM_C = 135;

/** Cuts that serve the same table for less, or in less time (common practice). */
const INSTEAD: Readonly<Record<string, readonly string[]>> = {
  brisket: ['chuck', 'beef-shin'],
  chuck: ['brisket', 'beef-cheek'],
  'beef-short-ribs': ['chuck', 'spare-ribs'],
  'beef-cheek': ['chuck', 'beef-shin'],
  'beef-shin': ['chuck', 'beef-cheek'],
  'pork-shoulder': ['pork-belly', 'spare-ribs'],
  'pork-belly': ['pork-shoulder', 'spare-ribs'],
  'spare-ribs': ['back-ribs', 'pork-belly'],
  'back-ribs': ['spare-ribs'],
  'mutton-shoulder': ['lamb-shoulder', 'goat-leg'],
  'lamb-shoulder': ['mutton-shoulder', 'goat-leg'],
  'goat-leg': ['lamb-shoulder', 'mutton-shoulder'],
  'whole-turkey': ['whole-chicken'],
  'whole-chicken': ['whole-turkey'],
  goose: ['whole-turkey'],
};

/** Other cuts for the same table; empty where none does. */
export const cutsInstead = (cut: string): readonly string[] => INSTEAD[cut] ?? [];
