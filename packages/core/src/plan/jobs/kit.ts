/** What has to be at hand before a fire is lit: only what this plan uses. */
import type { KitId } from '../document/preparation';
import type { RequestMeat } from '../request/types';
import type { PitSchedule } from '../schedule/pitSchedule';

/** The kit of one pit's part of a plan. */
export function kitOf({ setup, scenario }: PitSchedule, meats: readonly RequestMeat[]): KitId[] {
  const { arrangement } = scenario.fire!;
  const wraps = meats.map((m) => m.wrap.with);
  const when = (is: boolean, ...kit: KitId[]): KitId[] => (is ? kit : []);
  return [
    'lighter',
    // What glows in its own place is lit there.
    ...when(arrangement !== 'bowl' && arrangement !== 'hopper', 'chimney'),
    ...when(arrangement === 'horseshoe', 'fire-bricks'),
    'tongs',
    'gloves',
    'thermometers',
    ...when(setup.parameters.waterKg > 0, 'water'),
    ...when(wraps.includes('paper'), 'paper'),
    ...when(wraps.includes('foil') || wraps.includes('boat'), 'foil'),
    ...when(wraps.includes('pan'), 'pan'),
    ...when(
      meats.some((m) => m.rest.where === 'cool-box'),
      'cool-box',
    ),
    ...when(
      meats.some((m) => m.injected),
      'injector',
    ),
    ...when(
      meats.some((m) => m.spray),
      'spray',
    ),
    ...when(
      meats.some((m) => m.sauce),
      'sauce',
    ),
    ...when(meats.length > 0, 'tray', 'knives'),
    ...when(setup.onSplits, 'dry-splits'),
    ...when(!setup.onSplits && setup.preset.traits.canTopUp, 'second-bag'),
    'ash-bin',
  ];
}
