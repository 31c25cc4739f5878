/** Checks of one channel: in ice water, in boiling water; what it is off by, how that drifts, when it is due. */
import type { Channel, Instrument } from '@ostrin/contract/types';
import { localOf, spanFromK, toC } from '@ostrin/core/quantity';
import type { CheckedAgainst } from '@ostrin/core/log';
import { driftOf, dueAt, offsetOf, spreadOf } from '@ostrin/core/tending';
import { temperatureWords } from '@ostrin/wording';
import { checkWords, driftWords, dueWords, spreadWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Stepper } from '../ui/Choice';
import { FormSheet } from '../ui/FormSheet';
import { Note } from '../ui/Notice';
import { SmallText } from '../ui/Text';
import { useTick } from '../ui/useTick';
import { dayOf, deviceZone } from '../ui/words';
import { readsNow, withCheck } from './checking';
import { useBoiling } from './useBoiling';

interface Props {
  channel: Channel;
  instrument: Instrument;
  onChange: (to: Partial<Channel>) => void;
}

/** What ice water reads, C. */
const ICE_C = 0;
/** Checks that are shown. */
const SHOWN = 5;
/** A temperature as it is typed. */
const DEGREES = /^-?\d{1,3}([.,]\d{1,2})?$/;

export function ChannelChecks({ channel: c, instrument, onChange }: Props) {
  const units = useSettings((s) => s.units);
  const boilsC = useBoiling();
  const now = useTick(60_000);
  const [asked, setAsked] = useState<{ against: CheckedAgainst; trueC: number } | null>(null);
  const shown = spanFromK(c.offsetK, units.temperature);
  const step = units.temperature === 'F' ? 5 / 9 : 0.5;
  const keep = (against: CheckedAgainst, readsC: number, trueC: number): void =>
    onChange(
      withCheck(c, { at: Date.now(), against, readsC, trueC }, (checks) => offsetOf(checks)!),
    );
  const check = (against: CheckedAgainst, trueC: number): void => {
    const reads = readsNow(instrument, c, Date.now());
    if (reads === null) setAsked({ against, trueC });
    else keep(against, reads, trueC);
  };
  const checks = c.checks ?? [];
  const year = (ms: number): string => localOf(ms, deviceZone).slice(0, 4);
  const day = (ms: number): string =>
    `${dayOf(localOf(ms, deviceZone))}${year(ms) === year(now) ? '' : ` ${year(ms)}`}`;
  const drift = driftOf(checks);
  return (
    <>
      <Note>{`Reads too much by this; it is taken off. ${dueWords(dueAt(c.checkedAt, instrument.dueDays), now, day)}`}</Note>
      <Stepper
        label={`What ${c.key} reads too much`}
        shown={`${shown > 0 ? '+' : ''}${shown.toFixed(1)} ${units.temperature}`}
        onStep={(by) =>
          onChange({ offsetK: Number((c.offsetK + by * step).toFixed(3)), checkedAt: Date.now() })
        }
        canDown={c.offsetK > -30}
        canUp={c.offsetK < 30}
      />
      <View className="flex-row gap-2">
        <Button grow label="It is in ice water now" onPress={() => check('ice', ICE_C)} />
        <Button
          grow
          label={`It is in boiling water now (${temperatureWords(boilsC, units)})`}
          onPress={() => check('boiling', boilsC)}
        />
      </View>
      {[...checks]
        .reverse()
        .slice(0, SHOWN)
        .map((x) => (
          <SmallText key={x.at}>{checkWords(x, day(x.at), units)}</SmallText>
        ))}
      {spreadWords(spreadOf(checks), units) ? (
        <Note>{spreadWords(spreadOf(checks), units)!}</Note>
      ) : null}
      {drift === null ? null : <Note>{driftWords(drift, units)}</Note>}
      {asked ? (
        <FormSheet
          title="What does it read?"
          fields={[
            {
              name: 'text',
              label: `It reads, ${units.temperature}`,
              first: '',
              pattern: DEGREES,
              message: 'Write a temperature, such as 1.5.',
              kind: 'number',
            },
          ]}
          save="Keep this check"
          saveID="check-save"
          onSave={({ text }) => {
            const readsC = toC(Number(text!.replace(',', '.')), units.temperature);
            keep(asked.against, readsC, asked.trueC);
            setAsked(null);
          }}
          onClose={() => setAsked(null)}
        />
      ) : null}
    </>
  );
}
