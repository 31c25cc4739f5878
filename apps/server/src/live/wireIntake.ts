/** Takes in what instruments tell by wire: late, double, out of order. */
import {
  MOST_CHANNELS,
  type Channel,
  type Instrument,
  type InstrumentSeen,
  type Packet,
} from '@ostrin/contract';
import { leadMeat } from '@ostrin/core';
import { isPossible, wireReadings } from '@ostrin/core/log';
import { countWords, firstNames } from '@ostrin/wording';
import partition from 'lodash/partition.js';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import { cookOfMoment } from '../store/cookOfMoment';
import type { InstrumentStore } from '../store/instruments';
import type { ToldValue } from '../store/series';
import type { CookClocks } from './cookClocks';
import type { Hub } from './hub';
import type { InTurn } from './inTurn';

/** What becomes of packets. */
export interface Taken {
  /** Values that were stored with a cook, each once. */
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
    const told = packets.flatMap((p) =>
      Object.entries(p.values).map(([key, value]) => ({ at: p.at, key, value })),
    );
    // Nothing is kept of channels beyond those that an instrument may have.
    const all = told.filter(({ key }) => spotOf.has(key));
    // What cannot be true is left out: a broken probe, not a bad request.
    const [possible, untrue] = partition(all, ({ key, value }) =>
      isPossible(spotOf.get(key)?.spot ?? 'none', value),
    );
    const seen = heard(instrument, packets, this.clocks.realMs(), possible, untrue);
    const ofCooks = await this.byCook(instrument, possible, spotOf);
    const stored = await this.instruments.keep(seen, ofCooks, fresh);
    this.hub.tell({ type: 'heard', seen });
    if (fresh.length > 0) {
      this.hub.tell({ type: 'changed', what: 'instruments' });
    }
    for (const { cook, values } of ofCooks) if (cook) this.publish(cook, values, spotOf);
    const placed = ofCooks.reduce((n, { cook, values }) => n + (cook ? values.length : 0), 0);
    const unplaced = ofCooks.flatMap((t) => t.unplaced);
    const why = whyNot({
      pitName: instrument.pitName,
      cookless: ofCooks.some((t) => t.cook === null),
      unplaced,
      impossible: Object.keys(seen.impossible ?? {}),
      again: placed - stored,
      beyond: told.flatMap(({ key }) => (spotOf.has(key) ? [] : [key])),
    });
    return {
      stored,
      impossible: untrue.length,
      ...(why ? { why } : {}),
    };
  }

  /** Values with the cook that each belongs to by its time, and in which piece of it. */
  private async byCook(
    instrument: Instrument,
    possible: readonly ChannelValue[],
    spotOf: ReadonlyMap<string, Channel>,
  ): Promise<OfCook[]> {
    const spans = await this.cooks.realCooks(
      instrument,
      Math.min(...possible.map((v) => v.at), Infinity),
    );
    const found = new Map<string | null, OfCook & { meats: readonly string[] }>();
    for (const { at, key, value } of possible) {
      const cook = cookOfMoment(spans, at);
      const id = cook?.id ?? null;
      const of = found.get(id) ?? {
        cook,
        meats: cook ? await this.cooks.pieceIds(cook) : [],
        values: [],
        unplaced: [],
      };
      found.set(id, of);
      const channel = spotOf.get(key);
      const meat = channel?.spot === 'meat' ? (of.meats[(channel.piece ?? 1) - 1] ?? null) : null;
      if (!channel || channel.spot === 'none' || (channel.spot === 'meat' && cook && !meat)) {
        of.unplaced.push(key);
      } else of.values.push({ at, channel: key, spot: channel.spot, meat, value });
    }
    return [...found.values()];
  }

  /** Sends new readings of a cook to whoever watches it. */
  private publish(
    cook: CookHead,
    kept: readonly ToldValue[],
    spotOf: ReadonlyMap<string, Channel>,
  ): void {
    if (kept.length === 0) return;
    const values = kept.map((v) => ({ ...v, offsetK: spotOf.get(v.channel)!.offsetK }));
    const readings = wireReadings(values, leadMeat(cook.plan).id);
    const clock = this.clocks.clock(cook);
    this.hub.tell({ type: 'readings', cookId: cook.id, readings, clock });
  }
}

/** Values that belong to one cook, or to none. */
interface OfCook {
  cook: CookHead | null;
  values: ToldValue[];
  /** Channels without a place in it. */
  unplaced: string[];
}

/** Channels that are named in a row. */
const MOST_NAMED = 6;

/** Channels by name, as many as fit a line. */
function named(keys: readonly string[]): string {
  const names = [...new Set(keys)];
  return `Channel${names.length > 1 ? 's' : ''} ${firstNames(names, MOST_NAMED)}`;
}

/** Why values of an instrument at a pit were not stored, in a sentence; null where all of them were. */
function whyNot({
  pitName,
  cookless,
  unplaced,
  impossible,
  again,
  beyond,
}: {
  pitName: string;
  /** Whether any was of a time at which no cook was on. */
  cookless: boolean;
  /** Channels without a place in this cook, and those whose last value cannot be true. */
  unplaced: readonly string[];
  impossible: readonly string[];
  /** How many values were of moments that their channels had told of before. */
  again: number;
  /** Channels beyond those that an instrument may have. */
  beyond: readonly string[];
}): string | null {
  const reasons = [
    ...(cookless ? [`No cook on a real fire was under way at ${pitName} then.`] : []),
    ...(unplaced.length > 0
      ? [`${named(unplaced)}: set under Yard, Sensors where it measures.`]
      : []),
    ...(impossible.length > 0 ? [`${named(impossible)}: the value is not possible there.`] : []),
    ...(again > 0
      ? [`${countWords(again, 'value', 'values')} of moments that were there already.`]
      : []),
    ...(beyond.length > 0
      ? [`${named(beyond)}: an instrument has ${MOST_CHANNELS} channels at most.`]
      : []),
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
  possible: readonly ChannelValue[],
  untrue: readonly ChannelValue[],
): InstrumentSeen {
  const latest = withLatest(values, possible);
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
interface ChannelValue {
  at: number;
  key: string;
  value: number;
}

/** The last value of each channel. */
function withLatest(
  known: InstrumentSeen['values'],
  read: readonly ChannelValue[],
): InstrumentSeen['values'] {
  const latest = { ...known };
  for (const { at, key, value } of read) {
    if (at >= (latest[key]?.at ?? -Infinity)) latest[key] = { at, value };
  }
  return latest;
}
