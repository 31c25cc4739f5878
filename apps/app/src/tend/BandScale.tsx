/** A straight scale with the band on it and a pointer at the reading. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { Halo } from '../strip/Halo';
import { useTheme } from '../ui/theme';

interface Props {
  valueC: number | null;
  lowC: number;
  highC: number;
  say: (c: number) => string;
}

const HEIGHT = 40;

export function BandScale({ valueC, lowC, highC, say }: Props) {
  const theme = useTheme();
  const [width, setWidth] = useState(0);
  const span = (highC - lowC) * 2.5;
  const middle = (lowC + highC) / 2;
  const x = (c: number): number =>
    Math.min(width - 8, Math.max(8, ((c - middle) / (2 * span) + 0.5) * width));
  return (
    <View
      aria-hidden
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ height: HEIGHT }}
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT}>
          <Line x1={0} x2={width} y1={30} y2={30} stroke={theme.edge} strokeWidth={1} />
          <Rect
            x={x(lowC)}
            y={20}
            width={x(highC) - x(lowC)}
            height={18}
            fill={theme.band}
            stroke={theme.bandEdge}
            strokeWidth={1.5}
          />
          <Halo x={x(lowC) - 4} y={15} anchor="end" colour={theme.soot} halo={theme.paper}>
            {say(lowC)}
          </Halo>
          <Halo x={x(highC) + 4} y={15} anchor="start" colour={theme.soot} halo={theme.paper}>
            {say(highC)}
          </Halo>
          {valueC === null ? null : (
            <Path
              d={`M ${x(valueC)} 32 l -8 -16 h 16 Z`}
              fill={theme.pit}
              stroke={theme.sheet}
              strokeWidth={1.5}
            />
          )}
        </Svg>
      ) : null}
    </View>
  );
}
