/** The lines of a log, each to be touched and put right. */
import type { LogLine } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { localOf } from '@ostrin/core/quantity';
import { Pressable, Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { signedLabel } from '../strip/fromCook';
import { clockOf } from '../ui/words';

interface Props {
  /** In the order in which they are shown. */
  lines: readonly LogLine[];
  plan: PitPlan;
  onEdit: (entryId: string) => void;
}

export function LogList({ lines, plan, onEdit }: Props) {
  const units = useSettings((s) => s.units);
  const time = (ms: number): string => clockOf(localOf(ms, plan.request.timeZone));
  return (
    <View testID="log-list">
      {lines.map((l) => {
        const label = signedLabel(l, plan, units);
        return (
          <Pressable
            key={l.id}
            role="button"
            accessibilityLabel={`${label} at ${time(l.at)}. Correct`}
            onPress={() => onEdit(l.id)}
            className="flex-row gap-3 border-b border-rule min-h-[48px] items-center active:opacity-70"
          >
            <Text className="font-slab text-ink text-[16px] w-[52px]">{time(l.at)}</Text>
            <Text className="font-sans text-ink text-[16px] leading-[22px] flex-1 py-2">
              {label}
              {l.corrected ? ' (time corrected)' : ''}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}
