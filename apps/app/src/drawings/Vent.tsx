/** A vent as its disc looks: four slots, uncovered by quarters of the handle's travel. */
import { Text, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
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
  size = 76,
}: {
  name: string;
  fraction: number;
  /** The setting in the pit's own way of telling. */
  says: string;
  size?: number;
}) {
  const theme = useTheme();
  const c = size / 2;
  return (
    <View className="items-center gap-1">
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
      <Text className="font-sans-semi text-ink text-[16px]">
        {name} {says}
      </Text>
    </View>
  );
}
