/** Vents in quarters: one tap on a setting logs it. */
import type { Log, PlanLog } from '@ostrin/core';
import { Text, View } from 'react-native';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { quarter } from '../ui/words';
import { ventsNow } from './actions';

const QUARTERS = [0, 0.25, 0.5, 0.75, 1];

interface Props {
  log: Log;
  onSet: (action: PlanLog) => void;
  onClose: () => void;
}

export function VentSheet({ log, onSet, onClose }: Props) {
  const now = ventsNow(log);
  const row = (name: string, key: 'intakeFraction' | 'exhaustFraction') => (
    <View className="gap-1">
      <Text className="font-sans-semi text-ink text-[16px]">{`${name}, now ${quarter(now[key])}`}</Text>
      <View className="flex-row gap-2">
        {QUARTERS.map((q) => (
          <View key={q} className="flex-1">
            <Button
              label={quarter(q)}
              accessibilityLabel={`${name} ${quarter(q)}`}
              selected={now[key] === q}
              onPress={() => onSet({ do: 'set-vents', ...pick(now), [key]: q })}
            />
          </View>
        ))}
      </View>
    </View>
  );
  return (
    <Sheet title="Vents" onClose={onClose}>
      {row('Bowl vent', 'intakeFraction')}
      {row('Lid vent', 'exhaustFraction')}
    </Sheet>
  );
}

const pick = (v: { intakeFraction: number; exhaustFraction: number }) => ({
  intakeFraction: v.intakeFraction,
  exhaustFraction: v.exhaustFraction,
});
