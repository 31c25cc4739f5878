/** A piece on its way, and what is safe, in words. */
import { SAFE_C, type SafetyKind } from '@ostrin/core/catalogue';
import type { Outlook, WrapOption } from '@ostrin/core/tending';
import type { Units } from '@ostrin/core/quantity';
import { spanOfTime, spanWords, temperatureWords } from './quantities';

/** Minutes after lighting as the time of day. */
export type Clock = (min: number) => string;

export const WRAP_OPTION_NAMES: Readonly<Record<WrapOption['id'], string>> = {
  'as-planned': 'As planned',
  'paper-now': 'Paper now',
  'foil-now': 'Foil now',
  'boat-now': 'Foil boat now',
  'pan-now': 'Covered pan now',
  'unwrap-now': 'Unwrap now',
  'oven-now': 'Into the oven now',
  lower: 'Lower the pit',
  hotter: 'Finish hot',
  'leave-bare': 'Never wrapped',
};

/** How much sooner than leaving it bare, min. */
const soonerWords = (minutes: number): string =>
  Math.abs(minutes) < 10
    ? 'about as long as bare'
    : `${spanOfTime(Math.abs(Math.round(minutes / 5) * 5))} ${minutes > 0 ? 'sooner' : 'later'} than bare`;

/** Bark from which it is called set, and from which soft; 1 is set. */
const BARK = { set: 0.95, soft: 0.5 };

/** What a way of wrapping saves against leaving it bare, and what it leaves. `bare`: its window, min. */
export function wrapOptionWords(w: WrapOption, bare: readonly number[] | null): string {
  const parts: string[] = [];
  if (w.id !== 'leave-bare' && w.readyMin && bare)
    parts.push(soonerWords(bare[1]! - w.readyMin[1]));
  if (w.yieldFraction !== null)
    parts.push(`${Math.round(100 * w.yieldFraction)} % of its weight left`);
  if (w.bark !== null)
    parts.push(
      w.bark >= BARK.set ? 'bark set' : w.bark > BARK.soft ? 'soft bark' : 'hardly any bark',
    );
  return parts.join(' · ');
}

/** Where the piece is on its way, and why it moves as it does. */
export function phaseWords(outlook: Outlook, clock: Clock): string {
  switch (outlook.phase) {
    case 'not-on':
      return 'Not on yet. It goes on cold: cold, wet meat takes the most smoke.';
    case 'warming':
      return outlook.stallMin
        ? `Warming through. Expect it to slow down about ${clock(outlook.stallMin[0])}: squeezed-out juice then wets the surface and its evaporation takes the heat away.`
        : 'Warming through. A piece this size hardly stalls at this heat.';
    case 'stall':
      return `In the stall. Juice squeezed to the surface evaporates and cools it as sweat does, so the middle waits; it should climb again about ${clock(outlook.stallMin![1])}, when the juice runs short. Nothing is wrong with the fire.`;
    case 'past-the-stall':
      return 'Past the stall: the surface runs dry, and the heat goes inward again.';
    case 'wrapped':
      return 'Wrapped: what evaporates cannot leave, so nothing cools it any more. The bark softens meanwhile.';
    case 'unwrapped':
      return 'Unwrapped: the surface dries and the bark firms up again.';
    case 'tender':
      return 'It should probe tender now. Check two or three spots.';
    case 'resting':
      return 'Off and resting: the heat evens out, and the juice thickens. Carve it when its middle has stopped climbing.';
    case 'rested':
      return 'Off, and its rest is over. Carve it, or hold it hot.';
  }
}

/** Whether it is safe, or when it should be; the slow end of the likely pieces speaks. */
export function safetyWords(
  outlook: Outlook,
  kind: SafetyKind,
  clock: Clock,
  units: Units,
): string {
  const { safety } = outlook;
  const at = (c: number): string => temperatureWords(c, units);
  const law =
    kind === 'red'
      ? 'An intact piece is safe once its middle has been hot enough for long enough.'
      : `It is safe at ${at(SAFE_C[kind])} in its thickest part, and not before.`;
  const when = safety.safeNow
    ? 'Nine in ten likely pieces are past that now.'
    : safety.safeByMin === null
      ? 'As planned it does not get there before it is done: say so to who eats it.'
      : `That should be so by ${clock(safety.safeByMin)}.`;
  const slow =
    safety.centreMin > 0
      ? ` So far the middle has been about ${spanOfTime(Math.round(safety.centreMin / 15) * 15)} between ${at(5)} and ${at(60)}.`
      : '';
  return `${law} ${when}${slow} Trust a second thermometer over any forecast.`;
}

/** How far the meat stands from the plan, K: behind (negative) or ahead. */
export const behindWords = (k: number, units: Units): string =>
  `The meat now stands ${spanWords(Math.abs(k), units)} ${k < 0 ? 'behind' : 'ahead of'} the middle of the plan.`;
