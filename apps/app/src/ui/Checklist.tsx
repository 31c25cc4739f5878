/** A list to go through at a job: each item is ticked by touch, and kept while the page is open. */
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { Subhead } from './Title';
import { keepUnitsTogether } from './words';

interface Props {
  heading: string;
  items: readonly string[];
}

export function Checklist({ heading, items }: Props) {
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const turn = (item: string): void =>
    setTicked((t) => (t.includes(item) ? t.filter((x) => x !== item) : [...t, item]));
  return (
    <View>
      <Subhead>{heading}</Subhead>
      {items.map((item) => {
        const done = ticked.includes(item);
        return (
          <Pressable
            key={item}
            role="checkbox"
            aria-checked={done}
            accessibilityLabel={item}
            onPress={() => turn(item)}
            className="flex-row items-center gap-3 min-h-[48px] py-1 active:opacity-70"
          >
            <View
              className={`w-[24px] h-[24px] rounded border-2 items-center justify-center ${done ? 'border-pit bg-pit' : 'border-edge bg-sheet'}`}
            >
              {done ? <Text className="font-sans-bold text-on-pit text-[16px]">✓</Text> : null}
            </View>
            <Text className="font-sans text-ink text-[16px] leading-[22px] flex-1">
              {keepUnitsTogether(item)}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}
