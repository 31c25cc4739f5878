/** What is said of cooks that are over. */
import type { CookVerdict, LearnedWay, TimeCause } from '@ostrin/core/afterwards';
import type { JudgedOf } from '@ostrin/core/log';
import type { Units } from '@ostrin/core/quantity';
import { PIECE_VERDICT_NAMES } from './pieceVerdicts';
import { capital, countWords, inHundred, spanOfTime, spanWords } from './quantities';

export const JUDGED_NAMES: Readonly<Record<JudgedOf, string>> = {
  tenderness: 'Tenderness',
  moisture: 'Moisture',
  bark: 'Bark',
  smoke: 'Smoke',
};

/** A cook's verdict in a few words; empty where nothing was said. */
export const cookVerdictWords = (verdict: CookVerdict): string => {
  if (!verdict) return '';
  if (verdict.asWished) return 'As wanted';
  return capital(verdict.faults.map((v) => PIECE_VERDICT_NAMES[v].toLowerCase()).join(', '));
};

/** What makes one cook longer than another, as the beginning of a line. */
export const CAUSE_NAMES: Readonly<Record<TimeCause, string>> = {
  meat: 'The meat: its cut, mass and thickness',
  pit: "The pit's temperature, weather and looks included",
  wrap: 'Wrapping',
  'rest-of-it': "The piece's own pace, and when it was taken off",
};

/** Less than this is no difference, min. */
const NOTHING_MIN = 3;

/** Minutes more or less: `25 min later`, `as planned`. */
export const soMuchLater = (min: number, [more, less]: [string, string], same: string): string =>
  Math.abs(min) < NOTHING_MIN ? same : `${spanOfTime(Math.abs(min))} ${min > 0 ? more : less}`;

export { fireKindWords } from './fireKinds';
export { PIECE_VERDICT_NAMES, WEIGHED_NAMES } from './pieceVerdicts';

/** How many cooks stand behind a figure. */
const behind = ({ cooks }: LearnedWay): string => `from ${countWords(cooks, 'cook', 'cooks')}`;

/** How far a pit strays before its cook moves the vents. */
export const patienceWords = (way: LearnedWay, units: Units): string =>
  `you move the vents when the pit is about ${spanWords(way.value, units)} off, ${behind(way)}.`;

/** What trimming takes. */
export const trimWords = (way: LearnedWay): string =>
  `trimming takes ${inHundred(way.value)} %, ${behind(way)}.`;

/** What is left of a trimmed piece. */
export const yieldWords = (way: LearnedWay): string =>
  `${inHundred(way.value)} % of a trimmed piece comes off the fire, ${behind(way)}.`;

/** A burn nearer to the usual than this is the usual. */
const AS_USUAL_BURN = 0.06;

/** How fast a fuel burns. */
export const burnWords = (way: LearnedWay): string =>
  Math.abs(way.value - 1) < AS_USUAL_BURN
    ? `burns as is usual, ${behind(way)}.`
    : `burns ${inHundred(Math.abs(way.value - 1))} % ${way.value > 1 ? 'faster' : 'slower'} than is usual, ${behind(way)}: lay ${way.value > 1 ? 'more' : 'less'}.`;
