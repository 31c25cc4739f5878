/** Vents in the pit's own words: one tap on a usual setting logs it, finer ones are set step by step. */
import { pitOf, type PitPlan, type PlanLog } from '@ostrin/core';
import { finestStep, type VentScale } from '@ostrin/core/catalogue';
import type { Log } from '@ostrin/core/log';
import { capital, ventName, ventNames, ventedPit } from '@ostrin/wording';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { Button } from '../ui/Button';
import { Stepper } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { ventsNow } from './actions';

const QUARTERS = [0, 0.25, 0.5, 0.75, 1];

interface Props {
  plan: PitPlan;
  log: Log;
  onSet: (action: PlanLog) => void;
  onClose: () => void;
}

type Key = 'intakeFraction' | 'exhaustFraction';

export function VentSheet({ plan, log, onSet, onClose }: Props) {
  const now = ventsNow(log);
  const [draft, setDraft] = useState({
    intakeFraction: now.intakeFraction,
    exhaustFraction: now.exhaustFraction,
  });
  const { preset, scales } = ventedPit(pitOf(plan));
  const nouns = ventNames(preset);
  const row = (noun: string, key: Key, told: VentScale, fullMm: number) => {
    const name = capital(noun);
    const says = (f: number): string => ventName(f, told, fullMm);
    const step = finestStep(told, fullMm);
    const at = draft[key];
    return (
      <View className="gap-2">
        <Text className="font-sans-semi text-ink text-[16px]">{`${name}, now ${says(now[key])}`}</Text>
        <View className="flex-row gap-2">
          {QUARTERS.map((q) => (
            <View key={q} className="flex-1">
              <Button
                label={says(q)}
                accessibilityLabel={`${name} ${says(q)}`}
                selected={now[key] === q}
                onPress={() => onSet({ do: 'set-vents', ...draft, [key]: q })}
              />
            </View>
          ))}
        </View>
        <Stepper
          label={name}
          shown={says(at)}
          onStep={(by) => setDraft({ ...draft, [key]: Math.min(1, Math.max(0, at + by * step)) })}
          canDown={at > 1e-6}
          canUp={at < 1 - 1e-6}
        />
      </View>
    );
  };
  const changed =
    draft.intakeFraction !== now.intakeFraction || draft.exhaustFraction !== now.exhaustFraction;
  return (
    <Sheet title="Vents" onClose={onClose}>
      {row(nouns.intake, 'intakeFraction', scales.intake, preset.travelMm.intake)}
      {row(nouns.exhaust, 'exhaustFraction', scales.exhaust, preset.travelMm.exhaust)}
      <Button
        kind="primary"
        label="Log these"
        disabled={!changed}
        onPress={() => onSet({ do: 'set-vents', ...draft })}
      />
    </Sheet>
  );
}
