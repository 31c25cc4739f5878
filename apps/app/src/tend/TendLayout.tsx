/** The parts of the page on which a cook is tended, laid out for a phone and for a wide screen. */
import { useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useLayout } from '../ui/layout';

/** The parts of the page, laid out by the size of the screen. */
export interface Parts {
  notice: ReactNode;
  header: ReactNode;
  card: ReactNode;
  ahead: ReactNode;
  strip: (width: number, height: number) => ReactNode;
  pad: ReactNode;
}

/** Side by side: the strip, and what is next. */
export function WideLayout({ notice, header, card, ahead, strip, pad }: Parts) {
  const { width, height } = useLayout();
  const stripWidth = width - 96 - 330 - 48;
  return (
    <View className="flex-1 flex-row">
      <View className="flex-1 px-6 pt-4 gap-3">
        {notice}
        {header}
        {strip(stripWidth, Math.max(360, Math.min(height - 300, 620)))}
        {pad}
      </View>
      <ScrollView
        className="w-[330px] flex-none border-l border-rule"
        contentContainerClassName="p-4 gap-4"
      >
        {card}
        {ahead}
      </ScrollView>
    </View>
  );
}

/** One below the other, the pad within reach of a thumb; what is above the strip scrolls where it is too long. */
export function PhoneLayout({ notice, header, card, strip, pad }: Parts) {
  const [box, setBox] = useState({ width: 0, height: 0 });
  return (
    <View className="flex-1">
      <ScrollView className="grow-0 shrink" contentContainerClassName="px-4 pt-2 pb-1 gap-2">
        {notice}
        {header}
        {card}
      </ScrollView>
      <View
        className="flex-1 min-h-[150px]"
        onLayout={({ nativeEvent: { layout } }) =>
          setBox({ width: Math.floor(layout.width), height: Math.floor(layout.height) })
        }
      >
        {strip(box.width, box.height)}
      </View>
      {pad}
    </View>
  );
}
