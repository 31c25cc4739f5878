/** Instruments: what tells its readings by wire, when it was heard last, and where each of its channels hangs. */
import type { Instrument, Versioned } from '@ostrin/contract/types';
import { isTemperature } from '@ostrin/core/log';
import { dueAt } from '@ostrin/core/tending';
import {
  disagreementWords,
  heardWords,
  INSTRUMENT_NAMES,
  SPOT_NAMES,
  toldWords,
} from '@ostrin/wording/tending';
import { capital, temperatureWords } from '@ostrin/wording';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { usePits } from '../api/queries';
import { useSettings } from '../store/settings';
import { BackLink } from '../ui/BackLink';
import { Button } from '../ui/Button';
import { NameField } from '../ui/NameField';
import { Notice } from '../ui/Notice';
import { Paragraph } from '../ui/Text';
import { Heading, Title } from '../ui/Title';
import { YardHeight } from '../ui/YardHeight';
import { useTick } from '../ui/useTick';
import { AddInstrumentSheet } from './AddInstrumentSheet';
import { InstrumentSheet } from './InstrumentSheet';
import { SideBySide } from './SideBySide';
import { useBoiling, usePressure } from './useBoiling';
import { useDisagreements } from './useDisagreements';
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
          Connected thermometers and sensors, and those you read by hand. Check each in ice water
          and in boiling water from time to time.
        </Paragraph>
        <Disagreements />
        <SideBySide instruments={list} />
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
  const units = useSettings((x) => x.units);
  const boilsC = useBoiling();
  const { hPa, set } = usePressure();
  const [text, setText] = useState(hPa === null ? '' : String(hPa));
  const typed = (value: string): void => {
    setText(value);
    const told = Number(value.replace(',', '.'));
    set(told >= PRESSURES.low && told <= PRESSURES.high ? told : null);
  };
  return (
    <View className="gap-2">
      <Heading>Boiling water</Heading>
      <Paragraph>
        {`A thermometer is checked in ice water, ${temperatureWords(0, units)}, and in boiling water, ${temperatureWords(boilsC, units)} ${hPa === null ? 'at the altitude of your yard' : 'at the air pressure you entered'}:`}
      </Paragraph>
      <YardHeight />
      <NameField
        label="Air pressure here now, hPa, from a barometer that is not adjusted to sea level"
        value={text}
        onChange={typed}
        example="965"
        longest={7}
      />
    </View>
  );
}

/** Pressures that there are where people cook, hPa. */
const PRESSURES = { low: 500, high: 1085 };

/** Thermometers at one place of one pit that do not agree. */
function Disagreements() {
  const units = useSettings((s) => s.units);
  return (
    <>
      {useDisagreements().map(({ pitName, spot, found }) => (
        <Notice
          key={`${pitName}/${spot}`}
          tone="warn"
          title={`Two thermometers disagree: ${SPOT_NAMES[spot].toLowerCase()}`}
        >
          {disagreementWords(found, units)}
        </Notice>
      ))}
    </>
  );
}

/** What of an instrument is due, in a sentence; null where nothing is. */
function dueOf(i: Instrument, now: number): string | null {
  const channels = i.channels.filter((c) => isTemperature(c.spot));
  const late = channels.filter((c) => (dueAt(c.checkedAt, i.dueDays) ?? 0) < now);
  if (late.length === 0) return null;
  const names = late.length === channels.length ? '' : ` (${late.map((c) => c.key).join(', ')})`;
  return `Check it in ice water and boiling water${names}`;
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
  const due = dueOf(i, now);
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
        {(i.kind ?? 'wire') === 'wire'
          ? `At ${i.pitName}. ${heardWords(i.heardAt, i.battery, now)}`
          : `${INSTRUMENT_NAMES[i.kind!]}, at ${i.pitName}`}
      </Text>
      {due ? <Text className="font-sans-semi text-ink text-[16px]">{due}</Text> : null}
      {told.length > 0 ? (
        <Text className="font-sans-semi text-ink text-[16px]">{capital(told.join(', '))}</Text>
      ) : null}
    </Pressable>
  );
}
