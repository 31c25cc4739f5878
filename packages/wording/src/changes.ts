/** A change of mind in words: what it does, and what it costs. */
import type { ChangeOption } from '@ostrin/core/tending';
import type { Units } from '@ostrin/core/quantity';
import { spanOfTime, temperatureWords } from './quantities';
import { wrapOptionWords, WRAP_OPTION_NAMES } from './meat';

/** What a change is called, with the heat it goes to. */
export function changeName({ id, logs }: ChangeOption, units: Units): string {
  const [log] = logs;
  const name = WRAP_OPTION_NAMES[id];
  if (log?.do === 'set-target') return `${name}: ${temperatureWords(log.targetC, units)}`;
  return log?.do === 'oven-finish' ? `${name}: ${temperatureWords(log.atC, units)}` : name;
}

/** Differences smaller than this are not told, min and share. */
const SAME = { min: 10, fuel: 0.1 };

/** Its effect beside going on as planned: sooner or later, weight, bark and fuel. */
export function changeWords(change: ChangeOption, planned: ChangeOption | undefined): string {
  const parts: string[] = [];
  const [mine, before] = [change.readyMin?.[1], planned?.readyMin?.[1]];
  if (change.id !== 'as-planned' && mine !== undefined && before !== undefined) {
    const by = before - mine;
    parts.push(
      Math.abs(by) < SAME.min
        ? 'about as planned'
        : `${spanOfTime(Math.abs(Math.round(by / 5) * 5))} ${by > 0 ? 'sooner' : 'later'} than planned`,
    );
  }
  const rest = wrapOptionWords({ ...change, id: 'leave-bare' }, null);
  if (rest) parts.push(rest);
  if (change.fuelTimes === 0) parts.push('the fire may go out');
  else if (Math.abs(change.fuelTimes - 1) > SAME.fuel) {
    parts.push(`burns about ${change.fuelTimes.toFixed(1)} times the fuel an hour`);
  }
  return parts.join(' · ');
}
