/** What a fire is doing and why, in words. */
import type { Cause, Diagnosis, Trend } from '@ostrin/core/tending';
import type { RequestPit } from '@ostrin/core';
import { suspectedWords } from './faults';
import { ventedPit } from './vents';

const TREND_WORDS: Readonly<Record<Trend, string>> = {
  unlit: 'Not lit',
  'coming-up': 'Coming up',
  steady: 'Steady',
  rising: 'Climbing',
  falling: 'Easing down',
  unclear: 'Trend unknown',
};

/** What a pit does, in a word or two. */
export function trendWords({ trend, cause }: Pick<Diagnosis, 'trend' | 'cause'>): string {
  if (cause.code === 'fire-out') return 'Cold';
  return cause.code === 'no-reading' ? 'No reading' : TREND_WORDS[trend];
}

/** What the fire of a pit is called while it burns. */
const fireNoun = ({ fire }: RequestPit): string =>
  fire.fuel === 'splits' ? 'bed of coals' : 'charcoal';

/** Causes that say by themselves how the pit goes on. */
const SAYS_ON: ReadonlySet<Cause['code']> = new Set<Cause['code']>([
  'coming-up',
  'recovering-from-lid',
  'lid-was-open',
  'cold-meat',
  'vents-just-moved',
  'high-and-falling',
  'low-and-rising',
]);

/** What the fire does and why, and, where it is left alone out of its band, that it comes back. */
export const stateWords = (cause: Cause, pit: RequestPit, comesBack: boolean): string =>
  causeWords(cause, pit) +
  (comesBack && !SAYS_ON.has(cause.code) ? ' It should come back by itself.' : '');

/** What the fire does and why: what to do about it is said by the order (`orderWords`), and by nothing else. */
export function causeWords(cause: Cause, pit: RequestPit): string {
  const { hasFan } = ventedPit(pit);
  const splits = pit.fire.fuel === 'splits';
  switch (cause.code) {
    case 'not-lit':
      return 'The fire is not lit yet.';
    case 'coming-up':
      return hasFan ? 'The fan brings it up.' : 'On its way up.';
    case 'no-reading':
      return 'There is no recent reading of the pit.';
    case 'fire-out':
      return 'No thermometer reads warm: the fire is out, or a probe has fallen off.';
    case 'fuel-nearly-gone':
      return `The ${fireNoun(pit)} is nearly burnt: fuel is the cause, not the vents.`;
    case 'recovering-from-lid':
      return 'Coming back after the lid was open.';
    case 'lid-was-open':
      return 'The lid was open. It comes back by itself.';
    case 'cold-meat':
      return 'Cold meat just went on. It comes back by itself.';
    case 'vents-just-moved':
      return 'The vents were moved a short while ago: it takes time to show.';
    case 'on-target':
      return 'On its target.';
    case 'inside-band':
      return 'Inside its band.';
    case 'low-in-band':
      return 'Near the bottom of its band.';
    case 'high-in-band':
      return 'Near the top of its band.';
    case 'high-and-falling':
      return 'High, but already on its way down.';
    case 'low-and-rising':
      return 'Low, but already on its way up.';
    case 'fuel-or-wind':
      return splits
        ? 'A steady fall: the bed of coals is low.'
        : 'A steady fall is fuel or wind, not the vents.';
    case 'suspected':
      return suspectedWords(cause.fault, cause.sure, pit);
    case 'smoke':
      return cause.smoke === 'dark'
        ? 'Dark smoke: the fire is short of air, or fat burns.'
        : 'White smoke: damp or cold wood, or too little air.';
    case 'too-much-air':
      return splits ? 'Hotter than the target.' : 'More air than the target needs.';
    case 'too-little-air':
      return splits ? 'Cooler than the target.' : 'Less air than the target needs.';
  }
}
