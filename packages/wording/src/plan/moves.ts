/** The first move when a pit settles off its target, in words. */
import type { FirstMove } from '@ostrin/core';
import { openingWords, settingWords, ventNames, type VentedPit } from '../vents';
import { capital } from '../quantities';

export function firstMoveWords(pit: VentedPit, move: FirstMove): string {
  switch (move.do) {
    case 'set-vents':
      return `${settingWords(pit, move.intake, move.exhaust)}.`;
    case 'nothing-left':
      return move.whenHigh
        ? 'It is as far closed as it goes: look for leaks, and leave the lid shut.'
        : 'It is open already: rake the coals free of ash, and give it fuel.';
    case 'other-splits': {
      const splits = `The next split one size ${move.lighter ? 'lighter' : 'heavier, and warmed longer'}.`;
      if (move.exhaust === null) return splits;
      const name = capital(ventNames(pit.preset).exhaust);
      return `${name} to ${openingWords(pit, 'exhaust', move.exhaust)} until it is back: the quick way down. ${splits}`;
    }
    case 'as-written':
      return move.inWords;
    case 'look-at-fan':
      if (pit.preset.traits.gravityFed) {
        return move.whenHigh
          ? 'Look for air that gets in past the fan: slit shut, ash door tight.'
          : 'Ash under the fire, or fuel bridging in the hopper: tap it, empty the pan.';
      }
      return move.whenHigh
        ? `Look for air that gets in past the fan: a loose fitting, a lid that does not sit, the ${ventNames(pit.preset).exhaust} open too far.`
        : 'Ash in front of the fan, or little fuel left: rake, and look at the charcoal.';
  }
}
