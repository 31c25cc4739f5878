/** Getting to know a pit with an empty burn at three settings of its vents; with a leak test and seasoning before it. */
import type { PitRecord } from '@ostrin/contract/types';
import { fromC, toC } from '@ostrin/core/quantity';
import { MILD_DAY } from '@ostrin/core';
import type { VentCard } from '@ostrin/core/engine';
import { BURN, burnSettings, burnTimes, loggedBurn, takesTestBurn } from '@ostrin/core/yard';
import type { LoggedCook } from '@ostrin/core/learning';
import { burnStepWords, LEAK_TEST, seasoningWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { TextInput, View } from 'react-native';
import { WINDS } from '../store/planDraft';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Checklist } from '../ui/Checklist';
import { Choice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { TemperatureStepper } from '../ui/TemperatureStepper';
import { Subhead } from '../ui/Title';
import { Paragraph, SmallText } from '../ui/Text';
import { NEW_BURN, useBurnDraft } from './burnDraft';
import { settingWords } from './VentCard';

/** Readings without which a burn says too little. */
const LEAST_READINGS = 4;
/** What a pit's thermometer may read, C. */
const READ_C = { low: 30, high: 400 };
const AIR_C = { low: -25, high: 45 };

interface Props {
  pit: PitRecord;
  card: VentCard;
  onLearn: (burn: LoggedCook) => void;
}

export function TestBurn({ pit, card, onLearn }: Props) {
  const units = useSettings((s) => s.units);
  const altitudeM = useSettings((s) => s.altitudeM);
  const burn = useBurnDraft((s) => s.burns[pit.id]) ?? NEW_BURN;
  const change = useBurnDraft((s) => s.change);
  if (!takesTestBurn(pit.preset)) return null;
  const settings = burnSettings(card);
  const times = burnTimes(pit.preset);
  const read = burn.readC.flat().filter((c) => c !== null && c !== undefined).length;
  const setRead = (setting: number, nth: number, c: number | null): void =>
    change(pit.id, {
      readC: burn.readC.map((row, i) =>
        i === setting ? BURN.readAtMin.map((_, k) => (k === nth ? c : (row[k] ?? null))) : row,
      ),
    });
  const learn = (): void =>
    onLearn(
      loggedBurn(
        pit,
        settings.map((s, i) => ({ ...s, readC: burn.readC[i]! })),
        { ...MILD_DAY, airC: burn.airC, windMps: burn.windMps, altitudeM },
      ),
    );
  return (
    <Fold label="A new pit: know it by one empty burn" testID="test-burn">
      <View className="gap-4 pb-3">
        <Checklist heading="Before the first fire: look for leaks" items={LEAK_TEST} />
        <Checklist
          heading="A pit that never had a fire is seasoned first"
          items={seasoningWords(units)}
        />
        <Subhead>The burn</Subhead>
        <Paragraph>
          {`Nothing on the grate, its usual fire, full. Both vents open while it comes up; after ${times[0]} minutes the first setting. Each setting is left alone for an hour and read twice.`}
        </Paragraph>
        <Subhead>The day</Subhead>
        <TemperatureStepper
          label="Air outside"
          c={burn.airC}
          range={AIR_C}
          onChange={(airC) => change(pit.id, { airC })}
        />
        <Choice
          label="Wind"
          columns={2}
          options={WINDS}
          value={burn.windMps}
          onChange={(windMps) => change(pit.id, { windMps })}
        />
        {settings.map((setting, i) => (
          <View key={times[i]} className="gap-2">
            <Subhead>
              {burnStepWords(times[i]!, settingWords(setting, pit, units).join(', '))}
            </Subhead>
            <View className="flex-row gap-3">
              {BURN.readAtMin.map((after, k) => (
                <ReadField
                  key={after}
                  label={`After ${after} min, ${units.temperature}`}
                  setting={i + 1}
                  c={burn.readC[i]?.[k] ?? null}
                  onChange={(c) => setRead(i, k, c)}
                />
              ))}
            </View>
          </View>
        ))}
        <SmallText>
          At the end lay slices of white bread over the grate for five minutes: the brown ones lie
          at its hot end.
        </SmallText>
        <Button
          kind="primary"
          label={
            read < LEAST_READINGS
              ? `Read at least ${LEAST_READINGS} of the six`
              : 'Learn from this burn'
          }
          disabled={read < LEAST_READINGS}
          onPress={learn}
        />
      </View>
    </Fold>
  );
}

/** A reading as it is typed; what is no temperature of a pit is not taken. */
function ReadField(p: {
  label: string;
  setting: number;
  c: number | null;
  onChange: (c: number | null) => void;
}) {
  const units = useSettings((s) => s.units);
  const [text, setText] = useState(
    p.c === null ? '' : String(Math.round(fromC(p.c, units.temperature))),
  );
  const typed = (value: string): void => {
    setText(value);
    const told = toC(Number(value.replace(',', '.')), units.temperature);
    const known = value.trim() !== '' && told >= READ_C.low && told <= READ_C.high;
    p.onChange(known ? told : null);
  };
  return (
    <View className="flex-1 gap-1">
      <SmallText>{p.label}</SmallText>
      <TextInput
        inputMode="decimal"
        aria-label={`Setting ${p.setting}: ${p.label}`}
        value={text}
        maxLength={5}
        onChangeText={typed}
        className="min-h-[52px] min-w-0 rounded-lg border border-edge bg-sheet px-4 font-slab-semi text-[22px] text-ink"
      />
    </View>
  );
}
