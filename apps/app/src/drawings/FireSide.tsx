/** A fire from the side, to scale, with what it is made of beside it. */
import { METRIC, type Units } from '@ostrin/core/quantity';
import { presetOf } from '@ostrin/core/catalogue';
import type { PlannedFire } from '@ostrin/core';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { Halo } from '../strip/Halo';
import { useTheme } from '../ui/theme';
import { fireShape, type FireLabel, type FireShape } from './fireShapes';
import { Pieces } from './Pieces';

interface Props {
  preset: string;
  fire: PlannedFire;
  units?: Units;
  size: number;
}

/** Share of the picture that the fire takes, what it may be high, and room between two names, px. */
const SHARE = 0.46;
const MOST_HIGH = 230;
const NAME_PX = 20;
const NAMES_FROM = 12;

/** Nothing for fires that are drawn from above. */
export function FireSide({ preset, fire, units = METRIC, size }: Props) {
  const theme = useTheme();
  const shape = fireShape(fire, presetOf(preset), units);
  if (!shape) return null;
  const m = Math.min((SHARE * size) / shape.widthM, MOST_HIGH / shape.heightM);
  const height = Math.ceil(shape.heightM * m);
  const px = (w: number): number => w / m;
  return (
    <Svg width={size} height={height} role="img" aria-label={said(shape)} testID="fire-side">
      <Pieces pieces={shape.pieces} m={m} edge={theme.paper} />
      <G transform={`scale(${m})`}>
        {shape.splits.map((s) => (
          <Rect
            key={s.y}
            x={s.x}
            y={s.y}
            width={s.w}
            height={s.h}
            fill={theme.meats[2]}
            stroke={theme.paper}
            strokeWidth={px(1)}
          />
        ))}
        {shape.walls.map((d) => (
          <Path key={d} d={d} fill="none" stroke={theme.ink} strokeWidth={px(2.5)} />
        ))}
        {shape.metal.map((d) => (
          <Path key={d} d={d} fill="none" stroke={theme.edge} strokeWidth={px(3)} />
        ))}
      </G>
      <Names labels={shape.labels} m={m} from={shape.widthM * m + NAMES_FROM} height={height} />
    </Svg>
  );
}

const said = (shape: FireShape): string =>
  `The fire from the side: ${shape.labels.map((l) => l.text).join('; ')}`;

interface NamesProps {
  labels: readonly FireLabel[];
  m: number;
  from: number;
  height: number;
}

/** Heights of names in one column, whole px: each as near to its spot as the ones above and below leave room for. */
export function namesAt(labels: readonly FireLabel[], m: number, height: number): number[] {
  const ys: number[] = [];
  labels.forEach((l, i) => {
    const least = i === 0 ? 14 : ys[i - 1]! + NAME_PX;
    const most = Math.floor(height) - 6 - (labels.length - 1 - i) * NAME_PX;
    ys.push(Math.max(least, Math.min(Math.round(l.y * m) + 4, most)));
  });
  return ys;
}

/** Names in one column, with a hairline to their spots. */
function Names({ labels, m, from, height }: NamesProps) {
  const theme = useTheme();
  const ys = namesAt(labels, m, height);
  return (
    <G>
      {labels.map((l, i) => (
        <G key={l.text}>
          <Line
            x1={from - 4}
            y1={ys[i]! - 4}
            x2={l.x * m}
            y2={l.y * m}
            stroke={theme.edge}
            strokeWidth={1}
          />
          <Halo x={from} y={ys[i]!} colour={theme.ink} halo={theme.paper}>
            {l.text}
          </Halo>
        </G>
      ))}
    </G>
  );
}
