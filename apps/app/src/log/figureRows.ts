/** The figures of a cook in words, row by row: those that people work out by hand. */
import { pitOf, type PitPlan } from '@ostrin/core';
import { localOf, MINUTE_MS, toKg, type Units } from '@ostrin/core/quantity';
import type { FuelUse } from '@ostrin/core/tending';
import type { Log } from '@ostrin/core/log';
import type { CookFigures, HandFigures } from '@ostrin/core/afterwards';
import { countWords, massWords, spanOfTime, spanWords, temperatureWords } from '@ostrin/wording';
import { clockOf } from '../ui/words';

/** A figure: its name, its value, and what stands beside it. */
export type Row = [name: string, value: string, beside: string];

/** How the pit was held. */
export function pitRows(f: CookFigures, plan: PitPlan, units: Units): Row[] {
  const { pitC } = pitOf(plan).pace;
  return [
    [
      'Time in band',
      f.inBandFraction === null ? 'no readings' : `${Math.round(f.inBandFraction * 100)} %`,
      `${spanOfTime(f.minutesBelow)} below, ${spanOfTime(f.minutesAbove)} above`,
    ],
    [
      'Average pit',
      f.averageC === null ? 'no readings' : temperatureWords(f.averageC, units),
      `target ${temperatureWords(pitC, units)}`,
    ],
    ...(f.swingC === null
      ? []
      : [
          [
            'Swing',
            spanWords(f.swingC[1] - f.swingC[0], units),
            `nine tenths of the time from ${temperatureWords(f.swingC[0], units)} to ${temperatureWords(f.swingC[1], units)}`,
          ] satisfies Row,
        ]),
  ];
}

/** Less than this left is none, kg. */
const NOTHING_KG = 0.05;

/** Fuel burnt, how fast, and what was left of it; `weighedKg` is what was weighed back, where somebody did. */
export function fuelRows(
  use: FuelUse,
  plan: PitPlan,
  burntOverMin: number | null,
  weighedKg: number | null,
  units: Units,
): Row[] {
  const kg = (value: number): string => massWords(value, units);
  const { charcoalGivenKg, charcoalBurntKg, woodBurntKg, unburntKg, saved } = use;
  const burntKg = weighedKg === null ? charcoalBurntKg : Math.max(0, charcoalGivenKg - weighedKg);
  const all = burntKg + woodBurntKg;
  const rows: Row[] = [
    [
      'Fuel burnt',
      kg(all),
      `${kg(burntKg)} charcoal, ${kg(woodBurntKg)} wood; planned ${kg(plan.fires[0].neededKg)}${
        weighedKg === null ? '' : ', from the weighed leftovers'
      }`,
    ],
  ];
  if (burntOverMin !== null && burntOverMin > 0) {
    rows.push(['Burn rate', `${kg((all / burntOverMin) * 60)}/h`, 'from lighting to the meat off']);
  }
  if (weighedKg !== null) {
    rows.push(['Fuel left', kg(weighedKg), `weighed; by the log ${kg(unburntKg)}`]);
  } else if (unburntKg < NOTHING_KG) rows.push(['Fuel left', 'none', 'all of it was burnt']);
  else if (saved) rows.push(['Fuel saved', kg(unburntKg), 'went out when the vents were shut']);
  else rows.push(['Fuel left', kg(unburntKg), 'still in the pit at the end of the log']);
  return rows;
}

/** What the meat and the watch came to. */
export function handRows(f: HandFigures, zone: string, units: Units): Row[] {
  const clock = (ms: number): string => clockOf(localOf(ms, zone));
  const span = (s: { from: number; to: number }): string => spanOfTime((s.to - s.from) / MINUTE_MS);
  const between = (s: { from: number; to: number }): string => `${clock(s.from)} to ${clock(s.to)}`;
  const rows: Row[] = [];
  if (f.minutesPerKg !== null) {
    rows.push([
      'Minutes',
      `${Math.round(f.minutesPerKg * toKg(1, units.mass))} a ${units.mass}`,
      'of the heaviest piece',
    ]);
  }
  rows.push([
    'Stall',
    f.stall ? span(f.stall) : 'none seen',
    f.stall ? between(f.stall) : 'in the readings of the first piece',
  ]);
  if (f.untouched) rows.push(['Left alone', span(f.untouched), `longest, ${between(f.untouched)}`]);
  rows.push(['Looks', countWords(f.looks.times, 'look', 'looks'), looksWords(f.looks, units)]);
  return rows;
}

/** What the looks cost, as far as readings show it. */
function looksWords({ times, seen, fallK, backMin, lostMin }: HandFigures['looks'], units: Units) {
  if (times === 0) return 'the lid stayed shut';
  if (fallK === null || backMin === null || lostMin === null) {
    return 'the readings do not show their effect';
  }
  return `${seen === times ? 'each' : `${seen} of them seen:`} took the pit down ${spanWords(fallK, units)}, back in ${spanOfTime(backMin)}; together about ${spanOfTime(lostMin)} of cooking`;
}

/** Minutes from lighting to the meat's coming off; null where the log does not tell. */
export const burntOver = (f: CookFigures, log: Log): number | null => {
  const end = f.off.actual ?? log.finishedAt;
  return f.lit.actual === null || end === null ? null : (end - f.lit.actual) / MINUTE_MS;
};
