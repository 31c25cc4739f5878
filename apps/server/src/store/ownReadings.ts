/** A cook's own readings, made ready for the database by whoever has the time for it. */
import type { Reading } from '@ostrin/contract';
import { ownValues, type OwnValue } from '@ostrin/core/log';
import { createHash } from 'node:crypto';
import { seriesTexts, type SeriesText } from './series';

/** The channel of a place in a cook's own record. */
const channelOf = ({ spot, meat }: OwnValue): string => `${spot}/${meat ?? ''}`;

/** A cook's own readings as texts to be written one after the other. What tells nothing is not kept. */
export const writtenReadings = (readings: readonly Reading[], firstMeat: string): SeriesText[] =>
  seriesTexts(ownValues(readings, firstMeat).map((v) => ({ ...v, channel: channelOf(v) })));

/** What a record reads, as a short text: two records with one digest read the same. */
export class ReadingsDigest {
  private readonly hash = createHash('sha256');

  constructor(private readonly firstMeat: string) {}

  /** Goes on with readings that follow those before. */
  add(readings: readonly Reading[]): this {
    for (const reading of readings) {
      const values = ownValues([reading], this.firstMeat).map((v) => `${channelOf(v)} ${v.value}`);
      if (values.length > 0) this.hash.update(`${reading.at} ${values.sort().join(' ')}\n`);
    }
    return this;
  }

  hex(): string {
    return this.hash.digest('hex');
  }
}
