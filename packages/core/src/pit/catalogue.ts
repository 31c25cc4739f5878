/** The cookers on offer: one line each. */
import { kettle57 } from './kettle';
import type { Pit, Preset } from './types';

export const PRESETS: Readonly<Record<string, Preset>> = { [kettle57.id]: kettle57 };

/** Preset names the format knows but this version cannot compute yet. */
export const NOT_YET_PRESETS: readonly string[] = [
  'kettle-47',
  'kettle-66',
  'bullet-47',
  'offset-light',
  'offset-heavy',
  'offset-light-reverse',
  'offset-heavy-reverse',
  'kamado-46',
  'kamado-steel-50',
  'hopper-fan',
  'hopper-damper',
];

/** The preset of that name. Throws RangeError for a name not in the catalogue. */
export function presetOf(id: string): Preset {
  const preset = PRESETS[id];
  if (!preset) throw new RangeError(`cooker.preset: ${id} is not in the catalogue`);
  return preset;
}

/** A preset's physics with a person's own figures laid over it. */
export const pitWith = (preset: Preset, overrides: Partial<Pit> = {}): Pit => ({
  ...preset.pit,
  ...overrides,
});
