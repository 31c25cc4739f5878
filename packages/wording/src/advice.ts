/** Advice in words: the move, its effect, and the effect of doing nothing. */
import { CHARCOALS } from '@ostrin/core/catalogue';
import { MOSTLY_OUT, type Advice } from '@ostrin/core/tending';
import type { RequestPit } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { splitWords } from './fires';
import { countWords, inHundred, spanOfTime, temperatureWords } from './quantities';
import { openingWords, ventedPit, ventNames } from './vents';

/** The move as a command: `Open the bowl vent to \u00bc`. */
export function moveWords(
  { move, inBandLeave }: Pick<Advice, 'move' | 'inBandLeave'>,
  pit: RequestPit,
  units: Units,
): string {
  switch (move.do) {
    case 'leave':
      // A pit that stays out of its band whatever is moved has a cause that somebody has to see.
      return inBandLeave < MOSTLY_OUT ? 'Look at the fire first' : 'Leave it as it is';
    case 'set-vents': {
      const vented = ventedPit(pit);
      const names = ventNames(vented.preset);
      const told = (vent: 'intake' | 'exhaust', fraction: number): string =>
        `the ${names[vent]} to ${openingWords(vented, vent, fraction)}`;
      return `${move.opens ? 'Open' : 'Close'} ${told('intake', move.intake)}, ${told('exhaust', move.exhaust)}`;
    }
    case 'add-charcoal': {
      const fuel = pit.fire.fuel === 'splits' ? 'lump' : pit.fire.fuel;
      return fuel === 'lump'
        ? `Put on ${countWords(move.pieces, 'lump', 'lumps')} of charcoal`
        : `Put on ${move.pieces} ${CHARCOALS[fuel].name}`;
    }
    case 'wait-with-fuel':
      return `Wait ${spanOfTime(move.minutes)} with the next ${pit.fire.fuel === 'splits' ? 'split' : 'fuel'}`;
    case 'add-split':
      return `Put on a warm split: ${splitWords(pit, move.massKg, pit.fire.species, units)}`;
  }
}

/** The pit in half an hour, C. */
const halfHour = (series: readonly number[], everyMin: number): number =>
  series[Math.min(Math.round(30 / everyMin), series.length - 1)]!;

/** What comes of the move, and of doing nothing. */
export function effectWords(a: Advice, units: Units): string {
  const say = (series: readonly number[], inBand: number): string =>
    `about ${temperatureWords(halfHour(series, a.everyMin), units)} in half an hour, and in the band for ${inHundred(inBand)} % of the next hour`;
  if (a.move.do === 'leave')
    return `Left alone: ${say(a.leaveC, a.inBandLeave)}. No move does much better.`;
  return `With it ${say(a.withC, a.inBandWith)}. With nothing done ${say(a.leaveC, a.inBandLeave)}.`;
}

/** How long to wait for it. */
export const waitWords = ({ waitMin }: Pick<Advice, 'waitMin'>): string =>
  `Then wait ${spanOfTime(waitMin)} before the next move.`;
