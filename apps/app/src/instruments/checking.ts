/** What a channel reads now, and a check of it kept. */
import { MOST_CHECKS, type Channel, type Instrument } from '@ostrin/contract/types';
import { MINUTE_MS } from '@ostrin/core/quantity';
import type { InstrumentCheck } from '@ostrin/core/log';

/** A value older than this is not what it reads now, ms. */
const FRESH_MS = 5 * MINUTE_MS;

/** What a channel reads now, as it tells it; null where it was not heard of late. */
export function readsNow({ values }: Instrument, { key }: Channel, now: number): number | null {
  const last = values[key];
  return last && now - last.at < FRESH_MS ? last.value : null;
}

/** A channel with one more check; `offsetOver` says of its checks, and of this one, what it reads too much. */
export function withCheck(
  channel: Channel,
  check: InstrumentCheck,
  offsetOver: (checks: readonly InstrumentCheck[]) => number,
): Pick<Channel, 'checks' | 'offsetK' | 'checkedAt'> {
  const checks = [...(channel.checks ?? []), check].slice(-MOST_CHECKS);
  return { checks, offsetK: Number(offsetOver(checks).toFixed(2)), checkedAt: check.at };
}
