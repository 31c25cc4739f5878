/** The parts of the page on which a cook is tended, laid out for a phone and for a wide screen. */
import { useState, type ReactNode } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useLayout } from '../ui/layout';
import { Sheet } from '../ui/Sheet';

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

/** What a sheet leaves at both sides, px. */
const SHEET_EDGES_PX = 40;
/** A strip lower than this says nothing: it folds to one line. */
const LEAST_STRIP_PX = 120;
/** What an unfolded strip is drawn in, px. */
const UNFOLDED_PX = 480;

/**
 * One below the other: the reading, the order with its button, the strip in what is left, and the pad within reach of a
 * thumb. Where the screen is low it is the reading that scrolls and the strip that folds, never the button.
 */
export function PhoneLayout({ notice, header, card, strip, pad }: Parts) {
  const { width, height } = useLayout();
  // A phone on its side has the order beside the reading.
  const landscape = width > height;
  const [box, setBox] = useState({ width: 0, height: 0 });
  const [unfolded, setUnfolded] = useState(false);
  const folds = box.height > 0 && box.height < LEAST_STRIP_PX;
  return (
    <View className="flex-1">
      <View className={landscape ? 'flex-row shrink' : 'shrink'}>
        <ScrollView
          className={landscape ? 'flex-1' : 'grow-0 shrink'}
          contentContainerClassName="px-4 pt-2 pb-1 gap-2"
        >
          {notice}
          {header}
        </ScrollView>
        <View className={landscape ? 'flex-1 pr-4 py-1' : 'px-4 py-1 flex-none'}>{card}</View>
      </View>
      <View
        className="flex-1 min-h-[48px]"
        onLayout={({ nativeEvent: { layout } }) =>
          setBox({ width: Math.floor(layout.width), height: Math.floor(layout.height) })
        }
      >
        {folds ? (
          <Pressable
            role="button"
            testID="strip-folded"
            onPress={() => setUnfolded(true)}
            className="min-h-[48px] justify-center px-4 active:opacity-70"
          >
            <Text className="font-sans-semi text-ink text-[15px] underline">Show the strip</Text>
          </Pressable>
        ) : (
          strip(box.width, box.height)
        )}
      </View>
      {pad}
      {unfolded ? (
        <Sheet title="The strip" onClose={() => setUnfolded(false)}>
          {strip(width - SHEET_EDGES_PX, UNFOLDED_PX)}
        </Sheet>
      ) : null}
    </View>
  );
}
