/** What a fire is doing and why, in words. */
import type { Cause, Trend } from '@ostrin/core/tending';
import type { RequestPit } from '@ostrin/core';
import { suspectedWords } from './faults';
import { capital } from './quantities';
import { firstMoveWords } from './plan/moves';
import { openingWords, ventedPit, ventNames, type VentedPit } from './vents';

export const TREND_WORDS: Readonly<Record<Trend, string>> = {
  unlit: 'Not lit',
  'coming-up': 'Coming up',
  steady: 'Steady',
  rising: 'Climbing',
  falling: 'Easing down',
};

/** What the fire of a pit is called while it burns. */
const fireNoun = ({ fire }: RequestPit): string =>
  fire.fuel === 'splits' ? 'bed of coals' : 'charcoal';

/** The move that a cause asks for; vents are told by the one that moves. */
function moveWords(
  cause: Extract<Cause, { code: 'too-much-air' | 'too-little-air' }>,
  pit: VentedPit,
): string {
  const { move } = cause;
  if (move.do !== 'set-vents') return firstMoveWords(pit, move);
  const verb = cause.code === 'too-much-air' ? 'close' : 'open';
  const names = ventNames(pit.preset);
  return `${capital(verb)} the ${names.intake} to ${openingWords(pit, 'intake', move.intake)}, the ${names.exhaust} at ${openingWords(pit, 'exhaust', move.exhaust)}.`;
}

/** A cause, and what to do about it, in one or two short sentences. */
export function causeWords(cause: Cause, pit: RequestPit): string {
  const vented = ventedPit(pit);
  const { hasFan } = vented;
  const splits = pit.fire.fuel === 'splits';
  switch (cause.code) {
    case 'not-lit':
      return 'The fire is not lit yet.';
    case 'coming-up':
      return hasFan ? 'The fan brings it up.' : 'On its way up.';
    case 'no-reading':
      return 'There is no recent reading of the pit. Log what a thermometer shows.';
    case 'fire-out':
      return 'Nothing in the pit is warm: the fire is out, or the probe has fallen off. Look, and light it again.';
    case 'fuel-nearly-gone':
      return `The ${fireNoun(pit)} is nearly burnt: fuel is the cause, not the vents.`;
    case 'recovering-from-lid':
      return 'Coming back after the lid was open. Leave it shut.';
    case 'lid-was-open':
      return 'The lid was open. It comes back by itself.';
    case 'cold-meat':
      return 'Cold meat just went on. It comes back by itself.';
    case 'vents-just-moved':
      return 'The vents were moved. Wait before moving them again.';
    case 'on-target':
      return 'Nothing to do.';
    case 'inside-band':
      return hasFan ? 'Inside the band: leave the fan to it.' : 'Inside the band: leave the vents.';
    case 'high-and-falling':
      return 'High, but already on its way down.';
    case 'low-and-rising':
      return 'Low, but already on its way up.';
    case 'fuel-or-wind':
      return splits
        ? 'A steady fall: the bed of coals is low. Time for a split.'
        : 'A steady fall is fuel or wind, not vents: look at the fire first.';
    case 'suspected':
      return suspectedWords(cause.fault, cause.sure, pit);
    case 'too-much-air':
      return `${splits ? 'Hotter than the target.' : 'More air than the target needs.'} ${moveWords(cause, vented)}`;
    case 'too-little-air':
      return `${splits ? 'Cooler than the target.' : 'Less air than the target needs.'} ${moveWords(cause, vented)}`;
  }
}
