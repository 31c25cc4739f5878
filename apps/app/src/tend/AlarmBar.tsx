/** The alarm that matters most now beside the order on the card, until somebody has seen it. */
import { pitOf } from '@ostrin/core';
import { isTheOrder, type Alarm, type CookNow } from '@ostrin/core/tending';
import type { Units } from '@ostrin/core/quantity';
import { alarmWords } from '@ostrin/wording/tending';
import { Text, View } from 'react-native';
import { Button } from '../ui/Button';
import type { Alarms } from './useAlarms';
import { useTendedCook } from './cookContext';
import { useSettings } from '../store/settings';
import { pieceNamed } from '../store/names';

/** An alarm of a cook in words. */
export const alarmText = (
  alarm: Alarm,
  { plan, state }: Pick<CookNow, 'plan' | 'state'>,
  units: Units,
): string =>
  alarmWords(alarm, {
    pit: pitOf(plan),
    jobs: plan.jobs,
    cause: state.cause,
    units,
    pieceName: (id) => pieceNamed(plan, id),
  });

export function AlarmBar({ alarms: { unseen, see } }: { alarms: Alarms }) {
  const { cook, orders } = useTendedCook();
  const units = useSettings((s) => s.units);
  const besides = unseen.filter((a) => !isTheOrder(a, orders.order));
  const [first] = besides;
  if (!first) return null;
  const words = alarmText(first, cook, units);
  return (
    <View
      role="alert"
      testID="alarm"
      className="flex-row items-center gap-3 rounded-lg border-2 border-pit bg-sheet px-3 py-1"
    >
      <Text className="flex-1 font-sans-bold text-ink text-[16px] leading-[20px]">
        {besides.length > 1 ? `${words} (and ${besides.length - 1} more)` : words}
      </Text>
      <Button label="Seen" testID="alarm-seen" onPress={see} />
    </View>
  );
}
