/** What made a cook longer or shorter, cause by cause, the largest first. */
import type { TimeCause } from '@ostrin/core/afterwards';
import { CAUSE_NAMES, soMuchLater } from '@ostrin/wording/afterwards';
import { Text, View } from 'react-native';

/** Minutes by cause; `started`: how much later it went on. */
type Causes = Partial<Record<TimeCause | 'started', number>>;

const nameOf = (cause: TimeCause | 'started'): string =>
  cause === 'started' ? 'When it went on' : CAUSE_NAMES[cause];

export function CausesList({ causes }: { causes: Causes }) {
  const list = (Object.entries(causes) as [TimeCause | 'started', number][]).sort(
    (a, b) => Math.abs(b[1]) - Math.abs(a[1]),
  );
  return (
    <View>
      {list.map(([cause, min]) => (
        <View key={cause} className="flex-row items-baseline gap-3 border-b border-rule py-2">
          <Text className="font-sans text-ink text-[16px] leading-[21px] flex-1">
            {nameOf(cause)}
          </Text>
          <Text className="font-slab-semi text-ink text-[16px] w-[130px]">
            {soMuchLater(min, ['longer', 'shorter'], 'no difference')}
          </Text>
        </View>
      ))}
    </View>
  );
}
