/** The pieces that came off: resting, until when they hold, and what is left to do at the pit. */
import { localOf } from '@ostrin/core/quantity';
import { afterOff } from '@ostrin/core/tending';
import { afterOffWords } from '@ostrin/wording/tending';
import { Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { clockOf } from '../ui/words';
import { useTendedCook } from './cookContext';
import { pieceNamed } from '../store/names';

/** Told while any piece rests; nothing before one came off. */
export function AfterOffCard() {
  const { cook, orders } = useTendedCook();
  const units = useSettings((s) => s.units);
  const { plan, nowMs } = cook;
  const off = afterOff(cook);
  if (off.length === 0) return null;
  const clock = (ms: number): string => clockOf(localOf(ms, plan.request.timeZone));
  return (
    <View testID="after-off" className="gap-1 border-l-4 border-edge bg-sheet px-3 py-2">
      {off.map((a) => (
        <Text key={a.meat} className="font-sans text-ink text-[16px] leading-[21px]">
          <Text className="font-sans-bold">
            {`${pieceNamed(plan, a.meat)}, off ${clock(a.offMs)}. `}
          </Text>
          {afterOffWords(a, nowMs, clock, units)}
        </Text>
      ))}
      {cook.phase !== 'over' || orders.order.kind === 'make-safe' ? null : (
        <Text className="font-sans text-soot text-[14px] leading-[19px]">
          Shut both vents to put the fire out and save the charcoal; finishing the cook says how
          much was saved. Leave the ash in the closed pit until it is cold.
        </Text>
      )}
    </View>
  );
}
