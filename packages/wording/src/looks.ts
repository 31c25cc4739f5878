/** What eyes and hands tell, in words. */
import type { Look, LookAt, Verdict } from '@ostrin/core/log';

/** What is looked at. */
export const LOOK_NAMES: Readonly<Record<LookAt, string>> = {
  tender: 'How it feels',
  bark: 'Bark',
  smoke: 'Smoke',
  weather: 'Weather',
};

/** What can be seen or felt. */
export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = {
  tough: 'Tough',
  'some-tug': 'Some tug',
  'like-butter': 'Like butter',
  stiff: 'Stiff',
  bends: 'Bends',
  cracks: 'Cracks',
  'wipes-off': 'Wipes off',
  sets: 'Holds',
  clear: 'Clear',
  'thin-blue': 'Thin blue',
  white: 'White',
  dark: 'Dark',
  rain: 'Rain begins',
  dry: 'Rain is over',
  windy: 'Wind gets up',
  calm: 'Wind drops',
  gust: 'A gust',
};

/** A look in a list: `Bark holds`, `Smoke thin blue`, `Feels like butter in the flat`. */
export function lookWords({
  what,
  verdict,
  muscle,
}: Pick<Look, 'what' | 'verdict' | 'muscle'>): string {
  const verdictName = VERDICT_NAMES[verdict].toLowerCase();
  const where = muscle ? ` in the ${muscle}` : '';
  if (what === 'weather') return VERDICT_NAMES[verdict];
  return what === 'tender' ? `Feels: ${verdictName}${where}` : `${LOOK_NAMES[what]} ${verdictName}`;
}
