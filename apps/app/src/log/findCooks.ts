/** Which cooks of the log are shown, and in which order. */
import { cutOf } from '@ostrin/core';
import type { CookSummary } from '@ostrin/contract/types';

/** What is looked for: all of the words, one pit or every one (empty). */
export interface CookWish {
  words: string;
  pitName: string;
  sort: 'newest' | 'oldest' | 'longest';
}

export const EVERY_COOK: CookWish = { words: '', pitName: '', sort: 'newest' };

/** Letters without their marks and in lower case, so that a search finds both ways of writing. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

const lengthMs = ({ startMs, finishedAt }: CookSummary): number =>
  finishedAt === null ? Infinity : finishedAt - startMs;

const ORDERS: Readonly<Record<CookWish['sort'], (a: CookSummary, b: CookSummary) => number>> = {
  newest: (a, b) => b.startMs - a.startMs,
  oldest: (a, b) => a.startMs - b.startMs,
  longest: (a, b) => (lengthMs(a) === lengthMs(b) ? 0 : lengthMs(b) - lengthMs(a)),
};

/** The cooks that hold all the words in their name, pit or cut, in the wished order. */
export function cooksFor(cooks: readonly CookSummary[], wish: CookWish): CookSummary[] {
  const words = plain(wish.words).split(/\s+/).filter(Boolean);
  return cooks
    .filter((c) => {
      if (wish.pitName && c.pitName !== wish.pitName) return false;
      const { name, plural } = cutOf(c.cut);
      const text = plain([c.name, c.pitName, name, plural].join(' '));
      return words.every((w) => text.includes(w));
    })
    .sort(ORDERS[wish.sort]);
}
