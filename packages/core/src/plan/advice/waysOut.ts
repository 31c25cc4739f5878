/** What is left to do when a cook is early or late. */
import { cutOf } from '../../meat/cuts';
import { doneByFeel } from '../../meat/cut';
import type { WayOut } from '../document/facts';
import type { RequestMeat } from '../request/types';

/** Ways out, in the order to try. */
export function waysOut(meats: readonly RequestMeat[]): WayOut[] {
  const byFeel = meats.filter((m) => doneByFeel(cutOf(m.cut)));
  const bare = byFeel.some((m) => m.wrap.with === 'none');
  const feel = byFeel.length > 0;
  return [
    feel ? 'hold-wrapped' : 'serve-sooner',
    ...(bare ? (['wrap-now'] as const) : []),
    'pit-hotter',
    ...(feel ? (['finish-in-oven'] as const) : []),
  ];
}
