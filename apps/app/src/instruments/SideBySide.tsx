/** Two probes lying beside each other: how far they are apart, and one put right by the other. */
import { MOST_CHECKS, type Channel, type Instrument, type Versioned } from '@ostrin/contract/types';
import { isTemperature, MINUTE_MS } from '@ostrin/core';
import { offsetOf } from '@ostrin/core/tending';
import { temperatureWords } from '@ostrin/wording';
import { apartWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { Subhead } from '../ui/Title';
import { Paragraph } from '../ui/Text';
import { useTick } from '../ui/useTick';
import { useSaveInstrument } from './useInstruments';

/** A channel that was heard of late, with what it reads once its error is taken off. */
interface Heard {
  id: string;
  name: string;
  instrument: Versioned<Instrument>;
  channel: Channel;
  readsC: number;
  c: number;
}

/** Two are compared while both were heard within this, ms. */
const FRESH_MS = 5 * MINUTE_MS;

const heardOf = (instruments: readonly Versioned<Instrument>[], now: number): Heard[] =>
  instruments.flatMap((instrument) =>
    instrument.channels.flatMap((channel): Heard[] => {
      const last = instrument.values[channel.key];
      const fresh = last && now - last.at < FRESH_MS;
      if (!fresh || !isTemperature(channel.spot)) return [];
      return [
        {
          id: `${instrument.id}/${channel.key}`,
          name: `${instrument.name} ${channel.key}`,
          instrument,
          channel,
          readsC: last.value,
          c: last.value - channel.offsetK,
        },
      ];
    }),
  );

export function SideBySide({ instruments }: { instruments: readonly Versioned<Instrument>[] }) {
  const units = useSettings((s) => s.units);
  const now = useTick(2000);
  const save = useSaveInstrument();
  const heard = heardOf(instruments, now);
  const [trusted, setTrusted] = useState('');
  const [other, setOther] = useState('');
  const [a, b] = [heard.find((h) => h.id === trusted), heard.find((h) => h.id === other)];
  if (heard.length < 2) return null;
  const putRight = (right: Heard, wrong: Heard): void => {
    const check = { at: now, against: 'another' as const, readsC: wrong.readsC, trueC: right.c };
    const checks = [...(wrong.channel.checks ?? []), check].slice(-MOST_CHECKS);
    const changed = {
      ...wrong.channel,
      checks,
      offsetK: Number(offsetOf([check])!.toFixed(2)),
      checkedAt: now,
    };
    save.mutate({
      base: wrong.instrument,
      record: {
        ...wrong.instrument,
        channels: wrong.instrument.channels.map((c) => (c.key === changed.key ? changed : c)),
      },
    });
  };
  const options = (without: string) =>
    heard
      .filter((h) => h.id !== without)
      .map((h) => ({ value: h.id, label: h.name, note: temperatureWords(h.c, units) }));
  return (
    <Fold label="Two probes side by side" testID="side-by-side">
      <View className="gap-2 pb-2">
        <Paragraph>
          Lay both tips together, or both into the same water, and wait a minute.
        </Paragraph>
        <Subhead>The one you trust</Subhead>
        <Choice
          label="The one you trust"
          columns={2}
          options={options(other)}
          value={trusted}
          onChange={setTrusted}
        />
        <Subhead>The other one</Subhead>
        <Choice
          label="The other one"
          columns={2}
          options={options(trusted)}
          value={other}
          onChange={setOther}
        />
        {a && b ? (
          <>
            <Paragraph>{apartWords(b.name, a.name, b.c - a.c, units)}</Paragraph>
            <Button
              label={`Put ${b.name} right by it`}
              disabled={save.isPending}
              onPress={() => putRight(a, b)}
            />
          </>
        ) : null}
      </View>
    </Fold>
  );
}
