/** A test burn, the leak test and seasoning in words (common practice). */
import type { Units } from '@ostrin/core/quantity';
import { spanOfTime, temperatureWords } from './quantities';

/** What to look for before the first fire. */
export const LEAK_TEST: readonly string[] = [
  'In the dark, a lamp inside, everything shut: light shows each gap.',
  'Or a smouldering handful of damp straw inside, everything shut: smoke shows each gap.',
  'Lid seam, door edges, legs, the holes of thermometer and handles: note where it comes out.',
  'A rope gasket or food-safe silicone shuts what should be shut. Not the vents, and not the drain.',
];

/** What is done with a pit that never had a fire: its hours at a heat, C. */
const SEASON_C = { from: 120, to: 150 } as const;

/** How a pit that never had a fire is made ready. */
export const seasoningWords = (units: Units): string[] => [
  'Wash out oil and dust from its making, and let it dry.',
  'A thin coat of cooking oil on bare steel inside and on the grates; none on enamel or ceramic.',
  `Steel: two hours at ${temperatureWords(SEASON_C.from, units)} to ${temperatureWords(SEASON_C.to, units)}, vents half open, until it stops smoking.`,
  `Ceramic: slowly, an hour under ${temperatureWords(SEASON_C.to, units)} the first time, so that it dries and does not crack.`,
  'Outdoors, away from walls and overhanging wood. Eat nothing from it that day. The instructions of its maker come first.',
];

/** One setting of a burn: `After 45 min: in ¼, out ½`. */
export const burnStepWords = (atMin: number, setting: string): string =>
  `After ${spanOfTime(atMin)}: ${setting}`;
