/** Takes in what instruments tell by wire: late, double, out of order. */
import type { Channel, Instrument, InstrumentSeen, Packet } from '@ostrin/contract';
import { leadMeat } from '@ostrin/core';
import { isTemperature, wireReadings, type WireSpot } from '@ostrin/core/log';
import type { CookHead, CookStore } from '../store/cooks';
import type { InstrumentStore, ToldValue } from '../store/instruments';
import type { CookClocks } from './cookClocks';
import type { Hub } from './hub';
import type { InTurn } from './inTurn';

/** Values that cannot be true are left out: a broken probe, not a bad request. No yard is colder, no freezer either. */
const POSSIBLE: Readonly<Record<WireSpot, readonly [number, number]>> = {
  grate: [-45, 700],
  dome: [-45, 700],
  meat: [-30, 250],
  air: [-60, 60],
  wind: [0, 75],
  rain: [0, 500],
  fan: [0, 1],
  none: [-1000, 3000],
};

/** Channels of which nobody said yet what they measure at most. */
const MOST_CHANNELS = 32;

/** Whether a channel of an instrument tells a temperature; one of which nobody said what it measures is taken for one. */
export const tellsTemperature =
  ({ channels }: Pick<Instrument, 'channels'>) =>
  (key: string): boolean => {
    const spot = channels.find((c) => c.key === key)?.spot ?? 'none';
    return spot === 'none' || isTemperature(spot);
  };

/** What becomes of packets. */
export interface Taken {
  /** Values that were stored with a cook. */
  stored: number;
  /** Values that cannot be true. */
  impossible: number;
  /** Why values were not stored, in a sentence; left out where all of them were. */
  why?: string;
}

export class WireIntake {
  constructor(
    private readonly instruments: InstrumentStore,
    private readonly cooks: CookStore,
    private readonly clocks: CookClocks,
    private readonly hub: Hub,
    private readonly inTurn: InTurn,
  ) {}

  /** Keeps packets of an instrument and tells of them. Nothing of them is kept when this fails. */
  take(id: string, packets: readonly Packet[]): Promise<Taken> {
    return this.inTurn(() => this.keep(id, packets));
  }

  private async keep(id: string, packets: readonly Packet[]): Promise<Taken> {
    const instrument = await this.instruments.get(id);
    if (!instrument || packets.length === 0) return { stored: 0, impossible: 0 };
    const fresh = newChannels(instrument.channels, packets);
    const channels = [...instrument.channels, ...fresh];
    const spotOf = new Map(channels.map((c) => [c.key, c]));
    const all = packets.flatMap((p) =>
      Object.entries(p.values).map(([key, value]) => ({ at: p.at, key, value })),
    );
    const possible = all.filter(({ key, value }) => {
      const [low, high] = POSSIBLE[spotOf.get(key)?.spot ?? 'none'];
      return value >= low && value <= high;
    });
    const seen = heard(
      instrument,
      packets,
      this.clocks.realMs(),
      possible,
      all.filter((v) => !possible.includes(v)),
    );
    const cook = await this.cooks.cookAt(instrument, Math.max(...packets.map((p) => p.at)));
    const meats = cook ? await this.cooks.pieceIds(cook) : [];
    const told = possible.flatMap(({ at, key, value }): ToldValue[] => {
      const channel = spotOf.get(key);
      if (!channel || channel.spot === 'none') return [];
      const meat = channel.spot === 'meat' ? (meats[(channel.piece ?? 1) - 1] ?? null) : null;
      if (channel.spot === 'meat' && meat === null) return [];
      return [{ at, channel: key, spot: channel.spot, meat, value }];
    });
    await this.instruments.keep(seen, cook?.id ?? null, told, fresh);
    this.hub.tell({ type: 'heard', seen });
    if (fresh.length > 0) {
      this.hub.tell({ type: 'changed', what: 'instruments' });
    }
    if (cook && told.length > 0) {
      const offsetOf = (key: string): number => spotOf.get(key)!.offsetK;
      const values = told.map((v) => ({ ...v, offsetK: offsetOf(v.channel) }));
      const readings = wireReadings(values, leadMeat(cook.plan).id);
      this.hub.tell({
        type: 'readings',
        cookId: cook.id,
        readings,
        clock: this.clocks.clock(cook),
      });
    }
    const isPlaced = (key: string): boolean =>
      spotOf.get(key)?.spot !== 'none' && (!cook || told.some((t) => t.channel === key));
    const unplaced = possible.filter((v) => !isPlaced(v.key));
    const why = whyNot({
      pitName: instrument.pitName,
      cook,
      unplaced: unplaced.map((v) => v.key),
      impossible: Object.keys(seen.impossible ?? {}),
    });
    return {
      stored: cook ? told.length : 0,
      impossible: all.length - possible.length,
      ...(why ? { why } : {}),
    };
  }
}

/** Why values of an instrument at a pit were not stored, in a sentence; null where all of them were. */
function whyNot({
  pitName,
  cook,
  unplaced,
  impossible,
}: {
  pitName: string;
  cook: CookHead | null;
  /** Channels without a place in this cook, and those whose last value cannot be true. */
  unplaced: readonly string[];
  impossible: readonly string[];
}): string | null {
  const named = (keys: readonly string[]): string =>
    `Channel${new Set(keys).size > 1 ? 's' : ''} ${[...new Set(keys)].join(', ')}`;
  const reasons = [
    ...(cook ? [] : [`No cook on a real fire is under way at ${pitName}.`]),
    ...(unplaced.length > 0
      ? [`${named(unplaced)}: set under Yard, Sensors where it measures.`]
      : []),
    ...(impossible.length > 0 ? [`${named(impossible)}: the value is not possible there.`] : []),
  ];
  return reasons.length > 0 ? reasons.join(' ') : null;
}

/** Channels that packets name for the first time: what they measure is to be said. */
function newChannels(known: readonly Channel[], packets: readonly Packet[]): Channel[] {
  const keys = new Set(packets.flatMap((p) => Object.keys(p.values)));
  for (const { key } of known) keys.delete(key);
  return [...keys]
    .slice(0, Math.max(MOST_CHANNELS - known.length, 0))
    .map((key): Channel => ({ key, spot: 'none', offsetK: 0, checkedAt: null }));
}

/** What was heard last: later values stand over earlier ones, in whatever order they come. */
function heard(
  { id, battery, values, impossible, heardAt }: Instrument,
  packets: readonly Packet[],
  nowMs: number,
  told: readonly Told[],
  untrue: readonly Told[],
): InstrumentSeen {
  const latest = withLatest(values, told);
  const wrong = Object.entries(withLatest(impossible ?? {}, untrue)).filter(
    ([key, { at }]) => at > (latest[key]?.at ?? -Infinity),
  );
  const last = [...packets].sort((a, b) => a.at - b.at).findLast((p) => p.battery !== null);
  return {
    id,
    heardAt: Math.max(heardAt ?? 0, nowMs),
    battery: last?.battery ?? battery,
    values: latest,
    impossible: Object.fromEntries(wrong),
  };
}

/** A value of a channel. */
interface Told {
  at: number;
  key: string;
  value: number;
}

/** The last value of each channel. */
function withLatest(
  known: InstrumentSeen['values'],
  told: readonly Told[],
): InstrumentSeen['values'] {
  const latest = { ...known };
  for (const { at, key, value } of told) {
    if (at >= (latest[key]?.at ?? -Infinity)) latest[key] = { at, value };
  }
  return latest;
}
