/** Any entry of a log in words, for lists of them. */
import type { Entry } from '@ostrin/core/log';
import { actionWords, foodWords, readWords, UNKNOWN, type Telling } from './log';
import { lookWords } from './looks';
import { PIECE_VERDICT_NAMES, WEIGHED_NAMES } from './pieceVerdicts';
import { capital, massWords, temperatureWords } from './quantities';

/** What an entry is called in a list. */
export function entryWords(e: Entry, telling: Telling = UNKNOWN): string {
  switch (e.kind) {
    case 'act':
      return actionWords(e.action, telling);
    case 'note':
      return `Note: ${e.text}`;
    case 'job':
      return 'Job done';
    case 'skip':
      return 'Job skipped';
    case 'read':
      return readWords(e, telling.units);
    case 'look':
      return lookWords(e);
    case 'add-food':
      return capital(foodWords(e.food, telling.units));
    case 'undo':
      return 'Undone';
    case 'retime':
      return 'Time corrected';
    case 'finish':
      return 'Finished';
    case 'serve-at':
      return 'Serving time moved';
    case 'surprises':
      return 'With surprises';
    case 'call-at':
      return e.c === null
        ? 'No alarm at a core temperature'
        : `Alarm at ${temperatureWords(e.c, telling.units)} in the middle`;
    case 'hand-over':
      return `Shift offered to ${e.to}`;
    case 'take-watch':
      return 'Shift taken';
    case 'verdict':
      return `Verdict: ${PIECE_VERDICT_NAMES[e.verdict].toLowerCase()}`;
    case 'next-time':
      return `Next time: ${e.text}`;
    case 'weighed':
      return `${WEIGHED_NAMES[e.what]} ${massWords(e.kg, telling.units)}`;
  }
}
