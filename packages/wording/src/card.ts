/** A pit's vent card in words: the days it was worked out for, and why a target has no setting. */
import { presetOf } from '@ostrin/core/catalogue';
import type { ReferenceDayId, VentAnswer } from '@ostrin/core/engine';
import type { Units } from '@ostrin/core/quantity';
import { temperatureWords } from './quantities';

export const DAY_NAMES: Readonly<Record<ReferenceDayId, string>> = {
  'still-warm': 'still and warm',
  'windy-warm': 'windy and warm',
  'still-cold': 'still and cold',
  'windy-cold': 'windy and cold',
};

/** Why no pair of vents settles at a target; null where one does. */
export function noSettingWords(answer: VentAnswer, preset: string, units: Units): string | null {
  if (answer.unreachable === null) return null;
  const { name } = presetOf(preset);
  const at = temperatureWords(answer.unreachable.settlesC, units);
  return answer.unreachable.high
    ? `Wide open, the ${name} with this fire settles at ${at} at the most.`
    : `Nearly shut, the ${name} with this fire still settles at ${at}.`;
}
