/** The meat sheet's sentences: the stall explained, and what is safe, in plain words. */
import {
  SAFE_C,
  spanOfTime,
  temperatureWords,
  type SafetyKind,
  type Outlook,
  type Units,
} from '@ostrin/core';

type Clock = (min: number) => string;

/** How much sooner than leaving it bare, in words. */
export const soonerWords = (minutes: number): string =>
  Math.abs(minutes) < 10
    ? 'about as long as bare'
    : `${spanOfTime(Math.abs(Math.round(minutes / 5) * 5))} ${minutes > 0 ? 'sooner' : 'later'} than bare`;

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
    case 'tender':
      return 'It should probe tender now. Check two or three spots.';
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
  const law =
    kind === 'red'
      ? 'An intact piece is safe once its middle has been hot enough for long enough.'
      : `It is safe at ${temperatureWords(SAFE_C[kind], units)} in its thickest part, and not before.`;
  const when = safety.safeNow
    ? 'Nine in ten likely pieces are past that now.'
    : safety.safeByMin === null
      ? 'On this way it does not get there before it is done: say so to who eats it.'
      : `That should be so by ${clock(safety.safeByMin)}.`;
  const slow =
    safety.centreMin > 0
      ? ` The middle spends about ${spanOfTime(Math.round(safety.centreMin / 15) * 15)} between 5 and 60 C (41 and 140 F).`
      : '';
  return `${law} ${when}${slow} Trust a second thermometer over any forecast.`;
}
