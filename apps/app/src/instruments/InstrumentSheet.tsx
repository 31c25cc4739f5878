/** One instrument: its token, where each channel hangs, and what each reads too much. */
import {
  packetsTopic,
  ROUTES,
  type Channel,
  type Instrument,
  type InstrumentRecord,
  type Versioned,
} from '@ostrin/contract/types';
import { isTemperature, WIRE_SPOTS } from '@ostrin/core/log';
import { localOf } from '@ostrin/core/quantity';
import { USUAL_DUE_DAYS } from '@ostrin/core/tending';
import { heardWords, INSTRUMENT_NAMES, SPOT_NAMES, toldWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice, Stepper } from '../ui/Choice';
import { Note, Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';
import { useTick } from '../ui/useTick';
import { dayOf, deviceZone } from '../ui/words';
import { ChannelChecks } from './ChannelChecks';
import { useNewToken, useRemoveInstrument, useSaveInstrument } from './useInstruments';

interface Props {
  instrument: Versioned<Instrument>;
  onClose: () => void;
}

export function InstrumentSheet({ instrument, onClose }: Props) {
  const now = useTick(1000);
  const save = useSaveInstrument();
  const remove = useRemoveInstrument();
  const [sure, setSure] = useState(false);
  const byWire = (instrument.kind ?? 'wire') === 'wire';
  const put = (channels: Channel[]): void =>
    save.mutate({ base: instrument, record: { ...instrument, channels } });
  const change = (key: string, to: Partial<Channel>): void =>
    put(instrument.channels.map((c) => (c.key === key ? channelWith(c, to) : c)));
  return (
    <Sheet title={instrument.name} onClose={onClose}>
      <Paragraph>
        {byWire
          ? `At ${instrument.pitName}. ${heardWords(instrument.heardAt, instrument.battery, now)}.`
          : `${INSTRUMENT_NAMES[instrument.kind!]}, at ${instrument.pitName}.`}
      </Paragraph>
      {save.isError ? <Notice tone="warn" title={save.error.message} /> : null}
      {instrument.channels.length === 0 && byWire ? (
        <Note>Its channels appear here once it has sent a reading. Give it its token first.</Note>
      ) : null}
      {instrument.channels.map((c) => (
        <ChannelPart
          key={c.key}
          channel={c}
          instrument={instrument}
          onChange={(to) => change(c.key, to)}
        />
      ))}
      <Upkeep
        instrument={instrument}
        onChange={(part) => save.mutate({ base: instrument, record: { ...instrument, ...part } })}
      />
      {byWire ? <TokenPart id={instrument.id} /> : null}
      <Heading>Remove</Heading>
      <Button
        label={sure ? 'Yes, remove it' : 'Remove this instrument'}
        onPress={() =>
          sure ? remove.mutate(instrument.id, { onSuccess: onClose }) : setSure(true)
        }
      />
    </Sheet>
  );
}

/** A channel with some of it changed; a piece is named only where it hangs in one. */
function channelWith({ piece, ...c }: Channel, to: Partial<Channel>): Channel {
  const next = { ...c, ...to };
  return next.spot === 'meat' ? { ...next, piece: to.piece ?? piece ?? 1 } : next;
}

interface ChannelProps {
  channel: Channel;
  instrument: Instrument;
  onChange: (to: Partial<Channel>) => void;
}

function ChannelPart({ channel: c, instrument, onChange }: ChannelProps) {
  const units = useSettings((x) => x.units);
  const last = instrument.values[c.key]?.value ?? null;
  const wrong = instrument.impossible?.[c.key];
  return (
    <View className="gap-2" testID={`channel-${c.key}`}>
      <Heading>{`${c.key}${last === null ? '' : `: ${toldWords(c.spot, last, units)}`}`}</Heading>
      {wrong ? (
        <Notice
          tone="warn"
          title={`It read ${toldWords(c.spot, wrong.value, units)}: not possible there, so it is not used.`}
        />
      ) : null}
      <Choice
        label={`Where ${c.key} measures`}
        columns={2}
        options={WIRE_SPOTS.map((spot) => ({ value: spot, label: SPOT_NAMES[spot] }))}
        value={c.spot}
        onChange={(spot) => onChange({ spot })}
      />
      {c.spot === 'meat' ? (
        <Stepper
          label="Which piece"
          shown={`Piece ${c.piece ?? 1}`}
          onStep={(by) => onChange({ piece: (c.piece ?? 1) + by })}
          canDown={(c.piece ?? 1) > 1}
          canUp={(c.piece ?? 1) < 12}
        />
      ) : null}
      {isTemperature(c.spot) ? (
        <ChannelChecks channel={c} instrument={instrument} onChange={onChange} />
      ) : null}
    </View>
  );
}

/** How often it is checked, and its battery. */
const DUE = [
  { value: 90, label: 'every 3 months' },
  { value: 180, label: 'twice a year' },
  { value: 365, label: 'once a year' },
] as const;

interface UpkeepProps {
  instrument: Instrument;
  onChange: (part: Pick<InstrumentRecord, 'dueDays' | 'batteryChangedAt'>) => void;
}

function Upkeep({ instrument, onChange }: UpkeepProps) {
  const { dueDays, batteryChangedAt, kind } = instrument;
  return (
    <View className="gap-2">
      <Heading>It is checked</Heading>
      <Choice
        label="It is checked"
        columns={3}
        options={DUE}
        value={dueDays ?? USUAL_DUE_DAYS}
        onChange={(days) => onChange({ dueDays: days })}
      />
      {kind === 'dial' ? null : (
        <>
          <Note>
            {batteryChangedAt === undefined
              ? 'The last battery change was not recorded.'
              : `Battery changed ${dayOf(localOf(batteryChangedAt, deviceZone))}.`}
          </Note>
          <Button
            label="Battery changed today"
            onPress={() => onChange({ batteryChangedAt: Date.now() })}
          />
        </>
      )}
    </View>
  );
}

/** What is typed into a terminal. */
const COMMAND = { fontFamily: 'monospace' };

/** The token: made on demand, shown once, with a line that tries it. */
function TokenPart({ id }: { id: string }) {
  const make = useNewToken();
  const token = make.data?.token;
  return (
    <View className="gap-2">
      <Heading>Connection</Heading>
      <Note>Over MQTT it publishes its readings to this topic:</Note>
      <Text selectable testID="mqtt-topic" className="text-ink text-[14px]" style={COMMAND}>
        {packetsTopic(id)}
      </Text>
      {token ? (
        <>
          <Paragraph>Enter it in the instrument now: it is not shown again.</Paragraph>
          <Text selectable testID="token" className="text-ink text-[16px]" style={COMMAND}>
            {token}
          </Text>
          <Note>To try it:</Note>
          <Text selectable className="text-ink text-[14px]" style={COMMAND}>
            {`curl -X POST ${location.origin}${ROUTES.wire} -H "Authorization: Bearer ${token}" -H "Content-Type: application/json" -d '{"values":{"1":121}}'`}
          </Text>
        </>
      ) : (
        <Paragraph>
          An instrument uses it to send its readings, over HTTP or MQTT. A new token makes the one
          before it invalid.
        </Paragraph>
      )}
      {make.isError ? <Notice tone="warn" title={make.error.message} /> : null}
      <Button
        label="Make a new token"
        testID="make-token"
        disabled={make.isPending}
        onPress={() => make.mutate(id)}
      />
    </View>
  );
}
