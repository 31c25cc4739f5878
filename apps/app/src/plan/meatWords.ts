/** What is said of a meat on the slip besides its cut, its wrap and when it is done. */
import { cutOf, usualRest, type RestWhere } from '@ostrin/core';
import type { MeatWish } from '../store/slip';
import { clockOf } from '../ui/words';

/** Where it rests, as the slip says it. */
export const REST_NAMES: Readonly<Record<RestWhere, string>> = {
  open: 'rested in the open',
  tented: 'rested under loose foil',
  counter: 'rested on the counter',
  'cool-box': 'rested in a cool box',
  warmer: 'held in a warmer',
  oven: 'held in a low oven',
};

export const PREPARE_NAMES: Readonly<Record<NonNullable<MeatWish['prepare']>, string>> = {
  season: 'seasoned before it goes on',
  'dry-brine': 'salted ahead',
  brine: 'brined',
};

/** `frozen now, salted ahead, rested in a cool box, eaten at 15:00`. */
export function othersWords(m: MeatWish, serveAt: string): string {
  return [
    m.frozen ? 'frozen now' : '',
    m.notBefore ? `not there before ${clockOf(m.notBefore)}` : '',
    m.prepare ? PREPARE_NAMES[m.prepare] : '',
    m.injected ? 'injected' : '',
    REST_NAMES[m.rest ?? usualRest(cutOf(m.cut)).where],
    m.serveAt && m.serveAt !== serveAt ? `eaten at ${clockOf(m.serveAt)}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
