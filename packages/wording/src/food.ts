/** What comes of food that is added to a cook, in words. */
import type { FoodOutcome } from '@ostrin/core/tending';
import type { Units } from '@ostrin/core/quantity';
import { spanOfTime, spanWords } from './quantities';

/** Less than this is not told: a fall of the pit, K, and a delay, min. */
const SMALL = { dipK: 1.5, delayMin: 5 };

/** When the pit is nearly back. */
const backWords = (backMin: number | null): string =>
  backMin === null
    ? ' and is not back by itself within 3 h'
    : backMin === 0
      ? ''
      : ` and is nearly back after about ${spanOfTime(5 * Math.ceil(backMin / 5))}`;

/** What it does to the pit, to what is on already (`others`: what that is called), and to the fuel. */
export function foodOutcomeWords(o: FoodOutcome, others: string, units: Units): string[] {
  const { mostK, backMin } = o.dip;
  const [before, after] = [o.firstReadyMin.without?.[1], o.firstReadyMin.with?.[1]];
  const delay = before === undefined || after === undefined ? null : after - before;
  return [
    mostK < SMALL.dipK
      ? 'The pit hardly notices.'
      : `The pit falls by about ${spanWords(mostK, units)}${backWords(backMin)}.`,
    delay === null
      ? `When the ${others} will be done is not known.`
      : Math.abs(delay) < SMALL.delayMin
        ? `The ${others} is done as before.`
        : `The ${others} is done about ${spanOfTime(5 * Math.round(Math.abs(delay) / 5))} ${delay > 0 ? 'later' : 'sooner'}.`,
    ...(o.fuelMin === null
      ? []
      : [
          `It takes as much fuel as about ${spanOfTime(5 * Math.ceil(o.fuelMin / 5))} of this fire.`,
        ]),
  ];
}
