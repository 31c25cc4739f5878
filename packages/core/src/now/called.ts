/** Which alarms call out loud: one that was up a moment ago is known, and does not call again when it comes back. */
import { MINUTE_MS } from '../quantity/time';
import type { Alarm } from './alarms';

/** Alarms that were up lately, by id, and when each was up last, epoch ms. */
export type Known = ReadonlyMap<string, number>;

/** What was gone for so long calls again, min: sooner where it is a danger. */
const GONE_MIN = { danger: 10, other: 20 };
const DANGERS: ReadonlySet<string> = new Set(['fire-out', 'suspected', 'no-reading']);

/** How long something has to be gone to call again; ids begin with the code of their alarm. */
const goneMs = (id: string): number =>
  (DANGERS.has(id.split('/')[0]!) ? GONE_MIN.danger : GONE_MIN.other) * MINUTE_MS;

/** The alarms of `up` that call at `nowMs`, and what is known from then on. */
export function callOut(
  known: Known,
  up: readonly Alarm[],
  nowMs: number,
): { calling: Alarm[]; known: Known } {
  const still = [...known].filter(([id, at]) => nowMs - at < goneMs(id));
  const before = new Set(still.map(([id]) => id));
  return {
    calling: up.filter((a) => !before.has(a.id)),
    known: new Map([...still, ...up.map((a): [string, number] => [a.id, nowMs])]),
  };
}
