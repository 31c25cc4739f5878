/** Surprises of a practice cook in words, once it is over. */
import type { SurpriseKind, SurpriseSeen } from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';
import { spanOfTime } from './quantities';

/** What each was. */
const SURPRISE_WORDS: Readonly<Record<SurpriseKind, string>> = {
  gust: 'The wind got up',
  'damp-split': 'The next split was damp and cold',
  'lid-left-open': 'The lid did not shut',
  'probe-out': 'The probe fell out of the meat',
};

/** How each shows, where nobody noticed it. */
const SHOWS_AS: Readonly<Record<SurpriseKind, string>> = {
  gust: 'The pit swings with the wind: log what the weather does under More.',
  'damp-split': 'White smoke, and a pit that falls after a split: log the smoke under More.',
  'lid-left-open': 'The pit drops by tens of degrees within minutes: look at the lid, and log it.',
  'probe-out': 'The meat reads like the pit within minutes: look at the probe, and log the lid.',
};

/** One surprise: what it was, how long, and whether it was noticed. */
export function surpriseWords({ what, fromMs, toMs, seenMs }: SurpriseSeen): string {
  const lasted = spanOfTime((toMs - fromMs) / MINUTE_MS);
  const noticed =
    seenMs === null
      ? `Not noticed. ${SHOWS_AS[what]}`
      : `Noticed after ${spanOfTime((seenMs - fromMs) / MINUTE_MS)}.`;
  return what === 'damp-split'
    ? `${SURPRISE_WORDS[what]}. ${noticed}`
    : `${SURPRISE_WORDS[what]}, for ${lasted}. ${noticed}`;
}
