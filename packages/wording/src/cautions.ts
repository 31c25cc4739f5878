/**
 * Cautions in words, each with its source. They are shown where they matter, and defer to local codes and
 * licensed practice.
 */
import type { CautionId } from '@ostrin/core/catalogue';
import type { Units } from '@ostrin/core/quantity';
import { temperatureWords } from './quantities';

/** A caution with its limits in the user's units. */
export function cautionWords(id: CautionId, units: Units): string {
  const at = (c: number): string => temperatureWords(c, units);
  switch (id) {
    case 'carbon-monoxide':
      return 'Charcoal gives off carbon monoxide, also when it looks finished. Burn it outdoors only: never in a garage, a tent or near an air intake.';
    case 'hot-ash':
      return 'Ash hides embers for days. Metal bin with a lid, away from the house.';
    case 'not-safe-yet':
      return 'When it is called done, its centre has not been hot enough for long enough to be safe by the table for intact cuts. Say so to everyone who eats it; the very young, the old, the pregnant and the ill should not.';
    case 'not-safe-poultry':
      return `Poultry is safe at ${at(74)} in its thickest part, and not before. Check it there with a second thermometer.`;
    case 'not-safe-minced':
      return `Minced, injected, pinned or bladed meat carries germs to its middle: ${at(71)} there, and not before.`;
    case 'lingers-surface':
      return `The surface has been between ${at(5)} and ${at(60)} for more than 4 hours, where germs grow. A hotter pit next time; if in doubt, do not serve it.`;
    case 'lingers-opened':
      return `This piece is not intact any more (minced, injected, pinned, or probed early), and its middle has been between ${at(5)} and ${at(60)} for more than 4 hours. If in doubt, do not serve it.`;
    case 'lingers-centre':
      return `The middle has been between ${at(5)} and ${at(60)} for more than 10 hours. That is long even for an intact cut.`;
    case 'cools-slowly':
      return `Under ${at(57)} for two hours now. Eat it, or cut it small and cool it: to ${at(21)} within 2 hours, to ${at(5)} within 6 in all.`;
    case 'foil-steam':
      return 'Steam under foil scalds: open it at the far end first, away from hands and face.';
    case 'sugar-browns':
      return `Sugar in the rub darkens quickly above ${at(135)}. Leave it out, or look at the crust early.`;
    case 'sugar-burns':
      return 'Sugar burns at this heat. Leave it out of the rub; sauce goes on for the last 10 to 15 minutes, away from the fire.';
    case 'start-warm':
      return `Out of the fridge at most 2 hours before it goes on, 1 hour above ${at(32)}.`;
    case 'hot-hold':
      return `Held meat has fallen under ${at(60)}. Serve it, reheat it, or cool it quickly.`;
  }
}

/** Where a caution comes from. */
export const CAUTION_SOURCES: Readonly<Record<CautionId, string>> = {
  'carbon-monoxide': 'common practice; local fire and building codes come first',
  'hot-ash': 'common practice; local codes come first',
  'not-safe-yet':
    'USDA FSIS safe minimum temperatures (62.8 °C and 3 min rest) and Appendix A, from memory',
  'not-safe-poultry':
    'USDA FSIS safe minimum temperatures (73.9 °C), from memory; local codes come first',
  'not-safe-minced':
    'USDA FSIS safe minimum temperatures (71.1 °C), from memory; local codes come first',
  'lingers-surface': 'common practice (4 hours), limits from USDA consumer advice, from memory',
  'lingers-opened': 'common practice (4 hours), limits from USDA consumer advice, from memory',
  'lingers-centre': 'common practice; limits from USDA consumer advice, from memory',
  'cools-slowly': 'FDA Food Code 3-501.14, from memory; local codes come first',
  'foil-steam': 'common practice',
  'sugar-browns': 'common practice (from 135 °C on)',
  'sugar-burns': 'common practice (from 150 °C on)',
  'start-warm': 'USDA consumer advice, from memory',
  'hot-hold': 'FDA Food Code 3-501.16 (57 °C) and USDA consumer advice (60 °C), from memory',
};
