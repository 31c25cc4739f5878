/** What was learned of a pit from its cooks, in words. */
import { spanFromK, type Units } from '@ostrin/core/quantity';
import type {
  CookFit,
  DomeRelation,
  LearnedFigure,
  LearnedKey,
  LearnedPit,
} from '@ostrin/core/learning';
import { countWords, inHundred, spanWords } from './quantities';

const FIGURE_NAMES: Readonly<Record<LearnedKey, string>> = {
  leakCm2: 'Leaks',
  wallLossFactor: 'Heat lost through the skin',
  spreadFactor: 'How fast the fire spreads',
  openings: 'Openings of its vents',
  wind: 'Wind that reaches it',
};

/** A figure nearer to the usual than this is as usual. */
const AS_USUAL = 0.05;

/** One figure with how sure it is: nine in ten such pits lie between its two ends. */
function figureWords(key: LearnedKey, { times, sdLn }: LearnedFigure): string {
  const percent = (t: number): number => inHundred(t);
  const [low, high] = [
    Math.exp(Math.log(times) - 1.28 * sdLn),
    Math.exp(Math.log(times) + 1.28 * sdLn),
  ];
  const about =
    Math.abs(times - 1) < AS_USUAL ? 'about as usual' : `about ${percent(times)} % of the usual`;
  return `${FIGURE_NAMES[key]}: ${about}, likely ${percent(low)} to ${percent(high)} %.`;
}

/** What its thermometer reads too much, where the cooks tell it. */
function biasWords({ probeBiasK, probeBiasSdK }: LearnedPit, units: Units): string {
  return Math.abs(probeBiasK) > probeBiasSdK
    ? `Its thermometer reads about ${spanWords(Math.abs(probeBiasK), units)} too ${probeBiasK > 0 ? 'much' : 'little'}, give or take ${spanWords(1.28 * probeBiasSdK, units)}. Ice water and boiling water settle it.`
    : 'These cooks do not show how far off its thermometer is: check it in ice water and boiling water.';
}

/** What the dial in its lid reads beside the grate. */
const domeWords = ({ overK, spanK, cooks }: DomeRelation, units: Units): string =>
  `The dial in its lid reads about ${spanWords(Math.abs(overK), units)} ${overK < 0 ? 'less' : 'more'} than the grate, in ${countWords(cooks, 'cook', 'cooks')}; eight of ten readings from ${Math.round(spanFromK(spanK[0], units.temperature))} to ${spanWords(spanK[1], units)}.`;

/** The lines of a proposal: what the cooks tell, and what they do not. */
export function learnedLines(learned: LearnedPit, units: Units): string[] {
  const all = Object.entries(learned.figures) as [LearnedKey, LearnedFigure][];
  const told = all.filter(([, f]) => f.told);
  const untold = all.filter(([, f]) => !f.told).map(([key]) => FIGURE_NAMES[key].toLowerCase());
  return [
    ...told.map(([key, f]) => figureWords(key, f)),
    biasWords(learned, units),
    ...(learned.dome ? [domeWords(learned.dome, units)] : []),
    ...(untold.length > 0
      ? [`These cooks say little about: ${untold.join(', ')}. That stays near the usual.`]
      : []),
  ];
}

/** How one cook goes with it. */
export function cookFitWords({ beforeK, afterK, leftOut }: CookFit, units: Units): string {
  if (leftOut === 'few-readings' || beforeK === null || afterK === null)
    return 'left out: too few readings';
  const fit = `its readings lie ${spanWords(beforeK, units)} from the earlier figures of the pit, ${spanWords(afterK, units)} from the learned ones`;
  return leftOut === 'odd' ? `left out, it does not go with the others: ${fit}` : fit;
}

/** From how many cooks: `Learned from 3 cooks`. */
export const learnedFrom = (cooks: number): string =>
  `Learned from ${countWords(cooks, 'cook', 'cooks')}`;
