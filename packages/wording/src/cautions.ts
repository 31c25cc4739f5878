/**
 * Cautions in words, each with its source. They are shown where they matter, and defer to local codes and
 * licensed practice.
 */
import type { CautionId } from '@ostrin/core/catalogue';
import type { Units } from '@ostrin/core/quantity';
import { capital, temperatureWords } from './quantities';

/** When it applies: it has come about, it would by a time of day if the cook goes on as planned, or it is in a plan. */
export type CautionTime = 'now' | 'planned' | { by: string };

/** A caution with its limits in the user's units. What lies ahead is never said as if it had happened. */
export function cautionWords(id: CautionId, units: Units, when: CautionTime = 'now'): string {
  return when === 'now' ? presentWords(id, units) : aheadWords(id, units, when);
}

/** Where it lies ahead, with what prevents it; the same at any time where nothing depends on it. */
function aheadWords(id: CautionId, units: Units, when: Exclude<CautionTime, 'now'>): string {
  const at = (c: number): string => temperatureWords(c, units);
  const would = (what: string): string =>
    when === 'planned' ? capital(`${what}.`) : `By ${when.by}, if it goes on as now, ${what}.`;
  const lukewarm = `between ${at(5)} and ${at(60)}`;
  switch (id) {
    case 'lingers-surface':
      return `${would(`the surface would have been ${lukewarm} for more than 4 hours, where germs grow`)} A hotter pit shortens that.`;
    case 'lingers-opened':
      return `${would(`the middle would have been ${lukewarm} for more than 4 hours, and this piece is not intact (minced, injected, pinned, or probed early)`)} A hotter pit or a smaller piece shortens that.`;
    case 'lingers-centre':
      return `${would(`the middle would have been ${lukewarm} for more than 10 hours, which is long even for an intact cut`)} A hotter pit or a smaller piece shortens that.`;
    case 'cools-slowly':
      return `${would(`it would have lain under ${at(57)} for two hours`)} Eat it before then, keep it hot, or cut it small and cool it: to ${at(21)} within 2 hours, to ${at(5)} within 6 in all.`;
    case 'hot-hold':
      return `${would(`the held meat would have fallen under ${at(60)}`)} Serve it before then, or keep it hotter.`;
    default:
      return presentWords(id, units);
  }
}

function presentWords(id: CautionId, units: Units): string {
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
