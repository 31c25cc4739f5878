/** The cookers on offer: one line each. */
import { waterSmoker47 } from './waterSmoker';
import { hopperDamper, hopperFan } from './hopper';
import { kamado46, kamadoSteel50 } from './kamado';
import { kettle47, kettle57, kettle66 } from './kettle';
import { offsetHeavy, offsetHeavyReverse, offsetLight, offsetLightReverse } from './offset';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';

const ALL: readonly Preset[] = [
  kettle47,
  kettle57,
  kettle66,
  waterSmoker47,
  offsetLight,
  offsetHeavy,
  offsetLightReverse,
  offsetHeavyReverse,
  kamado46,
  kamadoSteel50,
  hopperFan,
  hopperDamper,
];

export const PRESETS: Readonly<Record<string, Preset>> = Object.fromEntries(
  ALL.map((p) => [p.id, p]),
);

/** The preset of that name. Throws RangeError for a name not in the catalogue. */
export function presetOf(id: string): Preset {
  const preset = PRESETS[id];
  if (!preset) throw new RangeError(`cooker.preset: ${id} is not in the catalogue`);
  return preset;
}

/** A preset's physics with a person's own figures laid over it. */
export const pitWith = (
  preset: Preset,
  overrides: Partial<CookerParameters> = {},
): CookerParameters => ({
  ...preset.parameters,
  ...overrides,
});
