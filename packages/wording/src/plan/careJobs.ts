/** Jobs with a piece between meat on and off besides wrapping, in words. */
import { presetOf, WOODS, WRAPS } from '@ostrin/core/catalogue';
import type { JobFacts, JobWords, RequestPit } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { smallMassWords, spanOfTime, spanWords } from '../quantities';
import { piecesName } from './jobWords';

type CareFacts = Extract<
  JobFacts,
  { kind: 'spray' | 'bare' | 'sauce' | 'turn-grate' | 'smoke-again' | 'swap-pieces' | 'swap-ends' }
>;

/** Where a chunk goes while the fire burns. */
const ONTO_WORDS = {
  'ash-pan': 'into the ash pan under the grate, where hot coals fall on it',
  edge: 'through the edge of the grate on the coals, past the deflector',
  coals: 'beside the glowing coals, not on them',
} as const;

/** How pieces change ends: what was laid with its thick end to the fire keeps that. */
const swapWords = ({ cooker }: RequestPit): string =>
  presetOf(cooker.preset).traits.meatPlacement === 'thick-end-to-firebox'
    ? 'let the pieces at the two ends change places, their thick ends still towards the fire'
    : 'turn each piece, and let those at the two ends change places';

/** What is done with a piece between meat on and off. */
export function careWords(facts: CareFacts, pit: RequestPit, units: Units): JobWords {
  switch (facts.kind) {
    case 'spray':
      return {
        inWords: facts.first
          ? `First look at the ${piecesName(facts)}: spray`
          : `Look at the ${piecesName(facts)}: spray`,
        detail: `${
          facts.school === 'twice'
            ? 'A mist all over, and shut again.'
            : 'Only where it is dry; where it still shines, leave it and shut again.'
        }${facts.costMin === null ? '' : ` Each look costs about ${spanOfTime(Math.max(1, Math.round(facts.costMin)))}.`}`,
      };
    case 'bare':
      return {
        inWords: `Open the ${piecesName(facts)}`,
        detail: `Open away from you: the steam burns. Out of the ${WRAPS[facts.with].name} for the last ${spanOfTime(facts.minutes)}, so that the bark firms up. Keep the juice.`,
      };
    case 'sauce':
      return {
        inWords: `Brush the ${piecesName(facts)} with sauce`,
        detail:
          'A thin coat; it sets in 10 to 15 min. No sweet sauce over a sweet rub in high heat.',
      };
    case 'turn-grate':
      return {
        inWords: 'Turn the grate by a quarter',
        detail:
          'The fire has walked on: the meat lies across from it again, and the lid vent over the meat.',
      };
    case 'smoke-again':
      return {
        inWords: `Smoke again: a chunk of ${WOODS[facts.species].name}`,
        detail: `${smallMassWords(facts.massG, units)}, ${ONTO_WORDS[facts.onto]}. The first wood is burnt, and the meat still lies bare.`,
      };
    case 'swap-pieces':
      return {
        inWords: 'Swap the pieces',
        detail: `The ${piecesName(facts.slowest)} cooks slowest: it goes nearer to the fire, the ${piecesName(facts.quickest)} farther from it.`,
      };
    case 'swap-ends':
      return {
        inWords: 'Swap the ends',
        detail: `The end at the fire runs about ${spanWords(facts.hotterK, units)} hotter: ${swapWords(pit)}.${facts.slowest ? ` The ${piecesName(facts.slowest)} cooks slowest: it goes to the hot end.` : ''}`,
      };
  }
}
