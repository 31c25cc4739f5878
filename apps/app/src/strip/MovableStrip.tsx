/** A strip that is dragged, zoomed and read off by touch, mouse and wheel, with the way back to now. */
import { useEffect } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import type { StripData } from './model';
import { alongMargins, Strip, type StripProps } from './Strip';
import { useStripView, type Span } from './useStripView';

interface Props extends Omit<StripProps, 'data' | 'cursor'> {
  /** What is shown while nobody moved it. */
  span: Span;
  /** The data of a span. */
  dataOf: (span: Span) => StripData;
  /** Hears of every span that is shown. */
  onSpan?: (span: Span) => void;
}

/** How much one touch of a button zooms. */
const STEP = 1.6;

export function MovableStrip({ span, dataOf, onSpan, width, height, down, ...rest }: Props) {
  const [before, after] = alongMargins(down);
  const along = down ? height : width;
  const view = useStripView(span, { down, start: before, length: along - before - after });
  const { from, to } = view.shown;
  useEffect(() => onSpan?.({ from, to }), [onSpan, from, to]);
  return (
    <View style={{ width, height }}>
      <View
        // The web knows these handlers; a drag along time is ours and not the page's.
        {...view.handlers}
        style={{ width, height, touchAction: 'none' }}
        testID="strip"
      >
        <Strip
          {...rest}
          data={dataOf(view.shown)}
          {...{ width, height, down }}
          cursor={view.cursor}
        />
      </View>
      {view.moved ? (
        <View className="absolute bottom-1 right-1 flex-row gap-1">
          <Button label="Now" testID="strip-now" onPress={view.toNow} />
          <Button label="−" accessibilityLabel="Show more time" onPress={() => view.zoom(STEP)} />
          <Button
            label="+"
            accessibilityLabel="Show less time"
            onPress={() => view.zoom(1 / STEP)}
          />
        </View>
      ) : null}
    </View>
  );
}
