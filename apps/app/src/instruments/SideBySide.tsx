/** Two probes lying beside each other: how far they are apart, and one put right by the other. */
import type { Channel, Instrument, Versioned } from '@ostrin/contract/types';
import { isTemperature } from '@ostrin/core/log';
import { offsetOf } from '@ostrin/core/tending';
import { temperatureWords } from '@ostrin/wording';
import { apartWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { TitledChoice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { Paragraph } from '../ui/Text';
import { useTick } from '../ui/useTick';
import { readsNow, withCheck } from './checking';
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

const heardOf = (instruments: readonly Versioned<Instrument>[], now: number): Heard[] =>
  instruments.flatMap((instrument) =>
    instrument.channels.flatMap((channel): Heard[] => {
      const readsC = readsNow(instrument, channel, now);
      if (readsC === null || !isTemperature(channel.spot)) return [];
      return [
        {
          id: `${instrument.id}/${channel.key}`,
          name: `${instrument.name} ${channel.key}`,
          instrument,
          channel,
          readsC,
          c: readsC - channel.offsetK,
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
    // The trusted one is the truth of this moment, whatever stood in water earlier that day.
    const changed = {
      ...wrong.channel,
      ...withCheck(wrong.channel, check, () => offsetOf([check])!),
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
          Hold both tips together, or put both in the same water, and wait a minute.
        </Paragraph>
        <TitledChoice
          label="The one you trust"
          columns={2}
          options={options(other)}
          value={trusted}
          onChange={setTrusted}
        />
        <TitledChoice
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
