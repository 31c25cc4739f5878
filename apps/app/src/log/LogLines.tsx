/** What was done in a cook, line by line. */
import { localOf } from '@ostrin/core/quantity';
import { useState } from 'react';
import { Text, View } from 'react-native';
import type { CookView } from '../api/queries';
import { useSettings } from '../store/settings';
import { signedLabel } from '../strip/fromCook';
import { Button } from '../ui/Button';
import { Heading } from '../ui/Title';
import { clockOf } from '../ui/words';
import type { CookLog } from './useCookLog';

/** Lines that are shown at first. */
const FIRST_LINES = 60;

export function LogLines({ cook, of: { log } }: { cook: CookView; of: CookLog }) {
  const units = useSettings((s) => s.units);
  const [all, setAll] = useState(false);
  const lines = all ? log.lines : log.lines.slice(0, FIRST_LINES);
  return (
    <View className="px-5 max-w-[720px]">
      <Heading>What was done</Heading>
      {lines.map((l) => (
        <View key={l.id} className="flex-row gap-3 border-b border-rule py-2">
          <Text className="font-slab-semi text-ink text-[16px] w-[52px]">
            {clockOf(localOf(l.at, cook.plan.request.timeZone))}
          </Text>
          <Text className="font-sans text-ink text-[16px] leading-[22px] flex-1">
            {signedLabel(l, cook.plan, units)}
            {l.corrected ? ' (time corrected)' : ''}
          </Text>
        </View>
      ))}
      {lines.length < log.lines.length ? (
        <Button label={`Show all ${log.lines.length} lines`} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}
