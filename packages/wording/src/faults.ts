/** What may be wrong with a fire, in the words of its pit, and the first thing to look at or do. */
import type { Fault } from '@ostrin/core/tending';
import type { RequestPit } from '@ostrin/core';
import { capital } from './quantities';
import { ventedPit, ventNames } from './vents';

/** From how sure on a cause is told how, 0 to 1. */
const SURE = { almost: 0.9, likely: 0.65 };

/** How sure a cause is, as the beginning of its sentence. */
const sureWords = (sure: number): string =>
  sure >= SURE.almost ? 'Almost surely' : sure >= SURE.likely ? 'Probably' : 'Perhaps';

/** What is wrong, as the rest of a sentence, and the first thing to look at or do, as a sentence. */
function partsOf(fault: Fault, pit: RequestPit): { what: string; look: string } {
  const { preset, hasFan } = ventedPit(pit);
  const { intake, exhaust } = ventNames(preset);
  const splits = pit.fire.fuel === 'splits';
  const fuel = splits ? 'wood' : 'charcoal';
  switch (fault) {
    case 'fuel-low':
      return {
        what: `less ${fuel} is left than there should be`,
        look: splits
          ? 'Look at the bed of coals, and put a split on if it is thin.'
          : `Look at the ${preset.fuelHolder}, and add lit charcoal if it is nearly empty.`,
      };
    case 'air-short':
      return {
        what: 'too little air gets in',
        look: hasFan
          ? 'Check that nothing blocks the fan and that its flap swings.'
          : `Check that the ${intake} and the ${exhaust} are set as logged and that nothing blocks them.`,
      };
    case 'air-too-much':
      return {
        what: 'more air gets in than the vents let in',
        look: hasFan
          ? 'Check that every door closes tightly; a leak feeds the fire past the fan.'
          : `Check that the lid sits tight and the ${intake} is set as logged.`,
      };
    case 'lid-left-open':
      return {
        what: 'the lid is open',
        look: 'Shut it, and leave the vents: it comes back by itself.',
      };
    case 'door-left-open':
      return { what: 'the fire door is open', look: 'Shut it before anything else is moved.' };
    case 'damp-wood':
      return {
        what: 'the last split is damp or cold',
        look: 'Take the next one warm and dry from the firebox, and leave the rest.',
      };
    case 'ash-choking':
      return {
        what: 'ash chokes the fire',
        look: `Knock the ash through under the ${preset.fuelHolder}, gently, with the lid shut.`,
      };
    case 'wind-or-rain':
      return {
        what: 'the weather moves the pit',
        look: hasFan
          ? 'Turn the pit or screen it from the wind; the fan does the rest.'
          : `Screen the ${intake} from the wind before moving it.`,
      };
    case 'cold-load':
      return {
        what: 'something cold went on',
        look: 'It comes back by itself. Log what went on, so that its time is known.',
      };
    case 'pan-dry':
      return {
        what: 'the water pan is dry',
        look: `Fill it with hot water, or close the ${intake} a little: without water the pit runs hotter.`,
      };
    case 'probe-off':
      return {
        what: 'the pit probe has moved or fallen off',
        look: 'Look where it hangs before anything is moved.',
      };
    case 'fan-stuck':
      return {
        what: 'the fan does not follow its setting',
        look: 'Check that it has power, turns, and is set to the right heat.',
      };
    case 'grease-flare':
      return {
        what: 'fat is burning',
        look: 'Keep the lid shut: without air it goes out. Never water on it.',
      };
  }
}

/** A cause by simulation: how sure it is of what. */
export const suspectedWords = (fault: Fault, sure: number, pit: RequestPit): string =>
  `${sureWords(sure)} ${partsOf(fault, pit).what}.`;

/** What to look at or do first about a fault. */
export const faultRemedy = (fault: Fault, pit: RequestPit): string => partsOf(fault, pit).look;

/** A cause in short, for an alarm. */
export const faultName = (fault: Fault, pit: RequestPit): string =>
  capital(partsOf(fault, pit).what);
