/** What an instrument sent, read and checked: JSON, or CSV lines. */
import { readPackets, readPacketsCsv, type Instrument, type Packet } from '@ostrin/contract';
import { isTemperature } from '@ostrin/core/log';
import { parsed, type Read } from '../http/read';

/** Whether a channel of an instrument tells a temperature; one of which nobody said what it measures is taken for one. */
export const tellsTemperature =
  ({ channels }: Pick<Instrument, 'channels'>) =>
  (key: string): boolean => {
    const spot = channels.find((c) => c.key === key)?.spot ?? 'none';
    return spot === 'none' || isTemperature(spot);
  };

/** A body of an instrument; its shape was looked at. */
export interface WireBody {
  text: string;
  csv: boolean;
  /** When it came, epoch ms. */
  nowMs: number;
  channels: Instrument['channels'];
}

/** The packets of a body, or what is wrong with it. */
export function readWire({ text, csv, nowMs, channels }: WireBody): Read<Packet[]> {
  const tells = tellsTemperature({ channels });
  return csv
    ? readPacketsCsv(text, nowMs, tells)
    : parsed(text, (plain) => readPackets(plain, nowMs, tells));
}
