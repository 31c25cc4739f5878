/** Ways of wrapping from here on side by side: when it would be ready, what is left of it, and its bark. */
import type { WrapOption } from '@ostrin/core/tending';
import { WRAP_OPTION_NAMES, wrapOptionWords } from '@ostrin/wording';
import { Text, View } from 'react-native';
import { Heading } from '../ui/Title';

interface Props {
  options: readonly WrapOption[];
  clock: (min: number) => string;
  byFeel: boolean;
}

const Cell = ({ children, strong }: { children: string; strong?: boolean }) => (
  <Text className={`text-ink text-[16px] ${strong ? 'font-sans-bold' : 'font-sans'}`}>
    {children}
  </Text>
);

export function WrapOptions({ options, clock, byFeel }: Props) {
  const bare = options.find((w) => w.id === 'leave-bare')?.readyMin ?? null;
  return (
    <View className="gap-1" testID="wrap-options">
      <Heading>What wrapping now would do</Heading>
      {options.map((w) => (
        <View key={w.id} className="border-b border-rule py-2" testID={`wrap-option-${w.id}`}>
          <View className="flex-row justify-between gap-3">
            <Cell strong>{WRAP_OPTION_NAMES[w.id]}</Cell>
            <Cell strong>
              {w.readyMin
                ? `${byFeel ? 'tender' : 'done'} ${clock(w.readyMin[0])}–${clock(w.readyMin[2])}`
                : 'not in sight'}
            </Cell>
          </View>
          <Text className="font-sans text-soot text-[14px] leading-[20px]">
            {wrapOptionWords(w, bare)}
          </Text>
        </View>
      ))}
      <Text className="font-sans text-soot text-[14px] leading-[20px]">
        Eight in ten of the likely cooks fall inside each span.
      </Text>
    </View>
  );
}
