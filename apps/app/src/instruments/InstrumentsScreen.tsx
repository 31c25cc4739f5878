/** Instruments: what tells its readings by wire, when it was heard last, and where each of its channels hangs. */
import type { Instrument, Versioned } from '@ostrin/contract/types';
import { MINUTE_MS, type ChannelTold, type WireSpot } from '@ostrin/core';
import { boilsAtC, disagreement } from '@ostrin/core/tending';
import { disagreementWords, heardWords, SPOT_NAMES, toldWords } from '@ostrin/wording/tending';
import { capital, temperatureWords } from '@ostrin/wording';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { usePits } from '../api/queries';
import { useSettings } from '../store/settings';
import { BackLink } from '../ui/BackLink';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Paragraph } from '../ui/Text';
import { Heading, Title } from '../ui/Title';
import { YardHeight } from '../ui/YardHeight';
import { useTick } from '../ui/useTick';
import { AddInstrumentSheet } from './AddInstrumentSheet';
import { InstrumentSheet } from './InstrumentSheet';
import { useInstruments } from './useInstruments';

export function InstrumentsScreen() {
  const instruments = useInstruments();
  const pits = usePits();
  const [adding, setAdding] = useState(false);
  const [openId, setOpenId] = useState<string | null>(null);
  const list = instruments.data ?? [];
  const open = list.find((i) => i.id === openId);
  return (
    <View className="flex-1">
      <ScrollView className="flex-1" contentContainerClassName="p-5 gap-4 max-w-[760px]">
        <View>
          <BackLink href="/yard" label="The yard" />
          <Title>Thermometers and sensors</Title>
        </View>
        {instruments.isError ? (
          <Notice tone="warn" title="The instruments could not be read">
            {instruments.error.message}
          </Notice>
        ) : null}
        <Paragraph>
          What tells its readings by wire: a wireless thermometer, a fan, a weather station, or a
          sensor of your own. Each has a token with which it may tell its readings and nothing else.
        </Paragraph>
        <Disagreements instruments={list} />
        {list.map((i) => (
          <Row key={i.id} instrument={i} onOpen={() => setOpenId(i.id)} />
        ))}
        {instruments.data ? (
          <Button
            label="Add an instrument"
            testID="add-instrument"
            onPress={() => setAdding(true)}
          />
        ) : null}
        <Boiling />
      </ScrollView>
      {adding ? (
        <AddInstrumentSheet
          pits={(pits.data ?? []).map((p) => p.name)}
          taken={list}
          onAdded={setOpenId}
          onClose={() => setAdding(false)}
        />
      ) : null}
      {open ? (
        <InstrumentSheet key={open.id} instrument={open} onClose={() => setOpenId(null)} />
      ) : null}
    </View>
  );
}

/** What boiling water reads in this yard: a thermometer is checked against it. */
function Boiling() {
  const { units, altitudeM } = useSettings();
  return (
    <View className="gap-2">
      <Heading>Boiling water</Heading>
      <Paragraph>
        {`A thermometer is checked in ice water, ${temperatureWords(0, units)}, and in boiling water, ${temperatureWords(boilsAtC(altitudeM), units)} at the height of your yard above the sea:`}
      </Paragraph>
      <YardHeight />
    </View>
  );
}

/** A value older than this says nothing of now, min. */
const FRESH_MIN = 10;
/** Places at which two thermometers should agree. */
const PLACES: readonly WireSpot[] = ['grate', 'dome', 'air'];

/** Thermometers at one place of one pit that do not agree. */
function Disagreements({ instruments }: { instruments: readonly Versioned<Instrument>[] }) {
  const { units, altitudeM } = useSettings();
  const now = useTick(5000);
  const pitNames = [...new Set(instruments.map((i) => i.pitName))];
  const found = pitNames.flatMap((pitName) =>
    PLACES.flatMap((spot) => {
      const told = instruments
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
      const d = told.length > 1 ? disagreement(told, altitudeM) : null;
      return d ? [{ key: `${pitName}/${spot}`, words: disagreementWords(d, units), spot }] : [];
    }),
  );
  return (
    <>
      {found.map((f) => (
        <Notice
          key={f.key}
          tone="warn"
          title={`Two thermometers disagree: ${SPOT_NAMES[f.spot].toLowerCase()}`}
        >
          {f.words}
        </Notice>
      ))}
    </>
  );
}

function Row({ instrument: i, onOpen }: { instrument: Versioned<Instrument>; onOpen: () => void }) {
  const units = useSettings((s) => s.units);
  const now = useTick(1000);
  const told = i.channels
    .filter((c) => i.values[c.key])
    .map(
      (c) =>
        `${SPOT_NAMES[c.spot].toLowerCase()} ${toldWords(c.spot, i.values[c.key]!.value, units)}`,
    );
  return (
    <Pressable
      role="button"
      accessibilityLabel={`${i.name}: change`}
      testID={`instrument-${i.id}`}
      onPress={onOpen}
      className="min-h-[64px] justify-center border-b border-rule py-2 active:opacity-70"
    >
      <Text className="font-slab-semi text-ink text-[19px]">{i.name}</Text>
      <Text className="font-sans text-soot text-[16px]">
        {`At ${i.pitName}. ${heardWords(i.heardAt, i.battery, now)}`}
      </Text>
      {told.length > 0 ? (
        <Text className="font-sans-semi text-ink text-[16px]">{capital(told.join(', '))}</Text>
      ) : null}
    </Pressable>
  );
}
