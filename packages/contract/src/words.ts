/** What was done, in words. */
import {
  countWords,
  ventName,
  WOODS,
  WRAPS,
  type Entry,
  type PlanLog,
} from '@ostrin/core';

const PLACE_WORDS = {
  near: 'near the fire',
  middle: 'the middle of the grate',
  far: 'the far end',
  'over-fire': 'over the fire',
  away: 'away from the fire',
} as const;

/** A vent as the share of its travel is said where nobody knows whose it is. */
const hairs = (fraction: number): string => ventName(fraction, 'quarters', 0);

/** What an action is called in a list. */
export function actionWords(a: PlanLog): string {
  switch (a.do) {
    case 'set-vents':
      return `Intake ${hairs(a.intakeFraction)}, exhaust ${hairs(a.exhaustFraction)}`;
    case 'lid-open':
      return `Lid open ${Math.round(a.seconds)} s`;
    case 'door':
      return a.openFraction > 0 ? 'Fire door open' : 'Fire door shut';
    case 'add-fuel':
      return a.fuel === 'splits'
        ? `${countWords(Math.round(a.pieces), 'split', 'splits')} of ${WOODS[a.species ?? 'oak'].name}, ${(a.massKg ?? 0).toFixed(1)} kg`
        : `${Math.round(a.pieces)} ${a.lit ? 'lit ' : ''}${a.fuel === 'lump' ? 'lumps of charcoal' : 'briquettes'}`;
    case 'rake':
      return 'Coals raked';
    case 'fill-water':
      return `${a.massKg.toFixed(1)} kg water in the pan`;
    case 'turn':
      return 'Turned';
    case 'spritz':
      return 'Spritzed';
    case 'sauce':
      return 'Sauced';
    case 'move':
      return `Moved: ${PLACE_WORDS[a.to]}`;
    case 'oven-finish':
      return `Into an oven at ${Math.round(a.atC)} C`;
    case 'set-target':
      return `Target ${Math.round(a.targetC)} C`;
    case 'fan':
      return a.on ? 'Fan on' : 'Fan off';
    case 'add-wood':
      return `${Math.round(a.massG)} g ${a.species}`;
    case 'meat-on':
      return 'Meat on';
    case 'meat-off':
      return 'Meat off';
    case 'wrap':
      return a.with === 'none' ? 'Unwrapped' : `Wrapped in ${WRAPS[a.with].name}`;
    case 'unwrap':
      return 'Unwrapped';
  }
}

/** What an entry is called in a list. */
export function entryWords(e: Entry): string {
  switch (e.kind) {
    case 'act':
      return actionWords(e.action);
    case 'note':
      return `Note: ${e.text}`;
    case 'job':
      return 'Job done';
    case 'undo':
      return 'Undone';
    case 'retime':
      return 'Time corrected';
    case 'finish':
      return 'Finished';
  }
}
