/** Ways on from here side by side: when it would be ready, what is left of it, and its bark. */
import type { WrapOption } from '@ostrin/core';
import { Text, View } from 'react-native';
import { Heading } from '../ui/Title';
import { soonerWords } from './meatWords';

const NAMES: Record<WrapOption['id'], string> = {
  'as-planned': 'As planned',
  'paper-now': 'Paper now',
  'foil-now': 'Foil now',
  'leave-bare': 'Never wrapped',
};

interface Props {
  ways: readonly WrapOption[];
  clock: (min: number) => string;
  byFeel: boolean;
}

const Cell = ({ children, strong }: { children: string; strong?: boolean }) => (
  <Text className={`text-ink text-[16px] ${strong ? 'font-sans-bold' : 'font-sans'}`}>
    {children}
  </Text>
);

export function WrapOptions({ ways, clock, byFeel }: Props) {
  const bare = ways.find((w) => w.id === 'leave-bare')?.readyMin ?? null;
  return (
    <View className="gap-1" testID="ways">
      <Heading>What wrapping now would do</Heading>
      {ways.map((w) => (
        <View key={w.id} className="border-b border-rule py-2" testID={`way-${w.id}`}>
          <View className="flex-row justify-between gap-3">
            <Cell strong>{NAMES[w.id]}</Cell>
            <Cell strong>
              {w.readyMin
                ? `${byFeel ? 'tender' : 'done'} ${clock(w.readyMin[0])}–${clock(w.readyMin[2])}`
                : 'not in sight'}
            </Cell>
          </View>
          <Text className="font-sans text-soot text-[14px] leading-[20px]">
            {costWords(w, bare)}
          </Text>
        </View>
      ))}
      <Text className="font-sans text-soot text-[14px] leading-[20px]">
        Eight in ten of the likely cooks fall inside each span.
      </Text>
    </View>
  );
}

/** What a way saves against leaving it bare, and what it leaves. */
function costWords(w: WrapOption, bare: readonly number[] | null): string {
  const parts: string[] = [];
  if (w.id !== 'leave-bare' && w.readyMin && bare)
    parts.push(soonerWords(bare[1]! - w.readyMin[1]));
  if (w.yieldFraction !== null)
    parts.push(`${Math.round(100 * w.yieldFraction)} % of its weight left`);
  if (w.bark !== null)
    parts.push(w.bark >= 0.95 ? 'bark set' : w.bark > 0.5 ? 'soft bark' : 'hardly any bark');
  return parts.join(' · ');
}
