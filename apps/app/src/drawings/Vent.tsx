/** A vent as it looks: a disc whose four slots are uncovered as its handle is turned, or one slot with a slide. */
import { Text, View } from 'react-native';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';

const SLOTS = 4;
const SLOT_DEG = 44;

const wedge = (
  cx: number,
  cy: number,
  r0: number,
  r1: number,
  from: number,
  to: number,
): string => {
  const p = (r: number, deg: number): string => {
    const a = ((deg - 90) * Math.PI) / 180;
    return `${(cx + r * Math.cos(a)).toFixed(2)} ${(cy + r * Math.sin(a)).toFixed(2)}`;
  };
  return `M ${p(r0, from)} L ${p(r1, from)} A ${r1} ${r1} 0 0 1 ${p(r1, to)} L ${p(r0, to)} A ${r0} ${r0} 0 0 0 ${p(r0, from)} Z`;
};

/** One vent with its name and setting below. */
export function Vent({
  name,
  fraction,
  says,
  slot = false,
  size = 76,
}: {
  name: string;
  fraction: number;
  /** The setting in the pit's own way of telling. */
  says: string;
  /** One slot that a slide uncovers, drawn to the share it is open. */
  slot?: boolean;
  size?: number;
}) {
  const theme = useTheme();
  const c = size / 2;
  return (
    <View className="items-center gap-1">
      {slot ? (
        <Slot label={`${name} ${says}`} fraction={fraction} size={size} />
      ) : (
        <Svg width={size} height={size} role="img" aria-label={`${name} ${says}`}>
          <Circle cx={c} cy={c} r={c - 2} fill={theme.sheet} stroke={theme.ink} strokeWidth={2.5} />
          {Array.from({ length: SLOTS }, (_, i) => {
            const from = (360 / SLOTS) * i - SLOT_DEG / 2;
            return [
              <Path
                key={`slot${i}`}
                d={wedge(c, c, c * 0.24, c * 0.8, from, from + SLOT_DEG)}
                fill="none"
                stroke={theme.edge}
                strokeWidth={1}
              />,
              fraction > 0 ? (
                <Path
                  key={`open${i}`}
                  d={wedge(c, c, c * 0.24, c * 0.8, from, from + SLOT_DEG * fraction)}
                  fill={theme.ink}
                />
              ) : null,
            ];
          })}
        </Svg>
      )}
      <Text className="font-sans-semi text-ink text-[16px]">
        {name} {says}
      </Text>
    </View>
  );
}

/** The slot with its slide: dark where it is open. */
function Slot({ label, fraction, size }: { label: string; fraction: number; size: number }) {
  const theme = useTheme();
  const [wide, high] = [1.6 * size, 0.36 * size];
  return (
    <Svg width={wide} height={size} role="img" aria-label={label}>
      <Rect
        x={2}
        y={(size - high) / 2}
        width={wide - 4}
        height={high}
        rx={4}
        fill={theme.sheet}
        stroke={theme.ink}
        strokeWidth={2.5}
      />
      <Rect
        x={2}
        y={(size - high) / 2}
        width={(wide - 4) * fraction}
        height={high}
        fill={theme.ink}
      />
    </Svg>
  );
}
