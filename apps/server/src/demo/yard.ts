/** The pits of the boathouse yard. All invented. */
import type { PitRecord } from '@ostrin/contract';

/** The kettle in the yard: it leaks a little more than the preset, as old ones do. */
export const BOSUN = {
  id: 'bosun',
  name: 'the Bosun',
  preset: 'kettle-57',
  overrides: { leakCm2: 11 },
  ventWay: 'quarters',
} as const satisfies PitRecord;

/** An offset of heavy steel, its door no longer tight. */
export const LONG_TOM = {
  id: 'long-tom',
  name: 'Long Tom',
  preset: 'offset-heavy',
  overrides: { leakCm2: 18 },
  ventWay: 'fingers',
} as const satisfies PitRecord;

export const CLAY_JAR = {
  id: 'clay-jar',
  name: 'Clay Jar',
  preset: 'kamado-46',
  overrides: {},
  ventWay: 'mm',
} as const satisfies PitRecord;

export const TOWER = {
  id: 'tower',
  name: 'the Tower',
  preset: 'hopper-fan',
  overrides: {},
  ventWay: 'quarters',
} as const satisfies PitRecord;

/** The yard's other pits. */
export const OTHER_PITS: readonly PitRecord[] = [LONG_TOM, CLAY_JAR, TOWER];
