/** The alarm that matters most now beside the order on the card, until somebody has seen it. */
import { pitOf } from '@ostrin/core';
import type { Alarm, CookNow } from '@ostrin/core/tending';
import type { Units } from '@ostrin/core/quantity';
import { alarmWords } from '@ostrin/wording/tending';
import { Text, View } from 'react-native';
import { Button } from '../ui/Button';
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

interface Props {
  /** Alarms that nobody has seen, beside what the order says; at least one. */
  unseen: readonly Alarm[];
  see: () => void;
  /** Opens what can be done about a piece that is late or early. */
  onRemedy: () => void;
}

/** What is not mended at the fire, but by another way from here on. */
const HAS_REMEDY: ReadonlySet<Alarm['code']> = new Set(['late', 'early']);

/** The alarm in the place of the state of the fire: it covers nothing else, and pushes nothing down. */
export function AlarmBar({ unseen, see, onRemedy }: Props) {
  const { cook } = useTendedCook();
  const units = useSettings((s) => s.units);
  const words = alarmText(unseen[0]!, cook, units);
  return (
    <View role="alert" testID="alarm" className="gap-1 border-l-4 border-pit pl-2">
      <Text className="font-sans-bold text-ink text-[16px] leading-[20px]">
        {unseen.length > 1 ? `${words} (and ${unseen.length - 1} more)` : words}
      </Text>
      <View className="flex-row gap-2">
        {HAS_REMEDY.has(unseen[0]!.code) ? (
          <View className="flex-1">
            <Button
              kind="primary"
              label="What helps"
              testID="alarm-remedy"
              onPress={() => {
                see();
                onRemedy();
              }}
            />
          </View>
        ) : null}
        <View className="flex-1">
          <Button label="Seen" testID="alarm-seen" onPress={see} />
        </View>
      </View>
    </View>
  );
}
