/** Which cooks of the log are shown, and in which order. */
import { cutOf } from '@ostrin/core/catalogue';
import type { CookSummary } from '@ostrin/contract/types';

/** What a verdict is looked for by. */
export type VerdictWish = '' | 'as-wished' | 'not-as-wished' | 'none';

/** What is looked for: all of the words; one pit, cut, fire and verdict, or every one (empty). */
export interface CookWish {
  words: string;
  pitName: string;
  cut: string;
  /** A fire by its `fireKey`. */
  fire: string;
  verdict: VerdictWish;
  sort: 'newest' | 'oldest' | 'longest' | 'best-held';
}

export const EVERY_COOK: CookWish = {
  words: '',
  pitName: '',
  cut: '',
  fire: '',
  verdict: '',
  sort: 'newest',
};

/** Letters without their marks and in lower case, so that a search finds both ways of writing. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

const lengthMs = ({ startMs, finishedAt }: CookSummary): number =>
  finishedAt === null ? Infinity : finishedAt - startMs;

/** Those that nothing is known of come last. */
const heldShare = ({ glance }: CookSummary): number => glance?.inBandFraction ?? -1;

const ORDERS: Readonly<Record<CookWish['sort'], (a: CookSummary, b: CookSummary) => number>> = {
  newest: (a, b) => b.startMs - a.startMs,
  oldest: (a, b) => a.startMs - b.startMs,
  longest: (a, b) => (lengthMs(a) === lengthMs(b) ? 0 : lengthMs(b) - lengthMs(a)),
  'best-held': (a, b) => heldShare(b) - heldShare(a),
};

/** The cuts of a cook; of one under way its first. */
export const cutsOf = ({ cut, glance }: CookSummary): readonly string[] => glance?.cuts ?? [cut];

/** What names the kind of a cook's fire: how it lies and what it burns; empty while it goes on. */
export const fireKey = ({ glance }: CookSummary): string =>
  glance ? `${glance.fire.arrangement} ${glance.fire.fuel}` : '';

/** What was said of a cook, as it is looked for. */
const verdictKey = ({ glance }: CookSummary): VerdictWish =>
  glance?.verdict ? (glance.verdict.asWished ? 'as-wished' : 'not-as-wished') : 'none';

/** The cooks that hold all the words in their name, pit or cut, and are as wished, in the wished order. */
export function cooksFor(cooks: readonly CookSummary[], wish: CookWish): CookSummary[] {
  const words = plain(wish.words).split(/\s+/).filter(Boolean);
  return cooks
    .filter((c) => {
      const cuts = cutsOf(c);
      if (wish.pitName && c.pitName !== wish.pitName) return false;
      if (wish.cut && !cuts.includes(wish.cut)) return false;
      if (wish.fire && fireKey(c) !== wish.fire) return false;
      if (wish.verdict && verdictKey(c) !== wish.verdict) return false;
      const named = cuts.flatMap((id) => [cutOf(id).name, cutOf(id).plural]);
      const text = plain([c.name, c.pitName, ...named].join(' '));
      return words.every((w) => text.includes(w));
    })
    .sort(ORDERS[wish.sort]);
}
