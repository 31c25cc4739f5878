/** What the planning sentence says of a meat besides its cut, its wrap and when it is done. */
import { cutOf, usualRest, type RestWhere } from '@ostrin/core/catalogue';
import type { DraftMeat } from '../store/planDraft';
import { clockOf } from '../ui/words';

/** Where it rests, in the planning sentence. */
export const REST_NAMES: Readonly<Record<RestWhere, string>> = {
  open: 'rested in the open',
  tented: 'rested under loose foil',
  counter: 'rested on the counter',
  'cool-box': 'rested in a cool box',
  warmer: 'held in a warmer',
  oven: 'held in a low oven',
};

const PREPARE_NAMES: Readonly<Record<NonNullable<DraftMeat['prepare']>, string>> = {
  season: 'seasoned before it goes on',
  'dry-brine': 'salted ahead',
  brine: 'brined',
  'as-is': 'seasoned already',
};

/** `frozen now, salted ahead, rested in a cool box, eaten at 15:00`. */
export function othersWords(meat: DraftMeat, serveAt: string): string {
  return [
    meat.frozen ? 'frozen now' : '',
    meat.notBefore ? `not there before ${clockOf(meat.notBefore)}` : '',
    meat.prepare ? PREPARE_NAMES[meat.prepare] : '',
    meat.injected ? 'injected' : '',
    REST_NAMES[meat.rest ?? usualRest(cutOf(meat.cut)).where],
    meat.serveAt && meat.serveAt !== serveAt ? `eaten at ${clockOf(meat.serveAt)}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
