/** Topics: where instruments tell their readings, and where we tell ours. */
import { packetsTopic, type Channel, type Instrument } from '@ostrin/contract';

/** Under this, we tell of each cook: `reading`, `state` and `alarm`. */
export const COOKS_OF = 'ostrin/cooks/';

/** Where a channel or an instrument is told; null for a topic that is nobody's. */
export type Source = { instrument: Instrument; channel: Channel | null };

/** Which instruments tell a topic: a whole packet of one, or single values of channels that name the topic. */
export function sourcesOf(topic: string, instruments: readonly Instrument[]): Source[] {
  return instruments.flatMap((instrument): Source[] => {
    if (topic === packetsTopic(instrument.id)) return [{ instrument, channel: null }];
    return instrument.channels
      .filter((c) => c.topic === topic)
      .map((channel) => ({ instrument, channel }));
  });
}

/** All topics that are to be listened to. */
export const topicsOf = (instruments: readonly Instrument[]): string[] => [
  packetsTopic('+'),
  ...new Set(instruments.flatMap((i) => i.channels.flatMap((c) => (c.topic ? [c.topic] : [])))),
];

/** The packet that the payload of a channel's topic is: a bare number, or an object with `value` and what else a packet has. */
export function packetOf(channel: Channel, payload: string): unknown {
  const value = JSON.parse(payload) as unknown;
  if (typeof value === 'number') return { values: { [channel.key]: value } };
  if (typeof value !== 'object' || value === null || !('value' in value)) {
    throw new SyntaxError('neither a number nor an object with a value');
  }
  const { value: one, ...rest } = value;
  return { ...rest, values: { [channel.key]: one } };
}
