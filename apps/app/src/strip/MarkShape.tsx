/** Shapes that say what kind of remark it is, in any colour: filled is done, hollow is expected. */
import { G, Line, Path, Rect, Circle } from 'react-native-svg';
import type { MarkKind } from './model';

interface Props {
  kind: MarkKind;
  x: number;
  y: number;
  done: boolean;
  colour: string;
  hollow: string;
}

const R = 6;

export function MarkShape({ kind, x, y, done, colour, hollow }: Props) {
  const paint = { fill: done ? colour : hollow, stroke: colour, strokeWidth: 2 };
  switch (kind) {
    case 'fuel':
      return <Rect x={x - R} y={y - R} width={2 * R} height={2 * R} rx={2} {...paint} />;
    case 'vents':
      return (
        <Path
          d={`M ${x} ${y - R - 1} L ${x + R + 1} ${y + R} L ${x - R - 1} ${y + R} Z`}
          {...paint}
        />
      );
    case 'meat':
      return <Circle cx={x} cy={y} r={R} {...paint} />;
    case 'lid':
      return (
        <G>
          {[-1, 1].map((side) => (
            <Path
              key={side}
              d={`M ${x + side * 2} ${y - R} h ${side * 4} v ${2 * R} h ${-side * 4}`}
              fill="none"
              stroke={colour}
              strokeWidth={2.5}
              strokeDasharray={done ? undefined : '3 2'}
            />
          ))}
        </G>
      );
    default:
      return (
        <G>
          <Line
            x1={x - R + 2}
            y1={y - R}
            x2={x - R + 2}
            y2={y + R + 1}
            stroke={colour}
            strokeWidth={2}
          />
          <Path
            d={`M ${x - R + 2} ${y - R} h ${2 * R - 2} l -3 4 l 3 4 h ${-(2 * R - 2)} Z`}
            {...paint}
          />
        </G>
      );
  }
}
