/** Thermometers at one place that do not agree, by what they read lately. */
import type { ChannelTold, Disagreement, WireSpot } from '@ostrin/core/log';
import { MINUTE_MS } from '@ostrin/core/quantity';
import { disagreement } from '@ostrin/core/tending';
import { useSettings } from '../store/settings';
import { useTick } from '../ui/useTick';
import { useInstruments } from './useInstruments';

/** Two thermometers at a place of a pit that disagree. */
export interface Disagreeing {
  pitName: string;
  spot: WireSpot;
  found: Disagreement;
}

/** A value older than this says nothing about now, min. */
const FRESH_MIN = 10;
/** Places at which two thermometers should agree. */
const PLACES: readonly WireSpot[] = ['grate', 'dome', 'air'];

/** All that disagree now, by pit and place; of one pit where it is named. */
export function useDisagreements(ofPit?: string): Disagreeing[] {
  const { data: instruments = [] } = useInstruments();
  const altitudeM = useSettings((s) => s.altitudeM);
  const now = useTick(5000);
  const pitNames = ofPit === undefined ? [...new Set(instruments.map((i) => i.pitName))] : [ofPit];
  return pitNames.flatMap((pitName) =>
    PLACES.flatMap((spot) => {
      const read = instruments
        .filter((i) => i.pitName === pitName)
        .flatMap((i) =>
          i.channels.flatMap((c): ChannelTold[] => {
            const last = i.values[c.key];
            if (c.spot !== spot || !last || now - last.at > FRESH_MIN * MINUTE_MS) return [];
            return [
              { name: `${i.name} ${c.key}`, c: last.value - c.offsetK, checkedAt: c.checkedAt },
            ];
          }),
        );
      const found = disagreement(read, altitudeM);
      return found ? [{ pitName, spot, found }] : [];
    }),
  );
}
